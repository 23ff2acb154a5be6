uint8_t board_kept(uint16_t at) { return keep_get(at); }

uint8_t board_keep(uint16_t at, uint8_t byte, uint8_t last) {
  keep_put(at, byte, last);
  return 1;
}
