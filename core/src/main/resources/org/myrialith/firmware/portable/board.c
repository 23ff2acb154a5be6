/* Board file for any 32-bit controller: @TITLES@. */
#include "pins.h"
#include "player.h"

#define LATCH_US @LATCH@u
#define MOST_SPARE_US 1000000ul

void board_start(void);

@LINES@
@INPUTS@
static uint32_t shown_us; /* when the pixels had the last frame */
static uint32_t due_us;   /* when the last wait was due to end */

void board_show(const uint8_t *levels) {
  while ((uint32_t)(now_us() - shown_us) <= LATCH_US) {
@POLLS@
  }
@HOLDS@
@SENDS@
  shown_us = now_us();
}

void board_wait_ms(uint16_t ms) {
  uint32_t late;
  due_us += ms * 1000ul;
  while ((int32_t)(now_us() - due_us) < 0) {
@POLLS@
  }
@HOLDS@
  late = now_us() - due_us;
  if (late > MOST_SPARE_US) {
    due_us += late - MOST_SPARE_US;
  }
}

void board_start(void) {
@STARTS@
@LISTENS@
  player_start();
  wait_us(LATCH_US);
  due_us = now_us();
  shown_us = due_us - LATCH_US - 1u; /* the pixels are ready */
}
