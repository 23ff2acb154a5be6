/* Runs firmware on a simulated 8-bit controller for a number of cycles and writes pins as a value change dump.
 * usage: pin_trace CORE HZ CYCLES FIRMWARE.elf OUT.vcd PIN...   such as B0, B0+ with a pull-up, or B0d for whether it is driven
 * With @FILE for a pin, inputs are set by a script of lines "MICROSECONDS PIN VALUE": 0 or 1, or for a0 and so on a voltage in mV, for u0 a
 * letter to the serial port; gD2C1 a contact between row D2 and column C1, closed while its value is 1; rD0D1D2D3 a chain of two parallel-in
 * registers (data, clock, load, clock inhibit) whose inputs A to H and A to H are those bits, low where they are 1; tD2 and so on is a pad, which fills by a resistor, and longer while its value is 1; cC45 is a clock chip,
 * data on bit 4 and clock on bit 5 of port C, at so many seconds after 23:59 of 31 December 2026.
 * What is kept while power is off is that of kept.bin, if there is one, and is left there.
 * Prints "stack N": the most bytes of RAM the stack took. */
#include <simavr/avr_adc.h>
#include <simavr/avr_eeprom.h>
#include <simavr/avr_ioport.h>
#include <simavr/avr_uart.h>
#include <simavr/sim_avr.h>
#include <simavr/sim_elf.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>

static avr_t *avr;
static uint32_t hz;
static FILE *out;
#define MOST_PINS 64

static int level[MOST_PINS];

static unsigned long long nanos(void) {
  return (unsigned long long)((__uint128_t)avr->cycle * 1000000000u / hz);
}

static void on_pin(struct avr_irq_t *irq, uint32_t value, void *param) {
  int now = (int)(value & 1u);
  int wire = (int)(intptr_t)param;
  (void)irq;
  if (now != level[wire] && avr->cycle > 0) {
    level[wire] = now;
    fprintf(out, "#%llu\n%d%c\n", nanos(), now, '!' + wire);
  }
}

static int direction_bit[MOST_PINS];

static void on_direction(struct avr_irq_t *irq, uint32_t value, void *param) {
  on_pin(irq, value >> direction_bit[(intptr_t)param], param);
}

#define MOST_EVENTS 100000

static struct {
  avr_cycle_count_t at;
  char port;
  int bit;
  uint32_t value;
} script[MOST_EVENTS];
static int events;
static int next_event;
static uint8_t set_mask[26];
static uint8_t set_value[26];

static int read_script(const char *name) {
  unsigned long micros;
  unsigned value;
  char pin[12];
  FILE *in = fopen(name, "r");
  if (!in) return 0;
  while (events < MOST_EVENTS && fscanf(in, "%lu %11s %u", &micros, pin, &value) == 3) {
    script[events].at = (avr_cycle_count_t)((unsigned long long)micros * hz / 1000000u);
    script[events].port = pin[0];
    script[events].bit = pin[0] == 'c' ? (pin[1] - 'A') * 64 + (pin[2] - '0') * 8 + pin[3] - '0' : pin[0] == 't' ? (pin[1] - 'A') * 8 + pin[2] - '0' : pin[1] - '0';
    if (pin[0] == 'g') script[events].bit = ((pin[1] - 'A') * 8 + pin[2] - '0') * 256 + (pin[3] - 'A') * 8 + pin[4] - '0';
    if (pin[0] == 'r') {
      int i;
      script[events].bit = 0;
      for (i = 0; i < 4; i++) script[events].bit = script[events].bit << 8 | ((pin[1 + 2 * i] - 'A') * 8 + pin[2 + 2 * i] - '0');
    }
    script[events].value = value;
    events++;
  }
  fclose(in);
  return 1;
}

static void set_pin(char port, int bit, uint32_t value) {
  avr_ioport_external_t external = {.name = (unsigned char)port};
  set_mask[port - 'A'] |= (uint8_t)(1 << bit);
  set_value[port - 'A'] = (uint8_t)((set_value[port - 'A'] & ~(1 << bit)) | (int)(value << bit));
  external.mask = set_mask[port - 'A'];
  external.value = set_value[port - 'A'];
  avr_ioctl(avr, AVR_IOCTL_IOPORT_SET_EXTERNAL(port), &external);
  avr_raise_irq(avr_io_getirq(avr, AVR_IOCTL_IOPORT_GETIRQ(port), bit), value);
}

