package org.myrialith.gadget.plan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.colour.Lightness;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.edit.AppliedChange;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.power.supply.BatteryLife;
import org.myrialith.power.supply.ControllerCurrent;

/**
 * What brings a gadget to one of its goals: each change is planned as a whole before it is offered,
 * with what it reaches and what else it changes for the worse. Worked out when it is asked for.
 */
public record GoalWays(GadgetPlan plan, Goal goal) {
  /** A change that brings less than that of the figure is none (common practice). */
  private static final double WORTH = 0.02;

  private static final int MOST = 8;

  /** Shares of an LED current that are tried, the mildest first (%). */
  private static final int[] CURRENTS = {75, 50, 25};

  /**
   * One way.
   *
   * @param remedy its name and its change
   * @param figure that it reaches, in the unit of the goal
   * @param reaches whether that is the goal, or only nearer to it
   * @param costs what gets worse by it, each in words
   * @param breaks whether something breaks that did not
   */
  public record Way(
      Remedy remedy, double figure, boolean reaches, List<String> costs, boolean breaks) {
    public Way {
      costs = List.copyOf(costs);
    }
  }

  private double wanted() {
    return goal.wanted(plan.gadget());
  }

  /** Returns whether the goal is set, can be checked, and is not reached. */
  public boolean missed() {
    OptionalDouble now = new GoalCheck(plan).figure(goal);
    return wanted() > 0 && now.isPresent() && !goal.reached(now.getAsDouble(), wanted());
  }

  /**
   * Returns the ways, the best first: what reaches the goal and breaks nothing, by what it costs;
   * then what breaks something; then what only helps in part, the nearest first. Empty where the
   * goal is reached.
   */
  public List<Way> all() {
    if (!missed()) {
      return List.of();
    }
    List<Way> ways = new ArrayList<>();
    candidates().forEach(remedy -> tried(remedy).ifPresent(ways::add));
    brightness().ifPresent(ways::add);
    for (CircuitPlan circuit : plan.wiring().plans()) {
      current(circuit).ifPresent(ways::add);
    }
    return ways.stream()
        .sorted(
            Comparator.comparing((Way way) -> !way.reaches())
                .thenComparing(Way::breaks)
                .thenComparing(
                    way -> way.reaches() ? way.costs().size() : -goal.share(way.figure(), wanted()))
                .thenComparing(way -> way.remedy().key()))
        .limit(MOST)
        .toList();
  }

  /** Returns the way whose change has that key; empty when none has it any more. */
  public Optional<Way> of(String key) {
    return all().stream().filter(way -> way.remedy().key().equals(key)).findFirst();
  }

  /** Returns the gadget with one of them applied. */
  public Gadget applied(Way way) {
    return applied(way.remedy().change());
  }

  private Gadget applied(Change change) {
    return change.accept(new AppliedChange(plan.gadget()));
  }

  private List<Remedy> candidates() {
    return switch (goal) {
      case BATTERY_LIFE -> forBattery();
      case CURRENT -> clocks();
      case FRAME_RATE -> forFrames();
    };
  }

  private List<Remedy> forBattery() {
    List<Remedy> all = new ArrayList<>(clocks());
    Brief brief = plan.gadget().brief();
    if (plan.gadget().power().day().sleepHours() > 0
        && !brief.tree().switchedOff(brief.tree().lights())) {
      all.add(new Remedy("Add a load switch, open in sleep", new Change.AddLoadSwitch()));
    }
    plan.tree()
        .filter(t -> Set.of(SupplyKind.LITHIUM, SupplyKind.BANK).contains(t.supply().kind()))
        .map(tree -> new BatteryLife(tree).neededMilliampHours(wanted()))
        .filter(OptionalDouble::isPresent)
        .ifPresent(
            needed ->
                all.add(
                    new Remedy(
                        phrase("Use cells of %s", Quantity.text(needed.getAsDouble(), "mAh")),
                        new Change.UseCapacity(needed.getAsDouble()))));
    for (Supply other : Supply.all()) {
      if (other.kind().runsEmpty() && !Optional.of(other).equals(brief.supply())) {
        all.add(new Remedy("Use " + other.name(), new Change.UseSupplyClass(other.name())));
      }
    }
    return all;
  }

  /** Clocks of a bare controller, with what it draws then. */
  private List<Remedy> clocks() {
    Brief brief = plan.gadget().brief();
    if (brief.controller().portable()) {
      return List.of();
    }
    return Arrays.stream(ClockRate.values())
        .filter(rate -> rate != brief.clock())
        .map(
            rate -> {
              double draws = ControllerCurrent.of(brief.at(rate));
              return new Remedy(
                  phrase(
                      "Run the bare controller at %s: draws %s",
                      Quantity.text(brief.at(rate).controller().clockHz(), "Hz"),
                      Quantity.text(draws, "mA")),
                  new Change.UseClock(rate.key(), draws));
            })
        .toList();
  }

