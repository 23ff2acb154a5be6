package org.myrialith.circuit.pixel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Ring;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterKind;

class ClockedPlanTest {
  private static final Brief BRIEF = new Brief("Trial", "", Controller.AVR8_32K, Optional.empty());

  private static ClockedPlan plan(ClockedPixels line, int pixels) {
    Ring ring = new Ring(List.of(new Ring.Circle(pixels, 100)), 0, 360, true);
    return line.plan(Layout.EMPTY.withFixtures(List.of(Fixture.of("f1", "Ring", ring))), BRIEF);
  }

  /**
   * A start of 4 bytes, 4 a pixel, and behind them 4 and a bit for every two pixels in whole bytes.
   */
  @ParameterizedTest
  @CsvSource({"1, 4 + 4 + 5", "16, 4 + 64 + 5", "17, 4 + 68 + 6", "144, 4 + 576 + 13"})
  void aFrameHasAnEndThatReachesTheLastPixel(int pixels, String sum) {
    int bytes = 0;
    for (String part : sum.split(" \\+ ")) {
      bytes += Integer.parseInt(part);
    }
    ClockedPlan plan = plan(ClockedPixels.usual("c1", List.of("f1")), pixels);
    // 113 cycles of 16 MHz a byte
    assertThat(plan.dataSeconds()).isCloseTo(bytes * 113 / 16e6, within(1e-12));
    assertThat(plan.endBytes() * 8).isGreaterThanOrEqualTo(32 + (pixels + 1) / 2);
    assertThat(plan.latchSeconds()).isZero();
    assertThat(plan.bufferBytes()).isEqualTo(3 * pixels);
  }

  /** Ten pixels, all three channels of 20 mA full, the field at 10 of 31. */
  @Test
  void theBrightnessFieldDimsTheCurrentToo() {
    ClockedPlan plan = plan(ClockedPixels.usual("c1", List.of("f1")).withField(10), 10);
    assertThat(plan.litAmps(new long[] {2550, 2550, 2550})).isCloseTo(0.6 * 10 / 31, within(1e-9));
    assertThat(plan.darkAmps()).isCloseTo(0.01, within(1e-9));
  }

  /** Three bytes a pixel and 500 µs of rest; there is no field that could dim. */
  @Test
  void theOtherClassIsShownByAPause() {
    ClockedPixels line =
        ClockedPixels.usual("c1", List.of("f1")).withField(10).of(ClockedClass.PAUSE_LATCHED);
    ClockedPlan plan = plan(line, 16);
    assertThat(plan.dataSeconds()).isCloseTo(48 * 113 / 16e6, within(1e-12));
    assertThat(plan.frameSeconds()).isCloseTo(48 * 113 / 16e6 + 500e-6, within(1e-12));
    assertThat(plan.litAmps(new long[] {2550, 0, 0})).isCloseTo(0.2, within(1e-9));
  }

  @Test
  void bothPinsAreHeldAgainstTheController() {
    Fixture strip =
        Fixture.of("f1", "S", new Strip(8, 60, List.of(new Point(0, 0), new Point(9, 0))));
    Gadget gadget =
        Gadget.blank("G")
            .with(strip.with(strip.mount().withEmitter("clocked-rgb")))
            .with(ClockedPixels.usual("c2", List.of("f1")).onPins("B6", "C6"));
    assertThat(GadgetPlan.of(gadget).findings(Step.CIRCUITS))
        .filteredOn(f -> f.key().equals("pin-B6-c2"))
        .extracting(Finding::says)
        .singleElement()
        .asString()
        .endsWith(
            "Pins B6, C6 can't be used: pin B6 is reserved for the crystal; pin C6 is reserved for reset.");
  }

  @Test
  void refusesByName() {
    ClockedPixels usual = ClockedPixels.usual("c1", List.of());
    assertThatThrownBy(() -> usual.onPins("B0", "B0"))
        .hasMessageContaining("clockPin")
        .hasMessageContaining("another pin");
    assertThatThrownBy(() -> usual.onPins("B0", "H1")).hasMessageContaining("clockPin");
    assertThatThrownBy(() -> usual.withField(0))
        .hasMessageContaining("brightnessField")
        .hasMessageContaining("1 to 31");
    assertThatThrownBy(
            () ->
                new ClockedPixels(
                    "c1",
                    "x",
                    "B0",
                    "B1",
                    ColourOrder.GRBW,
                    ClockedClass.FRAME_STARTED,
                    31,
                    List.of(),
                    usual.pixel(),
                    LevelShift.NONE))
        .hasMessageContaining("colourOrder");
    assertThat(usual.drives(EmitterKind.CLOCKED_RGB)).isTrue();
    assertThat(usual.drives(EmitterKind.ONE_WIRE_RGB)).isFalse();
  }

  /** High for 3 cycles of 16 MHz, 187.5 ns: 300 × 187.5 ÷ 20 = 2812 pixels. */
  @Test
  void aClockReachesSoManyPixels() {
    assertThat(reach(76, 37)).isEqualTo(Verdict.HOLDS);
    assertThat(reach(97, 29)).isEqualTo(Verdict.TIGHT);
  }

  private static Verdict reach(int columns, int rows) {
    Panel panel = new Panel(columns, rows, 5, 5, Corner.TOP_LEFT, false, true, 0);
    Layout layout = Layout.EMPTY.withFixtures(List.of(Fixture.of("f1", "Wall", panel)));
    return ClockedPixels.usual("c1", List.of("f1")).plan(layout, BRIEF).findings().stream()
        .filter(f -> f.key().equals("clock-reach"))
        .map(Finding::verdict)
        .findFirst()
        .orElseThrow();
  }
}
