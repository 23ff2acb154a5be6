/* Stands in for the environment of a hobby board: a main that sets timers up as pulse makers, keeps a clock by an interrupt, and calls
 * setup() once and loop() for ever. */
#include <avr/interrupt.h>
#include <avr/io.h>

void setup();
void loop();

static volatile unsigned long overflows;

ISR(TIMER0_OVF_vect) { overflows++; }

int main() {
  TCCR0A = (1 << WGM01) | (1 << WGM00);
  TCCR0B = (1 << CS01) | (1 << CS00);
#ifdef TCNT1L
  TIMSK0 = 1 << TOIE0;
  TCCR1A = 1 << WGM10;
  TCCR1B = (1 << CS11) | (1 << CS10);
#else
  TIMSK = 1 << TOIE0;
#endif
  sei();
  setup();
  for (;;) {
    loop();
  }
}
