/* @LINE@: two open wires; low is an output that pulls down, high an input that the pull-up takes up. The @FIRST@ bit comes first; on the
 * ninth clock the chip may answer. */
static void wire_wait_@N@(uint8_t turns) {
  __asm__ volatile("1: dec %[turns] \n\t brne 1b \n\t" : [turns] "+r"(turns));
}

static void wire_byte_@N@(uint8_t byte) {
  uint8_t bits;
  uint8_t wait;
  __asm__ volatile(
      "ldi  %[bits], 9        \n\t"
      "sec                    \n\t" /* the ninth bit: let go */
      "1:                     \n\t"
      "@TURN@ %[byte]         \n\t"
      "brcc 2f                \n\t"
      "cbi  %[ddr], %[dbit]   \n\t"
      "rjmp 3f                \n\t"
      "2:                     \n\t"
      "sbi  %[ddr], %[dbit]   \n\t"
      "nop                    \n\t"
      "3:                     \n\t"
      "ldi  %[wait], @LOW@    \n\t"
      "4:                     \n\t"
      "dec  %[wait]           \n\t"
      "brne 4b                \n\t"
      "cbi  %[cdr], %[cbit]   \n\t" /* rise */
      "ldi  %[wait], @HIGH@   \n\t"
      "5:                     \n\t"
      "dec  %[wait]           \n\t"
      "brne 5b                \n\t"
      "sbi  %[cdr], %[cbit]   \n\t" /* fall */
      "dec  %[bits]           \n\t"
      "brne 1b                \n\t"
      : [byte] "+r"(byte), [bits] "=&d"(bits), [wait] "=&d"(wait)
      : [ddr] "I"(_SFR_IO_ADDR(DDR@DATAPORT@)), [dbit] "I"(@DATABIT@), [cdr] "I"(_SFR_IO_ADDR(DDR@CLOCKPORT@)),
        [cbit] "I"(@CLOCKBIT@));
}

static void wire_start_@N@(void) {
  DDR@DATAPORT@ |= (1 << @DATABIT@);
  wire_wait_@N@(@HIGH@);
  DDR@CLOCKPORT@ |= (1 << @CLOCKBIT@);
}

static void wire_stop_@N@(void) {
  DDR@DATAPORT@ |= (1 << @DATABIT@);
  wire_wait_@N@(@LOW@);
  DDR@CLOCKPORT@ &= (uint8_t) ~(1 << @CLOCKBIT@);
  wire_wait_@N@(@HIGH@);
  DDR@DATAPORT@ &= (uint8_t) ~(1 << @DATABIT@);
  wire_wait_@N@(@LOW@);
}

static void wire_rest_@N@(void) {
  DDR@DATAPORT@ &= (uint8_t) ~(1 << @DATABIT@);
  DDR@CLOCKPORT@ &= (uint8_t) ~(1 << @CLOCKBIT@);
  PORT@DATAPORT@ &= (uint8_t) ~(1 << @DATABIT@);
  PORT@CLOCKPORT@ &= (uint8_t) ~(1 << @CLOCKBIT@);
}

