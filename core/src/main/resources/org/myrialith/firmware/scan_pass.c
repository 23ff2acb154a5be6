  for (row = 0; row < @ROWS@u; row++) {
    uint8_t column;
    uint8_t bit;
    for (bit = 0; bit < @STEPS@u; bit++) {
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
    slot += @STEPS@u;
  }
