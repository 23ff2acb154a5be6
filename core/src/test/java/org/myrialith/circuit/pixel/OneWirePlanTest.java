package org.myrialith.circuit.pixel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.myrialith.brief.Brief;
import org.myrialith.brief.BriefStep;
import org.myrialith.circuit.Circuits;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterClasses;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PixelClass;
import org.myrialith.parts.Supply;

/** Times of the 800 kHz class (common practice): 1.25 µs a bit, 24 bits 30 µs. */
class OneWirePlanTest {
  private static final Brief BRIEF = new Brief("Trial", "", Controller.AVR8_32K, Optional.empty());

  private static Fixture strip(String id, int pixels) {
    return Fixture.of(
        id, "Strip " + id, new Strip(pixels, 60, List.of(new Point(0, 0), new Point(1, 0))));
  }

  private static Layout layout(Fixture one) {
    return Layout.EMPTY.withFixtures(List.of(one));
  }

  private static OneWirePlan line(int pixels, int latch, double volts, String pin) {
    OneWirePixels circuit =
        new OneWirePixels(
            "c1", "line", pin, ColourOrder.GRB, latch, List.of("f1"), PixelClass.USUAL);
    Brief brief = new Brief("B", "", Controller.AVR8_32K, Optional.of(new Supply("s", volts, 1)));
    return circuit.plan(layout(strip("f1", pixels)), brief);
  }

  private static OneWirePlan line(int pixels, int latch) {
    return line(pixels, latch, 5, "B0");
  }

  @Test
  void threeHundredPixelsTakeNineMillisecondsAndAGap() {
    assertThat(line(300, 300).dataSeconds()).isCloseTo(9.0e-3, within(1e-12));
    assertThat(line(300, 300).refreshHz()).isCloseTo(107, within(0.6));
    assertThat(line(1, 50).dataSeconds()).isCloseTo(30e-6, within(1e-12));
  }

  @Test
  void sixtyASecondHoldFiveHundredFortySixPixels() {
    assertThat(line(546, 280).refreshHz()).isGreaterThanOrEqualTo(60);
    assertThat(line(547, 280).refreshHz()).isLessThan(60);
  }

  @Test
  void aFrameBufferIsThreeBytesAPixelOverAllLines() {
    assertThat(line(168, 300).bufferBytes()).isEqualTo(504);
    assertThat(verdict(gadget(168), "buffer-ram")).isEqualTo(Verdict.HOLDS);
    assertThat(verdict(gadget(600), "buffer-ram")).isEqualTo(Verdict.TIGHT);
    assertThat(verdict(gadget(683), "buffer-ram")).isEqualTo(Verdict.BREAKS);
  }

  private static Gadget gadget(int pixels) {
    Gadget one = Gadget.blank("G").with(strip("f1", pixels / 2));
    OneWirePixels second = OneWirePixels.usual("c2", List.of()).onPin("B1");
    return one.with(strip("f2", pixels - pixels / 2))
        .with(one.circuits().with(second))
        .with(
            one.circuits()
                .with(second)
                .with(second.withFixtures(List.of("f2")))
                .with(one.circuits().circuits().get(0).without("f2")));
  }

  private static Verdict verdict(Gadget gadget, String key) {
    return finding(gadget, key).verdict();
  }

