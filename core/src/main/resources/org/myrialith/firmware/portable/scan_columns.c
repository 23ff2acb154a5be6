static const uint8_t column_pins_@N@[] = {@COLUMNPINS@};

static void dark_@N@(void) {
  uint8_t column;
  for (column = 0; column < @COLUMNS@u; column++) {
    pin_set(column_pins_@N@[column], @COLUMNDARK@);
  }
}

static void resume_@N@(void) {
  uint8_t column;
  for (column = 0; column < @COLUMNS@u; column++) {
    pin_set(column_pins_@N@[column], lit_@N@(&now_@N@, column)@COLUMNOFF@);
  }
}

static void begin_@N@(uint32_t us) {
  (void)us;
  resume_@N@();
}

static void prepare_@N@(void) {}

