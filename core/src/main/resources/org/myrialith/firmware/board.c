/* Board file: 8-bit controller at @CLOCK@, @TITLES@. Interrupts are off while data is sent. */
#include <avr/interrupt.h>
#include <avr/io.h>
#include <avr/pgmspace.h>
@INCLUDES@
#include <util/delay.h>

#include "player.h"

#if F_CPU != @HZ@UL
#error "the lines are timed for @CLOCK@"
#endif

#if@OTHERTIMER@ TCNT1L
#error "the time of this file is that of another class of controller: export the firmware again for this one"
#endif

#define LATCH_US @LATCH@u

@LINES@
/* Time is read from a free-running timer; it may wrap between two looks once only, which leaves more than the longest
 * chain that fits in RAM takes to send or to compose. */
#ifdef TCNT1L
typedef uint16_t ticks_t; /* 16-bit timer 1 at 1/64 of the clock: wraps after 65536 ticks */
#define TICKS TCNT1
#define TICK_US @TICK@u
#define START_TICKS() (@PLAIN@TCCR1B = (1 << CS11) | (1 << CS10))
#else
@SMALLTIMER@
#endif

#define MOST_SPARE_US 1000000ul

@INPUTS@
static ticks_t seen;
static uint32_t passed_us;   /* since the wait ended that was due last */
static uint16_t gap_left_us; /* until the pixels have taken the last frame */

static void look(void) {
  ticks_t now = TICKS;
  uint32_t us = (uint32_t)(ticks_t)(now - seen) * TICK_US;
  seen = now;
  passed_us += us;
  gap_left_us = us >= gap_left_us ? 0u : (uint16_t)(gap_left_us - us);
}

@PASSES@
void board_show(const uint8_t *levels) {
  uint8_t flags = SREG;
  while (gap_left_us) {
    look();
  }
  cli();
@SENDS@
  SREG = flags;
  look();
  gap_left_us = LATCH_US + TICK_US; /* the first tick may be over at once */
}

void board_wait_ms(uint16_t ms) {
  uint32_t due_us = ms * 1000ul;
  while (passed_us < due_us) {
    look();
  }
  passed_us -= due_us;
  if (passed_us > MOST_SPARE_US) {
    passed_us = MOST_SPARE_US;
  }
}

@BEGIN@
@STARTS@
@LISTENS@
@TURNS@
  player_start();
  _delay_us(LATCH_US);
  START_TICKS();
@FRESH@
@GO@
}
