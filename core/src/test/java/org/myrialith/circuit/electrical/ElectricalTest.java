package org.myrialith.circuit.electrical;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.chip.display.DisplayDrivers;
import org.myrialith.circuit.chip.display.DisplayPlan;
import org.myrialith.circuit.chip.expander.ExpanderClass;
import org.myrialith.circuit.chip.expander.ExpanderPlan;
import org.myrialith.circuit.chip.expander.Expanders;
import org.myrialith.circuit.chip.register.RegisterPlan;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.SwitchedLayouts;
import org.myrialith.circuit.pin.DirectPins;
import org.myrialith.circuit.pin.PinPlan;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.parts.BusSpeed;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PreferredValues;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;
import org.myrialith.tool.CircuitSimulator;

/** Currents, edges and pull-ups against worked examples and a circuit simulator. */
class ElectricalTest {
  @TempDir Path folder;

  private static SeriesResistor red(double volts, double amps) {
    return new SeriesResistor(volts, 2.0, 0.2, 0, 0, amps, PreferredValues.E24);
  }

  private static Layout bar(int leds, String emitter) {
    Fixture bar = Fixture.of("f1", "Bar", new Bar(leds, 10, 0));
    return Layout.EMPTY.withFixtures(List.of(bar.with(bar.mount().withEmitter(emitter))));
  }

  private static Brief brief(double volts) {
    return new Brief("B", "", Controller.AVR8_32K, Optional.of(new Supply("s", volts, 5)));
  }

  /** 5 V, 2.0 V, 20 mA: 150 ohm, 60 mW (common practice). */
  @Test
  void theTextbookResistor() {
    SeriesResistor resistor = red(5, 0.02);
    assertThat(resistor.ohms()).isCloseTo(150, within(1e-9));
    assertThat(resistor.amps() * resistor.amps() * resistor.ohms()).isCloseTo(0.06, within(1e-9));
    // 3.2 V and 2.8 V are left at the ends of the spread
    assertThat(resistor.mostAmps()).isCloseTo(3.2 / 150, within(1e-9));
    assertThat(resistor.leastAmps()).isCloseTo(2.8 / 150, within(1e-9));
    assertThat(resistor.packageName()).startsWith("0805");
    assertThat(red(12, 0.02).packageName()).startsWith("half-watt");
  }

  /**
   * A diode of 2.0 V at 20 mA with 2 ohm of bulk and a slope of two thermal voltages: the simple
   * rule is off by less than 6 % from 5 to 20 mA at 5 V, on the safe side at no current beyond 20
   * mA.
   */
  @ParameterizedTest
  @CsvSource({
    "5, 0.02, 0.02",
    "5, 0.01, 0.05",
    "5, 0.005, 0.06",
    "9, 0.02, 0.01",
    "3.3, 0.01, 0.10"
  })
  void aRealDiodeDrawsNearlyThat(double volts, double wanted, double off) throws IOException {
    SeriesResistor resistor = red(volts, wanted);
    double amps =
        CircuitSimulator.figure(
            folder,
            """
            an LED behind a resistor
            vs 1 0 %s
            r1 1 2 %s
            d1 2 0 led
            .model led d (is=5.4e-19 n=2 rs=2)
            .control
            op
            let flows = -i(vs)
            print flows
            .endc
            .end
            """
                .formatted(volts, resistor.ohms()),
            "flows");
    assertThat(resistor.amps()).isCloseTo(amps, within(off * amps));
  }

