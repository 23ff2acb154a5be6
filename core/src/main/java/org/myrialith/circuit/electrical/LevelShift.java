package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.RegisterClass;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * What stands in the lines of a circuit between the controller and its first chip, so that a low
 * logic level reaches chips on a higher supply. Data are those of the classes, from memory.
 */
public enum LevelShift {
  NONE("nothing", 0),
  /** Takes 2.0 V for high on 4.5 to 5.5 V (JESD8 family), and gives its supply. */
  HCT("HCT buffer", 2.0),
  /** A small N-channel MOSFET a line, its gate on the logic supply, a pull-up on either side. */
  MOSFET("MOSFET level shifter, 1 kohm pull-ups", 2.5);

  private static final double HCT_LEAST = 4.5;
  private static final double HCT_MOST = 5.5;

  /** Pull-up on the side of the chips (ohm). */
  private static final double PULL_UP = 1000;

  /** Of a rise from a tenth to nine tenths through a resistor: ln 9. */
  private static final double RISE = Math.log(9);

  /** Capacitance of a MOSFET and a short wire beside that of the inputs (pF), common practice. */
  private static final double STRAY_PF = 50;

  private final String title;
  private final double highVolts;

  LevelShift(String title, double highVolts) {
    this.title = title;
    this.highVolts = highVolts;
  }

  /** How it stands in the format. */
  public static Field<LevelShift> field() {
    return Field.of(
            "shift",
            "Level shifter",
            Types.Choice.of(LevelShift.values(), LevelShift::key, LevelShift::title))
        .or(NONE)
        .explained("between the controller and the first chip or pixel");
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns the level that goes into it, in place of that into the chips. */
  public LogicLevel before(LogicLevel plain) {
    return this == NONE
        ? plain
        : plain.into(
            this == HCT ? "the buffer" : "the level shifters",
            highVolts,
            1,
            this == HCT
                ? Source.standard("JESD7A, HCT: input high threshold 2.0 V")
                : Source.partClass("small MOSFET, on from 2.5 V (common practice)"));
  }

  /**
   * Returns what is judged of it.
   *
   * @param key of the judgement
   * @param volts that the chips behind it are fed with (V)
   * @param inputs on one of its lines
   * @param mostSeconds that an edge may take behind it (s)
   */
  public List<Finding> judged(String key, double volts, int inputs, double mostSeconds) {
    List<Finding> all = new ArrayList<>();
    if (this == HCT) {
      boolean fed = volts >= HCT_LEAST && volts <= HCT_MOST;
      Finding finding =
          Finding.of(
              Step.CIRCUITS,
              key,
              fed ? Verdict.HOLDS : Verdict.BREAKS,
              phrase(
                  "HCT buffer supply (and high level) %s; rated supply %s to %s.",
                  Quantity.text(volts, "V"),
                  Quantity.text(HCT_LEAST, "V"),
                  Quantity.text(HCT_MOST, "V")));
      all.add(fed ? finding : finding.advising("Use MOSFET level shifters, or another supply."));
    } else if (this == MOSFET) {
      double farads = (STRAY_PF + inputs * RegisterClass.INPUT_PF) * 1e-12;
      double rise = RISE * PULL_UP * farads;
      Calculation working =
          new Calculation(
              key + "-rise",
              "Rise time behind the level shifter",
              rise,
              "s",
              "ln(9) × pull-up × (stray + inputs × input)",
              List.of(
                  given("pull-up", PULL_UP, "ohm"),
                  given("stray", STRAY_PF * 1e-12, "F"),
                  given("inputs", inputs, ""),
                  given("input", RegisterClass.INPUT_PF * 1e-12, "F")),
              Source.COMMON_PRACTICE);
      boolean quick = rise <= mostSeconds;
      Finding finding =
          Finding.of(
                  Step.CIRCUITS,
                  key,
                  quick ? Verdict.HOLDS : Verdict.BREAKS,
                  phrase(
                      "Rise time behind the level shifter %s; maximum %s.",
                      Quantity.text(rise, "s"), Quantity.text(mostSeconds, "s")))
              .restingOn(working);
      all.add(quick ? finding : finding.advising("Use an HCT buffer."));
    }
    return all;
  }

  /** Returns how it is wired, as far as there is any. */
  public List<String> wiring(String logic, String takers) {
    return switch (this) {
      case NONE -> List.of();
      case HCT ->
          List.of(
              phrase(
                  "HCT buffer close to the first chip or pixel: its supply pin to plus of %s, ground to ground, 100 nF across them, output enable to ground, unused inputs to ground. Each line below goes from its pin to a buffer input, and from that output on as listed.",
                  takers));
      case MOSFET ->
          List.of(
              phrase(
                  "A MOSFET level shifter in each line below: gate to %s, source to the pin with 10 kohm to %s, drain to the chip or pixel with 1 kohm to plus of %s.",
                  logic, logic, takers));
    };
  }

  private static final int BUFFER_LINES = 4;

  /** Returns its parts in so many lines: a buffer has four, a MOSFET one with two resistors. */
  public Map<PartSort, Integer> parts(int lines) {
    return switch (this) {
      case NONE -> Map.of();
      case HCT -> {
        int buffers = (lines + BUFFER_LINES - 1) / BUFFER_LINES;
        yield Map.of(PartSort.BUFFER, buffers, PartSort.CAPACITOR, buffers);
      }
      case MOSFET -> Map.of(PartSort.MOSFET, lines, PartSort.RESISTOR, 2 * lines);
    };
  }
}
