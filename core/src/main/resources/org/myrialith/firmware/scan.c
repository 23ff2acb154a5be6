/* @LINE@: rows have their turns, the bits of their levels one after the other for 1, 2, 4 ... units of time. An interrupt begins each
 * slot: rows off, columns set, a rest, the row on. Frames are made in the other of two buffers and come in between two turns. */
#define SLOTS_@N@ @SLOTS@u
#define SLOT_BYTES_@N@ @BYTES@u

struct slot_@N@ {
  uint8_t columns[@COLUMNPORTS@];
  uint8_t row[@ROWPORTS@];
  uint8_t ticks;
};

static struct slot_@N@ slots_@N@[2][SLOTS_@N@];
static uint8_t *volatile scan_at_@N@;    /* the slot that comes next */
static uint8_t *volatile scan_end_@N@;
static uint8_t *volatile scan_front_@N@; /* what is shown */
static uint8_t *volatile scan_back_@N@;  /* what is made */
static volatile uint8_t scan_due_@N@;    /* the frame that was made is to come in */

/* A scan that stops would leave a row on: the watchdog starts all anew then, dark. */
void scan_guard_@N@(void) __attribute__((naked, used, section(".init3")));
void scan_guard_@N@(void) {
  MCUSR = 0;
  wdt_disable();
}

/* All of it takes as long each time, so that slots are as long as planned. */
ISR(TIMER2_COMPA_vect, ISR_NAKED) {
  __asm__ volatile(
      "push r24\n\t"
      "in r24, __SREG__\n\t"
      "push r24\n\t"
      "push r25\n\t"
      "push r30\n\t"
      "push r31\n\t"
      "lds r30, %[at]\n\t"
      "lds r31, %[at] + 1\n\t"
@BODY@      "ld r24, Z+\n\t"
      "sts %[ocr], r24\n\t"
      "lds r24, %[end]\n\t"
      "lds r25, %[end] + 1\n\t"
      "cp r30, r24\n\t"
      "cpc r31, r25\n\t"
      "brne 3f\n\t"
      "wdr\n\t"
      "lds r24, %[due]\n\t"
      "tst r24\n\t"
      "breq 2f\n\t"
      "lds r30, %[back]\n\t"
      "lds r31, %[back] + 1\n\t"
      "lds r24, %[front]\n\t"
      "lds r25, %[front] + 1\n\t"
      "sts %[back], r24\n\t"
      "sts %[back] + 1, r25\n\t"
      "sts %[front], r30\n\t"
      "sts %[front] + 1, r31\n\t"
      "movw r24, r30\n\t"
      "subi r24, lo8(-(@ALL@))\n\t"
      "sbci r25, hi8(-(@ALL@))\n\t"
      "sts %[end], r24\n\t"
      "sts %[end] + 1, r25\n\t"
      "ldi r24, 0\n\t"
      "sts %[due], r24\n\t"
      "rjmp 3f\n"
      "2:\n\t"
      "lds r30, %[front]\n\t"
      "lds r31, %[front] + 1\n"
      "3:\n\t"
      "sts %[at], r30\n\t"
      "sts %[at] + 1, r31\n\t"
      "pop r31\n\t"
      "pop r30\n\t"
      "pop r25\n\t"
      "pop r24\n\t"
      "out __SREG__, r24\n\t"
      "pop r24\n\t"
      "reti\n"
      :
      : [at] "i"(&scan_at_@N@), [end] "i"(&scan_end_@N@), [front] "i"(&scan_front_@N@), [back] "i"(&scan_back_@N@), [due] "i"(&scan_due_@N@),
        [ocr] "n"(_SFR_MEM_ADDR(OCR2A))@PORTS@);
}

/* Where each light stands in what is sent, row after row; 0xffff for none. */
static const uint16_t place_@N@[@ROWS@][@COLUMNS@] @TABLE@ = {
@PLACES@};

/* Bit of each column in its port, and which of the ports that is. */
static const uint8_t column_bit_@N@[@COLUMNS@] @TABLE@ = {@COLUMNBITS@};
static const uint8_t column_port_@N@[@COLUMNS@] @TABLE@ = {@COLUMNPORT@};

static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  struct slot_@N@ *slot;
  uint8_t row;
  (void)count;
  sei(); /* rows go on having their turns */
  while (scan_due_@N@) {
  }
  slot = (struct slot_@N@ *)scan_back_@N@;
  for (row = 0; row < @ROWS@u; row++) {
    uint8_t column;
    uint8_t bit;
    for (bit = 0; bit < @BITS@u; bit++) {
@DARK@    }
    for (column = 0; column < @COLUMNS@u; column++) {
      uint16_t at = pgm_read_word(&place_@N@[row][column]);
      if (at != 0xffffu) {
        uint8_t level = @LEVEL@;
        uint8_t lit = pgm_read_byte(&column_bit_@N@[column]);
        uint8_t port = pgm_read_byte(&column_port_@N@[column]);
        for (bit = 0; bit < @BITS@u; bit++) {
          slot[bit].columns[port] ^= (uint8_t)(lit & (uint8_t)(0u - (level & 1u))); /* takes as long for dark */
          level >>= 1;
        }
      }
    }
    slot += @BITS@u;
  }
  __asm__ volatile("" ::: "memory"); /* all of it is there before it is due */
  scan_due_@N@ = 1;
  cli();
}

static void start_line_@N@(void) {
  static const uint8_t ticks[@BITS@] @TABLE@ = {@TICKS@};
  static const uint8_t on[@ROWS@][@ROWPORTS@] @TABLE@ = {@ON@};
  uint8_t buffer;
  uint8_t row;
  uint8_t bit;
  uint8_t port;
@OUTPUTS@  for (buffer = 0; buffer < 2u; buffer++) {
    struct slot_@N@ *slot = slots_@N@[buffer];
    for (row = 0; row < @ROWS@u; row++) {
      for (bit = 0; bit < @BITS@u; bit++) {
        for (port = 0; port < @ROWPORTS@u; port++) {
          slot->row[port] = pgm_read_byte(&on[row][port]);
        }
        slot->ticks = pgm_read_byte(&ticks[bit]);
@DARKSLOT@        slot++;
      }
    }
  }
  scan_front_@N@ = (uint8_t *)slots_@N@[0];
  scan_back_@N@ = (uint8_t *)slots_@N@[1];
  scan_at_@N@ = scan_front_@N@;
  scan_end_@N@ = scan_front_@N@ + SLOTS_@N@ * SLOT_BYTES_@N@;
  TCCR2A = (1 << WGM21);
  OCR2A = 255;
  TIMSK2 = (1 << OCIE2A);
  TCCR2B = @PRESCALE@;
  wdt_enable(WDTO_120MS);
}

