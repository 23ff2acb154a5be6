package org.myrialith.firmware.target;

import org.myrialith.circuit.chip.register.RegisterPlan;
import org.myrialith.formats.ValueChangeDump;
import org.myrialith.parts.Controller;

/**
 * Bytes on a data and a clock wire, the highest bit first, read where the clock rises. Mutable,
 * lives within one frame.
 */
public final class ShiftOut {
  private static final int DATA = 0;
  private static final int CLOCK = 1;

  /** Cycles from the start of a bit to the rise of its clock, to its fall, and to the next bit. */
  private static final int RISE = 5;

  private static final int FALL = 8;
  private static final int BIT = 13;
  private static final int GREY_FALL = 9;

  /** Cycles before the first bit of a level. */
  private static final int LOOKED_UP = 20;

  private static final String NOTHING = "      \"nop                    \\n\\t\"\n";
  private static final String TURNED = "      \"com  %[byte]           \\n\\t\"\n";

  private final ValueChangeDump dump;
  private final int first;
  private final long start;
  private final double nanosACycle;
  private long cycles;

  /**
   * Begins a frame.
   *
   * @param first wire of the dump: the data, the clock after it
   * @param start when it begins (ns)
   * @param controller that sends it
   */
  public ShiftOut(ValueChangeDump dump, int first, long start, Controller controller) {
    this.dump = dump;
    this.first = first;
    this.start = start;
    this.nanosACycle = controller.cycleSeconds() * 1e9;
  }

  /**
   * Returns the C that sends plain bytes; {@code @LATCH@} stands where something may follow.
   *
   * @param turned whether a set bit goes out low
   */
  static String source(String data, String clock, String what, boolean turned) {
    return Dialect.AVR
        .pins(SourceText.read("shift_out.c"), data, clock)
        .replace("@WHAT@", what)
        .replace("@TURN@\n", turned ? TURNED : NOTHING);
  }

  /** Returns the time that many cycles after the last byte (ns). */
  public long time(int further) {
    return start + Math.round((cycles + further) * nanosACycle);
  }

  /** Waits so many cycles. */
  public void pause(int further) {
    cycles += further;
  }

  /** Sends a level of several bits, as long as looking it up takes included. */
  public void sendWord(int value, int bits) {
    cycles += LOOKED_UP;
    for (int bit = bits - 1; bit >= 0; bit--) {
      dump.set(first + DATA, time(0), (value >> bit & 1) == 1);
      dump.set(first + CLOCK, time(RISE), true);
      dump.set(first + CLOCK, time(GREY_FALL), false);
      cycles += RegisterPlan.GREY_BIT_CYCLES;
    }
    cycles += RegisterPlan.GREY_CYCLES - LOOKED_UP;
  }

  public void zeros(int count) {
    for (int i = 0; i < count; i++) {
      send(0);
    }
  }

  public void send(int value) {
    for (int bit = 7; bit >= 0; bit--) {
      int at = (7 - bit) * BIT;
      dump.set(first + DATA, time(at), (value >> bit & 1) == 1);
      dump.set(first + CLOCK, time(at + RISE), true);
      dump.set(first + CLOCK, time(at + FALL), false);
    }
    cycles += RegisterPlan.BYTE_CYCLES;
  }
}
