/* Stands in for a board with a 32-bit core: pins that cost time, a clock that runs as they are used, SPI as a wire. Writes all as a value
 * change dump until its time is over. Start-up for a small core in an emulator, which takes the dump by semihosting. */
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>

#include "board_facts.h" /* PIN_NANOS, NOW_NANOS, END_NANOS, SPI_PIN, PULLED_UP */

#ifdef SKETCH /* the sketch brings these itself, over the environment's, and that over these */
#define pin_out board_pin_out
#define pin_set board_pin_set
#define pin_free board_pin_free
#define wait_us board_wait_us
#define now_us board_now_us
#define spi_begin board_spi_begin
#define spi_send board_spi_send
#endif

#define PINS 50
#define TOLD 44 /* pins of which it is told whether they are outputs, as wires with a d behind */

extern uint32_t _estack, _sdata, _edata, _sidata, _sbss, _ebss;
extern void initialise_monitor_handles(void);
int main(void);

void reset(void) {
  uint32_t *from = &_sidata;
  uint32_t *to;
  for (to = &_sdata; to < &_edata;) *to++ = *from++;
  for (to = &_sbss; to < &_ebss;) *to++ = 0;
  initialise_monitor_handles();
  exit(main());
}

static void stuck(void) {
  for (;;) {
  }
}

__attribute__((section(".vectors"), used)) static void *const vectors[] = {&_estack, (void *)reset, (void *)stuck, (void *)stuck};

static uint64_t now;
static uint8_t level[PINS];
static uint8_t output[PINS];
static FILE *dump;
static uint32_t spi_nanos;

/* inputs by a script of lines "MICROSECONDS PIN READING" */
#define MOST_EVENTS 300

static struct {
  uint64_t at;
  uint8_t pin;
  uint8_t reading;
} script[MOST_EVENTS];
static int events;
static int next_event;
static uint8_t reading[PINS];

static void read_script(void) {
  unsigned long micros;
  unsigned pin;
  unsigned value;
  FILE *in = fopen("hands.txt", "r");
  if (!in) return;
  while (events < MOST_EVENTS && fscanf(in, "%lu %u %u", &micros, &pin, &value) == 3) {
    script[events].at = (uint64_t)micros * 1000u;
    script[events].pin = (uint8_t)pin;
    script[events].reading = (uint8_t)value;
    events++;
  }
  fclose(in);
}

static void set_inputs(void) {
  while (next_event < events && script[next_event].at <= now) {
    reading[script[next_event].pin] = script[next_event].reading;
    next_event++;
  }
}

static void finish(void) {
  fprintf(dump, "#%llu\n", (unsigned long long)(now + 1000000u));
  fclose(dump);
  exit(0);
}

static void pass(uint32_t nanos) {
  now += nanos;
  set_inputs();
  if (now >= END_NANOS) {
    finish();
  }
}

static void put(uint8_t pin, uint8_t high) {
  if (level[pin] != high) {
    level[pin] = high;
    fprintf(dump, "#%llu\n%u%c\n", (unsigned long long)now, high, '!' + pin);
  }
}

static void direct(uint8_t pin, uint8_t out) {
  if (output[pin] != out) {
    output[pin] = out;
    if (pin < TOLD) fprintf(dump, "#%llu\n%u%c\n", (unsigned long long)now, out, '!' + PINS + pin);
  }
}

static void open_dump(void) {
  static char buffer[8192];
  unsigned pin;
  if (dump) return;
  read_script();
  dump = fopen("simulated.vcd", "w");
  setvbuf(dump, buffer, _IOFBF, sizeof buffer);
  fprintf(dump, "$timescale 1 ns $end\n$scope module top $end\n");
  for (pin = 0; pin < PINS; pin++) fprintf(dump, "$var wire 1 %c P%u $end\n", '!' + pin, pin);
  for (pin = 0; pin < TOLD; pin++) fprintf(dump, "$var wire 1 %c P%ud $end\n", '!' + PINS + pin, pin);
  fprintf(dump, "$upscope $end\n$enddefinitions $end\n#0\n$dumpvars\n");
  for (pin = 0; pin < PINS; pin++) {
    level[pin] = PULLED_UP(pin);
    fprintf(dump, "%u%c\n", level[pin], '!' + pin);
  }
  fprintf(dump, "$end\n");
  now = 1000;
}

void pin_out(uint8_t pin, uint8_t high) {
  open_dump();
  direct(pin, 1);
  put(pin, high);
  pass(PIN_NANOS);
}

void pin_set(uint8_t pin, uint8_t high) {
  open_dump();
  if (!output[pin]) {
    fprintf(stderr, "pin %u is no output\n", pin);
    exit(1);
  }
  put(pin, high);
  pass(PIN_NANOS);
}

#ifndef SKETCH
void pin_low(uint8_t pin) {
  pin_out(pin, 0);
  pin_set(pin, 0);
}
#endif

void pin_free(uint8_t pin) {
  open_dump();
  direct(pin, 0);
  put(pin, PULLED_UP(pin));
  pass(PIN_NANOS);
}

#ifndef SKETCH
void pin_listen(uint8_t pin, uint8_t pull_up) {
  (void)pull_up;
  pin_free(pin);
}

uint8_t pin_get(uint8_t pin) { return reading[pin]; }

uint8_t pin_measure(uint8_t pin) { return reading[pin]; }
#endif

void wait_us(uint16_t us) {
  open_dump();
  pass(us * 1000u);
}

uint32_t now_us(void) {
  open_dump();
  pass(NOW_NANOS);
  return (uint32_t)(now / 1000u);
}

void spi_begin(uint32_t hertz) {
  open_dump();
  spi_nanos = (uint32_t)(10000000000ull / hertz); /* in tenths */
}

void spi_send(uint8_t byte) {
  static uint32_t rest;
  uint8_t bits;
  for (bits = 0; bits < 8u; bits++) {
    put(SPI_PIN, byte >> 7);
    byte = (uint8_t)(byte << 1);
    rest += spi_nanos;
    pass(rest / 10u);
    rest %= 10u;
  }
}

#ifdef SKETCH
int main(void) {
  extern void sketch_main(void);
  sketch_main();
  return 0;
}
#else
void board_start(void);
void player_step(void);

int main(void) {
  board_start();
  for (;;) {
    player_step();
  }
}
#endif
