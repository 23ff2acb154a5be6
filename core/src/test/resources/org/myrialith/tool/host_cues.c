/* Plays cues on this machine: inputs by a script of lines "ms input reading", and each frame that is sent as a line "ms levels"; with
 * HASHED only how many there were and a hash of them all (FNV-1a of 64 bits, of the lines with their ends). */
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

/* a clock chip: seconds to year, which goes on while power is off */
static int chip[7] = {0, 0, 12, 4, 1, 1, 26};
static unsigned long chip_ms;

static int chip_days(void) {
  static const int days[12] = {31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31};
  return chip[5] == 2 && chip[6] % 4 == 0 ? 29 : days[chip[5] - 1];
}

static void chip_second(void) {
  static const int ends[3] = {60, 60, 24};
  int i;
  for (i = 0; i < 3; i++) {
    if (++chip[i] < ends[i]) return;
    chip[i] = 0;
  }
  chip[3] = chip[3] % 7 + 1;
  if (++chip[4] <= chip_days()) return;
  chip[4] = 1;
  if (++chip[5] <= 12) return;
  chip[5] = 1;
  chip[6] = (chip[6] + 1) % 100;
}

uint8_t board_clock(uint8_t *registers) {
  int i;
  for (i = 0; i < 7; i++) {
    registers[i] = (uint8_t)(chip[i] / 10 * 16 + chip[i] % 10);
  }
  return 1;
}

void board_set_clock(uint8_t number, uint8_t digits) {
  chip[number] = digits / 16 * 10 + digits % 16;
  if (number == 0) {
    chip_ms = 0;
  }
}

/* what is kept while power is off, in a file */
#define KEPT_MOST 4096
static uint8_t kept[KEPT_MOST];

#ifdef HASHED
static unsigned long frames;
static uint64_t hash = 0xcbf29ce484222325u;

static void put(uint8_t byte) { hash = (hash ^ byte) * 0x100000001b3u; }

void board_show(const uint8_t *levels) {
  static const char digits[] = "0123456789abcdef";
  char time[24];
  unsigned long i;
  frames++;
  sprintf(time, "%lu ", now);
  for (i = 0; time[i]; i++) put((uint8_t)time[i]);
  for (i = 0; i < CHAIN_BYTES; i++) {
    put((uint8_t)digits[levels[i] >> 4]);
    put((uint8_t)digits[levels[i] & 15]);
  }
  put('\n');
}
#else
void board_show(const uint8_t *levels) {
  unsigned long i;
  printf("%lu ", now);
  for (i = 0; i < CHAIN_BYTES; i++) {
    printf("%02x", levels[i]);
  }
  printf("\n");
}
#endif

void board_wait_ms(uint16_t ms) {
  now += ms;
  for (chip_ms += ms; chip_ms >= 1000; chip_ms -= 1000) {
    chip_second();
  }
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
  memory = fopen("chip.txt", "r");
  if (memory) {
    for (came = 0; came < 7; came++) {
      if (fscanf(memory, "%d", &chip[came]) != 1) return 3;
    }
    came = 0;
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
  memory = fopen("chip.txt", "w");
  if (!memory) {
    return 3;
  }
  for (came = 0; came < 7; came++) {
    fprintf(memory, "%d\n", chip[came]);
  }
  fclose(memory);
#ifdef HASHED
  printf("%lu %016llx\n", frames, (unsigned long long)hash);
#endif
  return 0;
}