/* pads */
static uint8_t finger[26 * 8];
static uint8_t is_pad[26 * 8];
static uint8_t driven[26];

static avr_cycle_count_t full(struct avr_t *a, avr_cycle_count_t when, void *param) {
  int pad = (int)(intptr_t)param;
  (void)a;
  (void)when;
  if (!(driven[pad / 8] & (1 << pad % 8))) set_pin((char)('A' + pad / 8), pad % 8, 1);
  return 0;
}

/* While it is an output, it is emptied; from then on it fills: 15 pF by 1 Mohm, with a finger 60. */
static void on_pad(struct avr_irq_t *irq, uint32_t value, void *param) {
  int port = (int)(intptr_t)param;
  int bit;
  (void)irq;
  for (bit = 0; bit < 8; bit++) {
    int pad = port * 8 + bit;
    int was = driven[port] >> bit & 1;
    int is = (int)(value >> bit & 1);
    if (!is_pad[pad] || was == is) continue;
    driven[port] = (uint8_t)((driven[port] & ~(1 << bit)) | (is << bit));
    if (is) {
      set_pin((char)('A' + port), bit, 0);
    } else {
      avr_cycle_timer_register_usec(avr, finger[pad] ? 42 : 10, full, (void *)(intptr_t)pad);
    }
  }
}

static void set_finger(int pad, uint32_t value) {
  char port = (char)('A' + pad / 8);
  int bit;
  int any = 0;
  for (bit = 0; bit < 8; bit++) any |= is_pad[pad / 8 * 8 + bit];
  if (!any) {
    avr_irq_register_notify(avr_io_getirq(avr, AVR_IOCTL_IOPORT_GETIRQ(port), IOPORT_IRQ_DIRECTION_ALL), on_pad,
                            (void *)(intptr_t)(port - 'A'));
  }
  is_pad[pad] = 1;
  finger[pad] = (uint8_t)value;
}

/* contacts between rows and columns: a column is low while a closed contact joins it to a row that is driven low, else its pull-up has it high */
static struct {
  int row, column, closed;
} contact[64];
static int contacts;
static uint8_t row_driven[26];
static uint8_t row_level[26];
static uint8_t row_heard[26];

static void columns_follow(void) {
  int i;
  int j;
  for (i = 0; i < contacts; i++) {
    int low = 0;
    for (j = 0; j < contacts; j++) {
      int row = contact[j].row;
      if (contact[j].column == contact[i].column && contact[j].closed && row_driven[row / 8] >> row % 8 & 1 && !(row_level[row / 8] >> row % 8 & 1)) low = 1;
    }
    set_pin((char)('A' + contact[i].column / 8), contact[i].column % 8, !low);
  }
}

static void on_row_direction(struct avr_irq_t *irq, uint32_t value, void *param) {
  (void)irq;
  row_driven[(intptr_t)param] = (uint8_t)value;
  columns_follow();
}

static void on_row_level(struct avr_irq_t *irq, uint32_t value, void *param) {
  (void)irq;
  row_level[(intptr_t)param] = (uint8_t)value;
  columns_follow();
}

static void set_contact(int where, uint32_t value) {
  int row = where / 256;
  int i = 0;
  while (i < contacts && (contact[i].row != row || contact[i].column != where % 256)) i++;
  if (i == contacts) contacts++;
  contact[i].row = row;
  contact[i].column = where % 256;
  contact[i].closed = (int)value;
  if (!row_heard[row / 8]) {
    row_heard[row / 8] = 1;
    avr_irq_register_notify(avr_io_getirq(avr, AVR_IOCTL_IOPORT_GETIRQ((char)('A' + row / 8)), IOPORT_IRQ_DIRECTION_ALL), on_row_direction, (void *)(intptr_t)(row / 8));
    avr_irq_register_notify(avr_io_getirq(avr, AVR_IOCTL_IOPORT_GETIRQ((char)('A' + row / 8)), IOPORT_IRQ_REG_PORT), on_row_level, (void *)(intptr_t)(row / 8));
  }
  columns_follow();
}

