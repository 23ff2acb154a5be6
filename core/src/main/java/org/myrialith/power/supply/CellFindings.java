package org.myrialith.power.supply;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Lightness;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.BrightnessTrial;
import org.myrialith.power.DailyUse;
import org.myrialith.power.PowerPlan;

/** What is judged of cells: what they give at once, and how long they last. */
record CellFindings(TreePlan plan) {
  /** A power bank takes less for nothing and switches off (A), common practice. */
  private static final double BANK_LEAST_AMPS = 0.05;

  /** Less is not seen as darker (share of the light), common practice. */
  private static final double UNSEEN = 0.9;

  List<Finding> all() {
    List<Finding> all = new ArrayList<>();
    bank().ifPresent(all::add);
    new ControllerCurrent(plan).judged().ifPresent(all::add);
    all.add(pulse());
    charging().ifPresent(all::add);
    all.add(life());
    others().forEach(all::add);
    fading().ifPresent(all::add);
    return all;
  }

  private SupplyTree tree() {
    return plan.tree();
  }

  private static Finding of(String key, Verdict verdict, String says) {
    return Finding.of(Harm.PARTS, Step.POWER, key, verdict, says);
  }

  private Optional<Finding> bank() {
    double least =
        Math.min(
            amps(plan.dark()), plan.settings().day().sleepHours() > 0 ? amps(plan.asleep()) : 1);
    return plan.supply().kind() == SupplyKind.BANK && least < BANK_LEAST_AMPS
        ? Optional.of(
            of(
                    "bank-sleeps",
                    Verdict.TIGHT,
                    phrase(
                        "Dark or asleep the gadget draws %s; power banks switch off below about %s.",
                        Quantity.text(least, "A"), Quantity.text(BANK_LEAST_AMPS, "A")))
                .advising("Use a power bank that stays on, or let the LEDs glow a little."))
        : Optional.empty();
  }

  private static double amps(TreeState state) {
    return state.node(SupplyTree.SUPPLY).amps();
  }

  /** The moment that draws most, through what cells have inside. */
  private Finding pulse() {
    double most = plan.supply().mostCellAmps();
    TreeState.Node node = plan.surge().node(SupplyTree.SUPPLY);
    double least = new BatteryLife(plan).leastVolts();
    boolean holds = carries(plan);
    boolean strained = strained(plan);
    Finding finding =
        of(
            "cell-pulse",
            !holds ? Verdict.BREAKS : strained ? Verdict.TIGHT : Verdict.HOLDS,
            phrase(
                "%s: peak current %s%s%s; maximum %s, minimum voltage %s.",
                plan.supply().name(),
                Quantity.text(node.amps(), "A"),
                plan.surgeAmps() > 0 ? " (scan or inrush)" : "",
                node.volts() > 0
                    ? phrase(", sagging to %s", Quantity.text(node.volts(), "V"))
                    : ", more than it can supply",
                Quantity.text(most, "A"),
                Quantity.text(least, "V")));
    if (holds) {
      return strained
          ? finding.advising(
              phrase(
                  "More than 1 C (%s): use a cell rated for it, or a larger one. Overloaded or shorted lithium cells burn: use a protection circuit and a fuse.",
                  Quantity.text(plan.supply().capacity() * 1e-3, "A")))
          : finding;
    }
    return finding
        .advising("Lower the brightness, use larger cells, or put a capacitor across them.")
        .mendedBy(slower());
  }

  /** A charge board charges at half the capacity an hour, and never beyond the capacity. */
  private Optional<Finding> charging() {
    double capacity = plan.supply().capacity() * 1e-3;
    return tree().converters().stream()
        .filter(c -> c.sort() == ConverterSort.CHARGER)
        .filter(c -> plan.supply().kind() == SupplyKind.LITHIUM)
        .filter(c -> c.amps() > 0.5 * capacity * 1.0001)
        .findFirst()
        .map(
            c ->
                of(
                        "charge-rate",
                        c.amps() > capacity * 1.0001 ? Verdict.BREAKS : Verdict.TIGHT,
                        phrase(
                            "%s: charge current up to %s; a cell of %s takes %s, absolute maximum %s (1 C).",
                            c.name(),
                            Quantity.text(c.amps(), "A"),
                            Quantity.text(plan.supply().capacity(), "mAh"),
                            Quantity.text(0.5 * capacity, "A"),
                            Quantity.text(capacity, "A")))
                    .harming(Harm.PERSON)
                    .advising(
                        "Set the charge board lower, or use a larger cell. Never charge a lithium cell below 0 °C, unattended or without its protection circuit; its label decides."));
  }

