int16_t board_received(void) { return serial_get(); }
