package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import org.myrialith.brief.Brief;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;

/**
 * A high level on its way: what pins of the controller reach, and from where inputs take it.
 *
 * @param key of the circuit, behind the names of its numbers
 * @param signals what is sent, such as "Data, clock and latch"
 * @param takers what listens, such as "the chips"
 * @param supplyVolts that the controller is fed with (V)
 * @param takersVolts that what listens is fed with (V)
 * @param fixedVolts from which inputs take a level for high (V), 0 for 0.7 of what they are fed
 *     with
 * @param inputs on one pin
 * @param source of the threshold
 * @param cellVolts of the supply in this case, where it runs empty (V); else 0
 */
@RecordBuilder
public record LogicLevel(
    String key,
    String signals,
    String takers,
    Controller controller,
    double supplyVolts,
    double takersVolts,
    double fixedVolts,
    int inputs,
    Source source,
    double cellVolts) {
  /** Share of its supply from which a CMOS input takes a level for high. */
  public static final double HIGH_SHARE = 0.7;

  /** From where a buffer of the HCT class takes a level for high (V), JESD7A. */
  static final double HCT_VOLTS = 2.0;

  /** What an input takes at most (A), JESD7A. */
  private static final double INPUT_AMPS = 1e-6;

  /** So little room serves a short chain and fails in a long one (common practice). */
  private static final double SCANT_SHARE = 0.05;

  private static final int SHORT_CHAIN = 2;

  /** Lowest and highest supply of a buffer of the HCT class (V). */
  private static final double HCT_LEAST = 4.5;

  private static final double HCT_MOST = 5.5;

  public LogicLevel(
      String key,
      String signals,
      String takers,
      Controller controller,
      double supplyVolts,
      double takersVolts,
      double fixedVolts,
      int inputs,
      Source source) {
    this(key, signals, takers, controller, supplyVolts, takersVolts, fixedVolts, inputs, source, 0);
  }

  /**
   * Returns the case with least room over the life of what feeds it: from full cells to those that
   * are empty.
   *
   * @param of the level with the supply at its volts
   */
  public static LogicLevel scantest(Brief brief, Function<Brief, LogicLevel> of) {
    LogicLevel scantest = of.apply(brief);
    for (Brief there : brief.overLife()) {
      LogicLevel level = of.apply(there);
      if (level.spare() < scantest.spare() - 1e-9) {
        scantest = level.at(there.supply().orElseThrow().volts());
      }
    }
    return scantest;
  }

  private LogicLevel at(double cells) {
    return LogicLevelBuilder.builder(this).cellVolts(cells).build();
  }

  /** Returns the level into something that takes a fixed one. */
  LogicLevel into(String what, double fromVolts, int taking, Source why) {
    return LogicLevelBuilder.builder(this)
        .takers(what)
        .fixedVolts(fromVolts)
        .inputs(taking)
        .source(why)
        .build();
  }

  /** Returns that of a chain of registers. */
  public static LogicLevel ofChain(String circuit, Brief brief, RegisterClass sort, int chips) {
    return scantest(
        brief,
        at ->
            new LogicLevel(
                "-" + circuit,
                "Data, clock and latch",
                "the chips",
                at.controller(),
                at.controllerVolts(),
                at.controllerVolts(),
                sort == RegisterClass.HCT ? HCT_VOLTS : 0,
                chips,
                Source.standard("JESD7A")));
  }

  /** Judges that of a chain, mended by registers that take less where there are such. */
  public Finding judgedOf(RegisterClass sort) {
    Finding finding = judged(List::of);
    return sort == RegisterClass.HC && finding.verdict() != Verdict.HOLDS
        ? finding.mendedBy(
            List.of(
                new Remedy(
                    phrase(
                        "Use HCT registers: input high threshold %s",
                        Quantity.text(HCT_VOLTS, "V")),
                    new Change.UseRegisters(key.substring(1), RegisterClass.HCT.key()))))
        : finding;
  }

  private double pinVolts() {
    return controller.logicVolts(supplyVolts);
  }

  private double sagVolts() {
    return controller.stage().sourceOhms() * inputs * INPUT_AMPS;
  }

  double reached() {
    return pinVolts() - sagVolts();
  }

  double needed() {
    return fixedVolts > 0 ? fixedVolts : HIGH_SHARE * takersVolts;
  }

  private double spare() {
    return reached() - needed();
  }

  public Calculation high() {
    return new Calculation(
        "data-high" + key,
        "Input high threshold (V_IH)",
        needed(),
        "V",
        fixedVolts > 0 ? Quantity.text(fixedVolts, "V") : "0.7 × supply of the inputs",
        List.of(
            given("supply of the inputs", takersVolts, "V"),
            given("output high voltage", pinVolts(), "V")),
        source);
  }

  public Calculation margin() {
    return new Calculation(
        "data-margin" + key,
        "High-level margin",
        spare(),
        "V",
        "output high voltage − pin output resistance × inputs × 1 µA − input high threshold",
        List.of(
            given("output high voltage", pinVolts(), "V"),
            given("pin output resistance", controller.stage().sourceOhms(), "ohm"),
            given("inputs", inputs, ""),
            given("input high threshold", needed(), "V")),
        Source.standard("JESD7A: input current 1 µA at most"));
  }

  private Verdict verdict() {
    boolean scant = spare() < SCANT_SHARE * takersVolts && inputs > SHORT_CHAIN;
    return spare() < 0 ? Verdict.BREAKS : scant ? Verdict.TIGHT : Verdict.HOLDS;
  }

  /**
   * Judges it.
   *
   * @param others remedies that only this circuit has, in figures
   */
  public Finding judged(Supplier<List<String>> others) {
    String reach =
        phrase(
            "%s reach%s %s%s; %s need %s",
            signals,
            signals.contains(" ") ? "" : "es",
            Quantity.text(pinVolts(), "V"),
            cellVolts == 0 ? "" : phrase(" with cells at %s", Quantity.text(cellVolts, "V")),
            takers,
            Quantity.text(needed(), "V"));
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                "logic-level" + key,
                verdict(),
                reach
                    + switch (verdict()) {
                      case TIGHT ->
                          phrase(
                              ": margin %s, enough for two chips but not for a long chain.",
                              Quantity.text(spare(), "V"));
                      case HOLDS -> phrase(": margin %s.", Quantity.text(spare(), "V"));
                      default -> ".";
                    })
            .restingOn(high(), margin());
    if (verdict() == Verdict.HOLDS) {
      return finding;
    }
    List<String> remedies = new ArrayList<>(others.get());
    remedies.addAll(remedies());
    return finding.advising(String.join(" ", remedies));
  }

  private List<String> remedies() {
    List<String> all = new ArrayList<>();
    if (takersVolts >= HCT_LEAST && takersVolts <= HCT_MOST) {
      all.add(
          phrase(
              "With an HCT buffer: threshold %s, margin %s; its output %s, margin %s.",
              Quantity.text(HCT_VOLTS, "V"),
              Quantity.text(reached() - HCT_VOLTS, "V"),
              Quantity.text(takersVolts, "V"),
              Quantity.text(takersVolts - needed(), "V")));
    } else {
      all.add(
          phrase(
              "With a level shifter: %s, margin %s.",
              Quantity.text(takersVolts, "V"), Quantity.text(takersVolts - needed(), "V")));
    }
    if (fixedVolts == 0) {
      double most = Math.floor(100 * reached() / (HIGH_SHARE + SCANT_SHARE)) / 100;
      all.add(
          phrase(
              "Supplied with %s, %s need %s: margin %s.",
              Quantity.text(most, "V"),
              takers,
              Quantity.text(HIGH_SHARE * most, "V"),
              Quantity.text(reached() - HIGH_SHARE * most, "V")));
    }
    return all;
  }
}
