/* Plays what the cues of cues.h say, with the frames of frames.h. Portable C99. See player.h for what the board provides.
 *
 * Every TICK_MS all inputs are looked at, all cues are asked in their order, and what changed is put together in RAM and sent. A cue that
 * fires changes values, ends others and shows a scene; scenes lie over each other by the priority of their cues. All is in whole numbers,
 * and nothing depends on how long anything takes.
 */
#include "player.h"

#include <string.h>

#include "frames.h"

#include "cues.h"

static uint8_t chain[CHAIN_BYTES];

/* inputs */

#ifdef SENSES

#define DOWN 1u
#define UP 2u
#define SHORT 4u
#define DOUBLE 8u
#define LONG 16u
#define AGAIN 32u

static uint16_t look_ms[SENSES];
static uint8_t looks[SENSES];
static uint8_t sense_state[SENSES];
static uint8_t events[SENSES];
static uint16_t sense_ms[SENSES];
static uint8_t phase[SENSES]; /* 0 at rest, 1 down, 2 down for long, 3 let go and waiting, 4 down for the second time */

static uint8_t look_due(uint8_t s) {
  if (look_ms[s] > TICK_MS) {
    look_ms[s] = (uint16_t)(look_ms[s] - TICK_MS);
    return 0;
  }
  look_ms[s] = READ_WORD(&sense_every[s]);
  return 1;
}

static uint8_t ones(uint8_t byte) {
  uint8_t count = 0;
  for (; byte; byte = (uint8_t)(byte & (byte - 1u))) {
    count++;
  }
  return count;
}

/* Time goes by for what is held, and for what waits for a second press. */
static void press_on(uint8_t s) {
  switch (phase[s]) {
    case 1:
    case 4:
      sense_ms[s] = (uint16_t)(sense_ms[s] + TICK_MS);
      if (sense_ms[s] >= LONG_MS) {
        events[s] = LONG | AGAIN;
        phase[s] = 2;
        sense_ms[s] = 0;
      }
      break;
    case 2:
      sense_ms[s] = (uint16_t)(sense_ms[s] + TICK_MS);
      if (sense_ms[s] >= AGAIN_MS) {
        events[s] = AGAIN;
        sense_ms[s] = 0;
      }
      break;
    case 3:
      if (sense_ms[s] > TICK_MS) {
        sense_ms[s] = (uint16_t)(sense_ms[s] - TICK_MS);
      } else {
        events[s] = SHORT;
        phase[s] = 0;
      }
      break;
    default:
      break;
  }
}

static uint8_t press(uint8_t s, uint8_t on) {
  if (look_due(s)) {
    uint8_t count;
    looks[s] = (uint8_t)((looks[s] << 1 | on) & READ_BYTE(&sense_mask[s]));
    count = ones(looks[s]);
    if (!sense_state[s] && count >= READ_BYTE(&sense_on[s])) {
      sense_state[s] = 1;
      events[s] = phase[s] == 3u ? DOWN | DOUBLE : DOWN;
      phase[s] = phase[s] == 3u ? 4 : 1;
      sense_ms[s] = 0;
      return 1;
    }
    if (sense_state[s] && count <= READ_BYTE(&sense_off[s])) {
      sense_state[s] = 0;
      events[s] = UP;
      if (phase[s] == 1u && READ_BYTE(&sense_doubles[s])) {
        phase[s] = 3;
        sense_ms[s] = DOUBLE_MS;
        return 1;
      }
      if (phase[s] == 1u) {
        events[s] = UP | SHORT;
      }
      phase[s] = 0;
      return 1;
    }
  }
  press_on(s);
  return 0;
}

#ifdef ROTARY

/* what a rotary knob does from one state of its two pins to the next: 1 right, 2 left */
static const uint8_t steps[16] TABLE = {0, 1, 2, 0, 2, 0, 0, 1, 1, 0, 0, 2, 0, 2, 1, 0};

static uint8_t turn(uint8_t s) {
  uint8_t pins = board_input(s);
  events[s] = READ_BYTE(&steps[looks[s] * 4u + pins]);
  looks[s] = pins;
  return events[s];
}

#endif

/* Looks at all inputs; tells whether anything was pressed, let go or turned. */
static uint8_t look(void) {
  uint8_t touched = 0;
  uint8_t s;
  for (s = 0; s < SENSES; s++) {
    events[s] = 0;
    switch (READ_BYTE(&sense_sort[s])) {
      case SENSE_ON_OFF:
        touched |= press(s, board_input(s));
        break;
#ifdef ANALOGUE
      case SENSE_ANALOGUE:
        if (look_due(s)) {
          sense_state[s] = board_input(s);
        }
        break;
#endif
#ifdef ROTARY
      case SENSE_ROTARY:
        touched |= turn(s);
        break;
#endif
      default:
        break;
    }
  }
  return touched;
}

#endif

/* values, the clock, chance */

#ifdef CHANCE

static uint32_t chance = FIRST_CHANCE;

static uint32_t stir(void) {
  chance ^= chance << 13;
  chance ^= chance >> 17;
  chance ^= chance << 5;
  return chance;
}

#endif

#ifdef VALUES

static int16_t values[VALUES];
static uint32_t changed; /* values that changed since the last look; a bit each */
static uint32_t moved;   /* those that did since conditions were compared */

#ifdef KEPT
static uint16_t keep_ms; /* until what changed is kept over power-off; 0 for nothing */
#endif

static void put(uint8_t value, int16_t number) {
  if (values[value] != number) {
    values[value] = number;
#ifdef KEPT
    if (!keep_ms && READ_BYTE(&value_kept[value])) {
      keep_ms = KEEP_MS;
    }
#endif
    moved |= (uint32_t)1 << value;
    changed |= (uint32_t)1 << value;
  }
}

#ifdef CLOCK

#define SECOND CLOCK
#define MINUTE (CLOCK + 1)
#define HOUR (CLOCK + 2)
#define WEEKDAY (CLOCK + 3)
#define DAY (CLOCK + 4)
#define MONTH (CLOCK + 5)
#define YEAR (CLOCK + 6)

static uint16_t clock_ms;

static const uint16_t days_before[12] TABLE = {0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334};

/* every fourth year from 2000 to 2099 is a leap year */
static int16_t days(void) {
  int16_t month = values[MONTH];
  if (month == 2) {
    return (values[YEAR] & 3) == 0 ? 29 : 28;
  }
  return month == 4 || month == 6 || month == 9 || month == 11 ? 30 : 31;
}

/* Monday is 1; 1 January 2000 was a Saturday. */
static void weekday(void) {
  uint16_t years = (uint16_t)(values[YEAR] - 2000);
  uint16_t day = (uint16_t)(years * 365u + (years + 3u) / 4u + (uint16_t)values[DAY] - 1u);
  day = (uint16_t)(day + READ_WORD(&days_before[values[MONTH] - 1]));
  if (values[MONTH] > 2 && (years & 3u) == 0) {
    day++;
  }
  put(WEEKDAY, (int16_t)((day + 5u) % 7u + 1u));
}

