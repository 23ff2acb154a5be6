package org.myrialith.voltagedrop;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Conductor;
import org.myrialith.parts.Connector;
import org.myrialith.parts.Fuse;

/** What is judged of wires, plugs and what stands where feeds meet a chain. */
record RailWires(RailFindings of) {
  /** How long a supply leaves a step of current to the capacitor, and what it may dip. */
  private static final double STEP_SECONDS = 50e-6;

  private static final double DIP_VOLTS = 0.2;

  /** Where power enters, whatever the step (µF), common practice. */
  private static final double LEAST_MICROFARADS = 470;

  /** Of its supply a pixel takes this share for high (common practice). */
  private static final double HIGH_SHARE = 0.7;

  private RailPlan plan() {
    return of.plan();
  }

  private RailPlan.Course planned() {
    return of.planned();
  }

  List<Finding> all() {
    List<Finding> all = new ArrayList<>(List.of(wires()));
    along().ifPresent(all::add);
    plug().ifPresent(all::add);
    behindEnd().ifPresent(all::add);
    data().ifPresent(all::add);
    all.add(capacitor());
    return all;
  }

  private Finding wires() {
    double[] amps = planned().feedAmps();
    int most =
        IntStream.range(0, amps.length).reduce((a, b) -> amps[b] > amps[a] ? b : a).orElse(0);
    Feed feed = plan().settings().feeds().get(most);
    double carries = feed.wire().carriesAmps();
    double fuse = Fuse.carrying(amps[most]);
    boolean fused = Fuse.guards(fuse, carries);
    Verdict verdict = amps[most] > carries ? Verdict.BREAKS : fused ? Verdict.HOLDS : Verdict.TIGHT;
    Calculation working =
        new Calculation(
            of.key("feed-current"),
            phrase("Current of the injection point at pixel %d", feed.at()),
            amps[most],
            "A",
            "drop in its plus ÷ one-way resistance",
            List.of(
                given("one-way resistance", feed.ohms(plan().settings().celsius()), "ohm"),
                given("drop in its plus", amps[most] * feed.ohms(plan().settings().celsius()), "V"),
                given("wire rating", carries, "A")),
            Source.standard("IEC 60335-1, table 11; thin wires 6 A/mm², common practice"));
    Finding finding =
        of.finding(
                "feed-current",
                verdict,
                phrase(
                    "Injection point at pixel %d: current %s; %s is rated for %s continuous.%s",
                    feed.at(),
                    Quantity.text(amps[most], "A"),
                    feed.wire().title(),
                    Quantity.text(carries, "A"),
                    fuse == 0
                        ? ""
                        : phrase(
                            " A fuse of %s near the supply %s.",
                            Quantity.text(fuse, "A"),
                            fused ? "protects it" : "would blow later than the wire")))
            .harming(Harm.PERSON)
            .restingOn(working);
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising(
            phrase(
                "Use a wire rated for %s, or more injection points.",
                Quantity.text(fuse == 0 ? amps[most] : fuse, "A")));
  }

  /** What runs from pixel to pixel carries all that the pixels behind it draw. */
  private Optional<Finding> along() {
    double amps = planned().mostAlongAmps();
    double plus = plan().settings().along().carriesAmps();
    double minus = plan().settings().minusAlong().carriesAmps();
    double carries = Math.min(plus, minus);
    Conductor thinner = plus <= minus ? plan().settings().along() : plan().settings().minusAlong();
    if (planned().leastVolts() <= 0) {
      return Optional.empty(); // it is told that it can't be carried
    }
    Calculation working =
        new Calculation(
            of.key("along-current"),
            "Highest current between two pixels",
            amps,
            "A",
            Calculation.FOUND_BY
                + "solving plus and ground as resistor networks, each pixel drawing its current",
            List.of(given("continuous rating", carries, "A")),
            Source.standard(
                "tracks: IPC-2221, outer layers, 10 K warmer; wires: IEC 60335-1, table 11"));
    boolean carried = amps <= carries;
    Finding finding =
        of.finding(
                "along-current",
                carried ? Verdict.HOLDS : Verdict.BREAKS,
                phrase(
                    "Current between pixels up to %s; %s is rated for %s continuous.",
                    Quantity.text(amps, "A"), thinner.title(), Quantity.text(carries, "A")))
            .harming(Harm.PERSON)
            .restingOn(working);
    return Optional.of(
        carried ? finding : finding.advising("Add injection points, or use a thicker wire."));
  }

