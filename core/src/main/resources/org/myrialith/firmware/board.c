/* Board file: 8-bit controller at 16 MHz, one-wire pixels on @PINS@.
 *
 * A bit takes 20 cycles (1.25 us): high for 6 (0.375 us) is a 0, high for 13 (0.8125 us) is a 1. The next
 * byte is fetched inside the last bit, so that no bit is longer than another. Interrupts are off while data is sent.
 */
#include <avr/interrupt.h>
#include <avr/io.h>
#include <util/delay.h>

#include "player.h"

#if F_CPU != 16000000UL
#error "the data line is timed for 16 MHz"
#endif

#define LATCH_US @LATCH@u

/* @LINE@ */
static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  uint8_t hi = (uint8_t)(PORT@PORT@ | (1 << @BIT@));
  uint8_t lo = (uint8_t)(PORT@PORT@ & ~(1 << @BIT@));
  uint8_t byte;
  uint8_t next;
  uint8_t bits;
  __asm__ volatile(
      "ld   %[byte], %a[at]+ \n\t"
      "ldi  %[bits], 7       \n\t"
      "1:                    \n\t" /* bits 7 to 1 */
      "out  %[port], %[hi]   \n\t" /*  0 rise */
      "mov  %[next], %[lo]   \n\t" /*  1 */
      "sbrc %[byte], 7       \n\t" /*  2 */
      "mov  %[next], %[hi]   \n\t" /*  3 */
      "lsl  %[byte]          \n\t" /*  4 */
      "nop                   \n\t" /*  5 */
      "out  %[port], %[next] \n\t" /*  6 fall of a 0 */
      "rjmp .+0              \n\t" /*  7 8 */
      "rjmp .+0              \n\t" /*  9 10 */
      "rjmp .+0              \n\t" /* 11 12 */
      "out  %[port], %[lo]   \n\t" /* 13 fall of a 1 */
      "rjmp .+0              \n\t" /* 14 15 */
      "nop                   \n\t" /* 16 */
      "dec  %[bits]          \n\t" /* 17 */
      "brne 1b               \n\t" /* 18 19 when taken, 18 when not */
      "nop                   \n\t" /* 19 */
      "out  %[port], %[hi]   \n\t" /*  0 rise of bit 0 */
      "mov  %[next], %[lo]   \n\t" /*  1 */
      "sbrc %[byte], 7       \n\t" /*  2 */
      "mov  %[next], %[hi]   \n\t" /*  3 */
      "ldi  %[bits], 7       \n\t" /*  4 */
      "nop                   \n\t" /*  5 */
      "out  %[port], %[next] \n\t" /*  6 */
      "sbiw %[count], 1      \n\t" /*  7 8 */
      "breq 2f               \n\t" /*  9, 10 when the last byte is done */
      "ld   %[byte], %a[at]+ \n\t" /* 10 11 */
      "nop                   \n\t" /* 12 */
      "out  %[port], %[lo]   \n\t" /* 13 */
      "rjmp .+0              \n\t" /* 14 15 */
      "rjmp .+0              \n\t" /* 16 17 */
      "rjmp 1b               \n\t" /* 18 19 */
      "2:                    \n\t"
      "rjmp .+0              \n\t" /* 11 12 */
      "out  %[port], %[lo]   \n\t" /* 13 */
      : [byte] "=&r"(byte), [next] "=&r"(next), [bits] "=&d"(bits), [count] "+w"(count), [at] "+e"(levels)
      : [port] "I"(_SFR_IO_ADDR(PORT@PORT@)), [hi] "r"(hi), [lo] "r"(lo)
      : "memory");
}

static void start_line_@N@(void) {
  PORT@PORT@ &= (uint8_t) ~(1 << @BIT@);
  DDR@PORT@ |= (1 << @BIT@);
}

/* @END@ */
/* Time is read from a free-running timer; it may wrap between two looks once only, which leaves more than the longest
 * chain that fits in RAM takes to send or to compose. */
#ifdef TCNT1L
typedef uint16_t ticks_t; /* 16-bit timer 1 at 1/64 of the clock: wraps after 262 ms */
#define TICKS TCNT1
#define TICK_US 4u
#define START_TICKS() (TCCR1B = (1 << CS11) | (1 << CS10))
#else
typedef uint8_t ticks_t; /* 8-bit timer 0 at 1/1024 of the clock: wraps after 16 ms */
#define TICKS TCNT0
#define TICK_US 64u
#define START_TICKS() (TCCR0B = (1 << CS02) | (1 << CS00))
#endif

#define MOST_SPARE_US 1000000ul

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

int main(void) {
@STARTS@
  player_start();
  _delay_us(LATCH_US);
  START_TICKS();
  for (;;) {
    player_step();
  }
}
