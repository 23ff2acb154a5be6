static void tell_@N@(uint8_t command) {
  wire_start_@N@();
  wire_byte_@N@(command);
  wire_stop_@N@();
}

static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  tell_@N@(0x40); /* digits follow one after the other */
  wire_start_@N@();
  wire_byte_@N@(0xc0); /* from the first */
  while (count--) {
    wire_byte_@N@(*levels++);
  }
  wire_stop_@N@();
  tell_@N@(@ON@); /* on, and how bright */
}

static void start_line_@N@(void) { wire_rest_@N@(); }