/* Goes one on; tells whether it began anew. */
static uint8_t carry(uint8_t value, int16_t most, int16_t least) {
  uint8_t over = values[value] >= most;
  put(value, over ? least : (int16_t)(values[value] + 1));
  return over;
}

static void second(void) {
  if (carry(SECOND, 59, 0) && carry(MINUTE, 59, 0) && carry(HOUR, 23, 0)) {
    if (carry(DAY, days(), 1) && carry(MONTH, 12, 1)) {
      carry(YEAR, 2099, 2000);
    }
    weekday();
  }
}

#endif

#ifdef CLOCK_CHIP

#define CHIP_READ_S 5u

static uint8_t chip_set;  /* what was set here and has to be there: a bit each */
static uint8_t chip_s;    /* seconds since it was read */
static uint8_t chip_half; /* whether half of this second is over */

static int16_t of_digits(uint8_t digits) { return (int16_t)((digits >> 4) * 10 + (digits & 0x0fu)); }

/* Takes the time of the chip over; tells whether it had one. */
static uint8_t take_time(void) {
  uint8_t registers[7];
  if (!board_clock(registers) || registers[0] & 0x80u) { /* it stands */
    return 0;
  }
  put(SECOND, of_digits(registers[0]));
  put(MINUTE, of_digits(registers[1] & 0x7fu));
  if (registers[2] & 0x40u) { /* of twelve hours */
    put(HOUR, (int16_t)(of_digits(registers[2] & 0x1fu) % 12 + (registers[2] & 0x20u ? 12 : 0)));
  } else {
    put(HOUR, of_digits(registers[2] & 0x3fu));
  }
  put(YEAR, (int16_t)(2000 + of_digits(registers[6])));
  put(MONTH, of_digits(registers[5] & 0x1fu));
  if (values[MONTH] < 1 || values[MONTH] > 12) {
    put(MONTH, 1);
  }
  put(DAY, of_digits(registers[4] & 0x3fu));
  weekday();
  return 1;
}

/* Away from where a second ends, so that it is the same one there. */
static void compare_time(void) {
  if (clock_ms >= 500u && !chip_half) {
    chip_half = 1;
    if (++chip_s == CHIP_READ_S) {
      chip_s = 0;
      take_time();
    }
  }
}

static void set_chip(void) {
  uint8_t i;
  for (i = 0; i < 7u; i++) {
    if (chip_set & (1u << i)) {
      uint8_t number = (uint8_t)(i == 6u ? values[YEAR] - 2000 : values[CLOCK + i]);
      board_set_clock(i, (uint8_t)(number / 10u << 4 | number % 10u));
    }
  }
  chip_set = 0;
}

#endif

static void pass_time(void) {
#ifdef CLOCK
  clock_ms = (uint16_t)(clock_ms + TICK_MS);
  if (clock_ms >= 1000u) {
    clock_ms = (uint16_t)(clock_ms - 1000u);
    second();
#ifdef CLOCK_CHIP
    chip_half = 0;
#endif
  }
#ifdef CLOCK_CHIP
  compare_time();
#endif
#endif
}

static int16_t operand(uint16_t term) {
  int16_t number = (int16_t)READ_WORD(&term_operand[term]);
  return READ_BYTE(&term_how[term]) & OF_VALUE ? values[number] : number;
}

static uint8_t compares(uint8_t how, int16_t one, int16_t other) {
  if (one == other) {
    return how == IS_EQUAL || how >= IS_AT_MOST;
  }
  if (one < other) {
    return how == IS_LESS || how == IS_AT_MOST || how == IS_OTHER;
  }
  return how == IS_MORE || how == IS_AT_LEAST || how == IS_OTHER;
}

static uint8_t holds(uint16_t term, uint8_t count) {
  const uint8_t *how = term_how + term;
  const uint8_t *value = term_value + term;
  const int16_t *number = term_operand + term;
  for (; count; count--) {
    uint8_t one = READ_BYTE(how++);
    int16_t other = (int16_t)READ_WORD(number++);
    if (one & OF_VALUE) {
      other = values[other];
    }
    if (!compares(one & OF_HOW, values[READ_BYTE(value++)], other)) {
      return 0;
    }
  }
  return 1;
}

/* A number brought within the ends of a value. */
static int16_t within(uint8_t value, int32_t number) {
  int32_t least = (int16_t)READ_WORD(&value_least[value]);
  int32_t most = (int16_t)READ_WORD(&value_most[value]);
#ifdef CLOCK
  if (value == DAY) {
    most = days();
  }
  if (value == SECOND) {
    clock_ms = 0;
  }
#endif
  if (number >= least && number <= most) {
    return (int16_t)number;
  }
  if (READ_BYTE(&value_wraps[value])) {
    int32_t span = most - least + 1;
    int32_t over = (number - least) % span;
    return (int16_t)(least + (over < 0 ? over + span : over));
  }
  return (int16_t)(number < least ? least : most);
}

/* Gives a value a number, within its ends; a date is brought in order, a clock chip will be told. */
static void give(uint8_t value, int32_t number) {
  put(value, within(value, number));
#ifdef CLOCK
#ifdef CLOCK_CHIP
  if ((uint8_t)(value - CLOCK) < 7u) {
    chip_set = (uint8_t)(chip_set | 1u << (value - CLOCK));
    chip_half = (uint8_t)(value == SECOND ? 0 : chip_half);
  }
#endif
  if (value >= DAY) {
#ifdef CLOCK_CHIP
    chip_set |= 1u << (DAY - CLOCK) | 1u << (WEEKDAY - CLOCK);
#endif
    if (values[DAY] > days()) {
      put(DAY, days());
    }
    weekday();
  }
#endif
}

static void set(uint16_t term, uint8_t count) {
  for (; count; count--, term++) {
    uint8_t value = READ_BYTE(&term_value[term]);
    int32_t number = operand(term);
    switch (READ_BYTE(&term_how[term]) & OF_HOW) {
      case DO_ADD:
        number = values[value] + number;
        break;
      case DO_SUBTRACT:
        number = values[value] - number;
        break;
#ifdef CHANCE
      case DO_ANY: {
        int16_t least = (int16_t)READ_WORD(&value_least[value]);
        int32_t span = (int32_t)(int16_t)READ_WORD(&value_most[value]) - least + 1;
        number = least + (int32_t)((uint16_t)(stir() >> 16) % (uint16_t)span);
        break;
      }
#endif
      default:
        break;
    }
    give(value, number);
  }
}

#ifdef KEPT

/* What is kept stands in records, one after the other round and round, so that none is written more often than the others: a number that
 * goes up, the values, and a check, by which a record is known that power-off cut short, or that is of other values. */
static uint8_t kept_record[KEPT_BYTES];
static uint8_t kept_at = KEPT_BYTES; /* what is written next of it */
static uint8_t kept_slot;            /* where it goes */
static uint8_t kept_number;

