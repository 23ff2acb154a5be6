/* A pad is emptied, then fills by 1 Mohm to the supply: the longer, the more it holds, and a finger adds to it. */
static uint8_t filled(volatile uint8_t *port, uint8_t bit) {
  volatile uint8_t *pins = port - 2; /* PORT, DDR, PIN stand one below the other */
  volatile uint8_t *direction = port - 1;
  uint8_t count = 0;
  *port = (uint8_t)(*port & (uint8_t)~bit);
  *direction |= bit;
  _delay_us(5);
  *direction = (uint8_t)(*direction & (uint8_t)~bit);
  while (!(*pins & bit) && count < 255u) {
    count++;
  }
  return count;
}

/* Half as much again as when power came on. */
static uint8_t touched(uint8_t now, uint8_t rest) { return now > rest + rest / 2u + 4u; }
