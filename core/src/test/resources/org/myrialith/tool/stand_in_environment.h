/* What the environment of a hobby board brings to each sketch, over the pins of the emulated board. */
#include <stdint.h>

#define HIGH 1
#define LOW 0
#define OUTPUT 1
#define INPUT 0
#define MSBFIRST 1
#define SPI_MODE0 0

void pinMode(uint8_t pin, uint8_t mode);
void digitalWrite(uint8_t pin, uint8_t high);
void delayMicroseconds(uint32_t us);
unsigned long micros();
void setup();
void loop();

struct SPISettings {
  uint32_t hertz;
  SPISettings(uint32_t clock, int, int) : hertz(clock) {}
};

struct StandInSpi {
  void begin() {}
  void beginTransaction(SPISettings settings);
  uint8_t transfer(uint8_t byte);
};

extern StandInSpi SPI;