  private List<Remedy> forFrames() {
    Brief brief = plan.gadget().brief();
    List<Remedy> all = new ArrayList<>();
    if (!brief.controller().portable()) {
      for (ClockRate rate : ClockRate.values()) {
        int hertz = brief.at(rate).controller().clockHz();
        if (hertz > brief.controller().clockHz()) {
          all.add(
              new Remedy(
                  phrase("Run the controller at %s", Quantity.text(hertz, "Hz")),
                  new Change.UseClock(rate.key())));
        }
      }
    }
    for (Controller other : Controller.CLASSES) {
      if (!other.key().equals(brief.controllerKey())) {
        all.add(new Remedy("Use " + other.title(), new Change.UseController(other.key())));
      }
    }
    if (!plan.gadget().programme().recipes().isEmpty()) {
      all.add(new Remedy("Compute the effects on the controller", new Change.ComputeEffects()));
    }
    return all;
  }

  private boolean darker() {
    return goal != Goal.FRAME_RATE;
  }

  /** The largest limit that reaches the goal; of none that does, the darkest that is of use. */
  private Optional<Way> brightness() {
    int now = plan.gadget().colour().brightnessPercent();
    if (!darker() || !plan.power().load().dims() || now < 2) {
      return Optional.empty();
    }
    int reaches = 0;
    int misses = now;
    while (misses - reaches > 1) { // the figure never gets worse when the limit is lowered
      int middle = (reaches + misses) >>> 1;
      OptionalDouble there = figure(new Change.LimitBrightness(middle));
      if (there.isPresent() && goal.reached(there.getAsDouble(), wanted())) {
        reaches = middle;
      } else {
        misses = middle;
      }
    }
    int percent = reaches > 0 ? reaches : Math.max(1, now / 4);
    return tried(
        new Remedy(
            phrase("Limit brightness to %s", Quantity.text(percent, "%")),
            new Change.LimitBrightness(percent)));
  }

  /** Less current through the LEDs of a circuit, where a resistor or a driver sets it. */
  private Optional<Way> current(CircuitPlan circuit) {
    if (!darker() || circuit.emitters() == 0 || !circuit.circuit().setsChannelCurrent()) {
      return Optional.empty();
    }
    Optional<Way> last = Optional.empty();
    for (int percent : CURRENTS) {
      double milliamps = Math.round(circuit.channelMilliamps() * percent) / 100.0;
      if (milliamps < 0.5) {
        break;
      }
      last =
          tried(
              new Remedy(
                  phrase(
                      "Set the LED current of %s to %s",
                      circuit.circuit().name(), Quantity.text(milliamps * 1e-3, "A")),
                  new Change.SetChannelCurrent(circuit.circuit().id(), milliamps)));
      if (last.filter(Way::reaches).isPresent()) {
        break;
      }
    }
    return last;
  }

  private OptionalDouble figure(Change change) {
    return new GoalCheck(GadgetPlan.of(applied(change))).figure(goal);
  }

  /** Plans a change; empty where it brings nothing. */
  private Optional<Way> tried(Remedy remedy) {
    Gadget changed = applied(remedy.change());
    GadgetPlan there = GadgetPlan.of(changed);
    OptionalDouble figure = new GoalCheck(there).figure(goal);
    double now = new GoalCheck(plan).figure(goal).orElseThrow();
    if (figure.isEmpty()
        || goal.share(figure.getAsDouble(), wanted()) < (1 + WORTH) * goal.share(now, wanted())) {
      return Optional.empty();
    }
    List<Finding> worse = worse(there);
    List<String> costs = new ArrayList<>();
    light(there).ifPresent(costs::add);
    worse.forEach(finding -> costs.add(finding.verdict().word() + ": " + finding.says()));
    return Optional.of(
        new Way(
            remedy,
            figure.getAsDouble(),
            goal.reached(figure.getAsDouble(), wanted()),
            costs,
            worse.stream().anyMatch(finding -> finding.verdict() == Verdict.BREAKS)));
  }

  /** What gets darker: full white of all lights, as it is perceived. */
  private Optional<String> light(GadgetPlan there) {
    double before = plan.power().worstAmps() - plan.power().darkAmps();
    double after = there.power().worstAmps() - there.power().darkAmps();
    return after > 0.99 * before || before <= 0
        ? Optional.empty()
        : Optional.of(
            phrase(
                "full white looks %s of 100 as bright",
                Quantity.number(Math.round(Lightness.of(after / before)))));
  }

  /** What was not as bad before, the worst first. */
  private List<Finding> worse(GadgetPlan there) {
    Set<String> before = new HashSet<>();
    for (Finding finding : plan.problems()) {
      before.add(finding.key() + finding.verdict());
      before.add(finding.key() + Verdict.TIGHT);
    }
    return there.problems().stream()
        .filter(f -> f.verdict() == Verdict.BREAKS || f.verdict() == Verdict.TIGHT)
        .filter(f -> !before.contains(f.key() + f.verdict()))
        .limit(2)
        .toList();
  }
}
