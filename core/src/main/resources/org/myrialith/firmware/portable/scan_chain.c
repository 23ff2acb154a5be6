/* Rows of each turn as the chain has them, what is sent first in front. */
static const uint8_t rows_@N@[@TURNS@][@ROWBYTES@] = {
@ROWS@};

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

/* A slot, for the next latch. */
static void fill_@N@(const struct slot_@N@ *slot) {
  uint8_t at;
  for (at = 0; at < @ROWBYTES@u; at++) {
    shift_@N@(rows_@N@[slot->turn][at]);
  }
  for (at = @COLUMNBYTES@u; at > 0u; at--) {
    uint8_t byte = 0;
    uint8_t bit;
    for (bit = 8; bit > 0u; bit--) {
      uint8_t column = (uint8_t)(at * 8u + bit - 9u);
      byte = (uint8_t)(byte << 1);
      if (column < @COLUMNS@u && lit_@N@(slot, column)) {
        byte |= 1u;
      }
    }
    shift_@N@((uint8_t)(byte ^ @DARKBYTE@u));
  }
}

static void dark_@N@(void) { pin_set(@BLANK@, 1); }

static void resume_@N@(void) { pin_set(@BLANK@, 0); }

/* Dark, latched, a rest, lit; then the next slot is shifted in. */
static void begin_@N@(uint32_t us) {
  dark_@N@();
  latch_@N@();
  while ((int32_t)(now_us() - us) < @DARK@) {
  }
  resume_@N@();
}

static void prepare_@N@(void) { fill_@N@(&next_@N@); }

