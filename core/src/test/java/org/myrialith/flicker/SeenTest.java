package org.myrialith.flicker;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.Wiring;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;

/** What cameras and sweeping eyes see, and what a moving bar shows. */
class SeenTest {
  private static final Brief BRIEF =
      new Brief("B", "", Controller.AVR8_32K, Optional.of(new Supply("s", 5, 5)));

  private static ScanStep matrix(double hertz, ScanSettings settings) {
    Fixture panel =
        Fixture.of("f1", "Grid", new Panel(8, 8, 10, 10, Corner.TOP_LEFT, false, false, 0));
    Layout layout =
        Layout.EMPTY.withFixtures(List.of(panel.with(panel.mount().withEmitter("single-red"))));
    ScannedPins circuit =
        ScannedPins.usual("c1", List.of("f1"))
            .on(
                List.of("D0", "D1", "D2", "D3", "D4", "D5", "D6", "D7"),
                List.of("B0", "B1", "B2", "B3", "B4", "B5", "C0", "C1"))
            .scanned(hertz, 4, 4);
    return new ScanStep(
        settings,
        Wiring.of(layout, LayoutPlan.of(layout.fixtures()), new Circuits(List.of(circuit)), BRIEF));
  }

  private static Finding finding(ScanStep step, String key) {
    return step.findings().stream().filter(f -> f.key().equals(key)).findFirst().orElseThrow();
  }

  private static double hertz(ScanStep step) {
    return step.scanned().get(0).timing().wholeHz();
  }

  /** An exposure of whole turns gets the same of every light, whenever it begins. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 5})
  void aShutterOfWholeTurnsSeesNoBand(int turns) {
    double turn = 1 / hertz(matrix(200, ScanSettings.USUAL));
    Camera camera = new Camera(24, 8, 30).shut(turns * turn);
    Finding finding = finding(matrix(200, ScanSettings.USUAL.with(camera)), "camera-c1");
    assertThat(finding.verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(finding.calculations().get(0).value()).isCloseTo(0, within(1e-6));
  }

  /** Half a turn misses half of the rows; as long as a turn and a half, half of them twice. */
  @ParameterizedTest
  @CsvSource({"0.5, 100", "1.5, 33.3", "10.5, 4.76"})
  void bandsOfOtherShutters(double turns, double contrast) {
    double turn = 1 / hertz(matrix(200, ScanSettings.USUAL));
    Camera camera = new Camera(17, 8, 20).shut(turns * turn);
    Finding finding = finding(matrix(200, ScanSettings.USUAL.with(camera)), "camera-c1");
    Calculation bands = finding.calculations().get(0);
    assertThat(bands.value()).isCloseTo(contrast, within(0.06 * contrast));
    assertThat(finding.verdict()).isEqualTo(contrast > 5 ? Verdict.TIGHT : Verdict.HOLDS);
    if (turns < 1) {
      assertThat(finding.says()).contains("stay dark");
    }
  }

  /** In step with the turns, and shut before the last rows have theirs: those are never seen. */
  @Test
  void whatNoFrameSeesIsMissing() {
    double hertz = hertz(matrix(200, ScanSettings.USUAL));
    Camera camera = new Camera(hertz / 4, 8, 0).shut(0.6 / hertz);
    Finding finding = finding(matrix(200, ScanSettings.USUAL.with(camera)), "camera-c1");
    assertThat(finding.says()).contains("stay dark");
    assertThat(finding.verdict()).isEqualTo(Verdict.TIGHT);
  }

  /** What it advises has no bands. */
  @Test
  void theRemedyHolds() {
    ScanStep step = matrix(200, ScanSettings.USUAL.with(new Camera(30, 7.3, 20)));
    Finding finding = finding(step, "camera-c1");
    assertThat(finding.verdict()).isNotEqualTo(Verdict.HOLDS);
    assertThat(finding.advice()).contains("avoids it");
    double wanted = Math.ceil(hertz(step) * 7.3e-3) / 7.3e-3;
    assertThat(finding.advice()).contains(Long.toString(Math.round(wanted)));
  }

