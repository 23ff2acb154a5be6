static void tell_@N@(uint8_t chip, uint8_t command) {
  wire_start_@N@();
  wire_byte_@N@((uint8_t)((@ADDRESS@u + chip) << 1));
  wire_byte_@N@(command);
  wire_stop_@N@();
}

static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  uint8_t address = @ADDRESS@u << 1;
  while (count--) {
    uint8_t bytes = 16;
    wire_start_@N@();
    wire_byte_@N@(address);
    wire_byte_@N@(0); /* from the first common: rows 0 to 7, then 8 to 15 */
    while (bytes--) {
      wire_byte_@N@(*levels++);
    }
    wire_stop_@N@();
    address = (uint8_t)(address + 2u);
  }
}

/* The clock of each chip, how bright, all dark, and on. */
static void start_line_@N@(void) {
  uint8_t chip;
  wire_rest_@N@();
  for (chip = 0; chip < @CHIPS@u; chip++) {
    uint8_t bytes = 16;
    tell_@N@(chip, 0x21);
    tell_@N@(chip, 0xe0 + @STEP@);
    wire_start_@N@();
    wire_byte_@N@((uint8_t)((@ADDRESS@u + chip) << 1));
    wire_byte_@N@(0);
    while (bytes--) {
      wire_byte_@N@(0);
    }
    wire_stop_@N@();
    tell_@N@(chip, 0x81);
  }
}

