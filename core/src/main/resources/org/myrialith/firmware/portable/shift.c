/* @LINE@: the highest bit first, the data set before the clock rises. */
static void shift_@N@(uint8_t byte) {
  uint8_t bits = 8;
  while (bits--) {
    pin_set(@DATA@, byte & 0x80u ? 1 : 0);
    pin_set(@CLOCK@, 1);
    byte = (uint8_t)(byte << 1);
    pin_set(@CLOCK@, 0);
  }
}

