/* @WHAT@ */
static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  while (count--) {
    shift_@N@((uint8_t)(*levels++ ^ @TURN@u));
  }
@LATCH@
}

