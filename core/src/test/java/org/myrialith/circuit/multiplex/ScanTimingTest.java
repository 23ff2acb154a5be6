package org.myrialith.circuit.multiplex;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitPins;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.electrical.MultiplexedLoad;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.output.Filling;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Stack;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;
import org.myrialith.tool.CircuitSimulator;

/** Slots, rows and what an eye sees of them. */
class ScanTimingTest {
  @TempDir Path folder;

  private static final ScanTiming.Interrupt ONE_PORT = ScanTiming.Interrupt.onPins(1, 1, 8);

  static Layout panel(int columns, int rows) {
    Fixture panel =
        Fixture.of("f1", "Grid", new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, true, false, 0));
    return Layout.EMPTY.withFixtures(List.of(panel.with(panel.mount().withEmitter("single-red"))));
  }

  static Brief brief(Controller controller) {
    return new Brief("B", "", controller, Optional.of(new Supply("s", 5, 5)));
  }

  private static ScannedPins eightByEight() {
    return ScannedPins.usual("c1", List.of("f1"))
        .on(
            List.of("D0", "D1", "D2", "D3", "D4", "D5", "D6", "D7"),
            List.of("B0", "B1", "B2", "B3", "B4", "B5", "C0", "C1"));
  }

  private static ScannedPlan plan(ScannedPins circuit) {
    return circuit.plan(panel(8, 8), brief(Controller.AVR8_32K));
  }

  private static Finding finding(ScannedPlan plan, String key) {
    return plan.findings().stream().filter(f -> f.key().equals(key)).findFirst().orElseThrow();
  }

  /** Eight rows, 100 turns, 8 bits by bit-angle: 6400 interrupts a second (common practice). */
  @Test
  void interruptsOfTheTrade() {
    ScanTiming timing = ScanTiming.of(8, Scan.of(50, 8, 4), ONE_PORT, Controller.AVR8_32K);
    assertThat(timing.interruptsHz() / timing.refreshHz()).isCloseTo(64, within(1e-9));
    ScanTiming quick = ScanTiming.of(8, Scan.of(100, 6, 4), ONE_PORT, Controller.AVR8_32K);
    assertThat(quick.refreshHz()).isBetween(100.0, 125.0);
    assertThat(quick.interruptsHz()).isCloseTo(48 * quick.refreshHz(), within(1e-6));
  }

  /**
   * A timer of 8 bits divides 16 MHz by 1024 at most (a published prescaler): 61 Hz are its
   * slowest, and nearest above 60; asked for 30 it can't be slower.
   */
  @ParameterizedTest
  @CsvSource({"60, 61.04", "61, 61.04", "30, 61.04"})
  void theSlowestAboveTheWishIsTaken(double wanted, double hertz) {
    ScanTiming timing = ScanTiming.of(1, Scan.of(wanted, 1, 4), ONE_PORT, Controller.AVR8_32K);
    assertThat(timing.refreshHz()).isCloseTo(hertz, within(0.01));
  }

  /** A turn is all of its slots with the dark before each; levels are multiples of one unit. */
  @ParameterizedTest
  @CsvSource({"1, 1, 100", "3, 4, 200", "8, 8, 30", "16, 5, 120", "4, 1, 5000", "64, 2, 100"})
  void slotsFillATurnAndDoubleFromBitToBit(int rows, int bits, double wanted) {
    ScanTiming timing =
        ScanTiming.of(rows, Scan.of(wanted, bits, 3), ONE_PORT, Controller.AVR8_32K);
    List<ScanTiming.Slot> slots = timing.slots();
    assertThat(slots).hasSize(rows * bits);
    double at = 0;
    for (ScanTiming.Slot slot : slots) {
      assertThat(slot.startSeconds()).isCloseTo(at + timing.darkSeconds(), within(1e-9));
      assertThat(slot.seconds())
          .isCloseTo(timing.unitSeconds() * Math.pow(2, slot.bit()), within(1e-9));
      at = slot.startSeconds() + slot.seconds();
      // what the timer can count to, and time for the interrupt itself
      int ticks = timing.ticks(new ScanMethod.Step(slot.bit(), 1 << slot.bit()));
      assertThat(ticks).isBetween(1, 256);
      assertThat(ticks * timing.prescale()).isGreaterThan(timing.interruptCycles());
    }
    assertThat(1 / at).isCloseTo(timing.refreshHz(), within(1e-6 * timing.refreshHz()));
    assertThat(timing.duty()).isLessThan(1.0 / rows);
    assertThat(timing.reaches()).isEqualTo(timing.refreshHz() >= wanted);
    assertThat(timing.darkSeconds()).isGreaterThanOrEqualTo(3e-6);
  }

  /** Whatever a maker may ask for has slots, and a rest that a loop of a byte can wait. */
  @Test
  void everythingThatMayBeAskedForHasAPlan() {
    for (int bits = 1; bits <= 8; bits++) {
      for (int blank = 0; blank <= 40; blank += 4) {
        for (int ports = 1; ports <= 7; ports += 2) {
          for (double hertz : new double[] {20, 200, 10_000}) {
            ScanTiming.Interrupt interrupt = ScanTiming.Interrupt.onPins(ports, ports, 8);
            ScanTiming timing =
                ScanTiming.of(8, Scan.of(hertz, bits, blank), interrupt, Controller.AVR8_32K);
            assertThat(timing).as("%d bits, %d µs, %d ports", bits, blank, ports).isNotNull();
            int rest = timing.dark() * timing.prescale() - interrupt.leastDark();
            assertThat(rest).isBetween(0, 4 * 255 + 3);
            for (ScanMethod.Step step : timing.steps().get(0)) {
              assertThat(timing.ticks(step)).isLessThanOrEqualTo(256);
              assertThat(timing.ticks(step) * timing.prescale())
                  .isGreaterThan(timing.interruptCycles());
            }
          }
        }
      }
    }
  }

  /**
   * A chain of 24 bytes takes longer to fill than the lowest of 8 bits can last: that is told, and
   * nothing is exported that would wait for the wrong time.
   */
  @Test
  void slotsThatTheTimerCannotWaitFor() {
    ScannedRegisters wide =
        ScannedRegisters.usual("c1", List.of("f1"))
            .of(RegisterClass.HC, 64, 128, RowSwitch.MOSFET)
            .scanned(Scan.of(100, 8, 4));
    ScannedPlan plan = wide.plan(panel(8, 8), brief(Controller.AVR8_32K));
    assertThat(plan.timing().fits()).isFalse();
    Finding slots = finding(plan, "scan-slots-c1");
    assertThat(slots.verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(slots.advice()).contains("bits it fits");
    int bits = Integer.parseInt(slots.advice().replaceAll("\\D+", ""));
    assertThat(
            wide.scanned(Scan.of(100, bits, 4))
                .plan(panel(8, 8), brief(Controller.AVR8_32K))
                .timing()
                .fits())
        .isTrue();
    for (RegisterClass sort : List.of(RegisterClass.HC, RegisterClass.SINK)) {
      for (int depth = 1; depth <= 8; depth++) {
        for (ScanMethod method : ScanMethod.values()) {
          ScanTiming timing =
              wide.of(sort, 64, 128, RowSwitch.PIN)
                  .scanned(Scan.of(20, depth, 40).by(method).taking(depth * 500))
                  .plan(panel(8, 8), brief(Controller.AVR8_8K))
                  .timing();
          assertThat(timing.refreshHz()).isPositive();
          assertThat(timing.fits()).isEqualTo(timing.mostTicks() <= 256);
        }
      }
    }
  }

  /** Sixteen bits at 10 kHz and the like are refused, or planned with what can be reached. */
  @Test
  void whatCannotBeIsTold() {
    assertThatThrownBy(() -> eightByEight().scanned(10_000, 16, 4)).hasMessageContaining("depth");
    assertThatThrownBy(() -> eightByEight().scanned(0, 4, 4)).hasMessageContaining("refreshHz");
    assertThatThrownBy(() -> eightByEight().scanned(100, 4, 900))
        .hasMessageContaining("blankMicros");
    assertThatThrownBy(() -> eightByEight().on(List.of("D1"), List.of("D1")))
        .hasMessageContaining("each pin once");
    ScannedPlan quick = plan(eightByEight().scanned(10_000, 8, 4));
    Finding refresh = finding(quick, "scan-refresh-c1");
    assertThat(refresh.verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(refresh.advice()).contains("7\u00a0bits").contains("4 rows, twice the columns");
    // what it says can be reached is
    double seven = quick.mostHertz(8, 7);
    assertThat(plan(eightByEight().scanned(seven - 1, 7, 4)).timing().reaches()).isTrue();
    assertThat(plan(eightByEight().scanned(seven * 1.01, 7, 4)).timing().reaches()).isFalse();
  }

  /** About 100 Hz for a still eye, 200 Hz for a moving one (common practice). */
  @ParameterizedTest
  @CsvSource({"60, 1, BREAKS", "120, 4, TIGHT", "210, 4, HOLDS"})
  void flicker(double wanted, int bits, Verdict expected) {
    ScannedPlan plan =
        ScannedPins.usual("c1", List.of("f1"))
            .on(
                List.of("D4", "D5", "D6", "D7", "C0", "C1", "C2", "C3"),
                List.of("B0", "B1", "B2", "B3", "B4", "B5", "D2", "D3"))
            .scanned(wanted, bits, 4)
            .plan(panel(8, 8), brief(Controller.AVR8_32K));
    assertThat(finding(plan, "scan-refresh-c1").verdict()).isEqualTo(expected);
  }

  /** IEEE 1789-2015: 100 % modulation is of low risk from 1250 Hz, without effect from 3000 Hz. */
  @ParameterizedTest
  @CsvSource({"1000, below", "1300, low risk", "3100, no observable effect"})
  void theStandardForRoomLights(double wanted, String says) {
    ScannedPlan plan = plan(eightByEight().scanned(wanted, 1, 2));
    assertThat(finding(plan, "scan-standard-c1").says()).contains(says);
  }

  /**
   * A pin carries 20 mA to plan with: eight lights of 8 mA, dimmed by what they share, are too much
   * for good.
   */
  @ParameterizedTest
  @CsvSource({"PIN, TIGHT, HOLDS", "TRANSISTOR, HOLDS, BREAKS", "MOSFET, HOLDS, HOLDS"})
  void rowsAndGhosts(RowSwitch by, Verdict row, Verdict ghosts) {
    ScannedPlan plan = plan(eightByEight().through(by).scanned(200, 4, 2));
    assertThat(finding(plan, "row-current-c1").verdict()).isEqualTo(row);
    assertThat(finding(plan, "scan-ghosts-c1").verdict()).isEqualTo(ghosts);
  }

  /** A row pin of 40 ohm above, columns of a resistor, 2.0 V of LED and a pin of 35 ohm each. */
  private double simulated(int lit, double ohms) throws IOException {
    StringBuilder net = new StringBuilder("a row and its columns\nvs 1 0 5\nrrow 1 2 40\n");
    for (int column = 0; column < lit; column++) {
      net.append(
          String.format(
              Locale.ROOT,
              "r%1$d 2 a%1$d %2$s\nv%1$d a%1$d b%1$d 2.0\np%1$d b%1$d 0 35\n"
                  .replace("p%1$d", "rp%1$d"),
              column,
              ohms));
    }
    net.append(".control\nop\nlet each = i(v0)\nprint each\n.endc\n.end\n");
    return CircuitSimulator.figure(folder, net.toString(), "each");
  }

  /**
   * What lights of a row share makes them darker the more are lit: the circuit simulator agrees.
   */
  @ParameterizedTest
  @ValueSource(ints = {1, 3, 8})
  void theCurrentInATurn(int together) throws IOException {
    ScannedPlan plan = plan(eightByEight().with(OutputWiring.of(8, Side.TO_SUPPLY)));
    MultiplexedLoad path = (MultiplexedLoad) plan.switching().loads().get(0).path();
    double amps = simulated(together, path.resistor().ohms());
    assertThat(path.amps(together)).isCloseTo(amps, within(0.005 * amps));
    if (together == 8) {
      assertThat(plan.rowAmps()).isCloseTo(8 * amps, within(0.005 * plan.rowAmps()));
      assertThat(finding(plan, "row-shared-c1").verdict()).isEqualTo(Verdict.TIGHT);
    }
    // one resistor a column
    assertThat(plan.resistorCount()).isEqualTo(8);
  }

  private static ScannedPins found(Layout layout, Controller controller) {
    return (ScannedPins)
        CircuitPins.enough(
            ScannedPins.usual("c1", List.of("f1")).with(OutputWiring.of(8, Side.TO_GROUND)),
            new Circuits(List.of()),
            layout,
            brief(controller));
  }

  /** Twelve LEDs: three by four on seven pins (common practice). */
  @Test
  void twelveLedsOnSevenPins() {
    assertThat(found(panel(4, 3), Controller.AVR8_32K).pins()).hasSize(7);
  }

  /** A panel's lines are its rows: 7 by 9 run down the columns on 16 pins, 7 rows of 9. */
  @Test
  void aPanelIsWiredByItsLines() {
    ScannedPins chart = found(panel(7, 9), Controller.AVR8_32K);
    assertThat(chart.rowPins()).hasSize(7);
    assertThat(chart.columnPins()).hasSize(9);
    // where its lines are too long for the pins, as square as can be
    ScannedPins flat = found(panel(2, 24), Controller.AVR8_32K);
    assertThat(flat.rowPins()).hasSize(7);
    assertThat(flat.columnPins()).hasSize(7);
  }

  /** 64 in four layers of 16: 20 lines (common practice). Five layers of 3 by 3: 14. */
  @ParameterizedTest
  @CsvSource({"4, 4, 4, 20", "3, 3, 5, 14"})
  void aStackByItsLayers(int columns, int rows, int layers, int lines) {
    Fixture stack = Fixture.of("f1", "Stack", new Stack(columns, rows, layers, 20, 20, 10));
    Layout layout =
        Layout.EMPTY.withFixtures(List.of(stack.with(stack.mount().withEmitter("single-red"))));
    for (Filling filling : Filling.values()) {
      ScannedCircuit pins =
          (ScannedCircuit)
              CircuitPins.enough(
                  ScannedPins.usual("c1", List.of("f1"))
                      .with(OutputWiring.of(8, Side.TO_SUPPLY).filled(filling)),
                  new Circuits(List.of()),
                  layout,
                  brief(Controller.AVR8_256K));
      ScannedCircuit chain =
          (ScannedCircuit)
              CircuitPins.enough(
                  ScannedRegisters.usual("c1", List.of("f1"))
                      .with(OutputWiring.of(8, Side.TO_SUPPLY).filled(filling)),
                  new Circuits(List.of()),
                  layout,
                  brief(Controller.AVR8_256K));
      if (filling == Filling.FIELD_A_BYTE) {
        assertThat(pins.rows()).isEqualTo(layers);
        assertThat(pins.pins()).hasSize(lines);
        assertThat(chain.rows()).isEqualTo(layers);
      }
      for (ScannedCircuit circuit : List.of(pins, chain)) {
        ScannedPlan plan = circuit.plan(layout, brief(Controller.AVR8_256K));
        assertThat(plan.findings()).noneMatch(f -> f.key().startsWith("rows-missing"));
      }
    }
  }

  /** CIE 1976: a fifth of the light of white looks half as bright or so, L* 51.8. */
  @Test
  void brightnessIsToldAsLightness() {
    ScannedPlan plan = plan(eightByEight());
    Finding bright = finding(plan, "scan-brightness-c1");
    Calculation duty = bright.calculations().get(0);
    // an eighth of the time, less the dark between slots: L* of 0.12 is 41.2
    assertThat(duty.value()).isBetween(11.5, 12.5);
    assertThat(bright.says()).containsPattern("brightness 4[01]\\.\\d");
    // 8 mA for good are 8 mA ÷ 0.12 in its turn
    assertThat(bright.says()).containsPattern("needs 6\\d(\\.\\d)?\u00a0mA peak");
  }

  /** Slots of whole microseconds, as short as setting the pins one by one allows. */
  @Test
  void otherControllersBeginSlotsWhileTheyWait() {
    ScannedPlan small =
        ScannedPins.usual("c1", List.of("f1"))
            .on(List.of("P0", "P1"), List.of("P2", "P3"))
            .plan(panel(2, 2), brief(Controller.ARM32_SMALL));
    assertThat(small.timing().slots())
        .allSatisfy(
            slot -> {
              double micros = slot.seconds() * 1e6;
              assertThat(micros).isCloseTo(Math.rint(micros), within(1e-6));
              // a row off and two columns, a microsecond each, are set in the dark
              assertThat(small.timing().darkSeconds()).isGreaterThan(3e-6);
            });
    assertThat(finding(small, "scan-share-c1").says()).contains("while the player waits");
    assertThat(small.interruptShare()).isZero();
    // an interrupt of 16 MHz begins rows of eight in some seven microseconds, this in some twenty
    ScannedPlan eight =
        ScannedPins.usual("c1", List.of("f1"))
            .on(
                List.of("P0", "P1", "P2", "P3", "P4", "P5", "P6", "P7"),
                List.of("P8", "P9", "P10", "P11", "P12", "P13", "P14", "P15"))
            .scanned(Scan.of(2000, 4, 1))
            .plan(panel(8, 8), brief(Controller.ARM32_SMALL));
    assertThat(finding(eight, "scan-refresh-c1").advice())
        .contains("16 MHz")
        .doesNotContain(Controller.ARM32_SMALL.title());
  }

  private static ScannedPlan chain(RegisterClass sort, double milliamps) {
    return ScannedRegisters.usual("c1", List.of("f1"))
        .of(sort, 8, 8, RowSwitch.MOSFET)
        .with(OutputWiring.of(milliamps, Side.TO_SUPPLY))
        .plan(panel(8, 8), brief(Controller.AVR8_32K));
  }

  /** An HC register carries 70 mA through its supply pins: eight of 8 mA, not of 10 (JESD7A). */
  @ParameterizedTest
  @CsvSource({"HC, 8, HOLDS", "HC, 10, BREAKS", "POWER, 20, HOLDS", "SINK, 20, HOLDS"})
  void aChipCarriesARow(RegisterClass sort, double milliamps, Verdict verdict) {
    ScannedPlan plan = chain(sort, milliamps);
    assertThat(finding(plan, "chip-current-c1").verdict()).isEqualTo(verdict);
    assertThat(plan.chips()).isEqualTo(2);
    assertThat(plan.outputName(3)).isEqualTo("1.3");
  }

  /** Sinks turn 5 V less 2 V of an LED into heat: 8 × 20 mA × 3 V, but for the dark between. */
  @Test
  void theHeatOfSinksByTurns() {
    ScannedPlan plan = chain(RegisterClass.SINK, 20);
    double watts = finding(plan, "chip-heat-c1").calculations().get(0).value();
    assertThat(watts).isBetween(0.8 * 0.48, 1.1 * 0.48);
    assertThat(plan.resistorCount()).isZero();
  }

  /** A row of its own for all: each light has its output, and is lit for its share of the time. */
  @Test
  void registersThatAreOnlyDimmed() {
    ScannedPlan plan =
        ScannedRegisters.usual("c1", List.of("f1"))
            .of(RegisterClass.HC, 1, 64, RowSwitch.NONE)
            .scanned(Scan.of(200, 6, 0))
            .plan(panel(8, 8), brief(Controller.AVR8_32K));
    assertThat(plan.timing().duty()).isCloseTo(1, within(1e-9));
    assertThat(plan.chips()).isEqualTo(8);
    assertThat(plan.findings()).noneMatch(f -> f.key().startsWith("row-current"));
    assertThatThrownBy(
            () ->
                ScannedRegisters.usual("c1", List.of()).of(RegisterClass.HC, 2, 8, RowSwitch.NONE))
        .hasMessageContaining("rows");
    assertThatThrownBy(
            () ->
                ScannedRegisters.usual("c1", List.of())
                    .of(RegisterClass.GREY_12, 2, 8, RowSwitch.PIN))
        .hasMessageContaining("sort");
    assertThatThrownBy(
            () -> ScannedRegisters.usual("c1", List.of()).of(RegisterClass.HC, 0, 8, RowSwitch.PIN))
        .hasMessageContaining("rows");
  }

  /** Plain PWM has as many slots as levels; passes show rows more often for the same unit. */
  @Test
  void methods() {
    Scan scan = Scan.of(100, 5, 4);
    ScanTiming angle = ScanTiming.of(8, scan, ONE_PORT, Controller.AVR8_32K);
    ScanTiming plain = ScanTiming.of(8, scan.by(ScanMethod.PLAIN), ONE_PORT, Controller.AVR8_32K);
    assertThat(angle.slotCount()).isEqualTo(8 * 5);
    assertThat(plain.slotCount()).isEqualTo(8 * 31);
    assertThat(plain.share()).isGreaterThan(2 * angle.share());
    ScanTiming passes =
        ScanTiming.of(8, scan.by(ScanMethod.FOUR_PASSES), ONE_PORT, Controller.AVR8_32K);
    assertThat(passes.refreshHz()).isCloseTo(4 * passes.wholeHz(), within(1e-9));
    for (ScanTiming timing : List.of(angle, plain, passes)) {
      // every level gets its own share of the slots of its row
      for (int level = 0; level < 32; level++) {
        int at = level;
        double lit =
            timing.slots().stream()
                .filter(slot -> slot.row() == 3 && timing.lit(at, slot))
                .mapToDouble(ScanTiming.Slot::seconds)
                .sum();
        assertThat(lit).isCloseTo(level * timing.unitSeconds(), within(1e-9));
      }
    }
    assertThat(RowOrder.INTERLACED.of(5)).containsExactly(0, 2, 4, 1, 3);
    ScanTiming own = ScanTiming.of(8, scan.taking(2000), ONE_PORT, Controller.AVR8_32K);
    assertThat(own.interruptCycles()).isEqualTo(2000);
    assertThat(own.share()).isGreaterThan(2 * angle.share());
  }
}
