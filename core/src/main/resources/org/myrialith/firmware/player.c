/* Plays the frames of frames.h. Portable C99. See player.h for what the board provides.
 *
 * Every clip runs in its own time and repeats. When the longest has ended (SHOW_MS), all start again.
 * A moment is a stretch in which no clip changes. It is sent; then the next one is put together in RAM, only where it differs, while
 * this one is held.
 */
#include "player.h"

#include <string.h>

#include "frames.h"

static uint8_t chain[CHAIN_BYTES];
static uint16_t clip_frame[CLIPS];
static uint16_t clip_left_ms[CLIPS];
static uint32_t show_left_ms;

static uint16_t frame_of(uint8_t clip) {
  return (uint16_t)(READ_WORD(&clip_first_frame[clip]) + clip_frame[clip]);
}

#ifdef SWITCHED

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
    } else {
      *into = (uint8_t)(*into & (uint8_t)~mask);
    }
    byte = (uint8_t)(byte << 1);
  }
}

#endif

#if !defined(SWITCHED) || defined(LEVELS)

#ifdef THREES /* three channels a pixel everywhere: written out, as it is the most common and the fastest */

#if PACKING == PACKED_RAW

/* raw: three levels a pixel */
static void unpack(data_at_t from, uint8_t *to, uint16_t pixels) {
  while (pixels--) {
    *to++ = READ_DATA(from++);
    *to++ = READ_DATA(from++);
    *to++ = READ_DATA(from++);
  }
}

#elif PACKING == PACKED_PALETTE

/* palette: INDEX_BITS a pixel, the first in the highest bits; each frame starts on a byte */
static void unpack(data_at_t from, uint8_t *to, uint16_t pixels) {
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
    *to++ = READ_BYTE(colour++);
    *to++ = READ_BYTE(colour++);
    *to++ = READ_BYTE(colour);
  }
}

#else

/* runs: count, then the three levels that so many pixels share */
static void unpack(data_at_t from, uint8_t *to, uint16_t pixels) {
  while (pixels) {
    uint8_t run = READ_DATA(from++);
    uint8_t one = READ_DATA(from++);
    uint8_t two = READ_DATA(from++);
    uint8_t three = READ_DATA(from++);
    pixels = (uint16_t)(pixels - run);
    while (run--) {
      *to++ = one;
      *to++ = two;
      *to++ = three;
    }
  }
}

#endif

#define UNPACK(from, to, pixels, clip) unpack(from, to, pixels)

#else

#ifdef CHANNELS
#define CLIP_CHANNELS(clip) CHANNELS
#else
#define CLIP_CHANNELS(clip) READ_BYTE(&clip_channels[clip])
#endif

#if PACKING == PACKED_RAW

/* raw: as many levels a pixel as it has channels */
static void unpack(data_at_t from, uint8_t *to, uint16_t pixels, uint8_t channels) {
  while (pixels--) {
    uint8_t left = channels;
    while (left--) {
      *to++ = READ_DATA(from++);
    }
  }
}

#elif PACKING == PACKED_PALETTE

/* palette: INDEX_BITS a pixel, the first in the highest bits; each frame starts on a byte */
static void unpack(data_at_t from, uint8_t *to, uint16_t pixels, uint8_t channels) {
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
      *to++ = READ_BYTE(colour++);
    }
  }
}

#else

/* runs: count, then the levels that so many pixels share */
static void unpack(data_at_t from, uint8_t *to, uint16_t pixels, uint8_t channels) {
  while (pixels) {
    uint8_t run = READ_DATA(from++);
    pixels = (uint16_t)(pixels - run);
    while (run--) {
      uint8_t left = channels;
      data_at_t level = from;
      while (left--) {
        *to++ = READ_DATA(level++);
      }
    }
    from += channels;
  }
}

#endif

#define UNPACK(from, to, pixels, clip) unpack(from, to, pixels, CLIP_CHANNELS(clip))

#endif

#endif

static void compose(uint8_t clip) {
#ifdef SWITCHED
  uint16_t first = READ_WORD(&clip_first_place[clip]);
#ifdef LEVELS
  if (first == NO_PLACES) {
    UNPACK(FRAME_AT(frame_of(clip)), chain + READ_WORD(&clip_first_byte[clip]),
           READ_WORD(&clip_pixels[clip]), clip);
    return;
  }
#endif
  place_bits(FRAME_AT(frame_of(clip)), chain + READ_WORD(&clip_first_byte[clip]),
             READ_WORD(&clip_pixels[clip]), places + first);
#else
  UNPACK(FRAME_AT(frame_of(clip)), chain + READ_WORD(&clip_first_byte[clip]),
         READ_WORD(&clip_pixels[clip]), clip);
#endif
}

