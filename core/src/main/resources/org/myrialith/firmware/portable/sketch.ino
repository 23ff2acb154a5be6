// @TITLE@: @WHAT@. Open this folder, choose the board, upload. Pins are called by the numbers that the board has for them.
@INCLUDE@
extern "C" {
#include "pins.h"
void board_start(void);
void player_step(void);
}

void pin_out(uint8_t pin, uint8_t high) {
  digitalWrite(pin, high ? HIGH : LOW); /* before, so that nothing flashes, and after, as some boards want it */
  pinMode(pin, OUTPUT);
  digitalWrite(pin, high ? HIGH : LOW);
}

void pin_set(uint8_t pin, uint8_t high) { digitalWrite(pin, high ? HIGH : LOW); }

void pin_low(uint8_t pin) {
  pinMode(pin, OUTPUT);
  digitalWrite(pin, LOW);
}

void pin_free(uint8_t pin) { pinMode(pin, INPUT); }

@LISTENS@
void wait_us(uint16_t us) { delayMicroseconds(us); }

uint32_t now_us(void) { return micros(); }

@SPI@
void setup() { board_start(); }

void loop() { player_step(); }
