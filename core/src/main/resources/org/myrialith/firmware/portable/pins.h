/* What the board has to bring to the player: pins by their numbers, and time. The sketches bring it by what every board's environment
 * has; for plain C, write these few functions with what your board has. */
#ifndef PINS_H
#define PINS_H

#include <stdint.h>

/* Makes a pin an output at that level. */
void pin_out(uint8_t pin, uint8_t high);

/* Sets an output. */
void pin_set(uint8_t pin, uint8_t high);

/* Makes a pin an output that pulls to ground. */
void pin_low(uint8_t pin);

/* Makes a pin an input, so that a resistor takes it up. */
void pin_free(uint8_t pin);

/* Of inputs only. Makes a pin an input, with a pull-up inside or without. */
void pin_listen(uint8_t pin, uint8_t pull_up);

/* Of inputs only. 1 while it is high. */
uint8_t pin_get(uint8_t pin);

/* Of sensors only. 0 to 255 of the supply. */
uint8_t pin_measure(uint8_t pin);

/* Of messages only. Opens the serial port. */
void serial_begin(uint32_t baud);

/* Of messages only. The next letter that came in, -1 for none. */
int16_t serial_get(void);

/* Of values that are kept over power-off only: that many bytes are. */
void keep_begin(uint16_t bytes);
uint8_t keep_get(uint16_t at);
void keep_put(uint16_t at, uint8_t byte, uint8_t last);

/* Waits at least so many microseconds. */
void wait_us(uint16_t us);

/* Microseconds that have passed; starts again at 0 after 2^32. */
uint32_t now_us(void);

/* SPI of the board, the highest bit first, data low at rest. Asked for by one-wire pixels only. */
void spi_begin(uint32_t hertz);
void spi_send(uint8_t byte);

#endif