static uint16_t kept_check(void) {
  uint16_t check = KEPT_SIGN;
  uint8_t i;
  uint8_t bit;
  for (i = 0; i < KEPT_BYTES - 2u; i++) {
    check = (uint16_t)(check ^ (uint16_t)(kept_record[i] << 8));
    for (bit = 0; bit < 8u; bit++) {
      uint16_t over = check & 0x8000u;
      check = (uint16_t)(check << 1);
      if (over) {
        check = (uint16_t)(check ^ 0x1021u);
      }
    }
  }
  return check;
}

static uint8_t kept_read(uint8_t slot) {
  uint16_t check;
  uint8_t i;
  for (i = 0; i < KEPT_BYTES; i++) {
    kept_record[i] = board_kept((uint16_t)(slot * KEPT_BYTES + i));
  }
  check = kept_check();
  return kept_record[KEPT_BYTES - 2u] == (uint8_t)check && kept_record[KEPT_BYTES - 1u] == (uint8_t)(check >> 8);
}

static uint8_t after_slot(uint8_t slot) { return (uint8_t)(slot + 1u == KEPT_SLOTS ? 0u : slot + 1u); }

static void restore(void) {
  uint8_t i;
  for (i = 0; i < KEPT; i++) {
    uint8_t value = READ_BYTE(&kept_values[i]);
    int16_t number = (int16_t)(uint16_t)(kept_record[1u + 2u * i] | (uint16_t)(kept_record[2u + 2u * i] << 8));
    if (number >= (int16_t)READ_WORD(&value_least[value]) && number <= (int16_t)READ_WORD(&value_most[value])) {
      values[value] = number;
    }
  }
}

/* The newest record is the one that no next one follows. */
static void load_kept(void) {
  uint8_t good = 0;
  uint8_t slot = 0;
  uint8_t left;
  for (left = KEPT_SLOTS + 1u; left; left--) {
    uint8_t before = good;
    good = kept_read(slot);
    if (before && !(good && kept_record[0] == (uint8_t)(kept_number + 1u))) {
      kept_slot = slot;
      kept_read((uint8_t)(slot ? slot - 1u : KEPT_SLOTS - 1u));
      restore();
      return;
    }
    kept_number = kept_record[0];
    slot = after_slot(slot);
  }
}

static void begin_record(void) {
  uint16_t check;
  uint8_t i;
  kept_number++;
  kept_record[0] = kept_number;
  for (i = 0; i < KEPT; i++) {
    uint16_t number = (uint16_t)values[READ_BYTE(&kept_values[i])];
    kept_record[1u + 2u * i] = (uint8_t)number;
    kept_record[2u + 2u * i] = (uint8_t)(number >> 8);
  }
  check = kept_check();
  kept_record[KEPT_BYTES - 2u] = (uint8_t)check;
  kept_record[KEPT_BYTES - 1u] = (uint8_t)(check >> 8);
  kept_at = 0;
}

/* A byte at a time, when the memory is ready for it: nothing waits. */
static void keep(void) {
  if (kept_at < KEPT_BYTES) {
    if (board_keep((uint16_t)(kept_slot * KEPT_BYTES + kept_at), kept_record[kept_at], kept_at == KEPT_BYTES - 1u)) {
      kept_at++;
      if (kept_at == KEPT_BYTES) {
        kept_slot = after_slot(kept_slot);
      }
    }
  }
  if (keep_ms > TICK_MS) {
    keep_ms = (uint16_t)(keep_ms - TICK_MS);
  } else if (keep_ms) {
    keep_ms = 0;
    begin_record();
  }
}

#endif

#define HOLDS(first, count) holds(first, count)
#define SET(first, count) set(first, count)

#else

#define HOLDS(first, count) 1u
#define SET(first, count)

#endif

/* lines of text that come in */

#ifdef READS

static uint8_t line[LINE_MOST];
static uint8_t line_length; /* one more than there is room for: it is too long */
static uint8_t received;

#if defined(TOLD) || MESSAGES
/* Which of several texts one behind the other, each with a 0 at its end, the line begins with; none, one more than there are. */
static uint8_t which(const uint8_t *text, uint8_t texts, uint8_t length) {
  uint8_t one;
  for (one = 0; one < texts; one++) {
    uint8_t at = 0;
    uint8_t same = 1;
    uint8_t letter = READ_BYTE(text++);
    for (; letter; letter = READ_BYTE(text++)) {
      same = (uint8_t)(same && at < length && line[at] == letter);
      at++;
    }
    if (same && at == length) {
      break;
    }
  }
  return one;
}
#endif

#ifdef TOLD
/* A name, =, a whole number of up to four digits. */
static uint8_t tell(uint8_t equals) {
  uint8_t one = which(told_names, TOLD, equals);
  uint8_t at = (uint8_t)(equals + 1u);
  uint8_t minus = at < line_length && line[at] == '-';
  int16_t number = 0;
  at = (uint8_t)(at + minus);
  if (one == TOLD || at >= line_length || line_length - at > 4) {
    return 0;
  }
  for (; at < line_length; at++) {
    uint8_t digit = (uint8_t)(line[at] - '0');
    if (digit > 9u) {
      return 0;
    }
    number = (int16_t)(number * 10 + digit);
  }
  give(READ_BYTE(&told_values[one]), minus ? -number : number);
  return 1;
}
#endif

/* Tells whether the line means something. */
static uint8_t mean(void) {
#ifdef TOLD
  uint8_t equals = 0;
  while (equals < line_length && line[equals] != '=') {
    equals++;
  }
  if (equals < line_length) {
    return tell(equals);
  }
#endif
#if MESSAGES
  received = which(message_texts, MESSAGES, line_length);
  return received < MESSAGES;
#else
  return 0;
#endif
}

/* Looks at what came, up to the end of a line; tells whether a line came that means something. */
static uint8_t receive(void) {
  uint8_t looked;
  received = MESSAGES;
  for (looked = 0; looked < LETTERS_AT_ONCE; looked++) {
    int16_t letter = board_received();
    if (letter < 0) {
      break;
    }
    if (letter == '\n' || letter == '\r') {
      uint8_t meant = line_length && line_length <= LINE_MOST ? mean() : 0;
      line_length = 0;
      if (meant) {
        return 1;
      }
    } else if (line_length < LINE_MOST) {
      line[line_length++] = (uint8_t)letter;
    } else {
      line_length = LINE_MOST + 1u;
    }
  }
  return 0;
}

#endif

/* painting */

#define WHOLE 256u

static uint8_t dirty[TARGETS];
static uint16_t clip_frame[CLIPS];
static uint16_t clip_left_ms[CLIPS];
static uint32_t scene_left_ms[SCENES];

#ifdef PROGRAMS

#include "effects.h"

static uint16_t hold_of(uint16_t clip) {
  uint8_t program = READ_BYTE(&clip_program[clip]);
  return program == NO_PROGRAM ? READ_WORD(&frame_hold_ms[READ_WORD(&clip_first_frame[clip]) + clip_frame[clip]])
                               : READ_WORD(&program_hold_ms[program]);
}

#define HOLD_OF(clip) hold_of(clip)

#else

#define HOLD_OF(clip) READ_WORD(&frame_hold_ms[READ_WORD(&clip_first_frame[clip]) + clip_frame[clip]])

#endif

