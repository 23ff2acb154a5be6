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
import org.myrialith.build.PartsList;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Ring;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.tool.CircuitSimulator;

/** What stands between a low logic level and chips on a higher supply. */
class LevelShiftTest {
  @TempDir Path folder;

  private static final List<String> PINS = List.of("P2", "P3", "P4");

  private static Gadget gadget(double volts, Fixture fixture, Circuit circuit) {
    return Gadget.blank("Levels")
        .with(
            new Brief("Levels", "", Controller.ARM32_SMALL, Optional.of(new Supply("s", volts, 5))))
        .with(fixture)
        .with(new Circuits(List.of(circuit)));
  }

  private static Gadget ring(double volts, LevelShift shift) {
    OneWirePixels plain = OneWirePixels.usual("c1", List.of("f1")).onPin("P2");
    return gadget(
        volts,
        Fixture.of("f1", "Ring", Ring.KIND.usual()),
        new OneWirePixels(
            plain.id(),
            plain.name(),
            plain.dataPin(),
            plain.colourOrder(),
            plain.latchGapMicros(),
            plain.rate(),
            plain.white(),
            plain.railVolts(),
            plain.fixtures(),
            plain.pixel(),
            shift));
  }

  private static Gadget registers(int leds, LevelShift shift) {
    Fixture bar = Fixture.of("f1", "Bar", new Bar(leds, 10, 0));
    ShiftRegisters plain =
        ShiftRegisters.usual("c1", List.of("f1"))
            .onPins(PINS)
            .with(OutputWiring.of(4, Side.TO_SUPPLY));
    return gadget(
        5,
        bar.with(bar.mount().withEmitter("single-red")),
        new ShiftRegisters(
            plain.id(),
            plain.name(),
            plain.dataPin(),
            plain.clockPin(),
            plain.latchPin(),
            plain.greyClockPin(),
            plain.blankPin(),
            plain.sort(),
            plain.settingVolts(),
            plain.wireMm(),
            plain.hookup(),
            plain.fixtures(),
            shift,
            plain.heldDark()));
  }

  private static int parts(Gadget gadget) {
    return PartsList.of(GadgetPlan.of(gadget).wiring().plans().get(0)).counts().values().stream()
        .mapToInt(Integer::intValue)
        .sum();
  }

  private static List<Finding> findings(Gadget gadget, String part) {
    return GadgetPlan.of(gadget).findings().stream().filter(f -> f.key().contains(part)).toList();
  }

  /** Pixels at 5 V take 3.5 V; of a 3.3 V pin only an input that takes 2.0 V (HCT) knows it. */
  @ParameterizedTest
  @CsvSource({"NONE, BREAKS", "HCT, HOLDS", "MOSFET, HOLDS"})
  void aShifterMakesTheLevel(LevelShift shift, Verdict expected) {
    assertThat(findings(ring(5, shift), "logic-level"))
        .singleElement()
        .extracting(Finding::verdict)
        .isEqualTo(expected);
  }

  /** The function table of HCT is given for 4.5 V to 5.5 V (JESD7A). */
  @ParameterizedTest
  @CsvSource({"5, HOLDS", "12, BREAKS"})
  void aBufferIsFedWithWhatItsClassTakes(double volts, Verdict expected) {
    assertThat(findings(ring(volts, LevelShift.HCT), "shift"))
        .singleElement()
        .extracting(Finding::verdict)
        .isEqualTo(expected);
  }

  /**
   * A MOSFET that opens leaves the line to its pull-up: 1 kohm and, beside 50 pF of itself and of
   * wire, 10 pF of each input. The registers allow 500 ns (HC family).
   */
  @ParameterizedTest
  @CsvSource({"8, HOLDS", "192, TOO_SLOW"})
  void thePullUpIsAsQuickAsSimulated(int leds, String expected) throws IOException {
    Finding told = findings(registers(leds, LevelShift.MOSFET), "shift").get(0);
    double rise =
        CircuitSimulator.figure(
            folder,
            """
            a line let go by its transistor
            vs 1 0 5
            r1 1 2 1k
            c1 2 0 %dp
            s1 2 0 3 0 sw
            .model sw sw(vt=0.5 ron=0.01 roff=1g)
            vg 3 0 pulse(1 0 10n 0.01n 0.01n 20u 40u)
            .tran 0.5n 6u
            .meas tran t10 when v(2)=0.5 rise=1
            .meas tran t90 when v(2)=4.5 rise=1
            .meas tran rise param='t90-t10'
            .end
            """
                .formatted(50 + 10 * (leds / 8)),
            "rise");
    assertThat(told.calculations().get(0).value()).isCloseTo(rise, within(0.02 * rise));
    assertThat(told.verdict() == Verdict.HOLDS).isEqualTo(rise <= 500e-9);
    assertThat(rise <= 500e-9).isEqualTo(expected.equals("HOLDS"));
  }

  /** Three lines: a buffer with its capacitor; a MOSFET a line, with a resistor on either side. */
  @Test
  void whatStandsInTheLinesIsBoughtAndWired() {
    int plain = parts(registers(8, LevelShift.NONE));
    assertThat(parts(registers(8, LevelShift.HCT))).isEqualTo(plain + 2);
    assertThat(parts(registers(8, LevelShift.MOSFET))).isEqualTo(plain + 3 + 6);
  }
}
