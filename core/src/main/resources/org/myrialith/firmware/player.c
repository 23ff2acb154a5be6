/* Plays the frames of frames.h. Portable C99. See player.h for what the board provides.
 *
 * Every clip runs in its own time and repeats. When the longest has ended (SHOW_MS), all start again.
 * A moment is a stretch in which no clip changes: it is put together in RAM, limited, sent, and held.
 */
#include "player.h"

#include <string.h>

#include "frames.h"

static uint8_t chain[CHAIN_BYTES];
static uint16_t clip_frame[CLIPS];
static uint16_t clip_left_ms[CLIPS];
static uint32_t show_left_ms;

static uint16_t hold_of(uint8_t clip) {
  return READ_WORD(&frame_hold_ms[READ_WORD(&clip_first_frame[clip]) + clip_frame[clip]]);
}

void player_start(void) {
  uint8_t clip;
  for (clip = 0; clip < CLIPS; clip++) {
    clip_frame[clip] = 0;
    clip_left_ms[clip] = hold_of(clip);
  }
  show_left_ms = SHOW_MS;
}

#if PACKING == PACKED_RAW

/* raw: three levels a pixel */
static void unpack(const uint8_t *from, uint8_t *to, uint16_t pixels) {
  uint16_t left = (uint16_t)(pixels * 3u);
  while (left--) {
    *to++ = READ_BYTE(from++);
  }
}

#elif PACKING == PACKED_PALETTE

/* palette: INDEX_BITS a pixel, the first in the highest bits; each frame starts on a byte */
static void unpack(const uint8_t *from, uint8_t *to, uint16_t pixels) {
  uint8_t bits = 0;
  uint8_t byte = 0;
  while (pixels--) {
    const uint8_t *colour;
    if (bits == 0) {
      byte = READ_BYTE(from++);
      bits = 8;
    }
    bits = (uint8_t)(bits - INDEX_BITS);
    colour = palette + 3u * ((uint8_t)(byte >> bits) & INDEX_MASK);
    *to++ = READ_BYTE(colour++);
    *to++ = READ_BYTE(colour++);
    *to++ = READ_BYTE(colour);
  }
}

#else

/* runs: count, then the three levels that so many pixels share */
static void unpack(const uint8_t *from, uint8_t *to, uint16_t pixels) {
  while (pixels) {
    uint8_t run = READ_BYTE(from++);
    uint8_t one = READ_BYTE(from++);
    uint8_t two = READ_BYTE(from++);
    uint8_t three = READ_BYTE(from++);
    pixels = (uint16_t)(pixels - run);
    while (run--) {
      *to++ = one;
      *to++ = two;
      *to++ = three;
    }
  }
}

#endif

static void compose(void) {
  uint8_t clip;
  for (clip = 0; clip < CLIPS; clip++) {
    uint16_t frame = (uint16_t)(READ_WORD(&clip_first_frame[clip]) + clip_frame[clip]);
    unpack(frame_data + READ_OFFSET(&frame_offset[frame]),
           chain + 3u * READ_WORD(&clip_first_pixel[clip]), READ_WORD(&clip_pixels[clip]));
  }
}

#ifdef LIMIT_SUM

/* Keeps the sum of all levels, and so the current, within LIMIT_SUM. */
static void limit(void) {
  uint32_t sum = 0;
  uint16_t i;
  uint16_t factor;
  for (i = 0; i < CHAIN_BYTES; i++) {
    sum += chain[i];
  }
  if (sum <= LIMIT_SUM) {
    return;
  }
  factor = (uint16_t)(LIMIT_SUM * 256u / sum);
  for (i = 0; i < CHAIN_BYTES; i++) {
    chain[i] = (uint8_t)((uint16_t)(chain[i] * factor) >> 8);
  }
}

#else

static void limit(void) {}

#endif

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
      clip_left_ms[clip] = hold_of(clip);
    }
  }
}

void player_step(void) {
  uint8_t clip;
  uint16_t ms = show_left_ms > 60000u ? 60000u : (uint16_t)show_left_ms;
  for (clip = 0; clip < CLIPS; clip++) {
    if (clip_left_ms[clip] < ms) {
      ms = clip_left_ms[clip];
    }
  }
  memset(chain, 0, sizeof chain);
  compose();
  limit();
  board_send(chain, CHAIN_BYTES);
  board_wait_ms(ms);
  pass(ms);
}
