package org.myrialith.circuit.multiplex;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.SwitchedPlan;
import org.myrialith.circuit.output.Switching;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Source;
import org.myrialith.parts.Controller;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.RegisterClass;

/**
 * Lights that have their turns: what is on when, and what that takes.
 *
 * @param map of the rows one after the other, each as wide as there are columns
 */
public record ScannedPlan(
    ScannedCircuit circuit, Brief brief, Switching switching, OutputMap map, ScanTiming timing)
    implements SwitchedPlan {
  /** Cycles of working a light into slots of several passes. */
  private static final double PASSED_LIGHT_CYCLES = 96;

  /** Of a light that is only on or off and compared: its bit is masked. */
  private static final double MASKED_LIGHT_CYCLES = 49.5;

  /** Of a light whose level is only copied, as slots are made when they begin. */
  private static final double COPIED_CYCLES = 4;

  /** For each slot of it, and for each that is compared. */
  private static final double BIT_CYCLES = 15;

  private static final double COMPARED_CYCLES = 17;

  /** More for a light that is only on or off, whose bit is looked up. */
  private static final double LOOK_UP_CYCLES = 26;

  /** For each slot, to be made dark first; more for each further port of pins that are open. */
  private static final double SLOT_CYCLES = 10;

  private static final double PORT_CYCLES = 30;

  /** The same where each light has a turn of its own. */
  private static final double ALONE_PORT_CYCLES = 16;

  @Override
  public OutputWiring hookup() {
    return circuit.hookup();
  }

  @Override
  public OutputStage chipStage() {
    return circuit.columnStage(brief.controller());
  }

  @Override
  public String chipWord() {
    return "row";
  }

  @Override
  public boolean grows() {
    return false;
  }

  @Override
  public String outputName(int output) {
    String name = circuit.columnOutput(output / map.width(), output % map.width());
    return name.isEmpty() ? "no pin" : name;
  }

  @Override
  public String groupName(int group) {
    if (!circuit.rowSwitch().turns()) {
      return "always on";
    }
    String name = circuit.rowOutput(group);
    return circuit.rowName(group, name.isEmpty() ? "no pin" : name);
  }

  /** Returns what has a turn. */
  public String turnName(int turn) {
    return circuit.alone()
        ? phrase("%s to %s", circuit.rowOutput(turn / map.width()), outputName(turn))
        : groupName(turn);
  }

  @Override
  public double chipIdleAmps() {
    return RegisterClass.IDLE_AMPS;
  }

  /** Pins draw nothing by themselves, chips of a chain do. */
  @Override
  public double darkAmps() {
    return map.channels().isEmpty() ? 0 : circuit.chips() * chipIdleAmps();
  }

  @Override
  public boolean oneSinks() {
    return circuit.oneSinks();
  }

  /** Returns whether a 0 of a column lights. */
  @Override
  public boolean lowLights() {
    return hookup().side() == Side.TO_SUPPLY && !oneSinks();
  }

  /** Returns whether a row is on while its pin is high: switches turn that round. */
  public boolean highRows() {
    return (hookup().side() == Side.TO_SUPPLY) == (circuit.rowSwitch() == RowSwitch.PIN);
  }

  /** Returns whether slots are begun while the player waits, not by an interrupt. */
  public boolean polled() {
    return timing.clock() == ScanClock.POLLED;
  }

  @Override
  public double sendSeconds() {
    if (polled()) {
      return COPIED_CYCLES * timing.turns() * lightsOfATurn() * brief.controller().cycleSeconds();
    }
    double cycles =
        timing.turns() * lightsOfATurn() * lightCycles() + clearingCycles() * timing.slotCount();
    return cycles * brief.controller().cycleSeconds() / Math.max(0.05, 1 - timing.share());
  }

  /** Cycles of working a light into its slots. */
  private double lightCycles() {
    boolean compared = circuit.scan().method() == ScanMethod.PLAIN && !dims();
    double first =
        compared
            ? MASKED_LIGHT_CYCLES
            : timing.passes() > 1 ? PASSED_LIGHT_CYCLES : circuit.lightCycles();
    double slot = circuit.scan().method() == ScanMethod.PLAIN ? COMPARED_CYCLES : BIT_CYCLES;
    return first * timing.passes() + slot * timing.slotsOfARow() + (dims() ? 0 : LOOK_UP_CYCLES);
  }

  /** Cycles of making a slot dark. */
  private double clearingCycles() {
    double each = circuit.alone() ? ALONE_PORT_CYCLES : PORT_CYCLES;
    return SLOT_CYCLES + circuit.furtherPorts() * each;
  }

  /** Its slots are ticks of a timer, whatever the clock. */
  @Override
  public boolean sendsAt(int hertz) {
    return true;
  }

  @Override
  public double interruptShare() {
    return polled() ? 0 : timing.share();
  }

  @Override
  public int chips() {
    return circuit.chips();
  }

  /** Returns the places of lights of a turn. */
  public int lightsOfATurn() {
    return circuit.alone() ? 1 : map.width();
  }

  /** A frame comes in between two turns of all rows. */
  @Override
  public double frameSeconds() {
    return Math.max(dataSeconds(), 1 / timing.wholeHz());
  }

  /** What it lights has its turns whatever is asked; a limiter passes it over. */
  @Override
  public boolean limited() {
    return false;
  }

  /** One resistor a column serves all rows, one at a pin all that hangs there. */
  @Override
  public int resistorCount() {
    return circuit.resistors(this, SwitchedPlan.super.resistorCount());
  }

  /** Returns the lights of the row that has the most; one where each has its own turn. */
  public int mostOfARow() {
    if (circuit.alone()) {
      return 1;
    }
    int[] rows = new int[map.chips()];
    for (int c = 0; c < map.channels().size(); c++) {
      rows[map.chip(c)] += switching.loads().get(map.channels().get(c).load()).paths();
    }
    return Arrays.stream(rows).max().orElse(0);
  }

  /** Returns what a row carries with all its lights in their turn, which share its switch (A). */
  public double rowAmps() {
    double most = 0;
    int together = Math.max(1, mostOfARow());
    for (OutputLoad load : switching.loads()) {
      most = Math.max(most, together * load.path().rowAmps(together));
    }
    return most;
  }

  @Override
  public boolean surges() {
    return !hookup().ownRail();
  }

  @Override
  public double surgeAmps(Levels levels) {
    return new RowCurrents(this).surgeAmps(levels);
  }

  @Override
  public double sharedAmps(Levels levels, int first) {
    return new RowCurrents(this).sharedAmps(levels, first);
  }

  /** All lit, as they share what lets rows through. */
  @Override
  public double mostLitAmps(double share) {
    RowCurrents currents = new RowCurrents(this);
    if (!currents.shares()) {
      return SwitchedPlan.super.mostLitAmps(share);
    }
    int[] full = new int[map.channels().size()];
    Arrays.fill(full, (int) Math.round(share * fullLevel()));
    Levels all = Levels.of(levelBits(), full);
    return SwitchedPlan.super.mostLitAmps((double) full[0] / fullLevel())
        - currents.sharedAmps(all, 0);
  }

  /** Returns the resistor before the base of a row's transistor (ohm). */
  public double baseOhms() {
    double logic = brief.logicVolts();
    return SwitchType.BIPOLAR.baseOhms(rowAmps(), logic, hookup().resistors());
  }

  /** Returns the highest refresh with so many turns of so many bits (Hz). */
  public double mostHertz(int turns, int bits) {
    return mostHertz(turns, circuit.scan().deep(bits));
  }

  /** Returns the highest refresh with so many turns, scanned otherwise (Hz). */
  public double mostHertz(int turns, Scan scan) {
    return mostHertz(turns, scan, brief.controller());
  }

  /** Returns the same on another class of controller, with as many pins (Hz). */
  double mostHertz(int turns, Scan scan, Controller controller) {
    return ScanTiming.of(turns, scan.at(Scan.REFRESH.max()), circuit.interrupt(), controller)
        .refreshHz();
  }

  /** Returns the RAM of its slots, those that are shown and those that are made (bytes). */
  public int slotRamBytes() {
    return polled()
        ? 2 * timing.turns() * lightsOfATurn()
        : 2 * timing.slotCount() * circuit.slotBytes();
  }

  /** Returns what lets the current of a row through. */
  public OutputStage rowStage() {
    return circuit.rowSwitch().stage(circuit.rowOutputStage(brief.controller()));
  }

  @Override
  public Calculation dataTime() {
    return polled() ? copyTime() : makingTime();
  }

  private Calculation copyTime() {
    return new Calculation(
        key("data-time"),
        "Copying the levels of one frame",
        dataSeconds(),
        "s",
        "LEDs × time of one",
        List.of(
            given("LEDs", timing.turns() * lightsOfATurn(), ""),
            given("time of one", COPIED_CYCLES * brief.controller().cycleSeconds(), "s")),
        Source.partClass("made by the exported player, at most"));
  }

  private Calculation makingTime() {
    return new Calculation(
        key("data-time"),
        "Making the slots of one frame",
        dataSeconds(),
        "s",
        "(LEDs × cycles of an LED + slots × cycles to clear one) ÷ clock ÷ largest of(5 %, 100 % − CPU load of the scan)",
        List.of(
            given("LEDs", timing.turns() * lightsOfATurn(), ""),
            given("cycles of an LED", lightCycles(), ""),
            given("slots", timing.slotCount(), ""),
            given("cycles to clear one", clearingCycles(), ""),
            given("clock", brief.controller().clockHz(), "Hz"),
            given("CPU load of the scan", timing.share() * 100, "%")),
        Source.partClass("made by the exported player"));
  }

  @Override
  public List<Calculation> ownNumbers() {
    List<Calculation> all = new ArrayList<>(new ScanFindings(this).numbers());
    if (circuit.rowSwitch().turns()) {
      all.addAll(new RowFindings(this).numbers());
    }
    all.addAll(new EyeFindings(this).numbers());
    return List.copyOf(all);
  }

  @Override
  public List<Finding> ownFindings() {
    List<Finding> all = new ArrayList<>(new ScanFindings(this).all());
    if (circuit.rowSwitch().turns()) {
      all.addAll(new RowFindings(this).all());
    }
    all.addAll(new EyeFindings(this).all());
    all.addAll(circuit.judged(this));
    return List.copyOf(all);
  }

  @Override
  public Map<PartSort, Integer> chipParts() {
    Map<PartSort, Integer> counts = new EnumMap<>(PartSort.class);
    counts.putAll(circuit.chipParts());
    circuit
        .rowSwitch()
        .parts(map.chips())
        .forEach((part, count) -> counts.merge(part, count, Integer::sum));
    return counts;
  }

  @Override
  public int chipResistors() {
    return circuit.chipResistors();
  }

  /** Its rows carry one after the other. */
  @Override
  public boolean carriesTogether() {
    return false;
  }

  @Override
  public boolean betweenPins() {
    return circuit.rowSwitch() == RowSwitch.PIN && !circuit.chained();
  }

  @Override
  public double duty() {
    return timing.duty();
  }

  @Override
  public String about() {
    String timer =
        switch (ScanClock.of(brief.controller())) {
          case TIMER_2 -> "Timer 2 times the slots. ";
          case TIMER_0 -> "Timer 0 times the slots. ";
          case POLLED -> "The board clock times the slots while the player waits. ";
        };
    return circuit.about(brief.controller())
        + timer
        + "The exported firmware has a watchdog, because a scan that stops overheats a row. Flashing at a few hertz can bring on seizures: keep the refresh rate high.";
  }
}
