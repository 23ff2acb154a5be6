static const uint8_t row_pins_@N@[] = {@ROWPINS@};
static const uint8_t column_pins_@N@[] = {@COLUMNPINS@};

static void columns_@N@(void) {
  uint8_t column;
  for (column = 0; column < @COLUMNS@u; column++) {
    pin_set(column_pins_@N@[column], lit_@N@(&now_@N@, column)@COLUMNOFF@);
  }
}

static void dark_@N@(void) { pin_set(row_pins_@N@[now_@N@.turn], @ROWOFF@); }

static void resume_@N@(void) { pin_set(row_pins_@N@[now_@N@.turn], @ROWON@); }

/* Rows off, columns set, a rest, the row on. */
static void begin_@N@(uint32_t us) {
  static uint8_t on;
  pin_set(row_pins_@N@[on], @ROWOFF@);
  on = now_@N@.turn;
  columns_@N@();
  while ((int32_t)(now_us() - us) < @DARK@) {
  }
  resume_@N@();
}

static void prepare_@N@(void) {}

