package org.myrialith.circuit.chip.register;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.chip.expander.ExpanderClass;
import org.myrialith.circuit.chip.expander.ExpanderPlan;
import org.myrialith.circuit.chip.expander.Expanders;
import org.myrialith.circuit.electrical.ConstantCurrentSink;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.pin.DirectPins;
import org.myrialith.circuit.pin.PinDimming;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PreferredValues;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;

/** Outputs with a depth: sinks that count, PWM chips, pins that timers turn. */
class GreyScaleTest {
  private static Layout grid(int columns, int rows) {
    Panel panel = new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, false, true, 0);
    Fixture grid = Fixture.of("f1", "Grid", panel);
    return Layout.EMPTY.withFixtures(List.of(grid.with(grid.mount().withEmitter("rgb-pins"))));
  }

  private static Brief brief(Controller controller) {
    return new Brief("B", "", controller, Optional.of(new Supply("s", 5, 5)));
  }

  private static ShiftRegisters sinks(RegisterClass sort) {
    return ShiftRegisters.usual("c1", List.of("f1"))
        .of(sort)
        .onPins(List.of("C0", "C1", "C2", "D3", "D4"))
        .with(OutputWiring.of(10, Side.TO_SUPPLY));
  }

  private static double number(CircuitPlan plan, String key) {
    return plan.calculations().stream()
        .filter(n -> n.key().equals(key))
        .mapToDouble(Calculation::value)
        .findFirst()
        .orElseThrow();
  }

  /** 36 RGB on 16-channel chips: 108 channels, 7 chips, 12 bit: 1344 bits a frame. */
  @Test
  void aChainOfSinksByTheNumbersOfTheTrade() {
    RegisterPlan plan = sinks(RegisterClass.GREY_12).plan(grid(6, 6), brief(Controller.AVR8_32K));
    assertThat(plan.channels()).isEqualTo(108);
    assertThat(plan.map().chips()).isEqualTo(7);
    assertThat(plan.map().bytes() * 8).isEqualTo(1344);
    assertThat(plan.levelBits()).isEqualTo(12);
    assertThat(plan.fullLevel()).isEqualTo(4095);
    assertThat(plan.resistorCount()).isZero();
    assertThat(plan.bufferBytes()).isEqualTo(216);
    // the first channel is output 0 of the nearest chip: its highest bit is the last but eleven
    assertThat(plan.map().turn(0)).isEqualTo(1344 - 12);
    assertThat(plan.map().turn(107)).isEqualTo(1344 - 12 * 108);
  }

  /** 31.5 × 1.24 V ÷ 10 mA = 3906 ohm, the next of E24 is 4.3 kohm: 9.08 mA. */
  @Test
  void oneResistorSetsAllOfAChip() {
    RegisterPlan plan = sinks(RegisterClass.GREY_12).plan(grid(2, 2), brief(Controller.AVR8_32K));
    assertThat(plan.switching().loads().get(0).amps()).isCloseTo(9.08e-3, within(0.01e-3));
    // half the levels of three colours draw half of what all of them do
    long half = 12 * 4095 / 2;
    assertThat(plan.litAmps(new long[] {half})).isCloseTo(12 * 9.08e-3 / 2, within(0.1e-3));
    assertThat(plan.mostLitAmps(1)).isCloseTo(12 * 9.08e-3, within(0.1e-3));
    // a constant of the maker's own: 20 V ÷ 10 mA = 2 kohm
    ShiftRegisters circuit = sinks(RegisterClass.GREY_12);
    ShiftRegisters own =
        new ShiftRegisters(
            "c1",
            "own",
            circuit.dataPin(),
            circuit.clockPin(),
            circuit.latchPin(),
            circuit.greyClockPin(),
            circuit.blankPin(),
            circuit.sort(),
            20,
            200,
            circuit.hookup(),
            circuit.fixtures(),
            LevelShift.NONE,
            false);
    RegisterPlan other = own.plan(grid(2, 2), brief(Controller.AVR8_32K));
    assertThat(other.switching().loads().get(0).amps()).isCloseTo(0.01, within(1e-9));
  }

  @Test
  void turnsOfTheGreyScale() {
    Layout layout = grid(2, 2);
    Brief brief = brief(Controller.AVR8_32K);
    // 4 MHz by its own oscillator ÷ 4096; 2 MHz ÷ 4096 with a blank from the controller
    assertThat(number(sinks(RegisterClass.GREY_24).plan(layout, brief), "grey-refresh-c1"))
        .isCloseTo(976.56, within(0.01));
    assertThat(number(sinks(RegisterClass.GREY_12).plan(layout, brief), "grey-refresh-c1"))
        .isCloseTo(488.28, within(0.01));
  }

  @Test
  void onlySomePinsGiveTheClock() {
    Layout layout = grid(2, 2);
    ShiftRegisters wrong =
        sinks(RegisterClass.GREY_12).onPins(List.of("C0", "C1", "C2", "C3", "C4"));
    assertThat(wrong.plan(layout, brief(Controller.AVR8_32K)).findings())
        .filteredOn(f -> f.key().equals("grey-clock-c1"))
        .singleElement()
        .satisfies(f -> assertThat(f.advice()).contains("D3 or B3"));
    assertThat(sinks(RegisterClass.GREY_12).plan(layout, brief(Controller.AVR8_8K)).findings())
        .filteredOn(f -> f.key().equals("grey-clock-c1"))
        .extracting(Finding::verdict)
        .containsExactly(Verdict.BREAKS);
    assertThatThrownBy(
            () -> sinks(RegisterClass.GREY_12).onPins(List.of("C0", "C1", "C2", "C2", "C4")))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("5 different pins");
  }

  /** Timer 2 clocks sinks: it can't dim a pin as well. */
  @Test
  void aTimerHasOneWork() {
    Fixture second =
        Fixture.of("f2", "Lone", new Panel(1, 1, 5, 5, Corner.TOP_LEFT, false, true, 0));
    Gadget gadget =
        Gadget.blank("Trial")
            .with(grid(2, 2).fixtures().get(0))
            .with(second.with(second.mount().withEmitter("single-red")))
            .with(sinks(RegisterClass.GREY_12))
            .with(
                DirectPins.usual("c9", List.of("f2"))
                    .dimmed(PinDimming.TIMERS)
                    .onPins(List.of("B3")));
    assertThat(GadgetPlan.of(gadget).findings(Step.CIRCUITS))
        .extracting(Finding::key)
        .contains("same-timer-c9-2");
  }

  /** Side by side on one kept current, LEDs have no part that is sure. */
  @Test
  void ledsSideBySideShareWhatIsKept() {
    SegmentDigits digits = SegmentDigits.KIND.usual();
    Fixture board = Fixture.of("f1", "Board", digits);
    OutputLoad two =
        new OutputLoad(
            Layout.EMPTY.emitterOf(board.with(board.mount().withEmitter("single-red"))),
            Layout.EMPTY
                .emitterOf(board.with(board.mount().withEmitter("single-red")))
                .dies()
                .get(0),
            2,
            false,
            new ConstantCurrentSink(5, 2, 0.2, 0.01, PreferredValues.E24, 18.75));
    assertThat(two.shared()).isTrue();
    assertThat(two.amps()).isEqualTo(two.path().amps());
  }

  /** 25 MHz ÷ 4096 ÷ 1 kHz is 6.1: the prescaler of 6 gives 1017 turns a second. */
  @Test
  void pwmChipsHaveSixtyTwoAddressesAndFourBytesAnOutput() {
    Expanders chips =
        Expanders.usual("c1", List.of("f1"))
            .of(ExpanderClass.PWM_16)
            .with(OutputWiring.of(8, Side.TO_SUPPLY));
    ExpanderPlan plan = chips.plan(grid(4, 3), brief(Controller.AVR8_32K));
    assertThat(plan.map().chips()).isEqualTo(3);
    assertThat(plan.map().bytes()).isEqualTo(3 * 64);
    assertThat(plan.map().place(0)).isEqualTo(16);
    assertThat(ExpanderClass.PWM_HERTZ).isCloseTo(1017, within(1.0));
    assertThat(plan.findings())
        .filteredOn(f -> f.key().equals("addresses-c1"))
        .singleElement()
        .satisfies(f -> assertThat(f.says()).contains("0x40 to 0x42"));
    assertThat(chips.plan(grid(40, 10), brief(Controller.AVR8_32K)).findings())
        .filteredOn(f -> f.key().equals("addresses-c1"))
        .extracting(Finding::verdict)
        .containsExactly(Verdict.BREAKS);
  }
}