  /** Twenty-four chips on one clock: 240 pF and 200 mm of wire behind pin and resistor. */
  @Test
  void theClockRisesAsSimulated() throws IOException {
    RegisterPlan plan =
        ShiftRegisters.usual("c1", List.of("f1")).plan(bar(190, "single-red"), brief(5));
    assertThat(plan.map().chips()).isEqualTo(24);
    double told = calculation(plan.calculations(), "clock-rise-c1").value();
    double rise =
        CircuitSimulator.figure(
            folder,
            """
            a clock line
            vs 1 0 pulse(0 5 10n 0.01n 0.01n 10u 20u)
            r1 1 2 140
            c1 2 0 260p
            .tran 0.1n 2u
            .meas tran t10 when v(2)=0.5 rise=1
            .meas tran t90 when v(2)=4.5 rise=1
            .meas tran rise param='t90-t10'
            .end
            """,
            "rise");
    assertThat(told).isCloseTo(rise, within(0.01 * rise));
    assertThat(verdict(plan.findings(), "clock-edge-c1")).isEqualTo(Verdict.HOLDS);
    RegisterPlan far =
        ShiftRegisters.usual("c1", List.of("f1")).plan(bar(1400, "single-red"), brief(5));
    assertThat(verdict(far.findings(), "clock-edge-c1")).isEqualTo(Verdict.BREAKS);
  }

  /** 5 V: 1.53 kohm at least; the most for a bus by UM10204: 10 kohm at 100 kHz carry 118 pF. */
  @Test
  void pullUpsByTheSpecificationOfTheBus() {
    Expanders bus =
        Expanders.usual("c1", List.of("f1")).of(ExpanderClass.QUASI_8).withPullUps(10_000, 1080);
    ExpanderPlan plan = bus.plan(bar(5, "single-red"), brief(5));
    // a chip and the controller, 10 pF each, and 1 080 mm of wire: 128 pF, a little too much
    assertThat(verdict(plan.findings(), "pull-ups-c1")).isEqualTo(Verdict.BREAKS);
    ExpanderPlan shorter = bus.withPullUps(10_000, 980).plan(bar(5, "single-red"), brief(5));
    assertThat(verdict(shorter.findings(), "pull-ups-c1")).isEqualTo(Verdict.HOLDS);
    assertThat(
            verdict(
                bus.withPullUps(1_500, 980).plan(bar(5, "single-red"), brief(5)).findings(),
                "pull-ups-c1"))
        .isEqualTo(Verdict.BREAKS);
    assertThat(
            verdict(
                bus.withPullUps(1_540, 980).plan(bar(5, "single-red"), brief(5)).findings(),
                "pull-ups-c1"))
        .isEqualTo(Verdict.HOLDS);
  }

  /**
   * A mode of the bus that the class has not breaks; at 1 MHz a rise of 120 ns through 1.53 kohm
   * leaves 92 pF (UM10204): a chip, the controller and 0.7 m of wire, but not 0.8 m.
   */
  @Test
  void aBusIsAsQuickAsItsChipsAndItsWire() {
    Expanders bus = Expanders.usual("c1", List.of("f1"));
    Layout lights = bar(5, "single-red");
    assertThat(
            verdict(
                bus.of(ExpanderClass.QUASI_8)
                    .at(BusSpeed.KHZ_400)
                    .plan(lights, brief(5))
                    .findings(),
                "bus-speed-c1"))
        .isEqualTo(Verdict.BREAKS);
    assertThat(
            verdict(
                bus.of(ExpanderClass.REGISTER_B)
                    .at(BusSpeed.KHZ_1000)
                    .plan(lights, brief(5))
                    .findings(),
                "bus-speed-c1"))
        .isEqualTo(Verdict.BREAKS);
    for (ExpanderClass quick : List.of(ExpanderClass.REGISTER_A, ExpanderClass.PWM_16)) {
      Expanders fast = bus.of(quick).at(BusSpeed.KHZ_1000).withPullUps(1_535, 700);
      ExpanderPlan plan = fast.plan(lights, brief(5));
      assertThat(verdict(plan.findings(), "bus-speed-c1")).isEqualTo(Verdict.HOLDS);
      assertThat(verdict(plan.findings(), "pull-ups-c1")).isEqualTo(Verdict.HOLDS);
      assertThat(
              verdict(
                  fast.withPullUps(1_535, 800).plan(lights, brief(5)).findings(), "pull-ups-c1"))
          .isEqualTo(Verdict.BREAKS);
      assertThat(plan.dataSeconds())
          .isLessThan(0.6 * bus.of(quick).plan(lights, brief(5)).dataSeconds());
    }
  }

