package org.myrialith.cue.plan;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.stream.Collectors;
import org.myrialith.cue.Variable;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.KeptRecord;
import org.myrialith.cue.table.Value;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/** How long the memory stands that keeps values while power is off. */
record Endurance(CueTable table, KeptRecord record) {
  /** A minute, and a little: what the clock sets off comes in it (ms). */
  private static final int WATCHED_MILLIS = 63_000;

  private static final double MINUTES_A_DAY = 24 * 60;
  private static final double DAYS_A_YEAR = 365;

  /** Shorter than that, a gadget is worn out before it is old (years, common practice). */
  private static final double SHORT_YEARS = 10;

  Finding finding() {
    double aMinute = keptAMinute();
    if (aMinute == 0) {
      return Finding.of(
              Step.CUES,
              "kept-wear",
              Verdict.HOLDS,
              phrase(
                  "%s kept without power; the memory endures %s changes, at least %s apart.",
                  names(), Quantity.number(record.writes()), seconds()))
          .restingOn(writes());
    }
    double days = record.writes() / (aMinute * MINUTES_A_DAY);
    Verdict verdict =
        days < DAYS_A_YEAR
            ? Verdict.BREAKS
            : days < SHORT_YEARS * DAYS_A_YEAR ? Verdict.TIGHT : Verdict.HOLDS;
    Finding finding =
        Finding.of(
                Step.CUES,
                "kept-wear",
                verdict,
                phrase(
                    "%s kept without power; without any input the memory wears out after %s days.",
                    names(), Quantity.number(days)))
            .restingOn(days(aMinute, days));
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising("Keep only values set by hand, not those that change by themselves.");
  }

  private String names() {
    String all = record.values().stream().map(Value::name).collect(Collectors.joining(", "));
    return all + (record.values().size() == 1 ? " is" : " are");
  }

  private static String seconds() {
    return Quantity.text(Variable.KEPT_MILLIS * 1e-3, "s");
  }

  private double keptAMinute() {
    CueEngine engine = new CueEngine(table);
    engine.untouched(WATCHED_MILLIS, () -> {});
    return engine.keeps() * 60_000.0 / WATCHED_MILLIS;
  }

  private Calculation writes() {
    return new Calculation(
        "kept-writes",
        "Changes the memory endures",
        record.writes(),
        "",
        record.memory().spread()
            ? "write cycles × records; records are written in turn"
            : "write cycles; of the whole",
        List.of(
            given("write cycles", record.memory().writes(), ""),
            given("bytes of the memory", record.memory().bytes(), "bytes"),
            given("bytes of a record", record.bytes(), "bytes"),
            given("records", record.slots(), "")),
        Source.partClass("data sheets of the classes; for emulation in flash, the lowest"));
  }

  private Calculation days(double aMinute, double days) {
    return new Calculation(
        "kept-days",
        "Days until the memory wears out",
        days,
        "d",
        "changes it endures ÷ changes a minute without input",
        List.of(
            given("changes it endures", record.writes(), ""),
            given("changes a minute without input", aMinute, "1/min")),
        Source.ARITHMETIC);
  }
}
