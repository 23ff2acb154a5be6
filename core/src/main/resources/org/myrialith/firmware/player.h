/* Plays the frames of frames.h. Portable C99; the board provides two functions. */
#ifndef PLAYER_H
#define PLAYER_H

#include <stdint.h>

/* Sends all levels to the pixels, line after line in the order given. Where the gap after the last frame is not over, waits for it. */
void board_show(const uint8_t *levels);

/* Returns that many milliseconds after it returned last, at first that many after player_start() has returned, so that time spent on
 * sending and composing is part of the wait. Too late: returns at once and makes the next wait shorter. */
void board_wait_ms(uint16_t ms);

/* With cues only: what an input tells. 1 for on and 0 for off, 0 to 255 of a sensor, of a rotary knob one pin and twice the other. */
uint8_t board_input(uint8_t number);

/* With cues that read messages only: the next letter that came in, -1 for none. */
int16_t board_received(void);

/* With a clock chip only: its seven registers from seconds to year, two digits each. Returns 0 when it does not answer. */
uint8_t board_clock(uint8_t *registers);

/* The same: sets one of them. */
void board_set_clock(uint8_t number, uint8_t digits);

/* With values that are kept over power-off only: a byte of what was kept. */
uint8_t board_kept(uint16_t at);

/* The same: keeps a byte, the last one of what belongs together or not. Returns 0 while the memory is not ready for it. */
uint8_t board_keep(uint16_t at, uint8_t byte, uint8_t last);

/* With effects on an 8-bit controller only: notes the time that passes while one is worked out, as its timer wraps. */
void board_pass(void);

/* Goes to the start of the show and composes its first frame. Call once. */
void player_start(void);

/* Sends the present frame, composes the next one, and waits until it is due. Call for ever. */
void player_step(void);

#endif
