static void send_zeros_@N@(uint16_t count) {
  while (count--) {
    shift_@N@(0);
  }
}

/* zeros, a head and three levels a pixel, zeros that push the levels to the last pixel */
static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  send_zeros_@N@(@START@);
  while (count--) {
    shift_@N@(@HEAD@);
    shift_@N@(*levels++);
    shift_@N@(*levels++);
    shift_@N@(*levels++);
  }
  send_zeros_@N@(@END@);
}