static uint16_t clip_of(uint8_t scene, uint8_t target) {
  return READ_WORD(&scene_clips[(uint16_t)scene * TARGETS + target]);
}

#ifdef SWITCHED
#include "places.h"
#endif

#if !defined(SWITCHED) || defined(LEVELS)

#ifndef ALL_COMPUTED
#define UNPACK_AS unpack
#define PUT(level) *to++ = (level)
#include "unpack.h"
#endif

#ifdef FADES

/* Lays a level over the one that is there, by a weight of 1 to 255. Of two bytes the low one brings both on their way. */
static uint8_t weight;
static uint8_t under; /* what is left of it to 256 */

#ifdef DEEP_TARGETS
static uint8_t deep;
static uint8_t high;
static uint16_t high_part;
#endif

static void begin_mix(uint8_t target, uint16_t share) {
  weight = (uint8_t)share;
  under = (uint8_t)(256u - share);
#ifdef DEEP_TARGETS
  deep = READ_BYTE(&target_deep[target]);
  high = 0;
#endif
  (void)target;
}

static inline uint8_t *mix(uint8_t *to, uint8_t level) {
  uint16_t part = (uint16_t)((uint16_t)(*to * under) + (uint16_t)(level * weight)); /* bytes by bytes: quick everywhere */
#ifdef DEEP_TARGETS
  if (deep) {
    high ^= 1u;
    if (high) {
      high_part = part;
      return to + 1;
    }
    part = (uint16_t)(high_part + (part >> 8));
    to[-1] = (uint8_t)(part >> 8);
    *to = (uint8_t)part;
    return to + 1;
  }
#endif
  *to = (uint8_t)(part >> 8);
  return to + 1;
}

#ifndef ALL_COMPUTED
#undef UNPACK_AS
#undef PUT
#define UNPACK_AS unpack_over
#define PUT(level) to = mix(to, level)
#include "unpack.h"
#endif

#endif

#ifdef SEVERAL_PACKINGS
#define PACKING_OF(clip) READ_BYTE(&clip_packing[clip]),
#else
#define PACKING_OF(clip)
#endif

#ifdef THREES
#define UNPACK(clip, from, to, pixels, target) unpack(PACKING_OF(clip) from, to, pixels ORDER_OF(target))
#define UNPACK_OVER(clip, from, to, pixels, target) unpack_over(PACKING_OF(clip) from, to, pixels ORDER_OF(target))
#else
#ifdef CHANNELS
#define TARGET_CHANNELS(target) CHANNELS
#else
#define TARGET_CHANNELS(target) READ_BYTE(&target_channels[target])
#endif
#define UNPACK(clip, from, to, pixels, target) unpack(PACKING_OF(clip) from, to, pixels, TARGET_CHANNELS(target) ORDER_OF(target))
#define UNPACK_OVER(clip, from, to, pixels, target) \
  unpack_over(PACKING_OF(clip) from, to, pixels, TARGET_CHANNELS(target) ORDER_OF(target))
#endif

#ifndef TARGET_CHANNELS
#define TARGET_CHANNELS(target) 3u
#endif

#endif

#ifdef SWITCHED
#ifdef LEVELS
#define PLACED(target) (READ_WORD(&target_first_place[target]) != NO_PLACES)
#else
#define PLACED(target) 1
#endif
#endif

#ifdef PROGRAMS

/* Lays a frame that is worked out over what is there. */
static void lay_computed(uint8_t program, uint16_t clip, uint8_t target, uint16_t share) {
  uint8_t *to = chain + READ_WORD(&target_first_byte[target]);
  uint16_t pixels = READ_WORD(&target_pixels[target]);
  uint16_t pixel;
  effect_begin(program, clip_frame[clip]);
#ifdef FADES
  if (share < WHOLE) {
    begin_mix(target, share);
    for (pixel = 0; pixel < pixels; pixel++) {
      uint8_t levels[MOST_UNIT_BYTES];
      uint8_t bytes = effect_unit(pixel, levels);
      uint8_t i;
      for (i = 0; i < bytes; i++) {
        to = mix(to, levels[i]);
      }
    }
    return;
  }
#endif
  for (pixel = 0; pixel < pixels; pixel++) {
    to += effect_unit(pixel, to);
  }
  (void)share;
}

#endif

#ifdef SEE_THROUGH

#define SEEN_THROUGH(clip) READ_BYTE(&clip_through[clip])

#if !defined(SWITCHED) || defined(LEVELS)

/* Lays what is lit of a frame, light by light: dark ones show what lies beneath. */
static void lay_lit(const uint8_t *from, uint8_t target, uint16_t share) {
  uint8_t *to = chain + READ_WORD(&target_first_byte[target]);
  uint16_t pixels = READ_WORD(&target_pixels[target]);
  uint8_t channels = TARGET_CHANNELS(target);
#ifdef FADES
  begin_mix(target, share);
#endif
  for (; pixels; pixels--) {
    uint8_t lit = 0;
    uint8_t i;
    for (i = 0; i < channels; i++) {
      lit |= from[i];
    }
    for (i = 0; i < channels; i++, from++) {
      if (!lit) {
        to++;
        continue;
      }
#ifdef FADES
      if (share < WHOLE) {
        to = mix(to, *from);
        continue;
      }
#endif
      *to++ = *from;
    }
  }
  (void)share;
}

/* a frame of levels as it is, before it is laid */
static uint8_t lifted[MOST_LIFTED];

#endif

#else

#define SEEN_THROUGH(clip) 0

#endif

static void lay(uint16_t clip, uint8_t target, uint16_t share) {
#ifdef PROGRAMS
  uint8_t program = READ_BYTE(&clip_program[clip]);
  if (program != NO_PROGRAM) {
#ifdef SEE_THROUGH
    if (SEEN_THROUGH(clip)) {
      uint8_t *to = lifted;
      uint16_t pixels = READ_WORD(&target_pixels[target]);
      uint16_t pixel;
      effect_begin(program, clip_frame[clip]);
      for (pixel = 0; pixel < pixels; pixel++) {
        to += effect_unit(pixel, to);
      }
      lay_lit(lifted, target, share);
      return;
    }
#endif
    lay_computed(program, clip, target, share);
    return;
  }
#endif
#if defined(SWITCHED) || !defined(ALL_COMPUTED)
  data_at_t from = FRAME_AT(READ_WORD(&clip_first_frame[clip]) + clip_frame[clip]);
  uint8_t *to = chain + READ_WORD(&target_first_byte[target]);
  uint16_t pixels = READ_WORD(&target_pixels[target]);
#endif
#ifdef SWITCHED
  if (PLACED(target)) {
    if (share >= WHOLE / 2u) {
#ifdef SEE_THROUGH
      lit_only = SEEN_THROUGH(clip);
#endif
      place_bits(from, to, pixels, places + READ_WORD(&target_first_place[target]));
    }
    return;
  }
#endif
#if (!defined(SWITCHED) || defined(LEVELS)) && !defined(ALL_COMPUTED)
#ifdef SEE_THROUGH
  if (SEEN_THROUGH(clip)) {
    UNPACK(clip, from, lifted, pixels, target);
    lay_lit(lifted, target, share);
    return;
  }
#endif
#ifdef FADES
  if (share < WHOLE) {
    begin_mix(target, share);
    UNPACK_OVER(clip, from, to, pixels, target);
    return;
  }
#endif
  UNPACK(clip, from, to, pixels, target);
#endif
  (void)share;
}

