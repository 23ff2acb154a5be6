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
    String off =
        phrase("The time is counted by %s: it may be off by %s a day.", keeper.title(), told(day));
    Finding finding =
        Finding.of(
                Step.CUES,
                "clock-drift",
                day <= NOT_SEEN ? Verdict.HOLDS : Verdict.TIGHT,
                off + beyond())
            .restingOn(
                new Calculation(
                    "clock-off",
                    "The clock may be off after a day",
                    day,
                    "s",
                    "1 d × off by",
                    List.of(given("off by", keeper.ppm(), "ppm")),
                    Source.COMMON_PRACTICE));
    return finding.verdict() == Verdict.HOLDS
        ? finding
        : finding.advising("Put a clock chip among the inputs.");
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
    String feed =
        " Changes to and from summer time are out of its reach: set it by a button or a message.";
    return switch (keeper) {
      case CHIP -> feed;
      case BUILT_IN -> " It begins anew when power comes on." + feed;
      case CRYSTAL ->
          phrase(
                  " Boards with a ceramic resonator in place of the crystal: by %s. It begins anew when power comes on.",
                  told(Timekeeping.offAfterADay(Timekeeping.RESONATOR_PPM)))
              + feed;
    };
  }
}