/* Two parallel-in registers in a chain, by the function table of the class (8 bits, HC family): while load is low all stages take their
 * inputs, whatever the clock does; while it is high and clock inhibit low, at each rise of the clock every stage takes what the one before
 * it has, the first what comes in by its serial input; while clock inhibit is high the clock does nothing. The output is the last stage, H.
 * The serial input of the nearer register is the output of the farther one. */
static struct {
  int data, pin[3]; /* clock, load, inhibit */
  int level[3];
  uint32_t inputs;
  uint8_t stage[2][8];
} in_chain;

static void chain_shows(void) { set_pin((char)('A' + in_chain.data / 8), in_chain.data % 8, in_chain.stage[0][7]); }

static void chain_loads(void) {
  int chip;
  int stage;
  for (chip = 0; chip < 2; chip++)
    for (stage = 0; stage < 8; stage++) in_chain.stage[chip][stage] = !(in_chain.inputs >> (8 * chip + stage) & 1);
}

static void on_chain(struct avr_irq_t *irq, uint32_t value, void *param) {
  int which = (int)(intptr_t)param;
  int was = in_chain.level[which];
  (void)irq;
  in_chain.level[which] = (int)(value & 1u);
  if (!in_chain.level[1]) {
    chain_loads();
  } else if (which == 0 && !was && in_chain.level[0] && !in_chain.level[2]) {
    int stage;
    for (stage = 7; stage > 0; stage--) in_chain.stage[0][stage] = in_chain.stage[0][stage - 1];
    in_chain.stage[0][0] = in_chain.stage[1][7];
    for (stage = 7; stage > 0; stage--) in_chain.stage[1][stage] = in_chain.stage[1][stage - 1];
    in_chain.stage[1][0] = 0;
  }
  chain_shows();
}

static void set_chain(int where, uint32_t value) {
  static int there;
  int i;
  in_chain.inputs = value;
  if (!there) {
    there = 1;
    in_chain.data = where >> 24 & 255;
    for (i = 0; i < 3; i++) {
      int pin = where >> (16 - 8 * i) & 255;
      in_chain.pin[i] = pin;
      avr_irq_register_notify(avr_io_getirq(avr, AVR_IOCTL_IOPORT_GETIRQ((char)('A' + pin / 8)), pin % 8), on_chain, (void *)(intptr_t)i);
    }
  }
  if (!in_chain.level[1]) chain_loads();
  chain_shows();
}

/* a clock chip: its registers from seconds to year, as a part that listens to two open wires */
static struct {
  int port, data, clock;
  int data_up, clock_up; /* as the controller leaves them */
  int listening, count, bit, reading, acked;
  uint8_t byte, at;
  int fields[7];
  avr_cycle_count_t since;
} chip = {.data_up = 1, .clock_up = 1};

static void chip_second(void) {
  static const int ends[3] = {60, 60, 24};
  static const int days[12] = {31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31};
  int i;
  for (i = 0; i < 3; i++) {
    if (++chip.fields[i] < ends[i]) return;
    chip.fields[i] = 0;
  }
  chip.fields[3] = chip.fields[3] % 7 + 1;
  if (++chip.fields[4] <= days[chip.fields[5] - 1]) return;
  chip.fields[4] = 1;
  if (++chip.fields[5] <= 12) return;
  chip.fields[5] = 1;
  chip.fields[6]++;
}

static void chip_now(void) {
  for (; avr->cycle - chip.since >= hz; chip.since += hz) chip_second();
}

static void chip_pull(int low) { set_pin((char)('A' + chip.port), chip.data, !low); }

static void chip_byte(void) {
  if (chip.count++ == 0) {
    chip.reading = chip.byte & 1;
    chip.listening = chip.byte >> 1 == 0x68;
  } else if (!chip.reading && chip.count == 2) {
    chip.at = chip.byte;
  } else if (!chip.reading) {
    chip.fields[chip.at] = chip.byte / 16 * 10 + chip.byte % 16;
    if (chip.at++ == 0) chip.since = avr->cycle;
  }
}

