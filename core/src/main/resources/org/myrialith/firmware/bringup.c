/* Bring-up: in place of the show, one channel after the other lights, in the order of the wire; what can be dimmed lights dimly. Each
 * should light the pixel and the colour that is its turn; where it stops, look at the joint before. Takes the place of player.c. */
#include "player.h"

#ifdef __AVR__
#include <avr/pgmspace.h>
#define READ_PLACE(at) pgm_read_word(at)
#else
#define PROGMEM
#define READ_PLACE(at) (*(at))
#endif

#define CHAIN_BYTES @CHAIN@u
#define STEPS @STEPS@u
#define LEVEL 48u /* of 255: a port of a computer feeds one channel easily */
#define STEP_MS 250u

@PLACES@
static uint8_t chain[CHAIN_BYTES];
static uint16_t lit;

@LIGHT@
void player_start(void) {
  lit = 0;
  light(lit, 1);
}

void player_step(void) {
  board_show(chain);
  light(lit, 0);
  lit++;
  if (lit == STEPS) {
    lit = 0;
  }
  light(lit, 1);
  board_wait_ms(STEP_MS);
}
