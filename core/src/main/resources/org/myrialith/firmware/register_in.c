/* Contacts on parallel-in registers: all are taken at once, then clocked in, the chip next to the controller first. */
static uint8_t contacts@N@[@BYTES@];

static void take_contacts@N@(void) {
  uint8_t byte;
  uint8_t bit;
  @LOADLOW@
  @WAIT@
  @LOADHIGH@
  for (byte = 0; byte < @BYTES@u; byte++) {
    for (bit = 0; bit < 8u; bit++) {
      @WAIT@
      contacts@N@[byte] = (uint8_t)(contacts@N@[byte] << 1 | @DATAHIGH@);
      @CLOCKHIGH@
      @WAIT@
      @CLOCKLOW@
    }
  }
}

/* They pull their inputs low. */
static uint8_t contact@N@(uint8_t number, uint8_t first) {
  if (first) {
    take_contacts@N@();
  }
  return !(contacts@N@[number / 8u] >> (number % 8u) & 1u);
}

