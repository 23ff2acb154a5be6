static void load_@N@(void) {
  @LOADUP@
  @LOADDOWN@
}

/* the same into all chips */
static void tell_all_@N@(uint8_t where, uint8_t what) {
  uint8_t chip;
  for (chip = 0; chip < @CHIPS@u; chip++) {
    shift_@N@(where);
    shift_@N@(what);
  }
  load_@N@();
}

static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  uint8_t digit;
  for (digit = 1; digit <= 8u; digit++) {
    const uint8_t *from = levels + count;
    uint8_t chip;
    for (chip = 0; chip < @CHIPS@u; chip++) {
      from -= 8;
      shift_@N@(digit);
      shift_@N@(from[digit - 1u]);
    }
    load_@N@();
  }
}

static void start_line_@N@(void) {
  uint8_t digit;
@PINS@
  tell_all_@N@(15, 0); /* no test */
  tell_all_@N@(9, 0); /* bits as they are */
  tell_all_@N@(11, 7); /* all digits by turns */
  tell_all_@N@(10, @STEP@); /* brightness */
  for (digit = 1; digit <= 8u; digit++) {
    tell_all_@N@(digit, 0);
  }
  tell_all_@N@(12, 1); /* run */
}

