/* A contact between a row and a column: the row is driven low, and what it touches follows. */
static uint8_t crossed@N@(void) {
  uint8_t closed;
  @ROWLOW@
  @WAIT@
  closed = !@COLUMNHIGH@;
  @ROWFREE@
  return closed;
}

