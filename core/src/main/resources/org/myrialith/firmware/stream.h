/* Streams: codes that go on from frame to frame. Each symbol is what STREAM_UNIT bytes differ by from what the frame lies on: dark, as the
 * first of a clip always does, the frame before, or that moved by a pixel. What is left of a rule waits for the next frame. */

#include "codes.h"

#ifdef STREAMS_AMONG_OTHERS
#define STREAM_OF(clip) READ_BYTE(&clip_stream[clip])
#else
#define STREAM_OF(clip) (clip)
#endif

#ifdef STREAM_BASE
#define BASE_OF(number) STREAM_BASE
#else
#define BASE_OF(number) READ_BYTE(&stream_base[number])
#endif

/* how far each is, and the symbols that wait */
typedef struct {
#if STREAMS > 1
  data_at_t from;
  uint8_t byte;
  uint8_t left;
#endif
  uint8_t depth;
  uint16_t waiting[DEEPEST];
} stream_t;

static stream_t streams[STREAMS];

static void lay(uint8_t base, uint8_t *to, uint16_t bytes) {
#ifdef ON_DARK
  if (base == ON_DARK) {
    memset(to, 0, bytes);
  }
#endif
#ifdef ON_MOVED_ON
  if (base == ON_MOVED_ON) {
    uint8_t last[PIXEL_BYTES];
    memcpy(last, to + bytes - PIXEL_BYTES, PIXEL_BYTES);
    memmove(to + PIXEL_BYTES, to, bytes - PIXEL_BYTES);
    memcpy(to, last, PIXEL_BYTES);
  }
#endif
#ifdef ON_MOVED_BACK
  if (base == ON_MOVED_BACK) {
    uint8_t first[PIXEL_BYTES];
    memcpy(first, to, PIXEL_BYTES);
    memmove(to, to + PIXEL_BYTES, bytes - PIXEL_BYTES);
    memcpy(to + bytes - PIXEL_BYTES, first, PIXEL_BYTES);
  }
#endif
  (void)base;
  (void)to;
  (void)bytes;
}

/* puts the next frame of a stream together, or its first */
static void next_of_stream(uint8_t number, uint8_t first, uint8_t *to, uint16_t bytes) {
  stream_t *stream = &streams[number];
  uint8_t depth = stream->depth;
  if (first) {
    memset(to, 0, bytes);
    depth = 0;
    code_from = STREAM_AT(number);
    code_left = 0;
  } else {
#if STREAMS > 1
    code_from = stream->from;
    code_byte = stream->byte;
    code_left = stream->left;
#endif
    lay(BASE_OF(number), to, bytes);
  }
  for (; bytes; bytes = (uint16_t)(bytes - STREAM_UNIT)) {
    uint8_t left = STREAM_UNIT;
    uint16_t symbol = depth ? stream->waiting[--depth] : code();
    const uint8_t *value;
    while (symbol >= COLOURS) {
      symbol = rule_for(symbol, &stream->waiting[depth++]);
    }
    value = code_colours + (uint16_t)(symbol * STREAM_UNIT);
    while (left--) {
      *to = (uint8_t)(*to + READ_BYTE(value++));
      to++;
    }
  }
  stream->depth = depth;
#if STREAMS > 1
  stream->from = code_from;
  stream->byte = code_byte;
  stream->left = code_left;
#endif
}
