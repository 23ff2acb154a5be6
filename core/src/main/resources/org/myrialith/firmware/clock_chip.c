/* A clock chip on two open wires, taken up by resistors; 100 kHz at the most. */
#define CHIP 0x68u

@WIRES@
static void chip_start(void) {
  data_free();
  clock_free();
  chip_pause();
  data_low();
  chip_pause();
  clock_low();
}

static void chip_stop(void) {
  data_low();
  chip_pause();
  clock_free();
  chip_pause();
  data_free();
  chip_pause();
}

/* Sends a bit, or looks at the one that is sent while the wire is free. */
static uint8_t chip_bit(uint8_t one) {
  uint8_t seen;
  if (one) {
    data_free();
  } else {
    data_low();
  }
  chip_pause();
  clock_free();
  chip_pause();
  seen = data_high();
  clock_low();
  return seen;
}

/* Tells whether it was taken. */
static uint8_t chip_send(uint8_t byte) {
  uint8_t bits;
  for (bits = 0; bits < 8u; bits++) {
    chip_bit(byte & 0x80u);
    byte = (uint8_t)(byte << 1);
  }
  return !chip_bit(1);
}

static uint8_t chip_read(uint8_t more) {
  uint8_t byte = 0;
  uint8_t bits;
  for (bits = 0; bits < 8u; bits++) {
    byte = (uint8_t)(byte << 1 | chip_bit(1));
  }
  chip_bit(!more);
  return byte;
}

uint8_t board_clock(uint8_t *registers) {
  uint8_t i;
  uint8_t there;
  chip_start();
  there = chip_send(CHIP << 1) && chip_send(0);
  if (there) {
    chip_start();
    chip_send(CHIP << 1 | 1u);
    for (i = 0; i < 7u; i++) {
      registers[i] = chip_read(i < 6u);
    }
  }
  chip_stop();
  return there;
}

void board_set_clock(uint8_t number, uint8_t digits) {
  chip_start();
  if (chip_send(CHIP << 1) && chip_send(number)) {
    chip_send(digits);
  }
  chip_stop();
}