  /** Cells beside those of the gadget: what they give at once, and that their life is not known. */
  private List<Finding> others() {
    List<Finding> all = new ArrayList<>();
    TreeState surge = plan.surge();
    for (Supply source : tree().sources()) {
      if (source.kind().runsEmpty()) {
        TreeState.Node node = surge.node(source.name());
        boolean gives = node.volts() > 0 && node.amps() <= source.mostCellAmps();
        all.add(
            of(
                    "cell-pulse-" + (1 + tree().sources().indexOf(source)),
                    gives ? Verdict.OPEN : Verdict.BREAKS,
                    phrase(
                        "%s: peak current %s; maximum %s. Battery life is calculated for the supply of the gadget only.",
                        source.name(),
                        Quantity.text(node.amps(), "A"),
                        Quantity.text(source.mostCellAmps(), "A")))
                .advising(
                    gives
                        ? "Choose it as the supply of the gadget to see its life."
                        : "Use larger cells, or lower the brightness."));
      }
    }
    return all;
  }

  /** Whether cells give what is asked in a moment, and keep the volts that are needed. */
  private static boolean carries(TreePlan plan) {
    TreeState.Node node = plan.surge().node(SupplyTree.SUPPLY);
    return node.volts() >= new BatteryLife(plan).leastVolts()
        && node.amps() <= plan.supply().mostCellAmps();
  }

  /** Whether a lithium cell gives more than 1 C, which not each label allows. */
  private static boolean strained(TreePlan plan) {
    return plan.supply().kind() == SupplyKind.LITHIUM
        && plan.surge().node(SupplyTree.SUPPLY).amps() > plan.supply().capacity() * 1e-3;
  }

  private boolean sent(int hertz) {
    return plan.wiring().plans().stream().allMatch(p -> p.emitters() == 0 || p.sendsAt(hertz));
  }

  /** Slower clocks that are enough, with what the bare chip draws then; where lines allow them. */
  private List<Remedy> slower() {
    if (plan.brief().controller().portable()) {
      return List.of();
    }
    return Arrays.stream(ClockRate.values())
        .filter(rate -> rate != ClockRate.USUAL)
        .filter(rate -> sent(plan.brief().at(rate).controller().clockHz()))
        .map(rate -> plan.clocked(rate, ControllerCurrent.of(plan.brief().at(rate))))
        .filter(there -> !there.quicker(plan))
        .filter(there -> carries(there) && !strained(there))
        .map(
            there ->
                new Remedy(
                    phrase(
                        "Run the bare controller at %s: draws %s",
                        Quantity.text(there.brief().controller().clockHz(), "Hz"),
                        Quantity.text(there.settings().controllerMilliamps(), "mA")),
                    new Change.UseClock(
                        there.brief().clock().key(), there.settings().controllerMilliamps())))
        .toList();
  }

  private static String lasts(double hours) {
    return hours >= 96
        ? phrase(
            "%s\u00a0h, %s",
            Quantity.number(Math.floor(hours)), Quantity.text(Math.floor(hours / 24), "days"))
        : hours < 1 ? Quantity.text(Math.floor(60 * hours), "min") : Quantity.text(hours, "h");
  }

  /** Hours of a show that is not there yet are no answer; that it can't run at all is one. */
  private Finding life() {
    return !plan.power().plays() && new BatteryLife(plan).usable() > 0
        ? of(
                "cell-life",
                Verdict.OPEN,
                phrase(
                    "Battery life of %s is calculated from frames; there are none yet.",
                    plan.supply().name()))
            .harming(Harm.FUNCTION)
            .advising("Draw frames, or start a clip from effects or text.")
        : lifeOfTheShow();
  }

