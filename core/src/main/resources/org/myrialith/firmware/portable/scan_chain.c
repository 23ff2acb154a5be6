/* Rows of each turn as the chain has them, what is sent first in front. */
static const uint8_t rows_@N@[@TURNS@][@ROWBYTES@] = {
@ROWS@};

/* A slot, for the next latch. */
static void fill_@N@(const struct slot_@N@ *slot) {
  uint8_t at;
  for (at = 0; at < @ROWBYTES@u; at++) {
    shift_@N@(rows_@N@[slot->turn][at]);
  }
  columns_@N@(slot);
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

