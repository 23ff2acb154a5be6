static void start_line_@N@(void) {
  PORT@DATAPORT@ &= (uint8_t) ~(1 << @DATABIT@);
  PORT@CLOCKPORT@ &= (uint8_t) ~(1 << @CLOCKBIT@);
  DDR@DATAPORT@ |= (1 << @DATABIT@);
  DDR@CLOCKPORT@ |= (1 << @CLOCKBIT@);
}

