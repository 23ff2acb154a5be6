/* How a frame is unpacked, into levels. Included with UNPACK_AS, the name of the function, and PUT(level), what it does with a level;
 * to is where the next one goes. Where clips are packed in several ways there is a function for each, and one that chooses. */

#ifndef BY

#ifdef SEVERAL_PACKINGS
#define PASTED(as, by) as##by
#define PASTE(as, by) PASTED(as, by)
#define BY(packing) PASTE(UNPACK_AS, packing)
#else
#define BY(packing) UNPACK_AS
#endif

#ifdef THREES
#define CHANNELS_OF_EACH
#define OF_EACH
#define EACH 3u
#else
#define CHANNELS_OF_EACH , uint8_t channels
#define OF_EACH , channels
#define EACH channels
#endif

#ifdef ORDERED
/* where each pixel that is unpacked goes among those of its clip, or with cues of what is painted by itself */
static const order_t *order_of(uint8_t number) {
  uint16_t first = READ_WORD(&first_order[number]);
  return first == NO_ORDER ? 0 : orders + first;
}
#define ORDER_OF(number) , order_of(number)
#define IN_ORDER , const order_t *order
#define THE_ORDER , order
#else
#define ORDER_OF(number)
#define IN_ORDER
#define THE_ORDER
#endif

#endif

#ifdef BY_DICTIONARY

#include "codes.h"

/* dictionary: codes of symbols; a symbol is a colour, or a rule that stands for two symbols */
static void BY(_codes)(data_at_t from, uint8_t *to, uint16_t pixels CHANNELS_OF_EACH IN_ORDER) {
  uint16_t waiting[DEEPEST];
  uint8_t depth = 0;
#ifdef ORDERED
  uint8_t *base = to;
#endif
  code_from = from;
  code_left = 0;
  while (pixels--) {
    const uint8_t *colour = code_colours;
    uint8_t left = EACH;
    uint16_t symbol = depth ? waiting[--depth] : code();
    while (symbol >= COLOURS) {
      symbol = rule_for(symbol, &waiting[depth++]);
    }
    colour += (uint16_t)(symbol * CODE_COLOUR_WIDTH);
#ifdef ORDERED
    if (order) {
      uint16_t at = READ_ORDER(order);
      order++;
#ifdef THREES
      to = base + at + at + at; /* as not every core can multiply */
#else
      to = base + (uint16_t)(at * channels);
#endif
    }
#endif
    while (left--) {
      PUT(READ_BYTE(colour++));
    }
  }
}

#endif

#ifdef BY_CHANGES

/* changes: pixels that stay as they were, pixels that follow, and a colour for each of those; again until all pixels are there */
static void BY(_changes)(data_at_t from, uint8_t *to, uint16_t pixels CHANNELS_OF_EACH) {
  while (pixels) {
    uint8_t stay = READ_DATA(from++);
    uint8_t follow = READ_DATA(from++);
    pixels = (uint16_t)(pixels - stay - follow);
#ifdef THREES
    to += stay; /* three times, as not every core can multiply */
    to += stay;
    to += stay;
#else
    to += (uint16_t)(stay * channels);
#endif
    while (follow--) {
      const uint8_t *colour = change_colours;
      uint8_t left = EACH;
      colour += (uint16_t)(READ_DATA(from++) * CHANGE_COLOUR_WIDTH);
      while (left--) {
        PUT(READ_BYTE(colour++));
      }
    }
  }
}

#endif

#ifdef THREES /* three channels a pixel everywhere: written out, as it is the most common and the fastest */

#ifdef BY_RAW

/* raw: three levels a pixel */
static void BY(_raw)(data_at_t from, uint8_t *to, uint16_t pixels) {
  while (pixels--) {
    PUT(READ_DATA(from++));
    PUT(READ_DATA(from++));
    PUT(READ_DATA(from++));
  }
}

#endif

#ifdef BY_PALETTE

/* palette: INDEX_BITS a pixel, the first in the highest bits; each frame starts on a byte */
static void BY(_palette)(data_at_t from, uint8_t *to, uint16_t pixels) {
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

#endif

#ifdef BY_RUNS

/* runs: count, then the three levels that so many pixels share */
static void BY(_runs)(data_at_t from, uint8_t *to, uint16_t pixels) {
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

#ifdef BY_RAW

/* raw: as many levels a pixel as it has channels */
static void BY(_raw)(data_at_t from, uint8_t *to, uint16_t pixels, uint8_t channels) {
  while (pixels--) {
    uint8_t left = channels;
    while (left--) {
      PUT(READ_DATA(from++));
    }
  }
}

#endif

#ifdef BY_PALETTE

/* palette: INDEX_BITS a pixel, the first in the highest bits; each frame starts on a byte */
static void BY(_palette)(data_at_t from, uint8_t *to, uint16_t pixels, uint8_t channels) {
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

#endif

#ifdef BY_RUNS

/* runs: count, then the levels that so many pixels share */
static void BY(_runs)(data_at_t from, uint8_t *to, uint16_t pixels, uint8_t channels) {
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

#ifdef SEVERAL_PACKINGS

static void UNPACK_AS(uint8_t packing, data_at_t from, uint8_t *to, uint16_t pixels CHANNELS_OF_EACH IN_ORDER) {
#ifdef BY_DICTIONARY
  if (packing == PACKED_DICTIONARY) {
    BY(_codes)(from, to, pixels OF_EACH THE_ORDER);
    return;
  }
#endif
#ifdef BY_CHANGES
  if (packing == PACKED_CHANGES) {
    BY(_changes)(from, to, pixels OF_EACH);
    return;
  }
#endif
#ifdef BY_PALETTE
  if (packing == PACKED_PALETTE) {
    BY(_palette)(from, to, pixels OF_EACH);
    return;
  }
#endif
#ifdef BY_RUNS
  if (packing == PACKED_RUNS) {
    BY(_runs)(from, to, pixels OF_EACH);
    return;
  }
#endif
#ifdef BY_RAW
  BY(_raw)(from, to, pixels OF_EACH);
#endif
}

#endif
