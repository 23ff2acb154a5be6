/* @LINE@: 13 cycles a bit, the data set before the clock rises; @WHAT@. */
static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  uint8_t byte;
  uint8_t bits;
  __asm__ volatile(
      "1:                     \n\t" /* a byte */
      "ld   %[byte], %a[at]+  \n\t"
@TURN@
      "ldi  %[bits], 8        \n\t"
      "2:                     \n\t" /* a bit: five cycles to set it, whatever it is */
      "sbrc %[byte], 7        \n\t"
      "sbi  %[dport], %[dbit] \n\t"
      "sbrs %[byte], 7        \n\t"
      "cbi  %[dport], %[dbit] \n\t"
      "sbi  %[cport], %[cbit] \n\t" /* rise */
      "lsl  %[byte]           \n\t"
      "cbi  %[cport], %[cbit] \n\t" /* fall */
      "dec  %[bits]           \n\t"
      "brne 2b                \n\t"
      "rjmp .+0               \n\t"
      "sbiw %[count], 1       \n\t"
      "brne 1b                \n\t"
      : [byte] "=&r"(byte), [bits] "=&d"(bits), [count] "+w"(count), [at] "+e"(levels)
      : [dport] "I"(_SFR_IO_ADDR(PORT@DATAPORT@)), [dbit] "I"(@DATABIT@), [cport] "I"(_SFR_IO_ADDR(PORT@CLOCKPORT@)),
        [cbit] "I"(@CLOCKBIT@)
      : "memory");
@LATCH@
}

