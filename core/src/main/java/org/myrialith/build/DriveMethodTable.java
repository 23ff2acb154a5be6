package org.myrialith.build;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitPins;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.FixtureRange;
import org.myrialith.circuit.FixtureRun;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Verdict;
import org.myrialith.firmware.driver.DriverCode;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.PartSort;

/**
 * All ways to drive some fixtures, side by side: each is planned as it would be built.
 *
 * @param ways in the order of the ways
 */
public record DriveMethodTable(List<DriveMethod> ways) {
  /** Frame rate at which the share of the controller's time is stated (Hz). */
  public static final int FRAMES_A_SECOND = 50;

  public DriveMethodTable {
    ways = List.copyOf(ways);
  }

  /**
   * Compares.
   *
   * @param circuits of the gadget: their pins are taken, unless they drive nothing but these
   *     fixtures
   * @param fixtures each a {@link FixtureRun}
   */
  public static DriveMethodTable of(
      Layout layout, Circuits circuits, Brief brief, List<String> fixtures) {
    Circuits others = circuits.clearedOf(fixtures.stream().map(FixtureRun::of).toList(), layout);
    return new Work(layout, others, brief, fixtures).table();
  }

  /** Returns the ways, the best by a column first. */
  public List<DriveMethod> by(DriveMethodColumn column) {
    return ways.stream().sorted(column.best()).toList();
  }

  /** Returns the ways that are the best at something, at most so many. */
  public List<Merit.Recommended> recommended(int most) {
    return Merit.of(ways, most);
  }

  private record Work(Layout layout, Circuits others, Brief brief, List<String> fixtures) {
    private List<FixtureRange> members() {
      return fixtures.stream().map(member -> FixtureRun.of(member).in(layout)).toList();
    }

    private EmitterClass emitterOf(FixtureRange section) {
      return layout.emitterOf(section.fixture());
    }

    DriveMethodTable table() {
      List<DriveMethod> ways = new ArrayList<>();
      for (CircuitStart start : CircuitKinds.STARTS) {
        ways.add(way(start));
      }
      return new DriveMethodTable(ways);
    }

    private Set<String> taken() {
      return others.takenPins();
    }

    private DriveMethod way(CircuitStart start) {
      Circuit circuit = start.beside(others, brief.controller(), "way", layout, fixtures);
      circuit = CircuitPins.enough(circuit, others, layout, brief);
      Optional<EmitterClass> wrong = wrong(circuit);
      if (wrong.isPresent()) {
        String why = phrase("can't drive: %s", wrong.get().kind().title());
        return new DriveMethod(start.key(), start.title(), Optional.of(why), NOTHING);
      }
      CircuitPlan plan = circuit.plan(layout, brief);
      return new DriveMethod(start.key(), start.title(), whyNot(plan), numbers(plan));
    }

    private static final DriveMethod.Numbers NOTHING =
        new DriveMethod.Numbers(0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0);

    private Optional<EmitterClass> wrong(Circuit circuit) {
      return members().stream()
          .map(this::emitterOf)
          .filter(e -> !circuit.drives(e.kind()))
          .findFirst();
    }

    private Optional<String> whyNot(CircuitPlan plan) {
      int free = (int) brief.controller().pins().stream().filter(p -> !taken().contains(p)).count();
      int wants = plan.wantedPins();
      if (wants > free) {
        return Optional.of(
            phrase("needs %d pins, %d available%s", wants, free, larger(wants + taken().size())));
      }
      int ram = DriverCode.ramBytes(plan);
      if (ram > brief.controller().ramBytes()) {
        return Optional.of(
            phrase(
                "needs a frame buffer of %d bytes; the controller has %d",
                ram, brief.controller().ramBytes()));
      }
      if (brief.controller().slow() && !plan.sendsAt(brief.controller().clockHz())) {
        return Optional.of(
            phrase(
                "its timing is not known for %s",
                Quantity.text(brief.controller().clockHz(), "Hz")));
      }
      return plan.findings().stream()
          .filter(f -> f.verdict() == Verdict.BREAKS)
          .map(f -> (f.says() + " " + f.advice()).strip())
          .findFirst();
    }

    /** The smallest class that brings out so many pins. */
    private static String larger(int pins) {
      return Controller.CLASSES.stream()
          .filter(c -> c.pins().size() >= pins)
          .min(Comparator.comparingInt(c -> c.pins().size()))
          .map(c -> "; enough on: " + c.title())
          .orElse("");
    }

    private DriveMethod.Numbers numbers(CircuitPlan plan) {
      PartsList parts = PartsList.of(plan);
      int wires = plan.wires(fixtures.size());
      return new DriveMethod.Numbers(
          plan.wantedPins(),
          plan.chips(),
          plan.spareOutputs(),
          parts.count(PartSort.RESISTOR),
          parts.switches(),
          wires,
          plan.addressed() ? plan.chips() : 0,
          plan.frameBits(),
          plan.frameSeconds(),
          plan.levelBits(),
          DriverCode.seconds(plan) * FRAMES_A_SECOND,
          DriverCode.ramBytes(plan),
          DriverCode.bytes(plan),
          parts.leads() + 2 * wires + (plan.soldersLights() ? lightJoints() : 0),
          parts.cost(others.prices()),
          plan.duty());
    }

    /** Leads of the lights themselves: two for each die, one shared by several of a package. */
    private int lightJoints() {
      return members().stream()
          .mapToInt(
              s -> {
                int dies = emitterOf(s).dies().size();
                return s.count() * (dies == 1 ? 2 : dies + 1);
              })
          .sum();
    }
  }
}
