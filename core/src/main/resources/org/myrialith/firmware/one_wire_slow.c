/* @LINE@: a bit takes @CYCLES@ cycles: high for @ZERO@ is a 0, high for @ONE@ is a 1. The eight bits of a byte stand one after the
 * other; the next byte is fetched inside the last but one, so that no bit is longer than another. */
static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  uint8_t hi = (uint8_t)(PORT@PORT@ | (1 << @BIT@));
  uint8_t lo = (uint8_t)(PORT@PORT@ & ~(1 << @BIT@));
  uint8_t byte;
  uint8_t next;
  __asm__ volatile(
      "ld   %[byte], %a[at]+ \n\t"
      "1:                    \n\t"
@BITS@
      "2:                    \n\t"
      : [byte] "=&r"(byte), [next] "=&r"(next), [count] "+w"(count), [at] "+e"(levels)
      : [port] "I"(_SFR_IO_ADDR(PORT@PORT@)), [hi] "r"(hi), [lo] "r"(lo)
      : "memory");
}

