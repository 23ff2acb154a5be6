/* @LINE@: two open wires; low is an output that pulls down, high an input that the pull-up takes up. The @FIRST@ bit comes first; on the
 * ninth clock the chip may answer. */
static void wire_@N@(uint8_t pin, uint8_t high) {
  if (high) {
    pin_free(pin);
  } else {
    pin_low(pin);
  }
}

static void wire_byte_@N@(uint8_t byte) {
  uint8_t bits;
  for (bits = 0; bits < 9u; bits++) {
    wire_@N@(@DATA@, bits == 8u || (byte & @MASK@u));
    byte = (uint8_t)(byte @TURN@ 1);
    wait_us(@LOW@);
    wire_@N@(@CLOCK@, 1);
    wait_us(@HIGH@);
    wire_@N@(@CLOCK@, 0);
  }
}

static void wire_start_@N@(void) {
  wire_@N@(@DATA@, 0);
  wait_us(@HIGH@);
  wire_@N@(@CLOCK@, 0);
}

static void wire_stop_@N@(void) {
  wire_@N@(@DATA@, 0);
  wait_us(@LOW@);
  wire_@N@(@CLOCK@, 1);
  wait_us(@HIGH@);
  wire_@N@(@DATA@, 1);
  wait_us(@LOW@);
}

static void wire_rest_@N@(void) {
  wire_@N@(@DATA@, 1);
  wire_@N@(@CLOCK@, 1);
}