static void clear(uint8_t target) {
  uint8_t *to = chain + READ_WORD(&target_first_byte[target]);
  uint16_t pixels = READ_WORD(&target_pixels[target]);
#ifdef SWITCHED
  if (PLACED(target)) {
    const uint16_t *place = places + READ_WORD(&target_first_place[target]);
    while (pixels--) {
      uint16_t at = READ_WORD(place++);
      to[at >> 3] = (uint8_t)(to[at >> 3] & (uint8_t)~READ_BYTE(&masks[at & 7u]));
    }
    return;
  }
#endif
#if !defined(SWITCHED) || defined(LEVELS)
  memset(to, 0, (size_t)pixels * TARGET_CHANNELS(target));
#endif
}

#ifdef READOUTS

static uint16_t blink_ms = BLINK_MS;
static uint8_t blink_on = 1;

/* Lights one unit of a target by the levels of a readout. */
static void light(uint8_t readout, uint8_t target, uint16_t unit, uint16_t share) {
  uint16_t on = READ_WORD(&readout_on[readout]);
  uint8_t left = READ_BYTE(&readout_levels[readout]);
#ifdef SWITCHED
  if (PLACED(target)) {
    const uint16_t *place = places + READ_WORD(&target_first_place[target]) + unit * left;
    uint8_t *bits = chain + READ_WORD(&target_first_byte[target]);
    for (; left && share >= WHOLE / 2u; left--, on++) {
      uint16_t at = READ_WORD(place++);
      uint8_t mask = READ_BYTE(&masks[at & 7u]);
      uint8_t *into = bits + (at >> 3);
      *into = (uint8_t)(READ_BYTE(&on_levels[on]) ? *into | mask : *into & (uint8_t)~mask);
    }
    return;
  }
#endif
#if !defined(SWITCHED) || defined(LEVELS)
  {
    uint8_t *to = chain + READ_WORD(&target_first_byte[target]) + unit * left;
#ifdef FADES
    begin_mix(target, share);
#endif
    for (; left; left--, on++) {
#ifdef FADES
      if (share < WHOLE) {
        to = mix(to, READ_BYTE(&on_levels[on]));
        continue;
      }
#endif
      *to++ = READ_BYTE(&on_levels[on]);
    }
  }
#endif
  (void)share;
}

/* Which glyph shows a value: of a digit 0 to 9, 10 blank, 11 minus. */
static uint8_t glyph(uint16_t cell, uint8_t sort, int16_t value) {
  uint16_t size = (uint16_t)(value < 0 ? -value : value);
  uint16_t divisor = READ_WORD(&cell_divisor[cell]);
#ifdef TWELVES
  if ((sort & CELL_SORT) == CELL_HALF) {
    return value >= 12;
  }
  if ((sort & CELL_SORT) == CELL_TWELVE) {
    size = (uint16_t)((size + 11u) % 12u + 1u);
    sort = (uint8_t)(CELL_DIGIT | (sort & CELL_ZEROS));
  }
#endif
  if ((sort & CELL_SORT) == CELL_SIGN) {
    return value < 0;
  }
  if ((sort & CELL_SORT) != CELL_DIGIT) {
    return 0;
  }
  if (size >= READ_WORD(&cell_limit[cell])) {
    return 11;
  }
  size = (uint16_t)(size / divisor);
  return size == 0 && divisor > 1u && !(sort & CELL_ZEROS) ? 10 : (uint8_t)(size % 10u);
}

static void write_cell(uint8_t readout, uint8_t target, uint16_t cell, uint16_t share) {
  uint8_t sort = READ_BYTE(&cell_sort[cell]);
  uint8_t number = READ_BYTE(&cell_value[cell]);
  int16_t value = number == NO_VALUE ? 0 : values[number];
  uint16_t dots = READ_WORD(&cell_dots[cell]);
  uint16_t from = READ_WORD(&cell_first_dot[cell]);
  uint16_t bits = 0;
  uint16_t reach = 0;
  uint16_t dot;
  if ((sort & CELL_SORT) == CELL_COLON && !blink_on) {
    return;
  }
#ifdef OFFSETS
  {
    uint16_t least = READ_WORD(&cell_least[cell]);
    uint16_t span = READ_WORD(&cell_span[cell]);
    uint16_t more = READ_WORD(&cell_more[cell]);
    if (more) {
      more = (uint16_t)(more + (uint16_t)value - least);
      value = (int16_t)(uint16_t)(least + (more < span ? more : more - span));
    }
  }
#endif
  if ((sort & CELL_SORT) >= CELL_BAR) {
    uint16_t all = (sort & CELL_SORT) == CELL_BAR ? (uint16_t)(dots + 1u) : dots;
    uint16_t more = (uint16_t)(value - (int16_t)READ_WORD(&cell_divisor[cell]));
    reach = (uint16_t)((uint32_t)more * all / READ_WORD(&cell_limit[cell]));
  } else {
    bits = (uint16_t)(READ_WORD(&cell_glyphs[cell]) + glyph(cell, sort, value) * ((dots + 7u) / 8u));
  }
  for (dot = 0; dot < dots; dot++) {
    uint16_t unit = READ_WORD(&dot_unit[from + dot]);
    uint8_t lit;
    if ((sort & CELL_SORT) == CELL_BAR) {
      lit = dot < reach;
    } else if ((sort & CELL_SORT) == CELL_POINTER) {
      lit = dot == reach;
    } else {
      lit = READ_BYTE(&glyph_bits[bits + dot / 8u]) & (uint8_t)(0x80u >> (dot & 7u));
    }
    if (lit && unit != NO_UNIT) {
      light(readout, target, unit, share);
    }
  }
}

static void write_readouts(uint8_t scene, uint8_t target, uint16_t share) {
  uint8_t readout = READ_BYTE(&scene_first_readout[scene]);
  uint8_t left = READ_BYTE(&scene_readouts[scene]);
  for (; left; left--, readout++) {
    uint8_t blinks = READ_BYTE(&readout_blinks[readout]);
    uint16_t cell = READ_WORD(&readout_first_cell[readout]);
    uint8_t cells = READ_BYTE(&readout_cells[readout]);
    if (READ_BYTE(&readout_target[readout]) != target ||
        (blinks && !blink_on && HOLDS(READ_WORD(&readout_blink[readout]), blinks))) {
      continue;
    }
    for (; cells; cells--, cell++) {
      write_cell(readout, target, cell, share);
    }
  }
}

#endif

/* cues */

#define OFF 0u
#define ON 1u
#define OUT 2u

#define WAS 1u
#define LEAVES 2u
#define ENDED 4u
#define SEEN 8u
#define DUE 16u