  private static Finding finding(Gadget gadget, String key) {
    return GadgetPlan.of(gadget).findings().stream()
        .filter(f -> f.key().equals(key))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void dataReachesSevenTenthsOfTheSupply() {
    assertThat(line(10, 300).calculations())
        .filteredOn(r -> r.key().equals("data-high"))
        .singleElement()
        .satisfies(r -> assertThat(r.value()).isCloseTo(3.5, within(1e-9)));
  }

  /** 10 MHz from 2.7 V, 20 MHz from 4.5 V: 16 MHz from 3.78 V (data of the class, from memory). */
  @Test
  void aSupplyBelowWhatTheControllerNeedsAtItsClockBreaks() {
    assertThat(volts(3.77))
        .anyMatch(f -> f.key().equals("controller-volts") && f.verdict() == Verdict.BREAKS);
    assertThat(volts(3.79)).noneMatch(f -> f.key().equals("controller-volts"));
  }

  private static List<Finding> volts(double volts) {
    return new BriefStep(
            new Brief("B", "", Controller.AVR8_32K, Optional.of(new Supply("s", volts, 1))))
        .findings();
  }

  @Test
  void aPinThatIsTakenIsRefusedWithTheReason() {
    Gadget gadget = Gadget.blank("G").with(strip("f1", 3));
    OneWirePixels line = (OneWirePixels) gadget.circuits().circuits().get(0);
    assertThat(GadgetPlan.of(gadget.with(line.onPin("B6"))).findings(Step.CIRCUITS))
        .anySatisfy(f -> assertThat(f.says()).contains("B6").contains("crystal"));
    assertThat(GadgetPlan.of(gadget.with(line.onPin("D1"))).findings(Step.CIRCUITS))
        .noneMatch(f -> f.key().startsWith("pin-"));
  }

  @Test
  void twoLinesOnOnePinAreTold() {
    Gadget gadget = Gadget.blank("G").with(strip("f1", 3));
    Gadget two = gadget.with(gadget.circuits().with(OneWirePixels.usual("c2", List.of())));
    assertThat(verdict(two, "same-pin-c2")).isEqualTo(Verdict.BREAKS);
  }

  @Test
  void aClassOfOnesOwnWithAnotherCurrentIsToldAndCanBeTaken() {
    Fixture strip = strip("f1", 4).with(strip("f1", 4).mount().withEmitter("mine"));
    var usual = EmitterClasses.of("one-wire-rgb").orElseThrow();
    var dies =
        usual.dies().stream()
            .map(d -> new org.myrialith.parts.EmitterClass.Die(d.colour(), 5, 12, 12, 100))
            .toList();
    var mine = new org.myrialith.parts.EmitterClass("mine", "Mine", usual.kind(), dies, 120, 3, 3);
    Gadget gadget = Gadget.blank("G").with(mine).with(strip);
    Finding told = finding(gadget, "class-current-c1");
    assertThat(told.says()).contains("12").contains("20");
    Gadget mended =
        GadgetPlan.of(gadget).mended(told.key(), told.remedies().get(0).key()).orElseThrow();
    assertThat(GadgetPlan.of(mended).power().worstAmps())
        .isCloseTo(4 * (3 * 0.012 + 0.001) + 0.020, within(1e-12));
  }

  @Test
  void allOrdersAreDifferentAndCalledByWhatTheySend() {
    // 3! without white, and each of them with white first or last
    assertThat(ColourOrder.values()).hasSize(18);
    for (ColourOrder order : ColourOrder.values()) {
      String name = "";
      for (int position = 0; position < order.channels(); position++) {
        name += "RGBW".charAt(order.channelAt(position));
      }
      assertThat(name).isEqualTo(order.name());
    }
    assertThat(ColourOrder.withoutWhite()).hasSize(6);
  }

  /** 30 pixels of 32 bits, 1.25 µs each; the older class takes twice as long. */
  @Test
  void pixelsWithWhiteHaveFourBytesAndOlderOnesTakeTwiceAsLong() {
    OneWirePixels line =
        OneWirePixels.usual("c1", List.of("f1"))
            .inOrder(ColourOrder.GRBW)
            .withWhite(WhiteExtraction.DARK);
    OneWirePlan plan = line.plan(layout(strip("f1", 30)), BRIEF);
    assertThat(plan.dataSeconds()).isCloseTo(1.2e-3, within(1e-12));
    assertThat(plan.bufferBytes()).isEqualTo(120);
    // 30 pixels, three channels of 20 mA: white stays dark
    assertThat(plan.mostLitAmps(1)).isCloseTo(1.8, within(1e-9));
    assertThat(line.atRate(BitRate.KHZ_400).plan(layout(strip("f1", 30)), BRIEF).dataSeconds())
        .isCloseTo(2.4e-3, within(1e-12));
    assertThat(line.drives(EmitterKind.ONE_WIRE_RGBW)).isTrue();
    assertThat(line.drives(EmitterKind.ONE_WIRE_RGB)).isFalse();
  }

  /** White takes over: yellow, two full channels of 20 mA, draws most; white is one channel. */
  @Test
  void whereWhiteTakesOverTwoColoursDrawMost() {
    OneWirePlan plan =
        OneWirePixels.usual("c1", List.of("f1"))
            .inOrder(ColourOrder.GRBW)
            .plan(layout(strip("f1", 10)), BRIEF);
    assertThat(plan.mostLitAmps(1)).isCloseTo(0.4, within(1e-9));
    // green, red, blue, white of ten yellow pixels
    assertThat(plan.litAmps(new long[] {2550, 2550, 0, 0})).isCloseTo(0.4, within(1e-9));
    assertThat(plan.litAmps(new long[] {0, 0, 0, 2550})).isCloseTo(0.2, within(1e-9));
  }

  @Test
  void refusesByName() {
    assertThatThrownBy(() -> line(1, 49))
        .hasMessageContaining("latchGapMicros")
        .hasMessageContaining("50 to 2000 µs");
    assertThatThrownBy(() -> line(1, 300, 5, "Z9")).hasMessageContaining("dataPin");
    Circuits one = new Circuits(List.of(OneWirePixels.usual("c1", List.of("f1"))));
    assertThatThrownBy(() -> one.with(OneWirePixels.usual("c2", List.of("f1"))))
        .hasMessageContaining("one circuit");
  }

  /**
   * 60 addresses of three LEDs in series at 12 V: 60 mA an address when white, 3.66 A and 43.9 W
   * with the idle of the chips, nothing of it from the supply of the controller.
   */
  @Test
  void pixelsForTwelveVoltsHangOnARailOfTheirOwn() {
    OneWirePlan plan =
        OneWirePixels.usual("c1", List.of("f1")).onRail(12).plan(layout(strip("f1", 60)), BRIEF);
    assertThat(plan.darkAmps()).isZero();
    assertThat(plan.litAmps(new long[] {255, 255, 255})).isZero();
    assertThat(plan.mostLitAmps(1)).isZero();
    assertThat(plan.findings())
        .filteredOn(f -> f.key().equals("rail"))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.verdict()).isEqualTo(Verdict.OPEN);
              assertThat(f.calculations().get(0).value()).isCloseTo(3.66, within(1e-9));
              assertThat(f.says()).contains("43.9");
            });
    // the chips make 5 V for themselves: 3.5 V are high, whatever the rail
    assertThat(plan.calculations())
        .filteredOn(n -> n.key().equals("data-high"))
        .singleElement()
        .satisfies(n -> assertThat(n.value()).isCloseTo(3.5, within(1e-9)));
  }
}
