typedef uint8_t ticks_t; /* the timer gives lights their turns: time is counted in turns of all */
#define TICKS scan_turns
#define TICK_US @TURN@u
#define START_TICKS() ((void)0)
