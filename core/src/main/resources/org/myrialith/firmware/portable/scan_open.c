static const uint8_t pins_@N@[] = {@PINS@};
static const uint8_t anodes_@N@[@TURNS@] = {@ANODES@};
static const uint8_t cathodes_@N@[@LIGHTS@] = {
@CATHODES@};

/* Low first, so that it does not come back as a high one. */
static void dark_@N@(void) {
  uint8_t anode = anodes_@N@[now_@N@.turn];
  pin_set(anode, 0);
  pin_free(anode);
}

static void resume_@N@(void) { pin_out(anodes_@N@[now_@N@.turn], 1); }

/* The anode open, the pins of cathodes that are lit low, a rest, the anode high: it alone tells for how long. */
static void begin_@N@(uint32_t us) {
  static uint8_t on = @FIRSTANODE@;
  uint8_t n;
  pin_low(on);
  for (n = 0; n < sizeof pins_@N@; n++) {
    pin_free(pins_@N@[n]);
  }
  on = anodes_@N@[now_@N@.turn];
  for (n = 0; n < @COLUMNS@u; n++) {
    if (lit_@N@(&now_@N@, n)) {
      pin_low(cathodes_@N@[now_@N@.turn * @COLUMNS@u + n]);
    }
  }
  while ((int32_t)(now_us() - us) < @DARK@) {
  }
  resume_@N@();
}

static void prepare_@N@(void) {}

