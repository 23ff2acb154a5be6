package org.myrialith.input;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Controller;

/**
 * What is judged of an input.
 *
 * @param number of it, from 1
 * @param busySeconds that the player sends for at a stretch, and looks at nothing
 */
public record InputFindings(Input input, int number, Controller controller, double busySeconds) {
  /** A reaction later than this is felt (common practice). */
  private static final double FELT_SECONDS = 0.1;

  /** A contact bounces for so long (common practice). */
  private static final double BOUNCE_SECONDS = 5e-3;

  private static final double LARGE_SHARE = 0.1;

  private String key(String name) {
    return phrase("input-%s-%d", name, number);
  }

  public List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    pins().ifPresent(all::add);
    all.add(reading());
    bouncing().ifPresent(all::add);
    late().ifPresent(all::add);
    return all;
  }

  private Optional<Finding> pins() {
    List<String> named = input.pinNames();
    int wanted = input.sort().pins(input.count());
    for (String pin : named) {
      Optional<String> why = controller.whyNot(pin);
      if (why.isPresent()) {
        return Optional.of(
            breaks(
                "pin",
                phrase("%s: pin %s can't be used: %s.", input.name(), pin, why.get()),
                "Choose another pin."));
      }
    }
    List<String> reads = controller.analoguePins();
    if (input.sort() == InputSort.LIGHT && !reads.isEmpty() && !reads.containsAll(named)) {
      return Optional.of(
          breaks(
              "analogue",
              phrase(
                  "%s: not all of %s can read a voltage.", input.name(), String.join(", ", named)),
              phrase("Use some of %s.", String.join(", ", reads))));
    }
    if (named.size() == wanted) {
      return Optional.empty();
    }
    return Optional.of(
        breaks(
            "pins",
            phrase(
                "%s: %s needed, %d named.",
                input.name(), Quantity.text(wanted, "pins"), named.size()),
            input.sort() == InputSort.REGISTERS
                ? "Name four pins: data, clock, load and clock enable."
                : named.size() < wanted
                    ? "Name more pins, or read them through registers."
                    : "Name fewer pins."));
  }

  private Finding breaks(String name, String says, String advice) {
    return Finding.of(Step.CIRCUITS, key(name), Verdict.BREAKS, says).advising(advice);
  }

  public Calculation working() {
    return new Calculation(
        key("share"),
        phrase("CPU time for %s", input.name()),
        input.share() * 100,
        "%",
        "time of a sample ÷ sample interval",
        List.of(
            given("time of a sample", input.sort().seconds(input.count()), "s"),
            given("sample interval", input.everyMillis() * 1e-3, "s"),
            given("samples of a reading", input.samples(), ""),
            given("agreeing", input.agreeing(), "")),
        Source.COMMON_PRACTICE);
  }

  private Finding reading() {
    boolean slow = input.reactionSeconds() > FELT_SECONDS && input.sort().bounces();
    boolean much = input.share() > LARGE_SHARE;
    int chips = input.sort().chips(input.count());
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                key("reading"),
                slow || much ? Verdict.TIGHT : Verdict.HOLDS,
                phrase(
                    "%s: %s%s, debounced after %s, CPU load %s.",
                    input.name(),
                    Quantity.text(input.sort().pins(input.count()), "pins"),
                    chips == 0 ? "" : phrase(" and %s", Quantity.text(chips, "chips")),
                    Quantity.text(input.reactionSeconds(), "s"),
                    Quantity.text(input.share() * 100, "%")))
            .restingOn(working());
    return slow || much
        ? finding.advising(
            much
                ? "Poll less often: it takes more than a tenth of the CPU time."
                : "Delays above 0.1 s are felt: use fewer samples, or a shorter interval.")
        : finding;
  }

  /** Few looks within the bounce of a contact agree on the wrong thing. */
  private Optional<Finding> bouncing() {
    boolean few = 2 * input.agreeing() <= input.samples();
    boolean quick = input.reactionSeconds() < BOUNCE_SECONDS;
    if (!input.sort().bounces() || !few && !quick) {
      return Optional.empty();
    }
    return Optional.of(
        Finding.of(
                Step.CIRCUITS,
                key("bounce"),
                Verdict.TIGHT,
                few
                    ? phrase(
                        "%s: %d of %d matching samples can be either state.",
                        input.name(), input.agreeing(), input.samples())
                    : phrase(
                        "%s: contacts bounce for about 5 ms; debouncing covers %s.",
                        input.name(), Quantity.text(input.reactionSeconds(), "s")))
            .advising("Use nine of ten samples, 1 to 5 ms apart."));
  }

  private Optional<Finding> late() {
    return busySeconds <= input.everyMillis() * 1e-3
        ? Optional.empty()
        : Optional.of(
            Finding.of(
                    Step.CIRCUITS,
                    key("late"),
                    Verdict.TIGHT,
                    phrase(
                        "%s: sending blocks the player for up to %s; the sample interval is %s.",
                        input.name(),
                        Quantity.text(busySeconds, "s"),
                        Quantity.text(input.everyMillis() * 1e-3, "s")))
                .advising("Use a longer sample interval, or drive less from one controller."));
  }
}
