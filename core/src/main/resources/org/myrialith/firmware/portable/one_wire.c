/* @LINE@: by the SPI of the board, four of its bits for each: 1000 for a zero, 1100 for a one, so that a pause between two bytes falls
 * into a low. */
static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  while (count--) {
    uint8_t byte = *levels++;
    uint8_t pairs = 4;
    while (pairs--) {
      spi_send((uint8_t)(0x88u | (byte & 0x80u ? 0x40u : 0u) | (byte & 0x40u ? 0x04u : 0u)));
      byte = (uint8_t)(byte << 2);
    }
  }
}

static void start_line_@N@(void) { spi_begin(@HERTZ@ul); }

