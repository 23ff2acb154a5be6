/* Plays cues on this machine: inputs by a script of lines "ms input reading", and each frame that is sent as a line "ms levels". */
#include <stdio.h>
#include <stdlib.h>

#include "player.h"

#ifndef CHAIN_BYTES
#error "say how many levels there are"
#endif

#define MOST_EVENTS 100000

static unsigned long now;
static unsigned long at[MOST_EVENTS];
static unsigned input[MOST_EVENTS];
static unsigned reading[MOST_EVENTS];
static int events;
static int next;
static uint8_t readings[64];

void board_show(const uint8_t *levels) {
  unsigned long i;
  printf("%lu ", now);
  for (i = 0; i < CHAIN_BYTES; i++) {
    printf("%02x", levels[i]);
  }
  printf("\n");
}

void board_wait_ms(uint16_t ms) {
  now += ms;
  while (next < events && at[next] <= now) {
    readings[input[next]] = (uint8_t)reading[next];
    next++;
  }
}

uint8_t board_input(uint8_t number) { return readings[number]; }

int main(int argc, char **argv) {
  unsigned long end = argc > 2 ? strtoul(argv[2], 0, 10) : 0;
  FILE *script = argc > 1 ? fopen(argv[1], "r") : 0;
  if (!script) {
    return 2;
  }
  while (events < MOST_EVENTS && fscanf(script, "%lu %u %u", &at[events], &input[events], &reading[events]) == 3) {
    events++;
  }
  fclose(script);
  player_start();
  while (now < end) {
    player_step();
  }
  return 0;
}
