/* @LINE@: lights have their turns, slot after slot. An interrupt begins each slot: all off, what lights set, a rest, on. Frames are made
 * in the other of two buffers and come in between two turns of all. */
#define SLOTS_@N@ @SLOTS@u
#define SLOT_BYTES_@N@ @BYTES@u
@STEPSOF@

struct slot_@N@ {
@FIELDS@
  uint8_t ticks;
};

static struct slot_@N@ slots_@N@[2][SLOTS_@N@];
static uint8_t *volatile scan_at_@N@;    /* the slot that comes next */
static uint8_t *volatile scan_end_@N@;
static uint8_t *volatile scan_front_@N@; /* what is shown */
static uint8_t *volatile scan_back_@N@;  /* what is made */
static volatile uint8_t scan_due_@N@;    /* the frame that was made is to come in */
@COUNTING@
/* A scan that stops would leave lights on: the watchdog starts all anew then, dark. */
void scan_guard_@N@(void) __attribute__((naked, used, section(".init3")));
void scan_guard_@N@(void) {
  MCUSR = 0;
  wdt_disable();
}

/* All of it takes as long each time, so that slots are as long as planned. */
ISR(TIMER@T@_COMPA_vect, ISR_NAKED) {
  __asm__ volatile(
      "push r24\n\t"
      "in r24, __SREG__\n\t"
      "push r24\n\t"
      "push r25\n\t"
      "push r30\n\t"
      "push r31\n\t"
      "lds r30, %[at]\n\t"
      "lds r31, %[at] + 1\n\t"
@CHANGE@      "ld r24, Z+\n\t"
      "sts %[ocr], r24\n\t"
      "lds r24, %[end]\n\t"
      "lds r25, %[end] + 1\n\t"
      "cp r30, r24\n\t"
      "cpc r31, r25\n\t"
      "brne 3f\n\t"
      "wdr\n\t"
@TURNS@      "lds r24, %[due]\n\t"
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
@SEND@      "sts %[at], r30\n\t"
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
        @TURNOPERAND@[ocr] "n"(_SFR_MEM_ADDR(OCR@T@A))@PORTS@);
}

/* Where each light stands in what is sent, row after row; 0xffff for none. */
static const uint16_t place_@N@[@ROWS@][@COLUMNS@] @TABLE@ = {
@PLACES@};

/* Bit of each column in its byte, and which of the bytes that is. */
static const uint8_t column_bit_@N@@CELLS@ @TABLE@ = {@COLUMNBITS@};
static const uint8_t column_byte_@N@@CELLS@ @TABLE@ = {@COLUMNBYTE@};

@ONS@
static void send_line_@N@(const uint8_t *levels, uint16_t count) {
  struct slot_@N@ *slot;
@PASSVAR@  uint8_t row;
  (void)count;
  sei(); /* rows go on having their turns */
  while (scan_due_@N@) {
  }
  slot = (struct slot_@N@ *)scan_back_@N@;
@MAKE@
  __asm__ volatile("" ::: "memory"); /* all of it is there before it is due */
  scan_due_@N@ = 1;
  cli();
}

static void start_line_@N@(void) {
  static const uint8_t ticks[] @TABLE@ = {@TICKS@};
  uint8_t buffer;
  uint8_t row;
@STARTWIRES@
  for (buffer = 0; buffer < 2u; buffer++) {
    struct slot_@N@ *slot = slots_@N@[buffer];
    uint8_t first = 0;
    uint8_t pass;
    for (pass = 0; pass < @PASSES@u; pass++) {
      uint8_t steps = STEPS_@N@(pass);
      for (row = 0; row < @ROWS@u; row++) {
        uint8_t bit;
        for (bit = 0; bit < steps; bit++) {
          slot->ticks = pgm_read_byte(&ticks[first + bit]);
@DARKSLOT@
@ROWSET@
          slot++;
        }
      }
      first = (uint8_t)(first + steps);
    }
  }
  scan_front_@N@ = (uint8_t *)slots_@N@[0];
  scan_back_@N@ = (uint8_t *)slots_@N@[1];
  scan_at_@N@ = scan_front_@N@@BEFORE@;
  scan_end_@N@ = scan_front_@N@ + SLOTS_@N@ * SLOT_BYTES_@N@;
  TCCR@T@A = (1 << WGM@T@1);
  OCR@T@A = 255;
  @TIMSK@ = (1 << OCIE@T@A);
  TCCR@T@B = @PRESCALE@;
  wdt_enable(WDTO_120MS);
}
