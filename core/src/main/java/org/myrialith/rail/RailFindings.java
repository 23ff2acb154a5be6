package org.myrialith.rail;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Conductor;

/**
 * What is judged of the volts along a chain.
 *
 * @param forWorst whether everything at its most is planned for; else the moment that draws most
 * @param brightnessPercent limit of the gadget
 * @param share what everything lights with at its most under a limit (0 to 1)
 */
public record RailFindings(
    RailPlan plan, boolean forWorst, int brightnessPercent, IntToDoubleFunction share) {
  /** Below this a pixel's chip stops working, as a share of what its colours need. */
  private static final double DEAD_SHARE = 0.85;

  /** Ratings of fuses (A), IEC 60127 and common blade fuses. */
  private static final double[] FUSES = {
    0.5, 0.63, 0.8, 1, 1.25, 1.6, 2, 2.5, 3.15, 4, 5, 6.3, 7.5, 10, 15, 20, 25, 30, 40
  };

  /** A fuse carries this share of its rating for good (common practice). */
  private static final double FUSE_SHARE = 0.75;

  /** How long a supply leaves a step of current to the capacitor, and what it may dip. */
  private static final double STEP_SECONDS = 50e-6;

  private static final double DIP_VOLTS = 0.2;

  /** Where power enters, whatever the step (µF), common practice. */
  private static final double LEAST_MICROFARADS = 470;

  /** A limit below it is no remedy (%). */
  private static final int LEAST_PERCENT = 5;

  /** Of its supply a pixel takes this share for high (common practice). */
  private static final double HIGH_SHARE = 0.7;

  private String key(String name) {
    return name + "-" + plan.settings().circuit();
  }

  private RailPlan.Course planned() {
    return forWorst ? plan.worst() : plan.shown().orElse(plan.worst());
  }

  /** Returns all of them; of what the maker has not told, only what would not do. */
  public List<Finding> all() {
    Finding volts = volts();
    if (!plan.said()) {
      return volts.verdict() == Verdict.HOLDS ? List.of() : List.of(volts);
    }
    List<Finding> all = new ArrayList<>(List.of(volts, wires()));
    behindEnd().ifPresent(all::add);
    data().ifPresent(all::add);
    all.add(capacitor());
    return all;
  }

  private Finding of(String name, Verdict verdict, String says) {
    return Finding.of(Step.POWER, key(name), verdict, says);
  }

  private Reckoning weakest() {
    RailPlan.Course course = planned();
    int at = course.weakest();
    return new Reckoning(
        key("rail-volts"),
        phrase("Volts at pixel %d, which gets least", at),
        course.leastVolts(),
        "V",
        "volts where feeds begin − what is lost in plus − what is lost in minus: both rails as networks of resistances, each pixel drawing its current",
        List.of(
            given("where feeds begin", course.startVolts(), "V"),
            given("lost one way", course.drops()[at], "V"),
            given("drawn by the chain", course.chainAmps(), "A"),
            given("from pixel to pixel", ohmsOfAMetre(), "ohm a metre"),
            given("feeds", plan.settings().feeds().size(), "")),
        Source.standard("IEC 60028 for copper"));
  }

  private double ohmsOfAMetre() {
    return plan.settings().along().ohmsPerMetre(plan.settings().celsius());
  }

  private Finding volts() {
    RailPlan.Course course = planned();
    double least = plan.leastVolts();
    double gets = course.leastVolts();
    boolean enough = gets >= least;
    boolean dead = gets < DEAD_SHARE * least;
    Verdict verdict = enough ? Verdict.HOLDS : dead && plan.said() ? Verdict.BREAKS : Verdict.TIGHT;
    String what =
        forWorst || plan.shown().isEmpty()
            ? "with everything at its most"
            : "in the moment that draws most";
    String says =
        gets <= 0
            ? phrase(
                "The wires cannot carry %s to the chain %s: long before that its pixels go brown and dark.",
                Quantity.text(course.chainAmps(), "A"), what)
            : phrase(
                "Pixel %d gets %s %s; it needs %s to keep its colours.",
                course.weakest(), Quantity.text(gets, "V"), what, Quantity.text(least, "V"));
    if (!enough && gets > 0) {
      says +=
          phrase(
              " From pixel %d on blue and green fade first%s.",
              plan.firstBelow(course), dead ? ", and chips stop" : "");
    }
    if (!plan.said()) {
      says =
          "Not told yet how the chain is fed; as strips usually are, from their beginning: " + says;
    }
    Finding finding = of("rail-volts", verdict, says).restingOn(weakest());
    if (enough) {
      return finding;
    }
    return plan.said()
        ? finding.advising(advice()).mendedBy(remedies())
        : finding.advising("Tell how it is fed; then what mends it is worked out.");
  }

  private double gets(RailSettings other) {
    return plan.otherwise(planned(), other).leastVolts();
  }

  /** What other conductors would do, and what of the other ways is not enough. */
  private String advice() {
    List<String> all = new ArrayList<>();
    Arrays.stream(Conductor.values())
        .filter(c -> c.track() == plan.settings().along().track())
        .filter(c -> c.mm2() > plan.settings().along().mm2() * 1.01)
        .sorted(Comparator.comparingDouble(Conductor::mm2))
        .filter(c -> gets(plan.settings().along(c)) >= plan.leastVolts())
        .findFirst()
        .ifPresent(
            c ->
                all.add(
                    phrase(
                        "In %s from pixel to pixel it would get %s.",
                        c.title(), Quantity.text(gets(plan.settings().along(c)), "V"))));
    for (Way way : ways()) {
      double volts = gets(way.settings());
      if (volts > planned().leastVolts() + 0.01 && volts < plan.leastVolts() && volts > 0) {
        all.add(phrase("%s it would still get %s only.", way.told(), Quantity.text(volts, "V")));
      }
    }
    return all.isEmpty()
        ? "Feed it at more places, by thicker wires, or limit the brightness."
        : String.join(" ", all);
  }

  /** Another way to wire the chain. */
  private record Way(String told, String label, RailSettings settings, Change change) {}

  private List<Way> ways() {
    List<Way> all = new ArrayList<>();
    int last = planned().amps().length - 1;
    String circuit = plan.settings().circuit();
    if (last > 0) {
      List<Integer> ends = List.of(0, last);
      all.add(
          new Way(
              "Fed at both ends",
              phrase("Feed both ends, 0 and %d", last),
              plan.settings().fedAt(ends),
              new Change.FeedRail(circuit, ends)));
    }
    if (!plan.settings().closed() && last > 1) {
      all.add(
          new Way(
              "As a ring",
              "Join the ends to a ring",
              plan.settings().closed(true),
              new Change.CloseRail(circuit)));
    }
    return all;
  }

  /** Those that are enough. */
  private List<Remedy> remedies() {
    Map<String, Remedy> all = new LinkedHashMap<>();
    plan.fewest(planned()).ifPresent(places -> put(all, fed(places.at())));
    for (Way way : ways()) {
      double volts = gets(way.settings());
      if (volts >= plan.leastVolts()) {
        put(
            all,
            new Remedy(
                phrase("%s: %s at least", way.label(), Quantity.text(volts, "V")), way.change()));
      }
    }
    brightness()
        .ifPresent(
            percent ->
                put(
                    all,
                    new Remedy(
                        phrase("Limit the brightness to %d %%", percent),
                        new Change.LimitBrightness(percent))));
    return List.copyOf(all.values());
  }

  private static void put(Map<String, Remedy> all, Remedy remedy) {
    all.putIfAbsent(remedy.key(), remedy);
  }

  private Remedy fed(List<Integer> at) {
    String places = at.stream().map(String::valueOf).collect(Collectors.joining(", "));
    return new Remedy(
        phrase(
            "Feed at %s: %s at least", places, Quantity.text(gets(plan.settings().fedAt(at)), "V")),
        new Change.FeedRail(plan.settings().circuit(), at));
  }

  /** Drops go with currents: the largest limit that keeps all above their least. */
  private Optional<Integer> brightness() {
    if (!forWorst) {
      return Optional.empty();
    }
    double[] idle = new double[plan.worst().amps().length];
    Arrays.fill(idle, plan.load().idleAmps());
    RailPlan.Course dark = plan.of(idle);
    double now = share.applyAsDouble(brightnessPercent);
    int holds = 0;
    int breaks = brightnessPercent;
    // volts never rise when the limit is raised, so halving finds the last that holds
    while (breaks - holds > 1) {
      int middle = holds + breaks >>> 1;
      if (least(dark, share.applyAsDouble(middle) / now) >= plan.leastVolts()) {
        holds = middle;
      } else {
        breaks = middle;
      }
    }
    return holds >= LEAST_PERCENT ? Optional.of(holds) : Optional.empty();
  }

  /** What the weakest pixel gets with a part of what is drawn beyond a dark chain. */
  private double least(RailPlan.Course dark, double part) {
    double least = Double.MAX_VALUE;
    for (int pixel = 0; pixel < dark.drops().length; pixel++) {
      least = Math.min(least, part * plan.worst().volts(pixel) + (1 - part) * dark.volts(pixel));
    }
    return least;
  }

  private static double fuse(double amps) {
    return Arrays.stream(FUSES).filter(f -> FUSE_SHARE * f >= amps).findFirst().orElse(0);
  }

  private Finding wires() {
    double[] amps = planned().feedAmps();
    int most =
        IntStream.range(0, amps.length).reduce((a, b) -> amps[b] > amps[a] ? b : a).orElse(0);
    Feed feed = plan.settings().feeds().get(most);
    double carries = feed.wire().carriesAmps();
    double fuse = fuse(amps[most]);
    boolean fused = fuse > 0 && fuse <= carries * 1.0001;
    Verdict verdict = amps[most] > carries ? Verdict.BREAKS : fused ? Verdict.HOLDS : Verdict.TIGHT;
    Reckoning working =
        new Reckoning(
            key("feed-current"),
            phrase("Through the feed at pixel %d", feed.at()),
            amps[most],
            "A",
            "volts lost in its plus ÷ its resistance one way",
            List.of(
                given("resistance one way", feed.ohms(plan.settings().celsius()), "ohm"),
                given("its wire carries", carries, "A")),
            Source.standard("IEC 60335-1, table 11; thin wires 6 A a mm², common practice"));
    Finding finding =
        of(
                "feed-current",
                verdict,
                phrase(
                    "The feed at pixel %d carries %s; %s carries %s for good.%s",
                    feed.at(),
                    Quantity.text(amps[most], "A"),
                    feed.wire().title(),
                    Quantity.text(carries, "A"),
                    fuse == 0
                        ? ""
                        : phrase(
                            " A fuse of %s near the supply %s.",
                            Quantity.text(fuse, "A"),
                            fused ? "guards it" : "would blow later than the wire")))
            .restingOn(working);
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising(
            phrase(
                "Use a wire that carries %s, or more feeds.",
                Quantity.text(fuse == 0 ? amps[most] : fuse, "A")));
  }

  private Optional<Finding> behindEnd() {
    int pixels = plan.worst().amps().length;
    return plan.behindEnd() == 0
        ? Optional.empty()
        : Optional.of(
            of(
                    "feeds-behind",
                    Verdict.TIGHT,
                    phrase(
                        "%s told for pixels behind the end, which is pixel %d: reckoned at the end.",
                        plan.behindEnd() == 1 ? "A feed is" : "Feeds are", pixels - 1))
                .advising("Say where it is fed now."));
  }

  /** The ground of the first pixel is above that of the controller. */
  private Optional<Finding> data() {
    RailPlan.Course course = planned();
    double rises = course.drops()[0];
    double logic = plan.circuit().brief().logicVolts();
    double sees = logic - rises;
    if (plan.load().ownRail()) {
      return Optional.empty();
    }
    double needs = HIGH_SHARE * course.volts(0);
    Reckoning working =
        new Reckoning(
            key("ground-shift"),
            "Ground of the first pixel above that of the controller",
            rises,
            "V",
            "what is lost in minus up to the first pixel",
            List.of(given("high level", logic, "V"), given("first pixel", course.volts(0), "V")),
            Source.ARITHMETIC);
    Verdict verdict = sees >= needs ? Verdict.HOLDS : Verdict.TIGHT;
    Finding finding =
        of(
                "ground-shift",
                verdict,
                phrase(
                    "The ground of the first pixel rises by %s: of a high level it sees %s and takes %s.",
                    Quantity.text(rises, "V"), Quantity.text(sees, "V"), Quantity.text(needs, "V")))
            .restingOn(working);
    return Optional.of(
        verdict == Verdict.HOLDS
            ? finding
            : finding.advising("Run a ground of its own beside the data, straight to the pixel."));
  }

  private Finding capacitor() {
    double step = plan.worst().chainAmps() - plan.worst().amps().length * plan.load().idleAmps();
    double farads = step * STEP_SECONDS / DIP_VOLTS;
    double micro = Math.max(LEAST_MICROFARADS, farads * 1e6 / plan.settings().feeds().size());
    Reckoning working =
        new Reckoning(
            key("bulk"),
            "Capacitor that carries a step from dark to all",
            farads * 1e6,
            "µF",
            "step × time until the supply follows ÷ dip that is allowed",
            List.of(
                given("step", step, "A"),
                given("time", STEP_SECONDS, "s"),
                given("dip", DIP_VOLTS, "V")),
            Source.COMMON_PRACTICE);
    return of(
            "bulk",
            Verdict.HOLDS,
            phrase(
                "Across plus and minus where each feed meets the chain %s or more, the right way round; 100 nF at each pixel where there is none.",
                Quantity.text(Math.ceil(micro / 10) * 10, "µF")))
        .restingOn(working);
  }
}
