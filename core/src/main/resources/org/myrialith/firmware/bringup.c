/* Bring-up: in place of the show, one channel after the other lights dimly, in the order of the wire. Each should light the pixel
 * and the colour that is its turn; where it stops, look at the joint before. Takes the place of player.c. */
#include "player.h"

#define CHAIN_BYTES @CHAIN@u
#define LEVEL 48u /* of 255: a port of a computer feeds one channel easily */
#define STEP_MS 250u

static uint8_t chain[CHAIN_BYTES];
static uint16_t lit;

void player_start(void) {
  lit = 0;
  chain[0] = LEVEL;
}

void player_step(void) {
  board_show(chain);
  chain[lit] = 0;
  lit++;
  if (lit == CHAIN_BYTES) {
    lit = 0;
  }
  chain[lit] = LEVEL;
  board_wait_ms(STEP_MS);
}