  @Test
  void nineExpandersAreTooManyForOneBus() {
    Expanders bus = Expanders.usual("c1", List.of("f1")).of(ExpanderClass.QUASI_8);
    assertThat(verdict(bus.plan(bar(64, "single-red"), brief(5)).findings(), "addresses-c1"))
        .isEqualTo(Verdict.HOLDS);
    assertThat(verdict(bus.plan(bar(65, "single-red"), brief(5)).findings(), "addresses-c1"))
        .isEqualTo(Verdict.BREAKS);
  }

  /** Setting resistor of the class: 15 × 1.25 V ÷ R, so 20 mA want 937.5 ohm. */
  @Test
  void aSinkIsSetByOneResistor() {
    RegisterPlan plan =
        ShiftRegisters.usual("c1", List.of("f1"))
            .of(RegisterClass.SINK)
            .with(OutputWiring.of(20, Side.TO_SUPPLY))
            .plan(bar(16, "single-red"), brief(5));
    ConstantCurrentSink path = (ConstantCurrentSink) plan.switching().loads().get(0).path();
    assertThat(path.settingOhms()).isCloseTo(1000, within(1e-6));
    assertThat(path.amps()).isCloseTo(0.01875, within(1e-9));
    // 5 V less 1.8 V at the lower end, 18.75 mA, sixteen outputs: 0.96 W
    assertThat(calculationOf(plan.findings(), "chip-heat-c1").value())
        .isCloseTo(0.96, within(1e-6));
    assertThat(verdict(plan.findings(), "chip-heat-c1")).isEqualTo(Verdict.HOLDS);
    RegisterPlan hot =
        ShiftRegisters.usual("c1", List.of("f1"))
            .of(RegisterClass.SINK)
            .with(OutputWiring.of(20, Side.TO_SUPPLY))
            .plan(bar(16, "single-red"), brief(5.5));
    assertThat(verdict(hot.findings(), "chip-heat-c1")).isEqualTo(Verdict.BREAKS);
  }

  @Test
  void aSupplyBelowTheForwardVoltsIsTold() {
    // two blue ones in series want 6.4 V
    Layout digits = SwitchedLayouts.digits("single-blue", 1, 2, true);
    RegisterPlan plan = ShiftRegisters.usual("c1", List.of("f1")).plan(digits, brief(5));
    assertThat(verdict(plan.findings(), "forward-volts-c1")).isEqualTo(Verdict.BREAKS);
    assertThat(plan.litAmps(new long[] {7})).isZero();
  }

  /** A 10 V MOSFET on 5 V logic is the classic fault (common practice). */
  @Test
  void aGateWantsItsVolts() {
    DirectPins pins = DirectPins.usual("c1", List.of("f1")).onPins(List.of("B0", "B1"));
    for (SwitchType through : List.of(SwitchType.MOSFET_LOGIC, SwitchType.MOSFET_TEN)) {
      PinPlan plan =
          pins.with(OutputWiring.of(300, Side.TO_SUPPLY).through(through, 12))
              .plan(bar(2, "high-power"), brief(5));
      assertThat(verdict(plan.findings(), "gate-c1"))
          .isEqualTo(through == SwitchType.MOSFET_LOGIC ? Verdict.HOLDS : Verdict.BREAKS);
      // what hangs on the rail of its own is no load of the supply
      assertThat(plan.mostLitAmps(1)).isZero();
      assertThat(plan.railAmps()).isBetween(0.5, 0.6);
    }
  }