#ifdef LIMIT_SUM

static uint8_t changed[CLIPS];
static uint8_t dimmed;

/* Scales all levels by factor / 65536; what is left over goes to the same channel of the next pixel, so that nothing is lost. */
static void scale(uint16_t factor) {
  uint8_t *at = chain;
  uint8_t line;
  for (line = 0; line < LINES; line++) {
    uint16_t carry[MOST_CHANNELS] = {0};
    uint16_t left = READ_WORD(&line_bytes[line]);
    uint8_t channels = (uint8_t)READ_WORD(&line_channels[line]);
    uint8_t channel = 0;
#ifdef DEEP
    if (channels && READ_BYTE(&line_deep[line])) { /* two bytes a level, the high one first; all share what is left over */
      uint16_t over = 0;
      for (; left; left = (uint16_t)(left - 2u)) {
        uint32_t all = (uint32_t)(uint16_t)((uint16_t)(at[0] << 8) | at[1]) * factor + over;
        *at++ = (uint8_t)(all >> 24);
        *at++ = (uint8_t)(all >> 16);
        over = (uint16_t)all;
      }
    }
#endif
#ifdef PASSED_OVER
    if (channels == 0) { /* can't be dimmed, or has a supply of its own */
      at += left;
      left = 0;
    }
#endif
    while (left--) {
      uint32_t all = (uint32_t)*at * factor + carry[channel];
      *at++ = (uint8_t)(all >> 16);
      carry[channel] = (uint16_t)all;
      if (++channel == channels) {
        channel = 0;
      }
    }
  }
}

static void compose_all(void) {
  uint8_t clip;
  for (clip = 0; clip < CLIPS; clip++) {
    compose(clip);
  }
}

/* Composes what changed, and keeps the weighted sum of all levels, and so the current, within LIMIT_SUM. */
static void put_together(void) {
  uint32_t sum = 0;
  uint32_t most = LIMIT_SUM;
  uint8_t clip;
  for (clip = 0; clip < CLIPS; clip++) {
    sum += READ_LONG(&frame_sum[frame_of(clip)]);
  }
  if (sum <= most) {
    for (clip = 0; clip < CLIPS; clip++) {
      if (changed[clip] || dimmed) {
        compose(clip);
      }
    }
    dimmed = 0;
  } else {
    compose_all();
    while (sum > 0xffffu) {
      sum = (sum + 1u) >> 1;
      most >>= 1;
    }
    scale((uint16_t)((most << 16) / sum));
    dimmed = 1;
  }
  memset(changed, 0, sizeof changed);
}

static void change(uint8_t clip) { changed[clip] = 1; }

#else

static void put_together(void) {}

static void change(uint8_t clip) { compose(clip); }

#endif

void player_start(void) {
  uint8_t clip;
  for (clip = 0; clip < CLIPS; clip++) {
    clip_frame[clip] = 0;
    clip_left_ms[clip] = READ_WORD(&frame_hold_ms[frame_of(clip)]);
    change(clip);
  }
  show_left_ms = SHOW_MS;
  put_together();
}

static void pass(uint16_t ms) {
  uint8_t clip;
  show_left_ms -= ms;
  if (show_left_ms == 0) {
    player_start();
    return;
  }
  for (clip = 0; clip < CLIPS; clip++) {
    clip_left_ms[clip] = (uint16_t)(clip_left_ms[clip] - ms);
    if (clip_left_ms[clip] == 0) {
      clip_frame[clip]++;
      if (clip_frame[clip] == READ_WORD(&clip_frames[clip])) {
        clip_frame[clip] = 0;
      }
      clip_left_ms[clip] = READ_WORD(&frame_hold_ms[frame_of(clip)]);
      change(clip);
    }
  }
  put_together();
}

void player_step(void) {
  uint8_t clip;
  uint16_t ms = show_left_ms > 60000u ? 60000u : (uint16_t)show_left_ms;
  for (clip = 0; clip < CLIPS; clip++) {
    if (clip_left_ms[clip] < ms) {
      ms = clip_left_ms[clip];
    }
  }
  board_show(chain);
  pass(ms);
  board_wait_ms(ms);
}
