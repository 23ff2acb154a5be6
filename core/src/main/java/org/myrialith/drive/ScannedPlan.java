package org.myrialith.drive;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.finding.Reckoning.given;

import java.util.Arrays;
import java.util.List;
import org.myrialith.brief.Brief;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.parts.OutputStage;

/**
 * Rows and columns on pins: what is on when, and what that takes.
 *
 * @param map of the rows one after the other, each as wide as there are columns
 */
public record ScannedPlan(
    ScannedPins circuit, Brief brief, Switching switching, BitMap map, ScanTiming timing)
    implements SwitchedPlan {
  /** Cycles of making the slots of a frame: for each light, and for each bit of it. */
  private static final double LIGHT_CYCLES = 52;

  private static final double BIT_CYCLES = 15;

  /** More for a light that is only on or off, whose bit is looked up. */
  private static final double LOOK_UP_CYCLES = 26;

  /** For each slot, to be made dark first. */
  private static final double SLOT_CYCLES = 10;

  @Override
  public Hookup hookup() {
    return circuit.hookup();
  }

  @Override
  public OutputStage chipStage() {
    return brief.controller().stage();
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
    int column = output % map.width();
    return column < circuit.columnPins().size() ? circuit.columnPins().get(column) : "no pin";
  }

  @Override
  public String groupName(int group) {
    return group < circuit.rowPins().size()
        ? phrase("row %d, %s", group + 1, circuit.rowPins().get(group))
        : phrase("row %d, no pin", group + 1);
  }

  @Override
  public double chipIdleAmps() {
    return 0;
  }

  /** Returns whether a low level of a column lights. */
  @Override
  public boolean lowLights() {
    return hookup().side() == Side.TO_SUPPLY;
  }

  /** Returns whether a row is on while its pin is high: switches turn that round. */
  public boolean highRows() {
    return (hookup().side() == Side.TO_SUPPLY) == (circuit.rowSwitch() == RowSwitch.PIN);
  }

  @Override
  public double sendSeconds() {
    double light = LIGHT_CYCLES + BIT_CYCLES * timing.bits() + (dims() ? 0 : LOOK_UP_CYCLES);
    double cycles = map.chips() * map.width() * light + SLOT_CYCLES * timing.rows() * timing.bits();
    return cycles * brief.controller().cycleSeconds() / Math.max(0.05, 1 - timing.share());
  }

  @Override
  public double interruptShare() {
    return timing.share();
  }

  /** What has its turns stands on pins, without a chip. */
  @Override
  public int chips() {
    return 0;
  }

  /** A frame comes in between two turns of all rows. */
  @Override
  public double frameSeconds() {
    return Math.max(dataSeconds(), 1 / timing.refreshHz());
  }

  /** What it lights has its turns whatever is asked; a limiter passes it over. */
  @Override
  public boolean limited() {
    return false;
  }

  /** One resistor a column serves all rows. */
  @Override
  public int resistorCount() {
    boolean alone = switching().loads().stream().allMatch(load -> load.paths() == 1);
    return alone
        ? Math.min(circuit.columnPins().size(), map.width())
        : SwitchedPlan.super.resistorCount();
  }

  /** Returns the lights of the row that has the most. */
  public int mostOfARow() {
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
      double each =
          load.path() instanceof ByTurns turns ? turns.amps(together) : load.path().amps();
      most = Math.max(most, together * each);
    }
    return most;
  }

  /** Returns the resistor before the base of a row's transistor (ohm). */
  public double baseOhms() {
    double logic = brief.controller().logicVolts(brief.volts());
    return Through.BIPOLAR.baseOhms(rowAmps(), logic, hookup().resistors());
  }

  /** Returns the highest refresh with so many rows of so many bits on these ports (Hz). */
  public double mostHertz(int rows, int bits) {
    return ScanTiming.of(
            rows,
            bits,
            ScannedPins.REFRESH.max(),
            circuit.blankMicros() * 1e-6,
            circuit.interrupt())
        .refreshHz();
  }

  @Override
  public Reckoning dataTime() {
    return new Reckoning(
        key("data-time"),
        "Making the slots of one frame",
        dataSeconds(),
        "s",
        "(lights × (cycles of a light + bits × cycles of a bit) + slots × cycles of one) ÷ what the scan leaves of the time",
        List.of(
            given("lights", map.chips() * map.width(), ""),
            given("bits", timing.bits(), ""),
            given("share of the scan", timing.share() * 100, "%")),
        Source.partClass("made by the exported player"));
  }

  @Override
  public List<Reckoning> ownNumbers() {
    return new ScanFindings(this).numbers();
  }

  @Override
  public List<Finding> ownFindings() {
    return new ScanFindings(this).all();
  }
}