static void chip_falls(void) {
  if (!chip.listening) return;
  chip.bit = chip.bit == 8 ? 0 : chip.bit + 1;
  if (chip.bit == 0 && chip.reading && chip.count > 0) {
    if (!chip.acked) {
      chip.listening = 0;
      return;
    }
    chip.byte = (uint8_t)(chip.fields[chip.at % 7] / 10 * 16 + chip.fields[chip.at % 7] % 10);
    chip.at++;
    chip.count++;
  }
  if (chip.reading && chip.count > 0 && chip.bit < 8) {
    chip_pull(!(chip.byte >> (7 - chip.bit) & 1));
  } else if (chip.bit == 8 && !(chip.reading && chip.count > 0)) {
    chip_byte();
    chip.acked = 1;
    chip_pull(chip.listening);
  } else {
    chip_pull(0);
  }
}

static void on_chip(struct avr_irq_t *irq, uint32_t value, void *param) {
  int data = !(value >> chip.data & 1);
  int clock = !(value >> chip.clock & 1);
  int was_data = chip.data_up;
  int was_clock = chip.clock_up;
  (void)irq;
  (void)param;
  chip.data_up = data;
  chip.clock_up = clock;
  chip_now();
  if (clock && was_clock && was_data && !data) {
    chip.listening = 1;
    chip.count = 0;
    chip.reading = 0;
    chip.bit = -1;
  } else if (clock && was_clock && !was_data && data) {
    chip.listening = 0;
    chip_pull(0);
  } else if (clock && !was_clock) {
    if (chip.bit == 8 && chip.reading && chip.count > 1) chip.acked = !data; /* of what it has sent */
    if (chip.bit < 8 && !(chip.reading && chip.count > 0)) chip.byte = (uint8_t)(chip.byte << 1 | data);
  } else if (!clock && was_clock) {
    chip_falls();
  }
}

static void place_chip(int where, uint32_t seconds) {
  const int fields[7] = {(int)seconds, 59, 23, 4, 31, 12, 26};
  chip.port = where / 64;
  chip.data = where / 8 % 8;
  chip.clock = where % 8;
  memcpy(chip.fields, fields, sizeof fields);
  chip.since = avr->cycle;
  avr_irq_register_notify(
      avr_io_getirq(avr, AVR_IOCTL_IOPORT_GETIRQ((char)('A' + chip.port)), IOPORT_IRQ_DIRECTION_ALL), on_chip, NULL);
  set_pin((char)('A' + chip.port), chip.clock, 1);
  chip_pull(0);
}

/* memory that keeps */
#define KEPT_MOST 8192

static void keep(int leave) {
  static uint8_t bytes[KEPT_MOST];
  avr_eeprom_desc_t all = {.ee = bytes, .offset = 0, .size = avr->e2end + 1u};
  FILE *file = fopen("kept.bin", leave ? "wb" : "rb");
  if (!file || all.size > KEPT_MOST) return;
  if (leave) {
    avr_ioctl(avr, AVR_IOCTL_EEPROM_GET, &all);
    fwrite(all.ee, 1, all.size, file);
  } else if (fread(bytes, 1, all.size, file) == all.size) {
    avr_ioctl(avr, AVR_IOCTL_EEPROM_SET, &all);
  }
  fclose(file);
}

static void set_inputs(void) {
  while (next_event < events && script[next_event].at <= avr->cycle) {
    char port = script[next_event].port;
    int bit = script[next_event].bit;
    uint32_t value = script[next_event].value;
    next_event++;
    if (port == 'a') {
      avr_raise_irq(avr_io_getirq(avr, AVR_IOCTL_ADC_GETIRQ, ADC_IRQ_ADC0 + bit), value);
    } else if (port == 'u') {
      avr_raise_irq(avr_io_getirq(avr, AVR_IOCTL_UART_GETIRQ('0'), UART_IRQ_INPUT), value);
    } else if (port == 'c') {
      place_chip(bit, value);
    } else if (port == 'g') {
      set_contact(bit, value);
    } else if (port == 'r') {
      set_chain(bit, value);
    } else if (port == 't') {
      set_finger(bit, value);
    } else {
      set_pin(port, bit, value);
    }
  }
}

