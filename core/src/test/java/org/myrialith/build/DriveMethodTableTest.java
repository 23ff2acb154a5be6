package org.myrialith.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.finding.InputException;
import org.myrialith.firmware.driver.DriverCode;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.PriceList;
import org.myrialith.parts.Supply;

/** The ways to drive some lights, counted by hand. */
class DriveMethodTableTest {
  private static Brief brief(Controller controller) {
    return new Brief("B", "", controller, Optional.of(new Supply("s", 5, 5)));
  }

  private static Fixture bar(int count, String emitter) {
    Fixture bar = Fixture.of("f1", "Bar", new Bar(count, 10, 0));
    return bar.with(bar.mount().withEmitter(emitter));
  }

  private static DriveMethodTable table(Fixture fixture, Controller controller) {
    return DriveMethodTable.of(
        Layout.EMPTY.withFixtures(List.of(fixture)),
        new Circuits(List.of()),
        brief(controller),
        List.of("f1"));
  }

  private static DriveMethod way(DriveMethodTable table, String title) {
    return table.ways().stream().filter(w -> w.title().equals(title)).findFirst().orElseThrow();
  }

  /** 12 LEDs: 3 x 4 on 7 pins, or 4 pins charlieplexed (common practice). */
  @Test
  void twelveLedsByTurns() {
    DriveMethodTable table = table(bar(12, "single-red"), Controller.AVR8_32K);
    assertThat(way(table, "row–column matrix on pins").numbers().pins()).isEqualTo(7);
    DriveMethod charlieplex = way(table, "charlieplexed pins");
    assertThat(charlieplex.numbers().pins()).isEqualTo(4);
    assertThat(charlieplex.numbers().resistors()).isEqualTo(4);
    // one light of twelve at a time, less the dark between
    assertThat(charlieplex.numbers().brightness()).isBetween(0.95 / 12, 1.0 / 12);
    assertThat(charlieplex.buildable()).isTrue();
  }

  /** At a slower clock what needs a grey-scale clock or the timers' can't be built. */
  @Test
  void slowerClocksLeaveWhatIsNotTimedByThem() {
    Brief slow = brief(Controller.AVR8_32K).at(ClockRate.MHZ_1);
    DriveMethodTable table =
        DriveMethodTable.of(
            Layout.EMPTY.withFixtures(List.of(bar(12, "single-red"))),
            new Circuits(List.of()),
            slow,
            List.of("f1"));
    assertThat(way(table, "row–column matrix on pins").buildable()).isTrue();
    assertThat(way(table, "8-bit shift registers").buildable()).isTrue();
    String timed = "hardware PWM pins";
    assertThat(way(table, timed).buildable()).isFalse();
    assertThat(way(table, timed).whyNot().orElseThrow()).contains("1\u00a0MHz");
  }

  /** Sixty-four lights as eight by eight: a register for the rows, one for the columns. */
  @Test
  void sixtyFourLightsOnRegisters() {
    DriveMethod way =
        way(
            table(bar(64, "single-red"), Controller.AVR8_32K),
            "row–column matrix on shift registers");
    assertThat(way.numbers().pins()).isEqualTo(4);
    assertThat(way.numbers().chips()).isEqualTo(2);
    assertThat(way.numbers().switches()).isEqualTo(8);
    assertThat(way.buildable()).isTrue();
  }

