package org.myrialith.drive;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.parts.Controller;

/**
 * When which row is on: each row in its turn, the bits of its levels one after the other for 1, 2,
 * 4 and so on units of time. A slot begins with all rows off while its columns are set, which takes
 * as long each time; so what a level lights for is the level times the unit, to the cycle.
 *
 * @param bits of a level
 * @param prescale cycles of a tick of the timer
 * @param unit ticks that the lowest bit lights
 * @param dark ticks at the beginning of a slot
 * @param interruptCycles of the interrupt that begins a slot, with the way into and out of it
 * @param reaches whether the wanted refresh is reached
 */
public record ScanTiming(
    int rows, int bits, int prescale, int unit, int dark, int interruptCycles, boolean reaches) {
  /** What the timer's clock can be divided by. */
  private static final List<Integer> PRESCALES = List.of(1, 8, 32, 64, 128, 256);

  /** Ticks that the timer counts to at most. */
  private static final int MOST_TICKS = 256;

  /** Cycles from the end of an interrupt until the next may be due. */
  private static final int SPARE_CYCLES = 24;

  /**
   * What the exported interrupt takes, counted instruction by instruction.
   *
   * @param columnPorts that the columns stand on
   * @param rowPorts that the rows stand on
   */
  public record Interrupt(int columnPorts, int rowPorts) {
    private static final int FRAME = 53;
    private static final int A_ROW_PORT = 8;
    private static final int A_COLUMN_PORT = 6;
    private static final int ROW_OFF = 3;
    private static final int ROW_ON = 5;

    /** Returns the cycles from the first row off to the first row on, without any waiting. */
    public int leastDark() {
      return ROW_OFF * (rowPorts - 1) + A_COLUMN_PORT * columnPorts + ROW_ON;
    }

    /** Returns the cycles of all of it, without any waiting. */
    int cycles() {
      return FRAME + A_ROW_PORT * rowPorts + A_COLUMN_PORT * columnPorts;
    }
  }

  /**
   * Plans slots: as fine as the timer can, at least as often as wanted when that is possible.
   *
   * @param refreshHz wanted
   * @param blankSeconds that rows stay off at least
   */
  static ScanTiming of(
      int rows, int bits, double refreshHz, double blankSeconds, Interrupt interrupt) {
    ScanTiming best = null;
    for (int prescale : PRESCALES) {
      int blank = (int) Math.ceil(blankSeconds * Controller.CLOCK_HZ);
      int dark = divideUp(Math.max(blank, interrupt.leastDark()), prescale);
      int takes = interrupt.cycles() + dark * prescale - interrupt.leastDark();
      int least = Math.max(1, divideUp(takes + SPARE_CYCLES, prescale) - dark);
      double ticks = Controller.CLOCK_HZ / (prescale * refreshHz * rows);
      int steps = (1 << bits) - 1;
      int wanted = (int) Math.floor((ticks - bits * dark) / steps);
      int most = (MOST_TICKS - dark) >> bits - 1;
      if (most < least) {
        continue;
      }
      int unit = Math.max(least, Math.min(wanted, most));
      ScanTiming one = new ScanTiming(rows, bits, prescale, unit, dark, takes, wanted >= least);
      if (one.reaches && wanted <= most) {
        return one;
      }
      if (best == null || one.refreshHz() > best.refreshHz() && !best.reaches) {
        best = one;
      }
    }
    return best;
  }

  private static int divideUp(int a, int b) {
    return (a + b - 1) / b;
  }

  /** Returns the ticks of the slot of a bit, from its beginning to that of the next. */
  public int ticks(int bit) {
    return (unit << bit) + dark;
  }

  /** Returns the cycles of a turn of all rows. */
  public long cycles() {
    long ticks = (long) unit * ((1 << bits) - 1) + (long) bits * dark;
    return ticks * prescale * rows;
  }

  /** Returns how often each row has its turns (Hz). */
  public double refreshHz() {
    return (double) Controller.CLOCK_HZ / cycles();
  }

  /** Returns the share of the time that a light of full level is lit. */
  public double duty() {
    return (double) unit * ((1 << bits) - 1) * prescale / cycles();
  }

  /** Returns the time that the lowest bit lights (s). */
  public double unitSeconds() {
    return (double) unit * prescale / Controller.CLOCK_HZ;
  }

  /** Returns the time that all rows are off at the beginning of a slot (s). */
  public double darkSeconds() {
    return (double) dark * prescale / Controller.CLOCK_HZ;
  }

  /** Returns the interrupts a second. */
  public double interruptsHz() {
    return refreshHz() * rows * bits;
  }

  /** Returns the share of the controller's time that they take. */
  public double share() {
    return interruptsHz() * interruptCycles / Controller.CLOCK_HZ;
  }

  /**
   * A stretch of a turn in which a row is on.
   *
   * @param startSeconds from the beginning of the turn
   * @param seconds that it lasts
   */
  public record Slot(int row, int bit, double startSeconds, double seconds) {}

  /** Returns the slots of a turn in their order. */
  public List<Slot> slots() {
    List<Slot> all = new ArrayList<>();
    double tick = (double) prescale / Controller.CLOCK_HZ;
    long at = 0;
    for (int row = 0; row < rows; row++) {
      for (int bit = 0; bit < bits; bit++) {
        all.add(new Slot(row, bit, (at + dark) * tick, (unit << bit) * tick));
        at += ticks(bit);
      }
    }
    return all;
  }
}
