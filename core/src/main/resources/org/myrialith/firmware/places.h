/* How a frame of what is only on or off is laid into what its line sends. */

#ifdef SEE_THROUGH
static uint8_t lit_only;
#define LIT_ONLY lit_only
#else
#define LIT_ONLY 0
#endif

static const uint8_t masks[8] TABLE = {1, 2, 4, 8, 16, 32, 64, 128};

/* on or off: a bit a channel, the first in the highest bit of a byte; each goes to its place among what its line sends */
static void place_bits(data_at_t from, uint8_t *to, uint16_t bits, const uint16_t *place) {
  uint8_t left = 0;
  uint8_t byte = 0;
  while (bits--) {
    uint16_t at = READ_WORD(place++);
    uint8_t mask = READ_BYTE(&masks[at & 7u]);
    uint8_t *into = to + (at >> 3);
    if (left == 0) {
      byte = READ_DATA(from++);
      left = 8;
    }
    left--;
    if (byte & 0x80u) {
      *into = (uint8_t)(*into | mask);
    } else if (!LIT_ONLY) {
      *into = (uint8_t)(*into & (uint8_t)~mask);
    }
    byte = (uint8_t)(byte << 1);
  }
}
