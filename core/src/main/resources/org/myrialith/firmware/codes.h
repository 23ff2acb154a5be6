/* Codes of symbols: two bits say which class, then as many follow as the class has. A symbol is a value, or a rule that stands for two
 * symbols. Included where frames are codes. */
#ifndef CODES
#define CODES

static data_at_t code_from;
static uint8_t code_byte;
static uint8_t code_left;

static uint16_t code_bits(uint8_t count) {
  uint16_t bits = 0;
  for (; count; count--) {
    if (code_left == 0) {
      code_byte = READ_DATA(code_from++);
      code_left = 8;
    }
    code_left--;
    bits = (uint16_t)(bits << 1 | code_byte >> 7);
    code_byte = (uint8_t)(code_byte << 1);
  }
  return bits;
}

static uint16_t code(void) {
  uint8_t one = (uint8_t)code_bits(2);
  return (uint16_t)(READ_WORD(&class_first[one]) + code_bits(READ_BYTE(&class_bits[one])));
}

/* what a rule stands for: its first symbol, and the second one to keep */
static uint16_t rule_for(uint16_t symbol, uint16_t *second) {
  const uint8_t *at = rules + (uint16_t)((uint16_t)(symbol - COLOURS) * RULE_BYTES);
  uint16_t first = READ_BYTE(at++);
#if RULE_BYTES == 2
  *second = READ_BYTE(at);
#elif RULE_BYTES == 3
  uint8_t low = READ_BYTE(at++);
  uint8_t high = READ_BYTE(at);
  first |= (uint16_t)((high & 0xf0u) << 4);
  *second = (uint16_t)(low | (uint16_t)((high & 0x0fu) << 8));
#else
  first |= (uint16_t)(READ_BYTE(at++) << 8);
  *second = READ_BYTE(at++);
  *second |= (uint16_t)(READ_BYTE(at) << 8);
#endif
  return first;
}

#endif
