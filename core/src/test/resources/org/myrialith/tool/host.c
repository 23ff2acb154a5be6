/* Plays the firmware on this machine: each moment as a line of hexadecimal levels, then the wait that follows. */
#include <stdio.h>
#include <stdlib.h>

#include "player.h"

#ifndef CHAIN_BYTES
#error "say how many levels there are"
#endif

void board_show(const uint8_t *levels) {
  uint16_t i;
  for (i = 0; i < CHAIN_BYTES; i++) {
    printf("%02x", levels[i]);
  }
  printf("\n");
}

void board_wait_ms(uint16_t ms) { printf("wait %u\n", (unsigned)ms); }

int main(int argc, char **argv) {
  int steps = argc > 1 ? atoi(argv[1]) : 0;
  player_start();
  while (steps-- > 0) {
    player_step();
  }
  return 0;
}