static uint8_t state[CUES];
static uint8_t flags[CUES];
static uint32_t leave_at[CUES];
static uint8_t order[CUES]; /* cues that are on or on their way out, the lowest first */
static uint8_t shown;
static uint32_t now;
static uint32_t idle_ms;
#define LONG_IDLE_MS 0x40000000u
static uint8_t began;

#ifdef FADES
static uint16_t weights[CUES];
static uint32_t in_at[CUES];
static uint32_t out_at[CUES];
static uint16_t out_ms[CUES]; /* how long one takes that is on its way out */
static uint16_t fade_ms = FADE_MS;
static uint8_t fading;
#define WEIGHT(cue) weights[cue]
#define UNKNOWN 0xffffu
#else
#define WEIGHT(cue) WHOLE
#endif

#ifdef COUNTERS
static uint32_t counters[COUNTERS];
#endif

static uint8_t scene_of(uint8_t cue) { return READ_BYTE(&cue_scene[cue]); }

/* All that a scene shows is painted anew. */
static void touch(uint8_t scene) {
  uint8_t t;
  for (t = 0; t < TARGETS; t++) {
    if (clip_of(scene, t) != NO_CLIP) {
      dirty[t] = 1;
    }
  }
#ifdef READOUTS
  {
    uint8_t readout = READ_BYTE(&scene_first_readout[scene]);
    uint8_t left = READ_BYTE(&scene_readouts[scene]);
    for (; left; left--, readout++) {
      dirty[READ_BYTE(&readout_target[readout])] = 1;
    }
  }
#endif
}

static void start_scene(uint8_t scene) {
  uint8_t t;
  scene_left_ms[scene] = READ_LONG(&scene_ms[scene]);
  for (t = 0; t < TARGETS; t++) {
    uint16_t clip = clip_of(scene, t);
    if (clip != NO_CLIP) {
      clip_frame[clip] = 0;
      clip_left_ms[clip] = HOLD_OF(clip);
    }
  }
}

static void pass_clip(uint16_t clip, uint8_t target, uint16_t ms) {
  while (clip_left_ms[clip] <= ms) {
    ms = (uint16_t)(ms - clip_left_ms[clip]);
    clip_frame[clip]++;
    if (clip_frame[clip] == READ_WORD(&clip_frames[clip])) {
      clip_frame[clip] = 0;
    }
    clip_left_ms[clip] = HOLD_OF(clip);
    dirty[target] = 1;
  }
  clip_left_ms[clip] = (uint16_t)(clip_left_ms[clip] - ms);
}

static void pass_scene(uint8_t scene) {
  uint16_t ms = TICK_MS;
  uint8_t t;
  while (scene_left_ms[scene] <= ms) {
    ms = (uint16_t)(ms - scene_left_ms[scene]);
    start_scene(scene);
    for (t = 0; t < TARGETS; t++) {
      if (clip_of(scene, t) != NO_CLIP) {
        dirty[t] = 1;
      }
    }
  }
  scene_left_ms[scene] -= ms;
  for (t = 0; t < TARGETS; t++) {
    uint16_t clip = clip_of(scene, t);
    if (clip != NO_CLIP) {
      pass_clip(clip, t, ms);
    }
  }
}

/* Every scene that is shown goes on by a tick, once; what was shown once stands at its end while it goes. */
static void pass_scenes(void) {
  uint32_t gone = 0;
  uint8_t i;
  for (i = 0; i < shown; i++) {
    uint8_t cue = order[i];
    uint8_t scene = scene_of(cue);
    uint32_t bit = (uint32_t)1 << scene;
    if (!(gone & bit) && !(state[cue] == OUT && READ_BYTE(&cue_stay[cue]) == STAY_ONCE) && scene_left_ms[scene]) {
      gone |= bit;
      pass_scene(scene);
    }
  }
}

static void take_out(uint8_t cue) {
#if CUES > 1u
  uint8_t i = 0;
  while (order[i] != cue) {
    i++;
  }
  shown--;
  for (; i < shown; i++) {
    order[i] = order[i + 1u];
  }
#else
  (void)cue; /* it is the only one */
  shown--;
#endif
}

static void off(uint8_t cue) {
  state[cue] = OFF;
  take_out(cue);
  touch(scene_of(cue));
}

static void leave(uint8_t cue, uint16_t over_ms) {
  state[cue] = OUT;
  flags[cue] = (uint8_t)((flags[cue] & (uint8_t)~LEAVES) | ENDED);
#ifdef FADES
  out_at[cue] = now;
  out_ms[cue] = over_ms;
  weights[cue] = UNKNOWN;
  if (over_ms) {
    return;
  }
#else
  (void)over_ms;
#endif
  off(cue);
}

#ifdef FADES
#define LEAVE(cue) leave(cue, READ_WORD(&cue_fade_out[cue]))
#else
#define LEAVE(cue) leave(cue, 0)
#endif

static void leave_in_time(void) {
  uint8_t cue;
  for (cue = 0; cue < CUES; cue++) {
    if (!(flags[cue] & (LEAVES | ENDED | SEEN)) && state[cue] != OUT) {
      continue; /* most of them, most of the time */
    }
    if (state[cue] == ON && flags[cue] & LEAVES && (int32_t)(now - leave_at[cue]) >= 0) {
      LEAVE(cue);
    }
#ifdef FADES
    if (state[cue] == OUT && now - out_at[cue] >= out_ms[cue]) {
      off(cue);
    }
#endif
    flags[cue] = (uint8_t)((flags[cue] & (uint8_t) ~(ENDED | SEEN)) | (flags[cue] & ENDED ? SEEN : 0u));
  }
}

#if CUES > 1u
static uint8_t clears(uint8_t how, uint8_t own, uint8_t other) {
  switch (how) {
    case CLEARS_SAME:
      return other == own;
    case CLEARS_LOWER:
      return other <= own;
    case CLEARS_ALL:
      return 1;
    default:
      return 0;
  }
}

static void clear_others(uint8_t cue) {
  uint8_t how = READ_BYTE(&cue_clears[cue]);
  uint8_t own = READ_BYTE(&cue_priority[cue]);
  uint8_t i = how == CLEARS_NOTHING ? 0 : shown; /* from the top down: who goes at once is taken out */
  while (i-- > 0) {
    uint8_t other = order[i];
    if (other != cue && state[other] == ON && clears(how, own, READ_BYTE(&cue_priority[other]))) {
#ifdef FADES
      uint16_t in = READ_WORD(&cue_fade_in[cue]);
      if (in && READ_BYTE(&cue_scene[cue]) == NO_SCENE) { /* nothing comes over it: it goes softly itself */
        leave(other, in);
        continue;
      }
      if (!(flags[other] & LEAVES) || (int32_t)(leave_at[other] - now) > (int32_t)in) {
        leave_at[other] = now + in; /* unless its own time is over before */
      }
      flags[other] |= LEAVES;
      if (in) {
        continue;
      }
#endif
      LEAVE(other);
    }
  }
}

#endif

