static void shift_@N@(uint8_t byte) {
  uint8_t bits = 8;
  while (bits--) {
    pin_set(@DATA@, byte & 0x80u ? 1 : 0);
    pin_set(@CLOCK@, 1);
    byte = (uint8_t)(byte << 1);
    pin_set(@CLOCK@, 0);
  }
}

static void latch_@N@(void) {
  pin_set(@LATCH@, 1);
  pin_set(@LATCH@, 0);
}

/* The columns of a slot, or of nothing, for the next latch. */
static void columns_@N@(const struct slot_@N@ *slot) {
  uint8_t at;
  for (at = @COLUMNBYTES@u; at > 0u; at--) {
    uint8_t byte = 0;
    uint8_t bit;
    for (bit = 8; bit > 0u; bit--) {
      uint8_t column = (uint8_t)(at * 8u + bit - 9u);
      byte = (uint8_t)(byte << 1);
      if (slot && column < @COLUMNS@u && lit_@N@(slot, column)) {
        byte |= 1u;
      }
    }
    shift_@N@((uint8_t)(byte ^ @DARKBYTE@u));
  }
}

