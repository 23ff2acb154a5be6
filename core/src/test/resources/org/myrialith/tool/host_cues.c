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

/* letters that came in: input 60 */
#define LETTER 60
static uint8_t letters[MOST_EVENTS];
static int came;
static int taken;

/* what is kept while power is off, in a file */
#define KEPT_MOST 4096
static uint8_t kept[KEPT_MOST];

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
    if (input[next] == LETTER) {
      letters[came++] = (uint8_t)reading[next];
    } else {
      readings[input[next]] = (uint8_t)reading[next];
    }
    next++;
  }
}

uint8_t board_input(uint8_t number) { return readings[number]; }

int16_t board_received(void) { return taken < came ? (int16_t)letters[taken++] : (int16_t)-1; }

uint8_t board_kept(uint16_t at) { return kept[at]; }

/* As memory that is not ready every other time. */
uint8_t board_keep(uint16_t at, uint8_t byte, uint8_t last) {
  static uint8_t ready;
  (void)last;
  ready ^= 1u;
  if (ready) {
    kept[at] = byte;
  }
  return ready;
}

int main(int argc, char **argv) {
  unsigned long end = argc > 2 ? strtoul(argv[2], 0, 10) : 0;
  FILE *memory;
  FILE *script = argc > 1 ? fopen(argv[1], "r") : 0;
  if (!script) {
    return 2;
  }
  while (events < MOST_EVENTS && fscanf(script, "%lu %u %u", &at[events], &input[events], &reading[events]) == 3) {
    events++;
  }
  fclose(script);
  for (came = 0; came < KEPT_MOST; came++) {
    kept[came] = 0xff;
  }
  came = 0;
  memory = fopen("kept.bin", "rb");
  if (memory) {
    if (fread(kept, 1, KEPT_MOST, memory) != KEPT_MOST) {
      return 3;
    }
    fclose(memory);
  }
  player_start();
  while (now < end) {
    player_step();
  }
  memory = fopen("kept.bin", "wb");
  if (!memory || fwrite(kept, 1, KEPT_MOST, memory) != KEPT_MOST) {
    return 3;
  }
  fclose(memory);
  return 0;
}