  @Test
  void twelveLedsOnPinsAndRegisters() {
    DriveMethodTable table = table(bar(12, "single-red"), Controller.AVR8_32K);
    DriveMethod.Numbers pins = way(table, "pins of the controller").numbers();
    assertThat(pins.pins()).isEqualTo(12);
    assertThat(pins.chips()).isZero();
    assertThat(pins.resistors()).isEqualTo(12);
    assertThat(pins.wires()).isEqualTo(13);
    // 12 LEDs and 12 resistors of two leads, 13 wires of two ends
    assertThat(pins.joints()).isEqualTo(24 + 24 + 26);
    DriveMethod.Numbers registers = way(table, "8-bit shift registers").numbers();
    assertThat(registers.pins()).isEqualTo(3);
    assertThat(registers.chips()).isEqualTo(2);
    assertThat(registers.spare()).isEqualTo(4);
    // one a channel, and two in series with clock and latch
    assertThat(registers.resistors()).isEqualTo(14);
    assertThat(registers.bits()).isEqualTo(16);
    assertThat(registers.ramBytes()).isEqualTo(2);
    // 14 resistors at 0.05, two chips at 0.4, two capacitors at 0.05
    assertThat(registers.cost()).isCloseTo(0.7 + 0.8 + 0.1, within(1e-9));
    assertThat(way(table, "16-channel constant-current LED drivers, on or off").numbers().chips())
        .isEqualTo(1);
    assertThat(way(table, "16-bit port expanders").numbers().bits()).isEqualTo(36);
    // transistors made for amperes let through what a small LED can carry
    assertThat(way(table, "transistors on shift registers").buildable()).isTrue();
    assertThat(way(table, "one-wire RGB pixels").whyNot()).contains("can't drive: single colour");
  }

  /**
   * What is recommended works, and no other way that works has fewer joints, costs less or is
   * brighter than the one that is recommended for it.
   */
  @ParameterizedTest
  @CsvSource({"1, single-red", "12, single-red", "40, single-red", "9, rgb-pins", "5, lamp"})
  void theBestAreTheBest(int count, String emitter) {
    DriveMethodTable table = table(bar(count, emitter), Controller.AVR8_32K);
    List<Merit.Recommended> best = table.recommended(3);
    List<DriveMethod> working = table.ways().stream().filter(DriveMethod::buildable).toList();
    assertThat(best).isNotEmpty().hasSizeLessThanOrEqualTo(3);
    assertThat(best).extracting(Merit.Recommended::way).doesNotHaveDuplicates();
    for (Merit.Recommended one : best) {
      DriveMethod.Numbers numbers = one.way().numbers();
      assertThat(working).contains(one.way());
      if (one.merits().contains(Merit.JOINTS)) {
        assertThat(working).noneMatch(way -> way.numbers().joints() < numbers.joints());
      }
      if (one.merits().contains(Merit.COST)) {
        assertThat(working).noneMatch(way -> way.numbers().cost() < numbers.cost());
      }
      if (one.merits().contains(Merit.BRIGHTNESS)) {
        assertThat(working).noneMatch(way -> way.numbers().brightness() > numbers.brightness());
      }
    }
  }

  /** Pixels can be driven by one way alone: it is recommended, and for something. */
  @Test
  void theOnlyWayIsRecommended() {
    List<Merit.Recommended> best =
        table(bar(12, "one-wire-rgb"), Controller.AVR8_32K).recommended(3);
    assertThat(best).hasSize(1);
    assertThat(best.get(0).merits()).isNotEmpty();
  }

  @Test
  void whatCantWorkSaysWhyAndStandsLast() {
    DriveMethodTable table = table(bar(12, "single-red"), Controller.AVR8_8K);
    assertThat(way(table, "pins of the controller").whyNot().orElseThrow())
        .startsWith("needs 12 pins, 5 available; enough on: ");
    for (DriveMethodColumn column : DriveMethodColumn.values()) {
      List<DriveMethod> sorted = table.by(column);
      long working = sorted.stream().filter(w -> w.whyNot().isEmpty()).count();
      assertThat(working).isPositive();
      assertThat(sorted.subList(0, (int) working)).allMatch(w -> w.whyNot().isEmpty());
      assertThat(sorted).containsExactlyInAnyOrderElementsOf(table.ways());
    }
    List<DriveMethod> byPins = table.by(DriveMethodColumn.PINS);
    assertThat(byPins.get(0).numbers().pins()).isEqualTo(2);
  }

