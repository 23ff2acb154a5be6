package org.myrialith.voltagedrop;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Connector;

/** What is judged of a plug. */
public final class Plug {
  private Plug() {}

  /**
   * Returns the judgement.
   *
   * @param where it stands, in words
   * @param amps through it (A)
   * @param advice for one that carries too much
   */
  public static Finding judged(
      String key, String where, Connector plug, double amps, String advice) {
    Calculation working =
        new Calculation(
            key,
            phrase("Connector current of %s", where),
            amps,
            "A",
            "current of its wire",
            List.of(
                given("current of its wire", amps, "A"),
                given("connector rating", plug.carriesAmps(), "A")),
            Source.COMMON_PRACTICE);
    boolean carries = amps <= plug.carriesAmps();
    Finding finding =
        Finding.of(
                Harm.PERSON,
                Step.POWER,
                key,
                carries ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "Connector at %s: current %s; %s is rated for %s continuous.",
                    where,
                    Quantity.text(amps, "A"),
                    plug.title(),
                    Quantity.text(plug.carriesAmps(), "A")))
            .restingOn(working);
    return carries ? finding : finding.advising(advice);
  }
}
