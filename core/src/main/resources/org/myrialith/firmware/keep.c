/* Memory that keeps what is written while power is off; a byte takes some milliseconds, in which nothing waits. */
uint8_t board_kept(uint16_t at) { return eeprom_read_byte((const uint8_t *)at); }

uint8_t board_keep(uint16_t at, uint8_t byte, uint8_t last) {
  (void)last;
  if (!eeprom_is_ready()) {
    return 0;
  }
  if (eeprom_read_byte((const uint8_t *)at) != byte) {
    eeprom_write_byte((uint8_t *)at, byte);
  }
  return 1;
}
