static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  uint8_t address = @ADDRESS@u << 1;
  while (count--) {
    wire_start_@N@();
    wire_byte_@N@(address);
@REGISTER@
@FIRST@
@SECOND@
    wire_stop_@N@();
    address = (uint8_t)(address + 2u);
  }
}

