/* Letters come in while other things are done; as many wait as there is room for. */
#define WAITING 32u

static volatile uint8_t waiting[WAITING];
static volatile uint8_t came;
static uint8_t gone;

#ifdef USART0_RX_vect
ISR(USART0_RX_vect) {
#else
ISR(USART_RX_vect) {
#endif
  uint8_t letter = UDR0;
  uint8_t next = (uint8_t)((came + 1u) % WAITING);
  if (next != gone) {
    waiting[came] = letter;
    came = next;
  }
}

int16_t board_received(void) {
  int16_t letter = -1;
  if (gone != came) {
    letter = waiting[gone];
    gone = (uint8_t)((gone + 1u) % WAITING);
  }
  return letter;
}
