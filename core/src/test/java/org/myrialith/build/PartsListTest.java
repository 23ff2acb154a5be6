package org.myrialith.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.chip.display.DisplayDrivers;
import org.myrialith.circuit.chip.expander.Expanders;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.SwitchedLayouts;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.PriceList;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;

/**
 * Parts counted by hand for small boards. Common practice: 100 nF at each chip, 100 ohm in clock
 * and latch, two pull-ups a bus, a resistor at each base and gate; arrays come with seven switches.
 */
class PartsListTest {
  private static final List<String> F1 = List.of("f1");

  /** Two digits of seven segments, one LED each: 14 channels. */
  private static final Layout DIGITS = SwitchedLayouts.digits("single-red", 2, 1, true);

  private static Map<PartSort, Integer> parts(Circuit circuit, Layout layout) {
    Brief brief = new Brief("B", "", Controller.AVR8_32K, Optional.of(new Supply("Supply", 5, 2)));
    return PartsList.of(circuit.plan(layout, brief)).counts();
  }

  private static Layout panel(int columns, int rows) {
    Fixture fixture =
        Fixture.of(
            "f1", "Panel", new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, false, true, 0));
    return Layout.EMPTY.withFixtures(
        List.of(fixture.with(fixture.mount().withEmitter("single-red"))));
  }

  @Test
  void registersHaveAResistorForEachSegment() {
    assertThat(parts(ShiftRegisters.usual("c1", F1), DIGITS))
        .containsOnly(
            Map.entry(PartSort.REGISTER, 2),
            Map.entry(PartSort.CAPACITOR, 2),
            Map.entry(PartSort.RESISTOR, 14 + 2));
  }

  @Test
  void sinksHaveASettingResistorAChip() {
    Circuit sinks =
        ShiftRegisters.usual("c1", F1)
            .of(RegisterClass.SINK)
            .with(OutputWiring.of(10, Side.TO_SUPPLY));
    assertThat(parts(sinks, DIGITS))
        .containsOnly(
            Map.entry(PartSort.SINK, 1),
            Map.entry(PartSort.CAPACITOR, 1),
            Map.entry(PartSort.RESISTOR, 1 + 2));
  }

  /** Fourteen channels fill two arrays of seven; a fifteenth would want a third. */
  @Test
  void arraysOfSevenAndTransistorsAreCountedByTheirChannels() {
    Circuit arrays =
        ShiftRegisters.usual("c1", F1)
            .with(OutputWiring.of(20, Side.TO_SUPPLY).through(SwitchType.DARLINGTON, 0));
    assertThat(parts(arrays, DIGITS))
        .containsOnly(
            Map.entry(PartSort.REGISTER, 2),
            Map.entry(PartSort.CAPACITOR, 2),
            Map.entry(PartSort.DARLINGTON_ARRAY, 2),
            Map.entry(PartSort.RESISTOR, 14 + 2));
    assertThat(parts(arrays, SwitchedLayouts.digits("single-red", 3, 1, true)))
        .containsEntry(PartSort.DARLINGTON_ARRAY, 3)
        .containsEntry(PartSort.REGISTER, 3)
        .containsEntry(PartSort.RESISTOR, 21 + 2);
    Circuit transistors =
        ShiftRegisters.usual("c1", F1)
            .with(OutputWiring.of(20, Side.TO_SUPPLY).through(SwitchType.BIPOLAR, 0));
    assertThat(parts(transistors, DIGITS))
        .containsEntry(PartSort.TRANSISTOR, 14)
        .containsEntry(PartSort.RESISTOR, 14 + 14 + 2);
  }

  @Test
  void busesHaveTwoPullUpsAndChainsOfDriversASettingResistorEach() {
    assertThat(parts(Expanders.usual("c1", F1), DIGITS))
        .containsOnly(
            Map.entry(PartSort.EXPANDER_16, 1),
            Map.entry(PartSort.CAPACITOR, 1),
            Map.entry(PartSort.RESISTOR, 14 + 2));
    assertThat(parts(DisplayDrivers.usual("c1", F1), DIGITS))
        .containsOnly(
            Map.entry(PartSort.THREE_WIRE_DRIVER, 1),
            Map.entry(PartSort.CAPACITOR, 1),
            Map.entry(PartSort.RESISTOR, 1));
  }

  /** Eight rows through MOSFETs with a resistor each, eight columns with one each. */
  @Test
  void aMatrixHasItsRowSwitches() {
    List<String> rows = List.of("B0", "B1", "B2", "B3", "B4", "B5", "C0", "C1");
    List<String> columns = List.of("D0", "D1", "D2", "D3", "D4", "D5", "D6", "D7");
    ScannedPins pins = ScannedPins.usual("c1", F1).on(rows, columns);
    assertThat(parts(pins, panel(8, 8))).containsOnly(Map.entry(PartSort.RESISTOR, 8));
    assertThat(parts(pins.through(RowSwitch.MOSFET), panel(8, 8)))
        .containsOnly(Map.entry(PartSort.MOSFET, 8), Map.entry(PartSort.RESISTOR, 8 + 8));
    assertThat(parts(ScannedRegisters.usual("c1", F1), panel(8, 8)))
        .containsOnly(
            Map.entry(PartSort.REGISTER, 2),
            Map.entry(PartSort.CAPACITOR, 2),
            Map.entry(PartSort.MOSFET, 8),
            Map.entry(PartSort.RESISTOR, 8 + 8 + 3));
  }

  @Test
  void pixelsHaveOneInTheDataLine() {
    assertThat(parts(OneWirePixels.usual("c1", List.of()), Layout.EMPTY))
        .containsOnly(Map.entry(PartSort.RESISTOR, 1));
  }

  /** Registers of 16 leads, capacitors and resistors of two each; nothing to pay without prices. */
  @Test
  void leadsSwitchesAndCostsAreSums() {
    PartsList registers = new PartsList(Map.of(PartSort.REGISTER, 2, PartSort.RESISTOR, 16));
    assertThat(registers.leads()).isEqualTo(2 * 16 + 16 * 2);
    assertThat(registers.switches()).isZero();
    assertThat(registers.count(PartSort.REGISTER)).isEqualTo(2);
    assertThat(registers.count(PartSort.SINK)).isZero();
    PartsList switches =
        new PartsList(
            Map.of(PartSort.TRANSISTOR, 3, PartSort.MOSFET, 4, PartSort.DARLINGTON_ARRAY, 2));
    assertThat(switches.switches()).isEqualTo(3 + 4 + 2);
    double resistor = PriceList.USUAL.cost(PartSort.RESISTOR, 1);
    double register = PriceList.USUAL.cost(PartSort.REGISTER, 1);
    assertThat(registers.cost(PriceList.USUAL))
        .isCloseTo(2 * register + 16 * resistor, within(1e-9))
        .isPositive();
  }
}
