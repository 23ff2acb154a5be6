/* A voltage as 0 to 255 of the supply. */
static uint8_t measured(uint8_t channel) {
#ifdef REFS2 /* the small class holds it against the supply without being asked */
  ADMUX = (uint8_t)((1 << ADLAR) | channel);
#else
  ADMUX = (uint8_t)((1 << REFS0) | (1 << ADLAR) | channel);
#endif
  ADCSRA |= (1 << ADSC);
  while (ADCSRA & (1 << ADSC)) {
  }
  return ADCH;
}
