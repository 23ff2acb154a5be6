package org.myrialith.cue.plan;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Timekeeping;

/**
 * How far the time of cues may be off.
 *
 * @param keeper what counts the seconds
 */
record ClockDrift(Timekeeping keeper) {
  /** More is seen on a clock within a week (s a day). */
  private static final double NOT_SEEN = 10;

  private static final int MINUTE = 60;
  private static final int HOUR = 3600;

  Finding finding() {
    double day = Timekeeping.offAfterADay(keeper.ppm());
    String off = phrase("Time kept by %s: error up to %s a day.", keeper.title(), told(day));
    Finding finding =
        Finding.of(
                Step.CUES,
                "clock-drift",
                day <= NOT_SEEN ? Verdict.HOLDS : Verdict.TIGHT,
                off + beyond())
            .restingOn(
                new Calculation(
                    "clock-off",
                    "Clock error after one day",
                    day,
                    "s",
                    "1 d × clock error",
                    List.of(given("clock error", keeper.ppm(), "ppm")),
                    Source.COMMON_PRACTICE));
    return finding.verdict() == Verdict.HOLDS
        ? finding
        : finding.advising("Add a clock chip under Inputs.");
  }

  private static String told(double seconds) {
    if (seconds < 2 * MINUTE) {
      return Quantity.text(seconds, "s");
    }
    return seconds < 2 * HOUR
        ? Quantity.text(seconds / MINUTE, "min")
        : Quantity.text(seconds / HOUR, "h");
  }

  private String beyond() {
    String feed = " It does not follow daylight saving time: set it by a button or a message.";
    return switch (keeper) {
      case CHIP -> feed;
      case BUILT_IN -> " It restarts at power-on." + feed;
      case CRYSTAL ->
          phrase(
                  " Boards with a ceramic resonator instead of the crystal: %s. It restarts at power-on.",
                  told(Timekeeping.offAfterADay(Timekeeping.RESONATOR_PPM)))
              + feed;
    };
  }
}
