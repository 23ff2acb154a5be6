package org.myrialith.voltagedrop;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Source;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Conductor;

/** What is judged of what pixels get, and what would give them more. */
record RailVolts(RailFindings of) {
  /** Below this a pixel's chip stops working, as a share of what its colours need. */
  private static final double DEAD_SHARE = 0.85;

  /** Of the drop that is allowed, so much less is asked for each time, and no less than that. */
  private static final double PART = 0.04;

  private static final double LEAST_PART = 0.2;

  /** A limit below it is no remedy (%). */
  private static final int LEAST_PERCENT = 5;

  private RailPlan plan() {
    return of.plan();
  }

  private RailPlan.Course planned() {
    return of.planned();
  }

  private Calculation weakest() {
    RailPlan.Course course = planned();
    int at = course.weakest();
    return new Calculation(
        of.key("rail-volts"),
        phrase("Voltage at pixel %d, the lowest", at),
        course.leastVolts(),
        "V",
        "input voltage − drop in plus − drop in ground; both rails solved as resistor networks, each pixel drawing its current",
        List.of(
            given("input voltage", course.startVolts(), "V"),
            given("drop in plus", course.drops()[at], "V"),
            given("drop in ground", course.minusDrops()[at], "V"),
            given("current of the chain", course.chainAmps(), "A"),
            given("plus, between pixels", ohmsOfAMetre(settings().along()), "ohm per metre"),
            given("ground, between pixels", ohmsOfAMetre(settings().minusAlong()), "ohm per metre"),
            given("injection points", plan().settings().feeds().size(), "")),
        Source.standard("IEC 60028 for copper"));
  }

  private RailSettings settings() {
    return plan().settings();
  }

  private double ohmsOfAMetre(Conductor conductor) {
    return conductor.ohmsPerMetre(settings().celsius());
  }

  Finding volts() {
    RailPlan.Course course = planned();
    double least = plan().leastVolts();
    double gets = course.leastVolts();
    boolean enough = gets >= least;
    boolean dead = gets < DEAD_SHARE * least;
    Verdict verdict =
        enough ? Verdict.HOLDS : dead && plan().said() ? Verdict.BREAKS : Verdict.TIGHT;
    String what =
        of.forWorst() || plan().shown().isEmpty()
            ? "at full level"
            : phrase("at moment %d, the lowest of the show", plan().moment() + 1);
    String says =
        gets <= 0
            ? phrase(
                "Voltage collapses: the wires can't carry %s to the chain %s. Pixels turn reddish and dark.",
                Quantity.text(course.chainAmps(), "A"), what)
            : phrase(
                "Lowest pixel voltage at pixel %d: %s %s; %s needed for full colour.",
                course.weakest(), Quantity.text(gets, "V"), what, Quantity.text(least, "V"));
    if (!enough && gets > 0) {
      says +=
          phrase(
              " Colour shift from pixel %d on: blue and green drop first%s.",
              plan().firstBelow(course), dead ? ", and chips stop" : "");
    }
    if (!plan().said()) {
      says =
          "Power injection not entered. Supplied at the start only, as strips usually are: " + says;
    }
    Finding finding = of.finding("rail-volts", verdict, says).restingOn(weakest());
    if (enough) {
      return finding;
    }
    return plan().said()
        ? finding.advising(advice()).mendedBy(remedies())
        : finding.advising("Enter the injection points to see remedies.");
  }

  private double gets(RailSettings other) {
    return plan().otherwise(planned(), other).leastVolts();
  }

  /** What other conductors would do, and what of the other ways is not enough. */
  private String advice() {
    List<String> all = new ArrayList<>();
    Arrays.stream(Conductor.values())
        .filter(c -> c.like(plan().settings().along()))
        .filter(c -> c.mm2() > plan().settings().along().mm2() * 1.01)
        .sorted(Comparator.comparingDouble(Conductor::mm2))
        .filter(c -> gets(plan().settings().along(c)) >= plan().leastVolts())
        .findFirst()
        .ifPresent(
            c ->
                all.add(
                    phrase(
                        "With %s between pixels: %s.",
                        c.title(), Quantity.text(gets(plan().settings().along(c)), "V"))));
    for (Way way : ways()) {
      double volts = gets(way.settings());
      if (volts > planned().leastVolts() + 0.01 && volts < plan().leastVolts() && volts > 0) {
        all.add(phrase("%s: still only %s.", way.told(), Quantity.text(volts, "V")));
      }
    }
    return all.isEmpty()
        ? "Add injection points, use thicker wires, or limit the brightness."
        : String.join(" ", all);
  }

  /** Another way to wire the chain. */
  private record Way(String told, String label, RailSettings settings, Change change) {}

  private List<Way> ways() {
    List<Way> all = new ArrayList<>();
    int last = planned().amps().length - 1;
    String circuit = plan().settings().circuit();
    if (last > 0) {
      List<Integer> ends = List.of(0, last);
      all.add(
          new Way(
              "Power injected at both ends",
              phrase("Inject power at both ends, 0 and %d", last),
              plan().settings().fedAt(ends),
              new Change.FeedRail(circuit, ends)));
    }
    if (!plan().settings().closed() && last > 1) {
      all.add(
          new Way(
              "As a ring",
              "Join the ends to a ring",
              plan().settings().closed(true),
              new Change.CloseRail(circuit)));
    }
    return all;
  }

  /** Where plus and minus are not alike, one drop is not half of both: asked again with less. */
  private Optional<List<Integer>> fewest() {
    for (double part = 1; part > LEAST_PART; part -= PART) {
      Optional<List<Integer>> places = plan().fewest(planned(), part).map(Injection.Places::at);
      if (places.isEmpty() || gets(settings().fedAt(places.orElseThrow())) >= plan().leastVolts()) {
        return places;
      }
    }
    return Optional.empty();
  }

  /** Those that are enough. */
  private List<Remedy> remedies() {
    Map<String, Remedy> all = new LinkedHashMap<>();
    fewest().ifPresent(places -> put(all, fed(places)));
    for (Way way : ways()) {
      double volts = gets(way.settings());
      if (volts >= plan().leastVolts()) {
        put(
            all,
            new Remedy(
                phrase("%s: at least %s", way.label(), Quantity.text(volts, "V")), way.change()));
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
            "Inject power at %s: at least %s",
            places, Quantity.text(gets(plan().settings().fedAt(at)), "V")),
        new Change.FeedRail(plan().settings().circuit(), at));
  }

  /** Drops go with currents: the largest limit that keeps all above their least. */
  private Optional<Integer> brightness() {
    if (!of.forWorst()) {
      return Optional.empty();
    }
    double[] idle = new double[plan().worst().amps().length];
    Arrays.fill(idle, plan().load().idleAmps());
    RailPlan.Course dark = plan().of(idle);
    double now = of.share().applyAsDouble(of.brightnessPercent());
    int holds = 0;
    int breaks = of.brightnessPercent();
    // volts never rise when the limit is raised, so halving finds the last that holds
    while (breaks - holds > 1) {
      int middle = holds + breaks >>> 1;
      if (least(dark, of.share().applyAsDouble(middle) / now) >= plan().leastVolts()) {
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
      least = Math.min(least, part * plan().worst().volts(pixel) + (1 - part) * dark.volts(pixel));
    }
    return least;
  }
}
