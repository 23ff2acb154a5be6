/* @LINE@: 13 cycles a bit, the data set before the clock rises; @START@ bytes of zeros, a head and three levels a pixel,
 * @END@ bytes of zeros that push the levels to the last pixel. */
static void send_zeros_@N@(uint16_t count) {
  uint8_t bits;
  __asm__ volatile(
      "cbi  %[dport], %[dbit] \n\t"
      "1:                     \n\t"
      "ldi  %[bits], 8        \n\t"
      "2:                     \n\t"
      "rjmp .+0               \n\t"
      "rjmp .+0               \n\t"
      "nop                    \n\t"
      "sbi  %[cport], %[cbit] \n\t" /* rise */
      "nop                    \n\t"
      "cbi  %[cport], %[cbit] \n\t" /* fall */
      "dec  %[bits]           \n\t"
      "brne 2b                \n\t"
      "rjmp .+0               \n\t"
      "rjmp .+0               \n\t"
      "nop                    \n\t"
      "sbiw %[count], 1       \n\t"
      "brne 1b                \n\t"
      : [bits] "=&d"(bits), [count] "+w"(count)
      : [dport] "I"(_SFR_IO_ADDR(PORT@DATAPORT@)), [dbit] "I"(@DATABIT@), [cport] "I"(_SFR_IO_ADDR(PORT@CLOCKPORT@)),
        [cbit] "I"(@CLOCKBIT@));
}

static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  uint8_t head = @HEAD@;
  uint8_t byte;
  uint8_t bits;
  uint8_t left;
  send_zeros_@N@(@START@);
  __asm__ volatile(
      "1:                     \n\t" /* a pixel */
      "mov  %[byte], %[head]  \n\t"
      "ldi  %[left], 4        \n\t"
      "2:                     \n\t" /* a byte */
      "ldi  %[bits], 8        \n\t"
      "3:                     \n\t" /* a bit: five cycles to set it, whatever it is */
      "sbrc %[byte], 7        \n\t"
      "sbi  %[dport], %[dbit] \n\t"
      "sbrs %[byte], 7        \n\t"
      "cbi  %[dport], %[dbit] \n\t"
      "sbi  %[cport], %[cbit] \n\t" /* rise */
      "lsl  %[byte]           \n\t"
      "cbi  %[cport], %[cbit] \n\t" /* fall */
      "dec  %[bits]           \n\t"
      "brne 3b                \n\t"
      "dec  %[left]           \n\t"
      "breq 4f                \n\t"
      "ld   %[byte], %a[at]+  \n\t"
      "rjmp .+0               \n\t" /* as long as the way to the next pixel */
      "nop                    \n\t"
      "rjmp 2b                \n\t"
      "4:                     \n\t"
      "sbiw %[count], 1       \n\t"
      "brne 1b                \n\t"
      : [byte] "=&r"(byte), [bits] "=&d"(bits), [left] "=&d"(left), [count] "+w"(count), [at] "+e"(levels)
      : [head] "r"(head), [dport] "I"(_SFR_IO_ADDR(PORT@DATAPORT@)), [dbit] "I"(@DATABIT@),
        [cport] "I"(_SFR_IO_ADDR(PORT@CLOCKPORT@)), [cbit] "I"(@CLOCKBIT@)
      : "memory");
  send_zeros_@N@(@END@);
}

