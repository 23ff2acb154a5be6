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

#ifdef NUMBERED
static uint16_t frame_of(uint8_t clip) {
  return (uint16_t)(READ_WORD(&clip_first_frame[clip]) + clip_frame[clip]);
}
#endif

#ifdef PROGRAMS

#include "effects.h"

/* Puts a frame together that is worked out. */
static void compute(uint8_t program, uint16_t frame, uint8_t *to, uint16_t pixels) {
  uint16_t pixel;
  effect_begin(program, frame);
  for (pixel = 0; pixel < pixels; pixel++) {
    to += effect_unit(pixel, to);
  }
}

#endif

#ifdef EVEN_HOLDS

#define HOLD_OF(clip) READ_WORD(&clip_hold_ms[clip])

#elif defined(PROGRAMS)

static uint16_t hold_of(uint8_t clip) {
  uint8_t program = READ_BYTE(&clip_program[clip]);
  return program == NO_PROGRAM ? READ_WORD(&frame_hold_ms[frame_of(clip)]) : READ_WORD(&program_hold_ms[program]);
}

#define HOLD_OF(clip) hold_of(clip)

#else

#define HOLD_OF(clip) READ_WORD(&frame_hold_ms[frame_of(clip)])

#endif

#ifdef SWITCHED
#include "places.h"
#endif

#if (!defined(SWITCHED) || defined(LEVELS)) && !defined(ALL_COMPUTED)

#ifdef THREES
#define CLIP_CHANNELS(clip) 3u
#elif defined(CHANNELS)
#define CLIP_CHANNELS(clip) CHANNELS
#else
#define CLIP_CHANNELS(clip) READ_BYTE(&clip_channels[clip])
#endif

#ifdef BY_STREAM
#include "stream.h"

static void stream(uint8_t clip) {
  uint16_t pixels = READ_WORD(&clip_pixels[clip]);
  next_of_stream(STREAM_OF(clip), clip_frame[clip] == 0, chain + READ_WORD(&clip_first_byte[clip]),
                 (uint16_t)(pixels * CLIP_CHANNELS(clip)));
}
#endif

#ifdef ONLY_STREAMS

#define compose_levels(clip) stream(clip)

#else

#define UNPACK_AS unpack
#define PUT(level) *to++ = (level)
#include "unpack.h"

#ifdef SEVERAL_PACKINGS
#define PACKING_OF(clip) READ_BYTE(&clip_packing[clip]),
#else
#define PACKING_OF(clip)
#endif

#ifdef THREES
#define UNPACK(from, to, pixels, clip) unpack(PACKING_OF(clip) from, to, pixels ORDER_OF(clip))
#else
#define UNPACK(from, to, pixels, clip) unpack(PACKING_OF(clip) from, to, pixels, CLIP_CHANNELS(clip) ORDER_OF(clip))
#endif

static void compose_levels(uint8_t clip) {
#ifdef BY_STREAM
  if (READ_BYTE(&clip_packing[clip]) == PACKED_STREAM) {
    stream(clip);
    return;
  }
#endif
  UNPACK(FRAME_AT(frame_of(clip)), chain + READ_WORD(&clip_first_byte[clip]), READ_WORD(&clip_pixels[clip]), clip);
}

#endif

#endif

static void compose(uint8_t clip) {
#ifdef SWITCHED
  uint16_t first = READ_WORD(&clip_first_place[clip]);
#endif
#ifdef PROGRAMS
  uint8_t program = READ_BYTE(&clip_program[clip]);
  if (program != NO_PROGRAM) {
    compute(program, clip_frame[clip], chain + READ_WORD(&clip_first_byte[clip]), READ_WORD(&clip_pixels[clip]));
    return;
  }
#endif
#ifdef SWITCHED
#if defined(LEVELS) && !defined(ALL_COMPUTED)
  if (first == NO_PLACES) {
    compose_levels(clip);
    return;
  }
#endif
  place_bits(FRAME_AT(frame_of(clip)), chain + READ_WORD(&clip_first_byte[clip]),
             READ_WORD(&clip_pixels[clip]), places + first);
#elif !defined(ALL_COMPUTED)
  compose_levels(clip);
#endif
}

#ifdef LIMIT_SUM

static uint8_t changed[CLIPS];
static uint8_t dimmed;

#include "limit.h"

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
    clip_left_ms[clip] = HOLD_OF(clip);
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
      clip_left_ms[clip] = HOLD_OF(clip);
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
