package org.myrialith.circuit.electrical;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.chip.display.DisplayDrivers;
import org.myrialith.circuit.chip.expander.ExpanderClass;
import org.myrialith.circuit.chip.expander.ExpanderPlan;
import org.myrialith.circuit.chip.expander.Expanders;
import org.myrialith.circuit.chip.register.RegisterPlan;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Ring;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;

/** High levels with their room, remedies in figures, and what chips carry in what is shown. */
class LogicLevelTest {
  private static Gadget gadget(Controller controller, double volts, Fixture fixture, Circuit way) {
    return Gadget.blank("Levels")
        .with(new Brief("Levels", "", controller, Optional.of(new Supply("s", volts, 5))))
        .with(fixture)
        .with(new Circuits(List.of(way)));
  }

  private static Fixture bar(int leds) {
    Fixture bar = Fixture.of("f1", "Bar", new Bar(leds, 10, 0));
    return bar.with(bar.mount().withEmitter("single-red"));
  }

  private static ShiftRegisters registers(RegisterClass sort, List<String> pins, double mA) {
    return ShiftRegisters.usual("c1", List.of("f1"))
        .of(sort)
        .onPins(pins)
        .with(OutputWiring.of(mA, Side.TO_SUPPLY));
  }

  private static Finding finding(Gadget gadget, String key) {
    return GadgetPlan.of(gadget).findings().stream()
        .filter(f -> f.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new AssertionError(key));
  }

  private static final List<String> PINS = List.of("P2", "P3", "P4");

  /**
   * A level at the bottom of what an input allows works for two chips and fails for twenty-four
   * (common practice): 3.3 V into HC at 4.5 V, which takes 3.15 V.
   */
  @ParameterizedTest
  @CsvSource({"16, HOLDS", "192, TIGHT"})
  void scantRoomServesAShortChainOnly(int leds, Verdict expected) {
    Gadget board =
        gadget(Controller.ARM32_SMALL, 4.5, bar(leds), registers(RegisterClass.HC, PINS, 4));
    assertThat(finding(board, "logic-level-c1").verdict()).isEqualTo(expected);
  }

