  for (pass = 0; pass < @PASSES@u; pass++) {
    uint8_t single = pgm_read_byte(&single_@N@[pass]);
    uint8_t steps = STEPS_@N@(pass);
    for (row = 0; row < @ROWS@u; row++) {
      uint8_t column;
      uint8_t bit;
      for (bit = 0; bit < steps; bit++) {
@DARK@
      }
      for (column = 0; column < @COLUMNS@u; column++) {
        uint16_t at = pgm_read_word(&place_@N@[row][column]);
        if (at != 0xffffu) {
          uint8_t level = @LEVEL@;
          uint8_t lit = pgm_read_byte(&column_bit_@N@@CELL@);
          uint8_t port = pgm_read_byte(&column_byte_@N@@CELL@);
@LIGHTING@
        }
      }
      slot += steps;
    }
  }
