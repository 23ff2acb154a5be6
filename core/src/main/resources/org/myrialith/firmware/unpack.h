/* How a frame is unpacked, into levels. Included with UNPACK_AS, the name of the function, and PUT(level), what it does with a level;
 * to is where the next one goes. */

#ifdef THREES /* three channels a pixel everywhere: written out, as it is the most common and the fastest */

#if PACKING == PACKED_RAW

/* raw: three levels a pixel */
static void UNPACK_AS(data_at_t from, uint8_t *to, uint16_t pixels) {
  while (pixels--) {
    PUT(READ_DATA(from++));
    PUT(READ_DATA(from++));
    PUT(READ_DATA(from++));
  }
}

#elif PACKING == PACKED_PALETTE

/* palette: INDEX_BITS a pixel, the first in the highest bits; each frame starts on a byte */
static void UNPACK_AS(data_at_t from, uint8_t *to, uint16_t pixels) {
  uint8_t left = 0;
  uint8_t byte = 0;
  while (pixels--) {
    const uint8_t *colour = palette;
    uint8_t index;
    if (left == 0) {
      byte = READ_DATA(from++);
      left = 8u / INDEX_BITS;
    }
    left--;
    index = (uint8_t)(byte >> (8u - INDEX_BITS));
    colour += index; /* three times, as not every core can multiply */
    colour += index;
    colour += index;
    byte = (uint8_t)(byte << INDEX_BITS);
    PUT(READ_BYTE(colour++));
    PUT(READ_BYTE(colour++));
    PUT(READ_BYTE(colour));
  }
}

#else

/* runs: count, then the three levels that so many pixels share */
static void UNPACK_AS(data_at_t from, uint8_t *to, uint16_t pixels) {
  while (pixels) {
    uint8_t run = READ_DATA(from++);
    uint8_t one = READ_DATA(from++);
    uint8_t two = READ_DATA(from++);
    uint8_t three = READ_DATA(from++);
    pixels = (uint16_t)(pixels - run);
    while (run--) {
      PUT(one);
      PUT(two);
      PUT(three);
    }
  }
}

#endif

#else

#if PACKING == PACKED_RAW

/* raw: as many levels a pixel as it has channels */
static void UNPACK_AS(data_at_t from, uint8_t *to, uint16_t pixels, uint8_t channels) {
  while (pixels--) {
    uint8_t left = channels;
    while (left--) {
      PUT(READ_DATA(from++));
    }
  }
}

#elif PACKING == PACKED_PALETTE

/* palette: INDEX_BITS a pixel, the first in the highest bits; each frame starts on a byte */
static void UNPACK_AS(data_at_t from, uint8_t *to, uint16_t pixels, uint8_t channels) {
  uint8_t free = 0;
  uint8_t byte = 0;
  while (pixels--) {
    const uint8_t *colour = palette;
    uint8_t left = channels;
    if (free == 0) {
      byte = READ_DATA(from++);
      free = 8u / INDEX_BITS;
    }
    free--;
    colour += (uint16_t)((uint16_t)(byte >> (8u - INDEX_BITS)) * PALETTE_WIDTH);
    byte = (uint8_t)(byte << INDEX_BITS);
    while (left--) {
      PUT(READ_BYTE(colour++));
    }
  }
}

#else

/* runs: count, then the levels that so many pixels share */
static void UNPACK_AS(data_at_t from, uint8_t *to, uint16_t pixels, uint8_t channels) {
  while (pixels) {
    uint8_t run = READ_DATA(from++);
    pixels = (uint16_t)(pixels - run);
    while (run--) {
      uint8_t left = channels;
      data_at_t level = from;
      while (left--) {
        PUT(READ_DATA(level++));
      }
    }
    from += channels;
  }
}

#endif

#endif