  /** The table tells what is there once the way is taken. */
  @Test
  void theFiguresAreThoseOfWhatIsBuilt() {
    Gadget gadget = Gadget.blank("G").with(bar(12, "single-red"));
    DriveMethodTable table =
        DriveMethodTable.of(gadget.layout(), gadget.circuits(), gadget.brief(), List.of("f1"));
    for (DriveMethod way : table.ways()) {
      if (way.buildable()) {
        Gadget taken =
            gadget.drivenBy(CircuitKinds.start(way.key()).orElseThrow(), List.of("f1"), "a reason");
        var circuit = taken.circuits().of(bar(12, "single-red")).orElseThrow();
        var plan =
            GadgetPlan.of(taken).wiring().plans().stream()
                .filter(p -> p.circuit().equals(circuit))
                .findFirst()
                .orElseThrow();
        assertThat(circuit.pins()).as(way.title()).hasSize(way.numbers().pins());
        assertThat(plan.frameSeconds()).isEqualTo(way.numbers().busSeconds());
        assertThat(DriverCode.ramBytes(plan)).isEqualTo(way.numbers().ramBytes());
        assertThat(taken.circuits().why(circuit.id())).isEqualTo("a reason");
        // comparing again, its own pins are free
        assertThat(
                DriveMethodTable.of(taken.layout(), taken.circuits(), taken.brief(), List.of("f1"))
                    .ways())
            .filteredOn(w -> w.key().equals(way.key()))
            .allMatch(DriveMethod::buildable);
      }
    }
  }

  @Test
  void pixelsSayByThemselvesHowTheyAreDriven() {
    DriveMethodTable table = table(bar(9, "clocked-rgb"), Controller.AVR8_32K);
    assertThat(table.ways())
        .filteredOn(DriveMethod::buildable)
        .extracting(DriveMethod::key)
        .containsExactly("clocked-rgb");
    assertThat(table.ways())
        .noneMatch(w -> w.buildable() && w.title().equals("charlieplexed pins"));
  }

  /** More lights than any class can drive: every way says why not. */
  @Test
  void fiveThousandChannelsAreComparedAtOnce() {
    List<SegmentDigits.Module> modules =
        java.util.Collections.nCopies(16, new SegmentDigits.Module(8, "m"));
    SegmentDigits digits =
        new SegmentDigits(
            SegmentStyle.SIXTEEN,
            20,
            12,
            0,
            1,
            modules,
            15,
            0,
            2,
            true,
            true,
            List.of(),
            List.of(),
            List.of());
    Fixture wall = Fixture.of("f1", "Wall", digits);
    DriveMethodTable table =
        table(wall.with(wall.mount().withEmitter("small-red")), Controller.AVR8_256K);
    DriveMethod.Numbers registers = way(table, "8-bit shift registers").numbers();
    assertThat(registers.chips()).isEqualTo(128 * 17 / 8);
    assertThat(way(table, "16-bit port expanders").whyNot().orElseThrow())
        .startsWith("136")
        .contains("expanders at addresses");
  }

  @Test
  void pricesByTheNumberThatIsBought() {
    PriceList list =
        new PriceList(
            "shells",
            List.of(
                new PriceList.Price(PartSort.RESISTOR, 100, 0.01),
                new PriceList.Price(PartSort.RESISTOR, 1, 0.05)));
    assertThat(list.cost(PartSort.RESISTOR, 99)).isCloseTo(4.95, within(1e-9));
    assertThat(list.cost(PartSort.RESISTOR, 100)).isCloseTo(1.0, within(1e-9));
    assertThat(list.has(PartSort.MOSFET)).isFalse();
    DriveMethodTable table =
        DriveMethodTable.of(
            Layout.EMPTY.withFixtures(List.of(bar(12, "single-red"))),
            new Circuits(List.of()).with(list),
            brief(Controller.AVR8_32K),
            List.of("f1"));
    assertThat(way(table, "pins of the controller").numbers().cost()).isCloseTo(0.6, within(1e-9));
    assertThat(way(table, "8-bit shift registers").numbers().cost()).isNaN();
    assertThatThrownBy(() -> new PriceList.Price(PartSort.MOSFET, 1, Double.NaN))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("each");
  }

  /** A circuit that drives something else keeps its pins. */
  @Test
  void pinsOfOthersAreTaken() {
    DriveMethodTable table =
        DriveMethodTable.of(
            Layout.EMPTY.withFixtures(List.of(bar(20, "single-red"))),
            new Circuits(List.of(OneWirePixels.usual("c9", List.of()))),
            brief(Controller.AVR8_32K),
            List.of("f1"));
    assertThat(way(table, "pins of the controller").whyNot().orElseThrow())
        .startsWith("needs 20 pins, 19 available; enough on: ");
  }
}