/* On top of all that have no higher priority. */
static void put_in(uint8_t cue) {
  uint8_t at = shown++;
#if CUES > 1u
  while (at > 0 && READ_BYTE(&cue_priority[order[at - 1u]]) > READ_BYTE(&cue_priority[cue])) {
    order[at] = order[at - 1u];
    at--;
  }
#endif
  order[at] = cue;
}

#ifdef FADES

/* How far a cue has come, of WHOLE; seen is the square of it. */
static uint16_t come_of(uint8_t cue) {
  uint16_t in = READ_WORD(&cue_fade_in[cue]);
  uint32_t since = now - in_at[cue];
  uint16_t come = (uint16_t)(since < in ? (since << 8) / in : WHOLE);
  if (state[cue] == OUT) {
    uint16_t left = (uint16_t)(WHOLE - ((now - out_at[cue]) << 8) / out_ms[cue]);
    come = left < come ? left : come;
  }
  return come;
}

#endif

/* Tells whether something comes to hold. */
static uint8_t anew(uint8_t cue, uint8_t held) {
  uint8_t was = flags[cue] & WAS;
  flags[cue] = (uint8_t)((flags[cue] & (uint8_t)~WAS) | (held ? WAS : 0u));
  return held && !was;
}

#ifdef VALUES

/* A condition is asked where a value moved that it is about; for all at the beginning. */
static void compare(uint8_t cue) {
  if ((began || READ_LONG(&cue_a[cue]) & moved) && anew(cue, HOLDS(READ_WORD(&cue_when[cue]), READ_BYTE(&cue_whens[cue])))) {
    flags[cue] |= DUE;
  }
}

/* Each list of changes that makes a condition hold makes its cue due, though the next one undo it before the cue is asked. */
static void compare_all(void) {
  uint8_t cue;
  if (moved) {
    for (cue = 0; cue < CUES; cue++) {
      if (READ_BYTE(&cue_kind[cue]) == WHEN_BECOMES) {
        compare(cue);
      }
    }
    moved = 0;
  }
}

#define COMPARE_ALL() compare_all()
#else
#define COMPARE_ALL()
#endif

static void fire(uint8_t cue) {
  uint8_t scene = scene_of(cue);
  uint8_t stay = READ_BYTE(&cue_stay[cue]);
  COMPARE_ALL(); /* with what the list before this one left */
  SET(READ_WORD(&cue_then[cue]), READ_BYTE(&cue_thens[cue]));
#if CUES > 1u
  clear_others(cue);
#endif
  if (scene == NO_SCENE) {
    return;
  }
  if (state[cue] != OFF) {
    take_out(cue);
  }
#ifdef FADES
  if (state[cue] == OFF) {
    in_at[cue] = now;
  } else if (state[cue] == OUT) { /* on from where it is */
    in_at[cue] = now - ((uint32_t)come_of(cue) * READ_WORD(&cue_fade_in[cue]) >> 8);
  }
  weights[cue] = UNKNOWN;
#endif
  put_in(cue);
  state[cue] = ON;
  flags[cue] = (uint8_t)(flags[cue] & (uint8_t)~LEAVES);
  if (stay == STAY_ONCE || stay == STAY_TIMED) {
    flags[cue] |= LEAVES;
    leave_at[cue] = now + (stay == STAY_ONCE ? READ_LONG(&scene_ms[scene]) : READ_LONG(&cue_stay_ms[cue]));
  }
  start_scene(scene);
  touch(scene);
}

#ifdef EVERY

static uint32_t drawn(uint8_t cue) {
  uint32_t least = READ_LONG(&cue_a[cue]);
#ifdef CHANCE
  uint32_t span = READ_LONG(&cue_b[cue]) - least + 1u;
  if (span > 1u) {
    return least + stir() % span;
  }
#endif
  return least;
}

static uint8_t again(uint8_t cue) {
  uint32_t *left = &counters[READ_BYTE(&cue_counter[cue])];
  if (began) {
    return 0;
  }
  if (*left > TICK_MS) {
    *left -= TICK_MS;
    return 0;
  }
  *left += drawn(cue) - TICK_MS;
  return 1;
}

#endif

#ifdef ROTARY

static uint8_t notch(uint8_t cue) {
  uint32_t *edges = &counters[READ_BYTE(&cue_counter[cue])];
  uint8_t event = events[READ_BYTE(&cue_sense[cue])];
  if (event == (READ_LONG(&cue_a[cue]) ? 1u : 2u)) {
    (*edges)++;
  } else if (event && *edges) {
    (*edges)--;
  }
  if (*edges < READ_LONG(&cue_b[cue])) {
    return 0;
  }
  *edges = 0;
  return 1;
}

#endif

static uint8_t fires(uint8_t cue) {
  switch (READ_BYTE(&cue_kind[cue])) {
    case WHEN_POWER_ON:
      return began;
#ifdef SENSES
    case WHEN_PRESS:
      return (events[READ_BYTE(&cue_sense[cue])] & (1u << READ_LONG(&cue_a[cue]))) != 0;
#endif
#ifdef ROTARY
    case WHEN_TURNED:
      return notch(cue);
#endif
#ifdef ANALOGUE
    case WHEN_ABOVE:
      return anew(cue, !began && sense_state[READ_BYTE(&cue_sense[cue])] >=
                                     READ_LONG(flags[cue] & WAS ? &cue_b[cue] : &cue_a[cue]));
    case WHEN_BELOW:
      return anew(cue, !began && sense_state[READ_BYTE(&cue_sense[cue])] <
                                     READ_LONG(flags[cue] & WAS ? &cue_b[cue] : &cue_a[cue]));
#endif
#ifdef READS
    case WHEN_RECEIVED:
      return received == READ_LONG(&cue_a[cue]);
#endif
#ifdef VALUES
    case WHEN_BECOMES: {
      uint8_t due;
      compare(cue);
      due = flags[cue] & DUE;
      flags[cue] &= (uint8_t)~DUE;
      return due;
    }
#endif
    case WHEN_ENDED:
      return (flags[READ_LONG(&cue_a[cue])] & SEEN) != 0;
    case WHEN_IDLE:
      return anew(cue, idle_ms >= READ_LONG(&cue_a[cue]));
#ifdef EVERY
    case WHEN_EVERY:
      return again(cue);
#endif
    default:
      return 0;
  }
}

static uint8_t lasts(uint8_t cue) {
#ifdef SENSES
  if (READ_BYTE(&cue_kind[cue]) == WHEN_PRESS) {
    return sense_state[READ_BYTE(&cue_sense[cue])];
  }
#endif
  return flags[cue] & WAS;
}

static void obey(void) {
  uint8_t cue;
  COMPARE_ALL();
  for (cue = 0; cue < CUES; cue++) {
    uint8_t now_fires = fires(cue);
    if (state[cue] == ON && READ_BYTE(&cue_stay[cue]) == STAY_WHILE && !lasts(cue)) {
      LEAVE(cue);
    }
    if (now_fires && HOLDS(READ_WORD(&cue_only[cue]), READ_BYTE(&cue_onlys[cue]))) {
      fire(cue);
    }
  }
  COMPARE_ALL();
}

#ifdef FADES

