/* @LINE@: lights have their turns, slot after slot, while the player waits. All is dark while a frame is put together or other lines are
 * sent: whatever hangs there leaves no light on. A slot that was held up goes on where it was. A new frame comes in between two turns of
 * all. */
struct slot_@N@ {
  const uint8_t *levels; /* of the lights, turn after turn */
  uint8_t pass;
  uint8_t turn;
  uint8_t step; /* among those of all passes */
};

static uint8_t levels_@N@[2][@LIGHTS@];
static uint8_t front_@N@; /* which of them is shown */
static uint8_t due_@N@;   /* the other is to come in */
static uint8_t held_@N@ = 1;
static struct slot_@N@ now_@N@;
static struct slot_@N@ next_@N@;
static uint32_t ends_@N@; /* when the slot ends */
static uint32_t left_@N@; /* of a slot that is held up */

/* Where each light stands in what is sent, turn after turn; 0xffff for none. */
static const uint16_t place_@N@[@LIGHTS@] = {
@PLACES@};

/* Slots of a turn, pass after pass: what each shows, and how long it lasts. */
static const uint8_t shows_@N@[] = {@SHOWS@};
static const uint16_t lasts_@N@[] = {@LASTS@}; /* us */
static const uint8_t pass_ends_@N@[@PASSES@] = {@PASSENDS@};

/* Whether a light of a slot's turn is lit in it. */
static uint8_t lit_@N@(const struct slot_@N@ *slot, uint8_t light) {
  uint8_t level = slot->levels[slot->turn * @COLUMNS@u + light];
  return @LIT@;
}

@WIRES@
static void advance_@N@(struct slot_@N@ *slot) {
  slot->step++;
  if (slot->step < pass_ends_@N@[slot->pass]) {
    return;
  }
  slot->turn++;
  if (slot->turn == @TURNS@u) {
    slot->turn = 0;
    slot->pass++;
    if (slot->pass == @PASSES@u) {
      slot->pass = 0;
      front_@N@ ^= due_@N@;
      due_@N@ = 0;
      slot->levels = levels_@N@[front_@N@];
    }
  }
  slot->step = slot->pass ? pass_ends_@N@[slot->pass - 1u] : 0u;
}

/* Begins the next slot when it is time. */
static void scan_@N@(void) {
  uint32_t us = now_us();
  if (held_@N@) {
    held_@N@ = 0;
@REFILL@
    ends_@N@ = now_us() + left_@N@;
    resume_@N@();
    return;
  }
  if ((int32_t)(us - ends_@N@) < 0) {
    return;
  }
  us = ends_@N@;
  now_@N@ = next_@N@;
  ends_@N@ += lasts_@N@[now_@N@.step];
  begin_@N@(us);
  advance_@N@(&next_@N@);
  prepare_@N@();
}

/* All dark, until the player waits again. */
static void hold_@N@(void) {
  int32_t left;
  if (held_@N@) {
    return;
  }
@FILLDARK@
  left = (int32_t)(ends_@N@ - now_us());
  dark_@N@();
  left_@N@ = left > 0 ? (uint32_t)left : 0u;
  held_@N@ = 1;
}

static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  uint8_t *to;
  uint16_t light;
  (void)count;
  while (due_@N@ || now_@N@.levels != levels_@N@[front_@N@]) { /* the frame before has not come in yet */
    scan_@N@();
  }
  hold_@N@();
  to = levels_@N@[front_@N@ ^ 1u];
  for (light = 0; light < @LIGHTS@u; light++) {
    uint16_t at = place_@N@[light];
    to[light] = at == 0xffffu ? 0u : @LEVEL@;
  }
  due_@N@ = 1;
}

static void start_line_@N@(void) {
@START@
  now_@N@.levels = levels_@N@[0];
  next_@N@.levels = levels_@N@[0];
@READY@
}

