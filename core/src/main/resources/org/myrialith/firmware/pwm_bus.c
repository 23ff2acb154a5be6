static const uint16_t levels_at_@N@[] TABLE_OF_LINE = {
@PLACES@};

/* Each output is told when to go on, at once, and when to go off; dark is a bit of its own. */
static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  const uint16_t *place = levels_at_@N@;
  uint8_t address = @ADDRESS@u << 1;
  while (count--) {
    uint8_t outputs = 16;
    wire_start_@N@();
    wire_byte_@N@(address);
    wire_byte_@N@(6); /* the first output; the others follow by themselves */
    while (outputs--) {
      uint16_t at = READ_PLACE;
      uint8_t high = 0;
      uint8_t low = 0;
      if (at != 0xffffu) {
        high = levels[at];
        low = levels[at + 1u];
      }
      if ((high | low) == 0) {
        high = 0x10;
      }
      wire_byte_@N@(0);
      wire_byte_@N@(0);
      wire_byte_@N@(low);
      wire_byte_@N@(high);
    }
    wire_stop_@N@();
    address = (uint8_t)(address + 2u);
  }
}

static void tell_@N@(uint8_t chip, uint8_t at, uint8_t value) {
  wire_start_@N@();
  wire_byte_@N@((uint8_t)((@ADDRESS@u + chip) << 1));
  wire_byte_@N@(at);
  wire_byte_@N@(value);
  wire_stop_@N@();
}

/* All dark; asleep, as the clock is set only then: 25 MHz / 4096 / 6; then awake. */
static void start_line_@N@(void) {
  uint8_t chip;
  wire_rest_@N@();
  for (chip = 0; chip < @CHIPS@u; chip++) {
    tell_@N@(chip, 0x00, 0x30);
    tell_@N@(chip, 0xfe, 5);
    tell_@N@(chip, 0x01, @OUTPUTS@);
    tell_@N@(chip, 0xfd, 0x10);
    tell_@N@(chip, 0x00, 0x20);
  }
  PAUSE;
}