/* By the square, which the eye takes for even. */
static uint16_t weighed(uint8_t cue) {
  uint16_t come = come_of(cue);
  return (uint16_t)((uint32_t)come * come >> 8);
}

static void weigh(void) {
  uint8_t i;
  for (i = 0; i < shown; i++) {
    uint8_t cue = order[i];
    if (weights[cue] == UNKNOWN || (fading && (weights[cue] < WHOLE || state[cue] == OUT))) {
      uint16_t fresh = weighed(cue);
      if (fresh != weights[cue]) {
        weights[cue] = fresh;
        touch(scene_of(cue));
      }
    }
  }
}

#endif

#ifdef READOUTS

/* Readouts whose values changed, or which blink, are painted anew. */
static void freshen(uint8_t blinked) {
  uint8_t i;
  if (!changed && !blinked) {
    return;
  }
  for (i = 0; i < shown; i++) {
    uint8_t scene = scene_of(order[i]);
    uint8_t readout = READ_BYTE(&scene_first_readout[scene]);
    uint8_t left = READ_BYTE(&scene_readouts[scene]);
    for (; left; left--, readout++) {
      if ((blinked && READ_BYTE(&readout_blinking[readout])) || changed & READ_LONG(&readout_values[readout]) ||
          (changed && READ_BYTE(&readout_blinks[readout]))) {
        dirty[READ_BYTE(&readout_target[readout])] = 1;
      }
    }
  }
}

#endif

static void paint(uint8_t t) {
  uint8_t i = shown;
  uint8_t whole = 0;
  while (i > 0 && !whole) {
    uint16_t clip;
    i--;
    clip = clip_of(scene_of(order[i]), t);
    whole = WEIGHT(order[i]) == WHOLE && clip != NO_CLIP && !SEEN_THROUGH(clip);
  }
  if (!whole) {
    clear(t);
  }
  for (; i < shown; i++) {
    uint8_t scene = scene_of(order[i]);
    uint16_t clip = clip_of(scene, t);
#ifdef FADES
    if (WEIGHT(order[i]) == 0) {
      continue;
    }
#endif
    if (clip != NO_CLIP) {
      lay(clip, t, WEIGHT(order[i]));
    }
#ifdef READOUTS
    write_readouts(scene, t, WEIGHT(order[i]));
#endif
  }
}

#ifdef LIMIT_SUM

#include "limit.h"

static uint8_t dimmed;

/* The weighted sum of all levels. */
static uint32_t weighted(void) {
  const uint8_t *at = chain;
  uint32_t sum = 0;
  uint8_t line;
  for (line = 0; line < LINES; line++) {
    uint16_t left = READ_WORD(&line_bytes[line]);
    uint16_t first = READ_WORD(&line_weight[line]);
    uint16_t round = READ_WORD(&line_weights[line]);
    uint16_t one = 0;
    if (READ_WORD(&line_channels[line]) == 0) { /* can't be dimmed, or has a supply of its own */
      at += left;
      continue;
    }
    while (left) {
      uint16_t level = *at++;
      left--;
#ifdef DEEP
      if (READ_BYTE(&line_deep[line])) {
        level = (uint16_t)(level << 8 | *at++);
        left--;
      }
#endif
      if (level) {
        sum += (uint32_t)level * READ_WORD(&weights_of[first + one]);
      }
      if (++one == round) {
        one = 0;
      }
    }
  }
  return sum;
}

/* Keeps the weighted sum, and so the current, within LIMIT_SUM. */
static void limit(void) {
  uint32_t sum = weighted();
  uint32_t most = LIMIT_SUM;
  dimmed = sum > most;
  if (dimmed) {
    while (sum > 0xffffu) {
      sum = (sum + 1u) >> 1;
      most >>= 1;
    }
    scale((uint16_t)((most << 16) / sum));
  }
}

#endif

/* Puts together what changed; tells whether anything did. */
static uint8_t put_together(void) {
  uint8_t any = 0;
  uint8_t t;
  for (t = 0; t < TARGETS; t++) {
    any |= dirty[t];
  }
  if (!any) {
    return 0;
  }
  for (t = 0; t < TARGETS; t++) {
#ifdef LIMIT_SUM
    if (dirty[t] || dimmed) {
#else
    if (dirty[t]) {
#endif
      paint(t);
    }
  }
  memset(dirty, 0, sizeof dirty);
#ifdef LIMIT_SUM
  limit();
#endif
  return 1;
}

static uint8_t show(uint8_t blinked) {
#ifdef FADES
  weigh();
#endif
#ifdef READOUTS
  freshen(blinked);
#endif
#ifdef VALUES
  changed = 0;
#endif
  (void)blinked;
  return put_together();
}

void player_start(void) {
#ifdef VALUES
  uint8_t value;
  for (value = 0; value < VALUES; value++) {
    values[value] = (int16_t)READ_WORD(&value_start[value]);
  }
#endif
#ifdef KEPT
  load_kept();
#endif
#ifdef CLOCK_CHIP
  if (!take_time()) {
    chip_set = 0x7fu; /* it begins as it does without one */
  }
  changed = 0;
#endif
#ifdef VALUES
  moved = 0;
#endif
#ifdef READS
  received = MESSAGES;
#endif
#ifdef EVERY
  {
    uint8_t cue;
    for (cue = 0; cue < CUES; cue++) {
      if (READ_BYTE(&cue_kind[cue]) == WHEN_EVERY) {
        counters[READ_BYTE(&cue_counter[cue])] = drawn(cue);
      }
    }
  }
#endif
  memset(dirty, 1, sizeof dirty);
  began = 1;
  obey();
  began = 0;
  show(0);
}

static uint8_t tick(void) {
  uint8_t blinked = 0;
  now += TICK_MS;
#ifdef KEPT
  keep();
#endif
#ifdef CHANCE
  stir();
#endif
#ifdef VALUES
  pass_time();
#endif
#ifdef READOUTS
  if (blink_ms > TICK_MS) {
    blink_ms = (uint16_t)(blink_ms - TICK_MS);
  } else {
    blink_ms = (uint16_t)(blink_ms + BLINK_MS - TICK_MS);
    blink_on ^= 1u;
    blinked = 1;
  }
#endif
#ifdef FADES
  fading = fade_ms <= TICK_MS;
  fade_ms = fading ? FADE_MS : (uint16_t)(fade_ms - TICK_MS);
#endif
  if (idle_ms < LONG_IDLE_MS) { /* it would begin again from 0 after 49 days */
    idle_ms += TICK_MS;
  }
#ifdef SENSES
  if (look()) {
    idle_ms = 0;
  }
#endif
#ifdef READS
  if (receive()) {
    idle_ms = 0;
  }
#endif
  leave_in_time();
  pass_scenes();
  obey();
#ifdef CLOCK_CHIP
  if (chip_set) {
    set_chip();
  }
#endif
  return show(blinked);
}

void player_step(void) {
  static uint8_t sent;
  if (!sent) { /* as it was put together when power came on */
    sent = 1;
    board_show(chain);
  }
  board_wait_ms(TICK_MS);
  if (tick()) {
    board_show(chain);
  }
}
