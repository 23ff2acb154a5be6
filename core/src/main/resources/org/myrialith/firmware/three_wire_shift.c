/* @LINE@: sixteen bits for each chip of a chain, a register and what goes into it, the farthest chip first; all take them at the rise
 * of load. 13 cycles a bit, the data set before the clock rises. */
static void shift_@N@(uint8_t byte) {
  uint8_t bits;
  __asm__ volatile(
      "ldi  %[bits], 8        \n\t"
      "1:                     \n\t" /* a bit: five cycles to set it, whatever it is */
      "sbrc %[byte], 7        \n\t"
      "sbi  %[dport], %[dbit] \n\t"
      "sbrs %[byte], 7        \n\t"
      "cbi  %[dport], %[dbit] \n\t"
      "sbi  %[cport], %[cbit] \n\t" /* rise */
      "lsl  %[byte]           \n\t"
      "cbi  %[cport], %[cbit] \n\t" /* fall */
      "dec  %[bits]           \n\t"
      "brne 1b                \n\t"
      : [byte] "+r"(byte), [bits] "=&d"(bits)
      : [dport] "I"(_SFR_IO_ADDR(PORT@DATAPORT@)), [dbit] "I"(@DATABIT@), [cport] "I"(_SFR_IO_ADDR(PORT@CLOCKPORT@)),
        [cbit] "I"(@CLOCKBIT@));
}

