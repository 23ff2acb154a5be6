/* The environment of a hobby board over the emulated pins: an output keeps the level that was written before it became one. */
#include "stand_in_environment.h"

extern "C" {
void board_pin_out(uint8_t pin, uint8_t high);
void board_pin_set(uint8_t pin, uint8_t high);
void board_pin_free(uint8_t pin);
void board_wait_us(uint16_t us);
uint32_t board_now_us(void);
void board_spi_begin(uint32_t hertz);
void board_spi_send(uint8_t byte);
void sketch_main(void);
}

static uint8_t written[50];
static uint8_t outputs[50];

StandInSpi SPI;

void pinMode(uint8_t pin, uint8_t mode) {
  outputs[pin] = mode;
  if (mode == OUTPUT) {
    board_pin_out(pin, written[pin]);
  } else {
    board_pin_free(pin);
  }
}

void digitalWrite(uint8_t pin, uint8_t high) {
  written[pin] = high;
  if (outputs[pin]) {
    board_pin_set(pin, high);
  }
}

void delayMicroseconds(uint32_t us) { board_wait_us((uint16_t)us); }

unsigned long micros() { return board_now_us(); }

void StandInSpi::beginTransaction(SPISettings settings) { board_spi_begin(settings.hertz); }

uint8_t StandInSpi::transfer(uint8_t byte) {
  board_spi_send(byte);
  return 0;
}

void sketch_main(void) {
  setup();
  for (;;) {
    loop();
  }
}
