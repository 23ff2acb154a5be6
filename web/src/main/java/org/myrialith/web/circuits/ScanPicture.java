package org.myrialith.web.circuits;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.multiplex.Scan;
import org.myrialith.circuit.multiplex.ScanMethod;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.finding.Quantity;

/**
 * Turns of rows, to scale.
 *
 * @param turn slots of one turn of all rows, a line for each row
 * @param names of the rows, with the middle of their lines
 * @param row slots of one row, drawn larger
 * @param interrupt as long as one takes, on the scale of that row
 * @param reaches highest refresh by depth, that of the circuit among them
 * @param height of the picture of a turn
 * @param word what has turns, in the plural
 * @param drawn how many of them are, where it is not all
 * @param polled whether slots begin while the player waits, not by an interrupt
 * @param table of the first slots
 */
public record ScanPicture(
    List<Bar> turn,
    List<Label> names,
    List<Bar> row,
    double interrupt,
    List<Reach> reaches,
    double height,
    String turnText,
    String word,
    String drawn,
    String rowText,
    String interruptText,
    boolean polled,
    List<Line> table) {
  private static final double LEFT = 110;
  private static final double WIDTH = 740;
  private static final double LINE = 16;

  /** Lines that are drawn; more rows look alike. */
  private static final int MOST_ROWS = 16;

  /** Slots that the table lists. */
  private static final int MOST_LINES = 160;

  private static final int DEPTHS = 8;
  private static final double REACH_WIDTH = 520;

  /**
   * A slot.
   *
   * @param shade 0 for the lowest bit to 7 for the highest
   * @param label where there is room for one, else empty
   */
  public record Bar(double x, double y, double width, int shade, String label) {}

  /** A slot in the table. */
  public record Line(int number, String turn, String shows, String start, String lasts) {}

  /** A word at its place. */
  public record Label(double y, String text) {}

  /**
   * The highest refresh at a depth.
   *
   * @param wanted where the wanted refresh stands on the same scale
   */
  public record Reach(int bits, double width, String hertz, boolean here, double wanted) {}

  /** Returns what begins a slot, in a sentence. */
  public String beginner() {
    return polled ? "overhead of each slot" : "interrupt at the start of each slot";
  }

  /** Returns what begins a slot, as a label. */
  public String begins() {
    return polled ? "beginning" : "interrupt";
  }

  static ScanPicture of(ScannedPlan plan) {
    ScanTiming timing = plan.timing();
    double turn = 1 / timing.wholeHz();
    String word = plan.circuit().scan().method() == ScanMethod.PLAIN ? "slot" : "bit";
    List<Bar> bars = new ArrayList<>();
    List<Bar> row = new ArrayList<>();
    double rowSeconds = (double) timing.cycles() / timing.turns() / timing.hertz();
    double rowEnds = 0;
    for (ScanTiming.Slot slot : timing.slots()) {
      if (slot.row() < MOST_ROWS) {
        bars.add(
            bar(slot, slot.startSeconds() / turn, slot.seconds() / turn, slot.row() * LINE, ""));
      }
      if (slot.row() == 0) { // its passes side by side
        double start = rowEnds + timing.darkSeconds();
        row.add(bar(slot, start / rowSeconds, slot.seconds() / rowSeconds, 0, word));
        rowEnds = start + slot.seconds();
      }
    }
    int rows = Math.min(MOST_ROWS, timing.turns());
    List<Label> names = new ArrayList<>();
    for (int r = 0; r < rows; r++) {
      names.add(new Label(r * LINE + LINE - 4, plan.turnName(r)));
    }
    double interrupt = timing.beginSeconds();
    return new ScanPicture(
        bars,
        names,
        row,
        Math.min(1, interrupt / rowSeconds) * WIDTH,
        reaches(plan),
        rows * LINE,
        Quantity.text(turn, "s"),
        plan.circuit().turnWord(),
        rows < timing.turns() ? phrase(", the first %d of %d", rows, timing.turns()) : "",
        Quantity.text(rowSeconds, "s"),
        Quantity.text(interrupt, "s"),
        plan.polled(),
        table(plan, word));
  }

  private static List<Line> table(ScannedPlan plan, String word) {
    List<Line> all = new ArrayList<>();
    for (ScanTiming.Slot slot : plan.timing().slots()) {
      if (all.size() < MOST_LINES) {
        all.add(
            new Line(
                all.size(),
                plan.turnName(slot.row()),
                phrase("%s %d", word, slot.bit()),
                Quantity.text(slot.startSeconds(), "s"),
                Quantity.text(slot.seconds(), "s")));
      }
    }
    return all;
  }

  private static Bar bar(ScanTiming.Slot slot, double start, double share, double y, String word) {
    double width = share * WIDTH;
    String label = !word.isEmpty() && width > 44 ? phrase("%s %d", word, slot.bit()) : "";
    return new Bar(LEFT + start * WIDTH, y, Math.max(0.6, width), Math.min(7, slot.bit()), label);
  }

  /** On a scale of decades, as they part by far. */
  private static double along(double hertz) {
    double decades = Math.log10(Scan.REFRESH.max() / Scan.REFRESH.min());
    double at = Math.log10(hertz / Scan.REFRESH.min()) / decades;
    return Math.max(0, Math.min(1, at)) * REACH_WIDTH;
  }

  private static List<Reach> reaches(ScannedPlan plan) {
    List<Reach> all = new ArrayList<>();
    for (int bits = 1; bits <= DEPTHS; bits++) {
      double hertz = plan.mostHertz(plan.timing().turns(), bits);
      all.add(
          new Reach(
              bits,
              along(hertz),
              Quantity.text(Math.floor(hertz), "Hz"),
              bits == plan.timing().bits(),
              along(plan.timing().refreshHz())));
    }
    return all;
  }
}
