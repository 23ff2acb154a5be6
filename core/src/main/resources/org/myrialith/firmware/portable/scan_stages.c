static void fill_@N@(const struct slot_@N@ *slot) { columns_@N@(slot); }

static void dark_@N@(void) { latch_@N@(); }

static void prepare_@N@(void) { fill_@N@(&next_@N@); }

static void resume_@N@(void) {
  latch_@N@();
  prepare_@N@();
}

/* What is filled already is shown. */
static void begin_@N@(uint32_t us) {
  (void)us;
  latch_@N@();
}

