static void data_low(void) { DDR@DATAPORT@ |= (1 << @DATABIT@); }
static void data_free(void) { DDR@DATAPORT@ = (uint8_t)(DDR@DATAPORT@ & (uint8_t)~(1 << @DATABIT@)); }
static uint8_t data_high(void) { return (PIN@DATAPORT@ >> @DATABIT@) & 1; }
static void clock_low(void) { DDR@CLOCKPORT@ |= (1 << @CLOCKBIT@); }
static void clock_free(void) { DDR@CLOCKPORT@ = (uint8_t)(DDR@CLOCKPORT@ & (uint8_t)~(1 << @CLOCKBIT@)); }
static void chip_pause(void) { _delay_us(5); }
