typedef uint8_t ticks_t; /* 8-bit timer 0 at 1/1024 of the clock: wraps after 256 ticks */
#define TICKS TCNT0
#define TICK_US @TICK@u
#define START_TICKS() (@PLAIN0@TCCR0B = (1 << CS02) | (1 << CS00))
