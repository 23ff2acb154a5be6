/* @LINE@: a bit takes @CYCLES@ cycles: high for @ZERO@ is a 0, high for @ONE@ is a 1. The next byte is fetched inside the last bit, so
 * that no bit is longer than another. */
static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  uint8_t hi = (uint8_t)(PORT@PORT@ | (1 << @BIT@));
  uint8_t lo = (uint8_t)(PORT@PORT@ & ~(1 << @BIT@));
  uint8_t byte;
  uint8_t next;
  uint8_t bits;
  __asm__ volatile(
      "ld   %[byte], %a[at]+ \n\t"
      "ldi  %[bits], 7       \n\t"
      "1:                    \n\t" /* bits 7 to 1 */
      "out  %[port], %[hi]   \n\t" /*  0 rise */
      "mov  %[next], %[lo]   \n\t" /*  1 */
      "sbrc %[byte], 7       \n\t" /*  2 */
      "mov  %[next], %[hi]   \n\t" /*  3 */
      "lsl  %[byte]          \n\t" /*  4 */
      "nop                   \n\t" /*  5 */
@BEFORE@
      "out  %[port], %[next] \n\t" /*  6 fall of a 0 */
      "rjmp .+0              \n\t" /*  7 8 */
      "rjmp .+0              \n\t" /*  9 10 */
      "rjmp .+0              \n\t" /* 11 12 */
@BETWEEN@
      "out  %[port], %[lo]   \n\t" /* 13 fall of a 1 */
@AFTER@
      "rjmp .+0              \n\t" /* 14 15 */
      "nop                   \n\t" /* 16 */
      "dec  %[bits]          \n\t" /* 17 */
      "brne 1b               \n\t" /* 18 19 when taken, 18 when not */
      "nop                   \n\t" /* 19 */
      "out  %[port], %[hi]   \n\t" /*  0 rise of bit 0 */
      "mov  %[next], %[lo]   \n\t" /*  1 */
      "sbrc %[byte], 7       \n\t" /*  2 */
      "mov  %[next], %[hi]   \n\t" /*  3 */
      "ldi  %[bits], 7       \n\t" /*  4 */
      "nop                   \n\t" /*  5 */
@BEFORE@
      "out  %[port], %[next] \n\t" /*  6 */
      "sbiw %[count], 1      \n\t" /*  7 8 */
      "breq 2f               \n\t" /*  9, 10 when the last byte is done */
      "ld   %[byte], %a[at]+ \n\t" /* 10 11 */
      "nop                   \n\t" /* 12 */
@BETWEEN@
      "out  %[port], %[lo]   \n\t" /* 13 */
@AFTER@
      "rjmp .+0              \n\t" /* 14 15 */
      "rjmp .+0              \n\t" /* 16 17 */
      "rjmp 1b               \n\t" /* 18 19 */
      "2:                    \n\t"
      "rjmp .+0              \n\t" /* 11 12 */
@BETWEEN@
      "out  %[port], %[lo]   \n\t" /* 13 */
      : [byte] "=&r"(byte), [next] "=&r"(next), [bits] "=&d"(bits), [count] "+w"(count), [at] "+e"(levels)
      : [port] "I"(_SFR_IO_ADDR(PORT@PORT@)), [hi] "r"(hi), [lo] "r"(lo)
      : "memory");
}