  /** The plug that carries most of what it may. */
  private Optional<Finding> plug() {
    double[] amps = planned().feedAmps();
    List<Feed> feeds = plan().settings().feeds();
    return IntStream.range(0, amps.length)
        .filter(f -> feeds.get(f).connector() != Connector.NONE)
        .boxed()
        .max(Comparator.comparingDouble(f -> amps[f] / feeds.get(f).connector().carriesAmps()))
        .map(
            f ->
                Plug.judged(
                    of.key("feed-plug"),
                    phrase("the injection point at pixel %d", feeds.get(f).at()),
                    feeds.get(f).connector(),
                    amps[f],
                    "Use a connector rated for it, more injection points, or solder it."));
  }

  private Optional<Finding> behindEnd() {
    int pixels = plan().worst().amps().length;
    return plan().behindEnd() == 0
        ? Optional.empty()
        : Optional.of(
            of.finding(
                    "feeds-behind",
                    Verdict.TIGHT,
                    phrase(
                        "%s beyond the last pixel, %d: calculated at the end.",
                        plan().behindEnd() == 1 ? "An injection point is" : "Injection points are",
                        pixels - 1))
                .advising("Move it to an existing pixel."));
  }

  /** Returns the capacitor that is asked for where each feed meets the chain (µF). */
  static double bulk(RailPlan plan) {
    return Math.ceil(Math.max(LEAST_MICROFARADS, stepFarads(plan) * 1e6 / feeds(plan)) / 10) * 10;
  }

  private static int feeds(RailPlan plan) {
    return plan.settings().feeds().size();
  }

  private static double stepAmps(RailPlan plan) {
    return plan.worst().chainAmps() - plan.worst().amps().length * plan.load().idleAmps();
  }

  private static double stepFarads(RailPlan plan) {
    return stepAmps(plan) * STEP_SECONDS / DIP_VOLTS;
  }

  /** The ground of the first pixel is above that of the controller. */
  private Optional<Finding> data() {
    RailPlan.Course course = planned();
    double rises = course.minusDrops()[0];
    double logic = course.logicVolts();
    double sees = logic - rises;
    if (plan().load().ownRail() || course.volts(0) <= 0 || sees <= 0) {
      return Optional.empty();
    }
    double needs = HIGH_SHARE * course.volts(0);
    Calculation working =
        new Calculation(
            of.key("ground-shift"),
            "Ground rise of the first pixel",
            rises,
            "V",
            "drop in ground up to the first pixel",
            List.of(
                given("drop in ground up to the first pixel", rises, "V"),
                given("high level", logic, "V"),
                given("first pixel", course.volts(0), "V")),
            Source.ARITHMETIC);
    Verdict verdict = sees >= needs ? Verdict.HOLDS : Verdict.TIGHT;
    Finding finding =
        of.finding(
                "ground-shift",
                verdict,
                phrase(
                    "Ground at the first pixel rises by %s: high level %s, threshold %s.",
                    Quantity.text(rises, "V"), Quantity.text(sees, "V"), Quantity.text(needs, "V")))
            .restingOn(working);
    return Optional.of(
        verdict == Verdict.HOLDS
            ? finding
            : finding.advising(
                "Run a separate ground wire beside the data, straight to the pixel."));
  }

  private Finding capacitor() {
    Calculation working =
        new Calculation(
            of.key("bulk"),
            "Capacitor for a step from dark to all lit",
            stepFarads(plan()) * 1e6,
            "µF",
            "step × time ÷ dip; time until the supply follows, allowed dip",
            List.of(
                given("step", stepAmps(plan()), "A"),
                given("time", STEP_SECONDS, "s"),
                given("dip", DIP_VOLTS, "V")),
            Source.COMMON_PRACTICE);
    return of.finding(
            "bulk",
            Verdict.HOLDS,
            phrase(
                "At each injection point %s or more across plus and ground (observe polarity), and 100 nF at each pixel without one.",
                Quantity.text(bulk(plan()), "µF")))
        .restingOn(working);
  }
}
