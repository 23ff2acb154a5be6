static void data_low(void) { pin_low(@DATA@); }
static void data_free(void) { pin_free(@DATA@); }
static uint8_t data_high(void) { return pin_get(@DATA@); }
static void clock_low(void) { pin_low(@CLOCK@); }
static void clock_free(void) { pin_free(@CLOCK@); }
static void chip_pause(void) { wait_us(5); }