/* A pin that nobody drives is taken up by a resistor, beside those of its port that are already. */
static void pull_up(const char *pin) {
  static uint8_t up[26];
  uint8_t *port = &up[pin[0] - 'A'];
  avr_ioport_external_t external = {.name = (unsigned char)pin[0]};
  *port |= (uint8_t)(1 << (pin[1] - '0'));
  set_mask[pin[0] - 'A'] |= *port;
  set_value[pin[0] - 'A'] |= *port;
  external.mask = *port;
  external.value = *port;
  avr_ioctl(avr, AVR_IOCTL_IOPORT_SET_EXTERNAL(pin[0]), &external);
}

static void no_sleep(avr_t *a, avr_cycle_count_t n) {
  (void)a;
  (void)n;
}

int main(int argc, char **argv) {
  elf_firmware_t firmware;
  avr_cycle_count_t end;
  unsigned deepest = 0;
  unsigned before = 0;
  unsigned steady = 0;
  int state = cpu_Running;
  int wire;
  memset(&firmware, 0, sizeof firmware);
  if (argc < 7 || argc > 6 + MOST_PINS || elf_read_firmware(argv[4], &firmware)) {
    fprintf(stderr, "usage: pin_trace CORE HZ CYCLES FIRMWARE.elf OUT.vcd PIN...\n");
    return 2;
  }
  hz = (uint32_t)strtoul(argv[2], 0, 10);
  avr = avr_make_mcu_by_name(argv[1]);
  out = fopen(argv[5], "w");
  if (!avr || !out) {
    fprintf(stderr, "no core %s or can't write\n", argv[1]);
    return 2;
  }
  avr_init(avr);
  avr->log = LOG_ERROR;
  avr_load_firmware(avr, &firmware);
  {
    uint32_t flags = 0;
    avr_ioctl(avr, AVR_IOCTL_UART_SET_FLAGS('0'), &flags); /* nothing of it is printed */
  }
  avr->frequency = hz;
  avr->sleep = no_sleep;
  keep(0);
  fprintf(out, "$timescale 1 ns $end\n$scope module top $end\n");
  avr->vcc = avr->avcc = avr->aref = 5000;
  if (argv[argc - 1][0] == '@') {
    argc--;
    if (!read_script(argv[argc] + 1)) {
      fprintf(stderr, "can't read %s\n", argv[argc]);
      return 2;
    }
  }
  for (wire = 0; wire < argc - 6; wire++) {
    const char *pin = argv[6 + wire];
    if (pin[2] == '+') {
      pull_up(pin);
      level[wire] = 1;
    }
    if (pin[2] == 'd') {
      direction_bit[wire] = pin[1] - '0';
      avr_irq_register_notify(avr_io_getirq(avr, AVR_IOCTL_IOPORT_GETIRQ(pin[0]), IOPORT_IRQ_DIRECTION_ALL), on_direction,
                              (void *)(intptr_t)wire);
    } else {
      avr_irq_register_notify(avr_io_getirq(avr, AVR_IOCTL_IOPORT_GETIRQ(pin[0]), pin[1] - '0'), on_pin,
                              (void *)(intptr_t)wire);
    }
    fprintf(out, "$var wire 1 %c %.2s%s $end\n", '!' + wire, pin, pin[2] == 'd' ? "d" : "");
  }
  fprintf(out, "$upscope $end\n$enddefinitions $end\n#0\n$dumpvars\n");
  for (wire = 0; wire < argc - 6; wire++) {
    fprintf(out, "%d%c\n", level[wire], '!' + wire);
  }
  fprintf(out, "$end\n");
  end = strtoull(argv[3], 0, 10);
  while (avr->cycle < end && state != cpu_Done && state != cpu_Crashed) {
    unsigned sp;
    set_inputs();
    state = avr_run(avr);
    sp = avr->data[R_SPL] | (unsigned)avr->data[R_SPH] << 8;
    steady = sp == before ? steady + 1 : 0; /* it is written in two halves, two steps apart */
    before = sp;
    if (steady >= 2 && sp > 0x60 && avr->cycle > 200 && avr->ramend - sp > deepest && avr->ramend >= sp) deepest = avr->ramend - sp;
  }
  fprintf(out, "#%llu\n", nanos() + 1000000u);
  fclose(out);
  keep(1);
  printf("stack %u\n", deepest);
  return state == cpu_Crashed ? 4 : 0;
}
