/* @LINE@: levels of @DEPTH@ bits, the last output of the farthest chip first; 14 cycles a bit, the data set before the clock rises. Where
 * an output lights nothing, zeros go out. */
static const uint16_t levels_at_@N@[] TABLE_OF_LINE = {
@PLACES@};

static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  const uint16_t *places = levels_at_@N@;
  uint16_t place;
  const uint8_t *at;
  uint8_t high;
  uint8_t low;
  uint8_t bits;
  __asm__ volatile(
      "1:                       \n\t" /* an output: where its level stands, none beyond 255 */
      "lpm  %A[place], Z+       \n\t"
      "lpm  %B[place], Z+       \n\t"
      "clr  %[low]              \n\t"
      "clr  %[high]             \n\t"
      "cpi  %B[place], 0xff     \n\t"
      "breq 2f                  \n\t"
      "movw %A[at], %A[levels]  \n\t"
      "add  %A[at], %A[place]   \n\t"
      "adc  %B[at], %B[place]   \n\t"
      "ld   %[high], %a[at]+    \n\t"
      "ld   %[low], %a[at]      \n\t"
      "rjmp 3f                  \n\t"
      "2:                       \n\t"
      "rjmp .+0                 \n\t"
      "rjmp .+0                 \n\t"
      "rjmp .+0                 \n\t"
      "rjmp .+0                 \n\t"
      "3:                       \n\t"
      "ldi  %[bits], @DEPTH@    \n\t"
      "4:                       \n\t" /* a bit: five cycles to set it, whatever it is */
      "sbrc %[high], @TOP@      \n\t"
      "sbi  %[dport], %[dbit]   \n\t"
      "sbrs %[high], @TOP@      \n\t"
      "cbi  %[dport], %[dbit]   \n\t"
      "sbi  %[cport], %[cbit]   \n\t" /* rise */
      "lsl  %[low]              \n\t"
      "rol  %[high]             \n\t"
      "cbi  %[cport], %[cbit]   \n\t" /* fall */
      "dec  %[bits]             \n\t"
      "brne 4b                  \n\t"
      "sbiw %[count], 1         \n\t"
      "brne 1b                  \n\t"
      : [count] "+w"(count), "+z"(places), [place] "=&d"(place), [at] "=&x"(at), [high] "=&r"(high), [low] "=&r"(low),
        [bits] "=&d"(bits)
      : [levels] "r"(levels), [dport] "I"(_SFR_IO_ADDR(PORT@DATAPORT@)), [dbit] "I"(@DATABIT@),
        [cport] "I"(_SFR_IO_ADDR(PORT@CLOCKPORT@)), [cbit] "I"(@CLOCKBIT@)
      : "memory");
@LATCH@
}

