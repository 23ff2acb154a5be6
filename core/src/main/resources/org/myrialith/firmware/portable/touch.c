/* A pad is emptied, then fills by 1 Mohm to the supply: the longer, the more it holds, and a finger adds to it (us). */
static uint8_t filled(uint8_t pin) {
  uint32_t since;
  uint32_t us = 0;
  pin_low(pin);
  wait_us(5);
  pin_free(pin);
  since = now_us();
  while (!pin_get(pin) && us < 255u) {
    us = now_us() - since;
  }
  return (uint8_t)(us < 255u ? us : 255u);
}

/* Half as much again as when power came on. */
static uint8_t touched(uint8_t now, uint8_t rest) { return now > rest + rest / 2u + 4u; }
