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

void pin_listen(uint8_t pin, uint8_t pull_up) { pinMode(pin, pull_up ? INPUT_PULLUP : INPUT); }

uint8_t pin_get(uint8_t pin) { return digitalRead(pin) == HIGH; }

@MEASURE@
void wait_us(uint16_t us) { delayMicroseconds(us); }

uint32_t now_us(void) { return micros(); }

@SPI@
void setup() { board_start(); }

void loop() { player_step(); }