  private Finding lifeOfTheShow() {
    BatteryLife life = new BatteryLife(plan);
    DailyUse day = plan.settings().day();
    double hours = life.showHours();
    double amps = amps(plan.mean());
    Verdict verdict =
        life.usable() <= 0
            ? Verdict.BREAKS
            : day.wantedHours() > 0 && hours < day.wantedHours() ? Verdict.BREAKS : Verdict.HOLDS;
    Calculation working =
        new Calculation(
            "cell-life",
            "Battery life, hours of the show",
            hours,
            "h",
            Calculation.FOUND_BY
                + "discharging the cells step by step: each day takes hours × current ÷ capacity at that current, plus self-discharge; currents follow the voltage",
            List.of(
                given("usable share of the capacity", life.usable() * 100, "%"),
                given("mean current of the show", amps, "A"),
                given("capacity at that current", life.holds(amps), "mAh"),
                given("cut-off voltage", life.leastVolts(), "V"),
                given("show", day.showHours(), "h a day"),
                given("awake and dark", day.awakeHours(), "h a day"),
                given("current awake and dark", amps(plan.dark()), "A"),
                given("asleep", day.sleepHours(), "h a day"),
                given("current asleep", amps(plan.asleep()), "A")),
            Source.partClass(
                "cells of the class; between loads by decades, as Peukert's rule has it"));
    String says =
        life.usable() <= 0
            ? phrase(
                "%s can't run it: full it gives %s; %s is needed, plus its internal drop.",
                plan.supply().name(),
                Quantity.text(plan.supply().cells() * plan.supply().kind().cell().fullVolts(), "V"),
                Quantity.text(life.leastVolts(), "V"))
            : phrase(
                "%s: %s of the show%s%s.",
                plan.supply().name(),
                lasts(hours),
                day.showHours() < 24 && life.days() >= 1
                    ? phrase(", %s", Quantity.text(Math.floor(10 * life.days()) / 10, "days"))
                    : "",
                plan.supply().kind() == SupplyKind.BANK
                    ? ""
                    : phrase(", until %s", life.end().says()));
    if (life.usable() > 0 && !day.ownSleep() && day.showHours() + day.darkHours() < 24) {
      says +=
          " The exported firmware does not sleep: the rest of the day counts as awake and dark.";
    }
    if (day.wantedHours() > 0 && life.usable() > 0) {
      OptionalDouble needed = life.neededMilliampHours(day.wantedHours());
      says +=
          needed.isEmpty()
              ? phrase(
                  " No capacity of this type lasts %s: self-discharge empties it earlier.",
                  lasts(day.wantedHours()))
              : phrase(
                  " For %s use cells of %s or more.",
                  lasts(day.wantedHours()), Quantity.text(needed.getAsDouble(), "mAh"));
    }
    return of("cell-life", verdict, says)
        .harming(Harm.FUNCTION)
        .restingOn(working)
        .advising(longer(life))
        .mendedBy(darker(life));
  }

  /** What nothing regulates gets darker as cells fall. */
  private Optional<Finding> fading() {
    List<BatteryLife.Point> points = new BatteryLife(plan).fades();
    if (points.isEmpty()) {
      return Optional.empty();
    }
    double full = points.get(0).light();
    BatteryLife.Point last = points.get(points.size() - 1);
    double left = full > 0 ? last.light() / full : 1;
    if (left > UNSEEN) {
      return Optional.empty();
    }
    Optional<BatteryLife.Point> half =
        points.stream().filter(p -> p.light() <= full / 2).findFirst();
    String says =
        phrase(
            "LEDs are unregulated: with full cells %s of the planned light, at the end %s (perceived brightness %s of 100).",
            Quantity.text(100 * full, "%"),
            Quantity.text(100 * last.light(), "%"),
            Quantity.number(Math.round(Lightness.of(left))));
    return Optional.of(
        of(
                "cell-fades",
                new BatteryLife(plan).end() == BatteryLife.End.HALF ? Verdict.TIGHT : Verdict.HOLDS,
                says
                    + half.map(p -> phrase(" Half the light after %s.", lasts(p.hours())))
                        .orElse(""))
            .restingOn(
                new Calculation(
                    "cell-fades",
                    "Light at the end of the battery",
                    100 * last.light(),
                    "%",
                    Calculation.FOUND_BY
                        + "weighting circuits by their current: (supply at the end − forward voltage − switch drop) ÷ the same at the planned supply",
                    List.of(
                        given("full cells under load", points.get(0).volts(), "V"),
                        given("at the end under load", last.volts(), "V"),
                        given("planned for", plan.brief().volts(), "V")),
                    Source.COMMON_PRACTICE))
            .advising(
                "Constant-current outputs, pixels, or a converter before the LEDs keep the light even."));
  }

