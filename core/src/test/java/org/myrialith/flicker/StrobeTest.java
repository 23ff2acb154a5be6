package org.myrialith.flicker;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.circuit.Wiring;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.LayoutPlan;

/** Flashes on a body of several arms. */
class StrobeTest {
  private static Strobe strobe(int arms, double turns, int every, double micros, double off) {
    return new Strobe(arms, turns, every, micros, off, 60, 2, 700, 3.2, 30);
  }

  private static Finding finding(Strobe strobe, String key) {
    Wiring nothing = new Wiring(LayoutPlan.of(List.of()), List.of());
    return new ScanStep(ScanSettings.USUAL.with(strobe), nothing)
        .findings().stream().filter(f -> f.key().equals(key)).findFirst().orElseThrow();
  }

  /**
   * Where a body is seen: at each flash its arms are drawn, and each is taken for the nearest of
   * the flash before. A body of k alike parts stands still at k flashes a turn (common practice).
   */
  private static double seenDegreesPerSecond(int arms, double turns, double hertz) {
    double spacing = 360.0 / arms;
    double seen = 0;
    int flashes = 5000;
    for (int flash = 1; flash <= flashes; flash++) {
      double before = 360 * turns * (flash - 1) / hertz % spacing;
      double now = 360 * turns * flash / hertz % spacing;
      double moved = now - before;
      moved -= spacing * Math.rint(moved / spacing);
      seen += moved;
    }
    return seen / flashes * hertz;
  }

  @ParameterizedTest
  @CsvSource({
    "7, 12, 1, 0",
    "7, 12, 1, 0.4",
    "7, 12, 1, -0.9",
    "7, 12, 2, 0.25",
    "3, 31.7, 1, 1.5",
    "5, 20, 3, -0.2",
    "1, 70, 1, 2"
  })
  void aBodyStandsStillOrDrifts(int arms, double turns, int every, double off) {
    Strobe strobe = strobe(arms, turns, every, 100, off);
    assertThat(strobe.driftDegrees())
        .isCloseTo(seenDegreesPerSecond(arms, turns, strobe.hertz()), within(0.02));
    if (off == 0) {
      assertThat(strobe.driftDegrees()).isCloseTo(0, within(1e-9));
    }
  }

  /** Seven arms, 12 A rotation of: 84 flashes; 200 µs smear 0.86 degrees, of 51.4 to the next. */
  @Test
  void sevenArms() {
    Strobe strobe = strobe(7, 12, 1, 200, 0);
    assertThat(strobe.hertz()).isEqualTo(84);
    assertThat(strobe.smearDegrees()).isCloseTo(0.864, within(1e-9));
    assertThat(strobe.smearMm()).isCloseTo(0.905, within(0.001));
    assertThat(strobe.duty()).isCloseTo(0.0168, within(1e-12));
    assertThat(strobe.meanAmps()).isCloseTo(0.02352, within(1e-9));
    assertThat(finding(strobe, "strobe-rate").verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(finding(strobe, "strobe-smear").verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(finding(strobe, "strobe-heat").verdict()).isEqualTo(Verdict.HOLDS);
    // CIE 1976: L* of 1.68 % is 13.7
    assertThat(finding(strobe, "strobe-brightness").says()).contains("13.7");
  }

  /** Flashes of 3 to 65 a second are what brings on seizures (common practice). */
  @ParameterizedTest
  @CsvSource({"7, 0.2, 1, TIGHT", "7, 2, 1, BREAKS", "7, 12, 2, BREAKS", "7, 12, 1, HOLDS"})
  void flashesThatHarmAreTold(int arms, double turns, int every, Verdict verdict) {
    Finding rate = finding(strobe(arms, turns, every, 100, 0), "strobe-rate");
    assertThat(rate.verdict()).isEqualTo(verdict);
    if (verdict == Verdict.BREAKS) {
      assertThat(rate.says()).contains("seizures");
      assertThat(rate.advice()).contains("A rotation of");
    }
  }

  /** What it advises is sharp, and cool. */
  @Test
  void remediesHold() {
    Strobe blurred = strobe(7, 12, 1, 4000, 0);
    Finding smear = finding(blurred, "strobe-smear");
    assertThat(smear.verdict()).isEqualTo(Verdict.BREAKS);
    // a twentieth of a seventh of a turn of 83.3 ms
    assertThat(smear.advice()).contains("595");
    assertThat(finding(strobe(7, 12, 1, 595, 0), "strobe-smear").verdict())
        .isEqualTo(Verdict.HOLDS);
    Finding heat = finding(strobe(7, 12, 1, 11_000, 0), "strobe-heat");
    assertThat(heat.verdict()).isEqualTo(Verdict.BREAKS);
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> strobe(7, 12, 1, 12_000, 0))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("flashMicros");
    assertThatThrownBy(() -> strobe(7, 1, 1, 100, -7))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("offHz");
    assertThatThrownBy(() -> strobe(-1, 1, 1, 100, 0)).hasMessageContaining("strobeArms");
    assertThatThrownBy(() -> new Camera(30, 0, 20)).hasMessageContaining("shutterMillis");
    assertThatThrownBy(() -> new Camera(60, 20, 0)).hasMessageContaining("shutterMillis");
    assertThatThrownBy(() -> new Camera(0, 1, 0)).hasMessageContaining("framesHz");
    assertThatThrownBy(() -> new Camera(60, 10, 17)).hasMessageContaining("readoutMillis");
  }
}