  /** 300 degrees a second from 600 mm away: 3142 mm a second, 15 mm in a turn of some 4.9 ms. */
  @Test
  void aSweepingEye() {
    ScanStep step = matrix(200, ScanSettings.USUAL.with(new Eye(300, 600)));
    Finding finding = finding(step, "eye-sweep-c1");
    assertThat(finding.calculations().get(0).value()).isCloseTo(3141.6 / hertz(step), within(0.01));
    assertThat(finding.verdict()).isEqualTo(Verdict.TIGHT);
    ScanStep still = matrix(200, ScanSettings.USUAL.with(new Eye(30, 600)));
    assertThat(finding(still, "eye-sweep-c1").verdict()).isEqualTo(Verdict.HOLDS);
  }

  private static ScanStep wand(LightBar bar) {
    Fixture row = Fixture.of("f1", "Wand", new Bar(24, 7, 0));
    Layout layout = Layout.EMPTY.withFixtures(List.of(row));
    return new ScanStep(
        ScanSettings.USUAL.with(bar),
        Wiring.of(
            layout,
            LayoutPlan.of(layout.fixtures()),
            new Circuits(List.of(OneWirePixels.usual("c1", List.of("f1")))),
            BRIEF));
  }

  /**
   * A wand of 24: 8 sweeps a second of 100 columns leave 1.25 ms; 24 one-wire pixels take 30 µs
   * each (1.25 µs a bit) and their pause of 280 µs.
   */
  @Test
  void aWandOfTwentyFour() {
    LightBar bar = new LightBar(24, LightBar.Motion.SWEEPS, 7, 0, 8, 100, 700);
    ScanStep step = wand(bar);
    assertThat(bar.dwellSeconds()).isCloseTo(1.25e-3, within(1e-12));
    assertThat(bar.columnMm(23)).isCloseTo(7, within(1e-12));
    assertThat(finding(step, "bar-shape").verdict()).isEqualTo(Verdict.HOLDS);
    Finding data = finding(step, "bar-data");
    assertThat(data.verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(data.calculations().get(0).value())
        .isBetween(24 * 30e-6 + 50e-6, 24 * 30e-6 + 300e-6);
    assertThat(finding(step, "bar-rate").verdict()).isEqualTo(Verdict.TIGHT);
    assertThat(finding(step, "bar-rate").says()).contains("into single columns");
    // 1.25 ms are held as 2 ms: 62 columns
    assertThat(finding(step, "bar-player").advice()).contains("62");
    ScanStep fine = wand(new LightBar(24, LightBar.Motion.SWEEPS, 7, 0, 8, 400, 700));
    assertThat(finding(fine, "bar-data").verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(finding(fine, "bar-shape").advice()).contains("100");
  }

  /** On a circle: 24 LEDs of 7 mm from 20 mm on, the last at 181 mm, 1137 mm around. */
  @Test
  void aBarThatTurns() {
    LightBar bar = new LightBar(24, LightBar.Motion.TURNS, 7, 20, 25, 160, 700);
    assertThat(bar.wayMm(23)).isCloseTo(1137.3, within(0.1));
    assertThat(bar.squareColumns()).isEqualTo(162);
    assertThat(bar.columnMm(0)).isCloseTo(0.785, within(0.001));
    assertThat(finding(wand(bar), "bar-rate").verdict()).isEqualTo(Verdict.HOLDS);
    ScanStep none =
        new ScanStep(ScanSettings.USUAL.with(bar), new Wiring(LayoutPlan.of(List.of()), List.of()));
    assertThat(finding(none, "bar-data").verdict()).isEqualTo(Verdict.OPEN);
  }

  /** Nothing that has turns is told to have none. */
  @Test
  void pixelsHaveNoTurns() {
    assertThat(finding(wand(LightBar.NONE), "no-turns").verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(wand(LightBar.NONE).scanned()).isEmpty();
    ScannedPlan plan = matrix(200, ScanSettings.USUAL).scanned().get(0);
    assertThat(matrix(200, ScanSettings.USUAL).places(plan).pitchMm()).isEqualTo(10);
  }
}