  /** A matrix on registers is told the same, and mended by the same press. */
  @Test
  void chainsWhoseRowsHaveTurnsAreJudged() {
    ScannedRegisters matrix =
        ScannedRegisters.usual("c1", List.of("f1"))
            .onPins(List.of("P2", "P3", "P4", "P5"))
            .of(RegisterClass.HC, 4, 8, RowSwitch.MOSFET);
    Gadget board = gadget(Controller.ARM32_SMALL, 5, bar(24), matrix);
    Finding level = finding(board, "logic-level-c1");
    assertThat(level.verdict()).isEqualTo(Verdict.BREAKS);
    Gadget mended = GadgetPlan.of(board).mended(level.key(), "registers-hct").orElseThrow();
    assertThat(finding(mended, "logic-level-c1").verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(((ScannedRegisters) mended.circuits().circuits().get(0)).rows()).isEqualTo(4);
  }

  /** 3.3 V is 0.7 of 4.71 V; an HCT input threshold 2.0 V, and one press makes it so. */
  @Test
  void remediesTellWhatTheyBring() {
    Gadget board = gadget(Controller.ARM32_SMALL, 5, bar(24), registers(RegisterClass.HC, PINS, 4));

    Finding level = finding(board, "logic-level-c1");

    assertThat(level.verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(level.advice().replace('\u00a0', ' '))
        .contains("threshold 2 V, margin 1.30 V")
        .contains("output 5 V, margin 1.50 V");
    Gadget mended = GadgetPlan.of(board).mended(level.key(), "registers-hct").orElseThrow();
    assertThat(finding(mended, "logic-level-c1").verdict()).isEqualTo(Verdict.HOLDS);
  }

  /** A first pixel behind a diode, at 4.3 V, threshold 3.01 V and gives on 4.3 V for 3.5 V. */
  @Test
  void aFirstPixelShiftsTheLevel() {
    Fixture ring = Fixture.of("f1", "Ring", Ring.KIND.usual());
    Gadget lamp =
        gadget(
            Controller.ARM32_TWO_CORES,
            5,
            ring,
            OneWirePixels.usual("c1", List.of("f1")).onPin("P19"));

    Finding level = finding(lamp, "logic-level");

    assertThat(level.verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(level.advice().replace('\u00a0', ' '))
        .contains("threshold 3.01 V, margin 290 mV")
        .contains("output 4.30 V, margin 800 mV");
  }

  /** The class takes high from 3.5 V at 5 V. */
  @ParameterizedTest
  @CsvSource({"AVR, HOLDS", "ARM, BREAKS"})
  void displayDriversAreJudgedToo(String core, Verdict expected) {
    Fixture digits = Fixture.of("f1", "Digits", SegmentDigits.KIND.usual());
    boolean small = core.equals("AVR");
    DisplayDrivers driver =
        DisplayDrivers.usual("c1", List.of("f1"))
            .onPins(small ? List.of("B3", "B5", "B2") : List.of("P2", "P3", "P4"));
    Gadget clock =
        gadget(
            small ? Controller.AVR8_32K : Controller.ARM32_SMALL,
            5,
            digits.with(digits.mount().withEmitter("single-red")),
            driver);
    assertThat(finding(clock, "logic-level-c1").verdict()).isEqualTo(expected);
  }

  /** Expanders on lower logic are fed with it: a pin of theirs that feeds LEDs gives no more. */
  @Test
  void expandersAreFedAsTheController() {
    Expanders chips =
        Expanders.usual("c1", List.of("f1"))
            .of(ExpanderClass.REGISTER_A)
            .onPins(List.of("P2", "P3"))
            .with(OutputWiring.of(3, Side.TO_GROUND));
    Gadget board = gadget(Controller.ARM32_SMALL, 5, bar(8), chips);
    ExpanderPlan plan = (ExpanderPlan) GadgetPlan.of(board).wiring().plans().get(0);
    assertThat(plan.switching().loads().get(0).path().volts()).isEqualTo(3.3);
    assertThat(plan.feed()).contains("3.3").contains("controller");
    assertThat(finding(board, "logic-level-c1").verdict()).isEqualTo(Verdict.HOLDS);
  }

  /**
   * The rise is ln 9 times (40 + 100) ohm times capacitance: 500 ns are 1625 pF, 10 of them a chip.
   */
  @Test
  void bufferAndWireAreToldInFigures() {
    ShiftRegisters chain =
        ShiftRegisters.usual("c1", List.of("f1")).with(OutputWiring.of(4, Side.TO_SUPPLY));
    Gadget board = gadget(Controller.AVR8_32K, 5, bar(8 * 200), chain);

    Finding edge = finding(board, "clock-edge-c1");

    assertThat(edge.verdict()).isEqualTo(Verdict.BREAKS);
    // 20 cm of wire are 20 pF
    assertThat(edge.advice()).contains("every 160 chips").doesNotContain("A wire of");
  }

  private static Clip clip(int leds, int... lit) {
    List<Frame> frames = new ArrayList<>();
    for (int count : lit) {
      byte[] rgb = new byte[3 * leds];
      Arrays.fill(rgb, 0, 3 * count, (byte) 255);
      frames.add(new Frame(Picture.of(leds, 1, rgb), 50));
    }
    return new Clip("k1", "Bar", "f1", frames);
  }

  /** All eight would carry more than the 70 mA of a chip: it is what is shown that counts. */
  @ParameterizedTest
  @CsvSource({"5, TIGHT", "7, BREAKS"})
  void aChipIsJudgedByItsWorstFrameToo(int most, Verdict expected) {
    Gadget board =
        gadget(
                Controller.AVR8_32K,
                5,
                bar(8),
                registers(RegisterClass.HC, List.of("B3", "B5", "B2"), 12))
            .with(clip(8, 1, most, 2));
    Finding chip = finding(board, "chip-current-c1");
    assertThat(chip.verdict()).isEqualTo(expected);
    Calculation shown = chip.calculations().get(1);
    RegisterPlan plan = (RegisterPlan) GadgetPlan.of(board).wiring().plans().get(0);
    double each = plan.switching().loads().get(0).amps();
    assertThat(each).isBetween(0.0115, 0.0125);
    assertThat(shown.value()).isCloseTo(most * each, within(1e-9));
  }

  /** One resistor shared by segments makes 1 brighter than 8 (common practice). */
  @Test
  void aSharedResistorIsWarnedOf() {
    Fixture digits = Fixture.of("f1", "Digits", SegmentDigits.KIND.usual());
    Gadget board =
        gadget(
            Controller.AVR8_32K,
            5,
            digits.with(digits.mount().withEmitter("single-red")),
            registers(RegisterClass.HC, List.of("B3", "B5", "B2"), 8));
    Finding shared = finding(board, "shared-resistor-c1");
    assertThat(shared.calculations().get(0).value()).isBetween(0.0009, 0.0013);
  }
}
