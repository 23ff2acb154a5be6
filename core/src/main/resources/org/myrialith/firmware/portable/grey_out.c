/* @LINE@: levels of @DEPTH@ bits, the last output of the farthest chip first, the highest bit first. Where an output lights nothing,
 * zeros go out. */
static const uint16_t levels_at_@N@[] = {
@PLACES@};

static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  const uint16_t *place = levels_at_@N@;
  while (count--) {
    uint16_t at = *place++;
    uint16_t level = at == 0xffffu ? 0u : (uint16_t)(levels[at] << 8 | levels[at + 1u]);
    uint8_t bits = @DEPTH@;
    while (bits--) {
      pin_set(@DATA@, level >> bits & 1u ? 1 : 0);
      pin_set(@CLOCK@, 1);
      pin_set(@CLOCK@, 0);
    }
  }
@LATCH@
}