  /** Something that makes cells last. */
  private record Way(String says, double hours) {}

  /** What would make them last, the best first. */
  /**
   * A brightness limit and the life that it gives.
   *
   * @param hours at least (h): the heaviest moment is taken as it is now
   */
  private record Dimmed(int percent, double hours) {}

  /** Half and a quarter of the present limit, as far as they make cells last longer. */
  private List<Dimmed> dimmed(BatteryLife life) {
    PowerPlan power = plan.power();
    int now = power.colour().brightnessPercent();
    double dark = power.darkAmps();
    boolean frames = power.show().count() > 0 && power.day().isEmpty();
    if (!power.load().dims() || !frames || power.meanAmps() <= dark) {
      return List.of();
    }
    BrightnessTrial trial = new BrightnessTrial(power.load(), power.show(), power.levels());
    return IntStream.of(now / 2, now / 4)
        .filter(percent -> percent >= 1)
        .mapToObj(
            percent -> {
              double mean = trial.meanAmps(LevelTable.of(power.colour().withBrightness(percent)));
              double share = Math.min(1, (mean - dark) / (power.meanAmps() - dark));
              return new Dimmed(percent, life.showHoursAt(share));
            })
        .filter(d -> d.hours() > 1.02 * life.showHours())
        .toList();
  }

  /** Limits with which they last for as long as is wanted. */
  private List<Remedy> darker(BatteryLife life) {
    double wanted = plan.settings().day().wantedHours();
    return wanted <= life.showHours()
        ? List.of()
        : dimmed(life).stream()
            .filter(d -> d.hours() >= wanted)
            .map(
                d ->
                    new Remedy(
                        phrase(
                            "Limit brightness to %d %%: at least %s",
                            d.percent(), lasts(d.hours())),
                        new Change.LimitBrightness(d.percent())))
            .toList();
  }

  private String longer(BatteryLife life) {
    List<Way> ways = new ArrayList<>();
    dimmed(life)
        .forEach(
            d ->
                ways.add(
                    new Way(
                        phrase("a brightness limit of %s", Quantity.text(d.percent(), "%")),
                        d.hours())));
    if (plan.settings().day().sleepHours() > 0 && !tree().switchedOff(tree().lights())) {
      ways.add(new Way("load switch in sleep", life.showHoursSwitched()));
    }
    double now = life.showHours();
    List<String> told =
        ways.stream()
            .filter(way -> way.hours() > 1.02 * now)
            .sorted(Comparator.comparingDouble(Way::hours).reversed())
            .map(way -> phrase("%s: %s", way.says(), lasts(way.hours())))
            .toList();
    double charge = life.chargeHours();
    String charging =
        charge > 0 ? phrase(" Charging takes about %s.", Quantity.text(charge, "h")) : "";
    if (life.usable() <= 0) {
      return "Use more cells in series, or a step-up converter.";
    }
    double wanted = plan.settings().day().wantedHours();
    if (told.isEmpty() && wanted > now) {
      return "Use larger cells, or lower the brightness." + charging;
    }
    return told.isEmpty()
        ? charging.strip()
        : phrase("Longer with: %s.", String.join("; ", told)) + charging;
  }
}