  /** A base gets a fifteenth; a cold lamp takes ten times its current (common practice). */
  @Test
  void lampsOnTransistors() {
    DirectPins pins =
        DirectPins.usual("c1", List.of("f1"))
            .onPins(List.of("B0", "B1", "B2"))
            .with(OutputWiring.of(100, Side.TO_SUPPLY).through(SwitchType.BIPOLAR, 6.3));
    PinPlan plan = pins.plan(bar(3, "lamp"), brief(5));
    // 6.3 V less 0.3 V in the transistor: the rated 6 V and 150 mA
    assertThat(plan.switching().loads().get(0).amps()).isCloseTo(0.15, within(1e-9));
    assertThat(calculationOf(plan.findings(), "base-current-c1").value())
        .isCloseTo(0.01, within(1e-9));
    assertThat(verdict(plan.findings(), "base-c1")).isEqualTo(Verdict.HOLDS);
    // 1.5 A against 600 mA
    assertThat(verdict(plan.findings(), "inrush-c1")).isEqualTo(Verdict.TIGHT);
    // three bases of 10 mA are drawn from the supply
    assertThat(plan.mostLitAmps(1)).isCloseTo(0.03, within(1e-9));
    PinPlan high =
        pins.with(OutputWiring.of(100, Side.TO_SUPPLY).through(SwitchType.BIPOLAR, 9))
            .plan(bar(3, "lamp"), brief(5));
    assertThat(verdict(high.findings(), "forward-volts-c1")).isEqualTo(Verdict.BREAKS);
  }

  /** Eight outputs of 12 mA are 96 mA through pins made for 70. */
  @Test
  void aChipHasALimitOfItsOwn() {
    ShiftRegisters line = ShiftRegisters.usual("c1", List.of("f1"));
    assertThat(verdict(line.plan(bar(8, "single-red"), brief(5)).findings(), "chip-current-c1"))
        .isEqualTo(Verdict.HOLDS);
    RegisterPlan much =
        line.with(OutputWiring.of(12, Side.TO_SUPPLY)).plan(bar(8, "single-red"), brief(5));
    assertThat(verdict(much.findings(), "chip-current-c1")).isEqualTo(Verdict.BREAKS);
    assertThat(verdict(much.findings(), "output-current-c1")).isEqualTo(Verdict.HOLDS);
  }

  /** 20 mA at 2.0 V: 28 kohm; 10 mA at 3.5 V: 51.2 kohm (data of the class). */
  @Test
  void theSettingResistorOfADisplayDriver() {
    DisplayDrivers drivers = DisplayDrivers.usual("c1", List.of("f1"));
    DisplayPlan red = drivers.plan(bar(8, "single-red"), brief(5));
    assertThat(red.settingOhms(2.0)).isCloseTo(30_000, within(1e-6));
    DisplayPlan little =
        drivers.with(OutputWiring.of(10, Side.TO_SUPPLY)).plan(bar(8, "single-red"), brief(5));
    assertThat(little.settingOhms(3.5)).isCloseTo(56_000, within(1e-6));
    // step 7 of 15: fifteen thirty-seconds of the eighth that a digit has
    assertThat(red.mostLitAmps(1)).isCloseTo(8 * 0.02 * 15 / 32 / 8, within(1e-9));
  }

  private static Verdict verdict(List<Finding> findings, String key) {
    return findings.stream().filter(f -> f.key().equals(key)).findFirst().orElseThrow().verdict();
  }

  private static Calculation calculationOf(List<Finding> findings, String key) {
    return calculation(findings.stream().flatMap(f -> f.calculations().stream()).toList(), key);
  }

  private static Calculation calculation(List<Calculation> all, String key) {
    return all.stream().filter(n -> n.key().equals(key)).findFirst().orElseThrow();
  }

  /** Six of 20 mA on one port: 120 mA, and 100 is the most of a group; on two ports they hold. */
  @Test
  void aGroupOfPortsHasALimitOfItsOwn() {
    DirectPins pins =
        DirectPins.usual("c1", List.of("f1")).with(OutputWiring.of(20, Side.TO_SUPPLY));
    DirectPins one = pins.onPins(List.of("C0", "C1", "C2", "C3", "C4", "C5"));
    assertThat(one.plan(bar(6, "single-red"), brief(5)).findings())
        .filteredOn(f -> f.key().equals("port-group-c1"))
        .extracting(Finding::verdict)
        .containsExactly(Verdict.BREAKS);
    DirectPins two = pins.onPins(List.of("C0", "C1", "C2", "D0", "D1", "B0"));
    assertThat(two.plan(bar(6, "single-red"), brief(5)).findings())
        .noneMatch(f -> f.key().equals("port-group-c1"));
  }
}
