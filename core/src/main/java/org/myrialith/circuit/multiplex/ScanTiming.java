package org.myrialith.circuit.multiplex;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.parts.Controller;

/**
 * When which row is on: each row in its turn, its slots one after the other. A slot begins with all
 * rows off while its columns are set, which takes as long each time; so what a level lights for is
 * the level times the unit, to the cycle.
 *
 * @param turns that rows have, or single lights
 * @param clock that slots are counted by
 * @param hertz of what that divides (Hz)
 * @param prescale cycles of a tick of the timer
 * @param unit ticks that the lowest bit lights
 * @param dark ticks at the beginning of a slot
 * @param interruptCycles of the interrupt that begins a slot, with the way into and out of it; or
 *     of what begins it in portable C, in cycles of the clock of slots
 * @param reaches whether the wanted refresh is reached
 */
public record ScanTiming(
    int turns,
    Scan scan,
    ScanClock clock,
    int hertz,
    int prescale,
    int unit,
    int dark,
    int interruptCycles,
    boolean reaches) {
  /** Cycles from the end of an interrupt until the next may be due. */
  private static final int SPARE_CYCLES = 24;

  /**
   * What the exported interrupt takes, counted instruction by instruction.
   *
   * @param leastDark cycles from the first row off to the first row on, without any waiting
   * @param cycles of all of it, without any waiting
   * @param skew cycles from the first row off to the last, where rows stand on several ports
   * @param settings of pins until the first row is on, where pins are set one by one; with those
   *     that follow
   */
  public record Interrupt(int leastDark, int cycles, int skew, Settings settings) {
    /**
     * What portable C sets pins for.
     *
     * @param dark while all rows are off; 0 where none is
     * @param all with what is done for the next slot
     */
    public record Settings(int dark, int all) {}

    /** A clocked bit is set, and its clock is turned up and down. */
    private static final int A_BIT = 3;

    /** Opening a pin takes one setting, driving it two, with its level set before three. */
    private static final int DRIVEN_LOW = 2;

    private static final int DRIVEN = 3;

    /** Portable C: time of looking at the clock and of the code round the pins (s). */
    private static final double LOOK_SECONDS = 3e-6;

    private static final int FRAME = 53;
    private static final int A_ROW_PORT = 8;
    private static final int A_COLUMN_PORT = 6;
    private static final int ROW_OFF = 3;
    private static final int ROW_ON = 5;
    private static final int A_SWITCH = 2;
    private static final int LATCH = 4;
    private static final int A_BYTE = 77;
    private static final int A_PORT_OPEN = 3;
    private static final int ALIGNED = 2;

    /** The way to it is a short jump where there is little flash. */
    private static final int NEAR_VECTOR = 1;

    private static final int A_PORT_SET = 6;
    private static final int A_PORT_DRIVEN = 5;

    /**
     * Rows and columns on pins.
     *
     * @param columnPorts that the columns stand on
     * @param rowPorts that the rows stand on; 0 where each light has its column
     * @param columns that are set
     */
    public static Interrupt onPins(int columnPorts, int rowPorts, int columns) {
      int rows = rowPorts == 0 ? 0 : ROW_OFF * (rowPorts - 1) + ROW_ON;
      return new Interrupt(
          rowPorts == 0 ? 0 : rows + A_COLUMN_PORT * columnPorts,
          FRAME + A_ROW_PORT * rowPorts + A_COLUMN_PORT * columnPorts,
          ROW_OFF * Math.max(0, rowPorts - 1),
          rowPorts == 0 ? new Settings(0, columns) : new Settings(columns + 1, columns + 2));
    }

    /**
     * Rows and columns on a chain that is blanked, latched, and filled for the next slot.
     *
     * @param bytes of the chain
     * @param blanked whether rows have turns
     */
    public static Interrupt onChain(int bytes, boolean blanked) {
      int blank = blanked ? 2 * A_SWITCH : 0;
      int loop = bytes > 1 ? 0 : -2;
      return new Interrupt(
          blanked ? LATCH + A_SWITCH : 0,
          FRAME + blank + LATCH + A_BYTE * bytes + loop,
          0,
          new Settings(blanked ? 3 : 0, 4 + A_BIT * Byte.SIZE * bytes));
    }

    /**
     * Pins that are high, low or open.
     *
     * @param ports that they stand on
     * @param pins that there are
     * @param together lights that may be lit in a turn
     */
    public static Interrupt onOpenPins(int ports, int pins, int together) {
      int each = A_PORT_OPEN + A_PORT_SET + A_PORT_DRIVEN;
      int aligned = ALIGNED * (ports - 1);
      return new Interrupt(
          A_PORT_OPEN * (ports - 1) + aligned + A_PORT_SET * ports + A_PORT_DRIVEN,
          FRAME + each * ports + aligned,
          A_PORT_OPEN * (ports - 1),
          new Settings(
              DRIVEN_LOW + pins + DRIVEN_LOW * together,
              DRIVEN_LOW + pins + DRIVEN_LOW * together + DRIVEN));
    }

    /** Returns what it takes at least on a controller, in cycles of its clock of slots. */
    private Least on(Controller controller) {
      ScanClock clock = ScanClock.of(controller);
      if (clock == ScanClock.POLLED) {
        double dark = settings.dark == 0 ? 0 : settings.dark * controller.pinSeconds();
        double all = settings.all * controller.pinSeconds() + LOOK_SECONDS;
        return new Least(
            clock,
            Controller.CLOCK_HZ,
            settings.dark == 0 ? 0 : cycles(dark + LOOK_SECONDS),
            cycles(all + (settings.dark == 0 ? 0 : LOOK_SECONDS)),
            0);
      }
      return new Least(
          clock,
          controller.clockHz(),
          leastDark,
          clock == ScanClock.TIMER_0 ? cycles - NEAR_VECTOR : cycles,
          skew);
    }

    private static int cycles(double seconds) {
      return (int) Math.ceil(seconds * Controller.CLOCK_HZ);
    }
  }

  /** Cycles more of the last slot of all turns: the watchdog, and whether a frame is due. */
  private static final int LAST_SLOT = 9;

  /** Cycles of counting turns there, where the player's time goes by them. */
  private static final int COUNTED = 5;

  /** What the beginning of a slot takes at least (cycles). */
  private record Least(ScanClock clock, int hertz, int dark, int cycles, int skew) {
    /** Returns the cycles of one that is the last of all slots each time. */
    int cycles(int slots) {
      boolean last = slots == 1 && clock != ScanClock.POLLED;
      return cycles + (last ? LAST_SLOT + (clock == ScanClock.TIMER_0 ? COUNTED : 0) : 0);
    }
  }

  /**
   * Plans slots: as fine as the timer can, at least as often as wanted when that is possible; where
   * slots would be longer than the timer counts, the slowest above the wish. Where no slots are
   * long enough for the interrupt and short enough for the timer, they are those that the interrupt
   * wants, and do not fit.
   */
  public static ScanTiming of(int turns, Scan scan, Interrupt interrupt, Controller controller) {
    Least own = interrupt.on(controller);
    List<List<ScanMethod.Step>> passes = scan.method().steps(scan.depth());
    int slots = passes.stream().mapToInt(List::size).sum();
    int highest =
        passes.stream().flatMap(List::stream).mapToInt(ScanMethod.Step::weight).max().orElse(1);
    int units = (1 << scan.depth()) - 1;
    double turnHertz = scan.refreshHz() / passes.size();
    ScanTiming best = null;
    ScanTiming tooLong = null;
    for (int prescale : own.clock.prescales()) {
      int blank = own.dark == 0 ? 0 : blankCycles(scan, own);
      int dark = divideUp(Math.max(blank, own.dark), prescale);
      int beginning = own.cycles(turns * slots) + dark * prescale - own.dark;
      boolean other = scan.interruptCycles() > 0 && own.clock != ScanClock.POLLED;
      int takes = other ? scan.interruptCycles() : beginning;
      int least = Math.max(1, divideUp(takes + SPARE_CYCLES, prescale) - dark);
      double ticks = own.hertz / (prescale * turnHertz * turns);
      int wanted = (int) Math.floor((ticks - (double) slots * dark) / units);
      int most = (own.clock.mostTicks() - dark) / highest;
      if (most < least) {
        tooLong =
            new ScanTiming(turns, scan, own.clock, own.hertz, prescale, least, dark, takes, false);
        continue;
      }
      int unit = Math.max(least, Math.min(wanted, most));
      ScanTiming one =
          new ScanTiming(
              turns, scan, own.clock, own.hertz, prescale, unit, dark, takes, wanted >= least);
      if (one.reaches && wanted <= most) {
        return one;
      }
      best = best == null || one.nearer(best) ? one : best;
    }
    return best == null ? tooLong : best;
  }

  /** From the first row off; what is asked for is from the last. */
  private static int blankCycles(Scan scan, Least own) {
    int asked = (int) Math.ceil(scan.blankMicros() * 1e-6 * own.hertz - 1e-6);
    return asked == 0 ? 0 : asked + own.skew;
  }

  /** The slowest that is quick enough; where none is, the quickest. */
  private boolean nearer(ScanTiming other) {
    if (reaches != other.reaches) {
      return reaches;
    }
    return reaches ? refreshHz() < other.refreshHz() : refreshHz() > other.refreshHz();
  }

  private static int divideUp(int a, int b) {
    return (a + b - 1) / b;
  }

  /** Returns whether the timer counts far enough for all of its slots. */
  public boolean fits() {
    return mostTicks() <= clock.mostTicks();
  }

  /** Returns the ticks of the longest slot. */
  public int mostTicks() {
    return steps().stream().flatMap(List::stream).mapToInt(this::ticks).max().orElse(0);
  }

  /** Returns the bits of a level. */
  public int bits() {
    return scan.depth();
  }

  /** Returns the slots of a row in each pass. */
  public List<List<ScanMethod.Step>> steps() {
    return scan.method().steps(scan.depth());
  }

  /** Returns how often each row has its turn until all of its bits were shown. */
  public int passes() {
    return scan.method().passes(scan.depth());
  }

  /** Returns the slots that a row has until all of its bits were shown. */
  public int slotsOfARow() {
    return steps().stream().mapToInt(List::size).sum();
  }

  /** Returns the ticks of a slot, from its beginning to that of the next. */
  public int ticks(ScanMethod.Step step) {
    return unit * step.weight() + dark;
  }

  /** Returns the cycles until all rows have shown all of their bits. */
  public long cycles() {
    long ticks = (long) unit * ((1 << bits()) - 1) + (long) slotsOfARow() * dark;
    return ticks * prescale * turns;
  }

  /** Returns how often all rows show all of their bits (Hz). */
  public double wholeHz() {
    return (double) hertz / cycles();
  }

  /** Returns how often each row has its turns (Hz). */
  public double refreshHz() {
    return wholeHz() * passes();
  }

  /** Returns the share of the time that a light of full level is lit. */
  public double duty() {
    return (double) unit * ((1 << bits()) - 1) * prescale / cycles();
  }

  /** Returns the time that the lowest bit lights (s). */
  public double unitSeconds() {
    return (double) unit * prescale / hertz;
  }

  /** Returns the time that all rows are off at the beginning of a slot (s). */
  public double darkSeconds() {
    return (double) dark * prescale / hertz;
  }

  /** Returns the slots until all rows have shown all of their bits. */
  public int slotCount() {
    return turns * slotsOfARow();
  }

  /** Returns the interrupts a second. */
  public double interruptsHz() {
    return wholeHz() * slotCount();
  }

  /** Returns the time of beginning a slot, with all that its beginning does (s). */
  public double beginSeconds() {
    return (double) interruptCycles / hertz;
  }

  /** Returns the share of the controller's time that they take. */
  public double share() {
    return interruptsHz() * interruptCycles / hertz;
  }

  /**
   * A stretch in which a row is on.
   *
   * @param bit that it shows; of equal slots, the number of the slot
   * @param startSeconds from the beginning of the turns
   * @param seconds that it lasts
   */
  public record Slot(int row, int bit, double startSeconds, double seconds) {}

  /** Returns the slots in their order, until all rows have shown all of their bits. */
  public List<Slot> slots() {
    List<Slot> all = new ArrayList<>();
    double tick = (double) prescale / hertz;
    int[] order = scan.order().of(turns);
    long at = 0;
    for (List<ScanMethod.Step> pass : steps()) {
      for (int row : order) {
        for (ScanMethod.Step step : pass) {
          all.add(
              new Slot(row, step.bit(), (at + dark) * tick, (long) unit * step.weight() * tick));
          at += ticks(step);
        }
      }
    }
    return all;
  }

  /** Returns whether a light of a level is lit in a slot. */
  public boolean lit(int level, Slot slot) {
    return lit(level, slot.bit());
  }

  /** Returns the same of a slot of a row. */
  boolean lit(int level, ScanMethod.Step step) {
    return lit(level, step.bit());
  }

  private boolean lit(int level, int bit) {
    return scan.method() == ScanMethod.PLAIN ? level > bit : (level >> bit & 1) == 1;
  }
}
