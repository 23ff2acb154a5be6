/* Plays the frames of frames.h. Portable C99; the board provides two functions. */
#ifndef PLAYER_H
#define PLAYER_H

#include <stdint.h>

/* Sends all levels to the pixels, in the order given, and waits out the latch gap. */
void board_send(const uint8_t *levels, uint16_t count);

/* Returns that many milliseconds after it returned last, so that time spent on sending is part of the wait.
 * Too late: returns at once and makes the next wait shorter. */
void board_wait_ms(uint16_t ms);

/* Goes to the start of the show. Call once. */
void player_start(void);

/* Sends the present moment and waits until the next one is due. Call for ever. */
void player_step(void);

#endif
