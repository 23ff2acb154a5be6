package org.myrialith.layout.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Panel;

class DiffusionTest {
  /**
   * Inverse-square and cosine laws written out: I cos θ for a Lambertian emitter, ÷ d², × cos θ on
   * the screen.
   */
  @ParameterizedTest
  @CsvSource({"0, 10", "10, 10", "3, 7", "25, 4"})
  void illuminanceFollowsTheLaws(double beside, double gap) {
    double distance = Math.hypot(beside, gap);
    double cosine = Math.cos(Math.atan2(beside, gap));
    double there = cosine * cosine / (distance * distance);
    double below = 1 / (gap * gap);
    assertThat(Diffusion.share(beside * beside, gap)).isCloseTo(there / below, within(1e-12));
  }

  /** By symmetry a wide grid ripples by pitch over gap alone; it melts towards one pitch. */
  @Test
  void theRippleFallsWithTheGap() {
    double before = 1;
    for (double gap : new double[] {1, 2, 4, 6, 8, 10, 15}) {
      double ripple = Diffusion.ripple(10, gap);
      assertThat(ripple).isBetween(0.0, before);
      assertThat(Diffusion.ripple(20, 2 * gap)).isCloseTo(ripple, within(1e-12));
      before = ripple;
    }
    assertThat(Diffusion.ripple(10, 1)).isGreaterThan(0.9);
    assertThat(Diffusion.ripple(10, 10)).isLessThan(0.05);
  }

  /**
   * A second way to the same ripple: by Poisson summation the light on a wide grid is a Fourier
   * series; the transform of 1 ÷ (1 + r²)² is π · 2πk · K1(2πk), so to first order the light is 1 +
   * 2 c (cos 2πx + cos 2πy) with c = 2πk K1(2πk), k = gap ÷ pitch.
   */
  @ParameterizedTest
  @CsvSource({"10, 8", "10, 10", "10, 12"})
  void theRippleAgreesWithItsFourierSeries(double pitch, double gap) {
    double k = 2 * Math.PI * gap / pitch;
    double c = k * besselK1(k);
    double bright = 1 + 4 * c;
    double dark = 1 - 4 * c;
    double wanted = (bright - dark) / (bright + dark);
    assertThat(Diffusion.ripple(pitch, gap)).isCloseTo(wanted, within(wanted * 0.1 + 1e-3));
  }

  /** K1(x) = ∫ exp(−x cosh t) cosh t dt from 0 to infinity, by the trapezium rule. */
  private static double besselK1(double x) {
    double step = 0.001;
    double sum = 0.5 * Math.exp(-x);
    for (double t = step; t < 6; t += step) {
      sum += Math.exp(-x * Math.cosh(t)) * Math.cosh(t);
    }
    return sum * step;
  }

  @Test
  void theViewIsBrightestOverTheEmitterThatShines() {
    Panel panel = new Panel(3, 1, 40, 40, Corner.TOP_LEFT, false, true, 0);
    LayoutPlan plan = LayoutPlan.of(List.of(Fixture.of("f1", "Row", panel)));
    float[] light = new float[9];
    light[3 + 1] = 1;
    Diffusion.View view = Diffusion.view(plan, light, 8, 320);
    int brightest = 0;
    for (int i = 0; i < view.width() * view.height(); i++) {
      assertThat(view.light()[3 * i]).isZero();
      brightest = view.light()[3 * i + 1] > view.light()[3 * brightest + 1] ? i : brightest;
    }
    assertThat(brightest % view.width()).isBetween(view.width() / 2 - 2, view.width() / 2 + 2);
    assertThat(view.light()[3 * brightest + 1]).isEqualTo(1);
  }

  @Test
  void manyEmittersAndWideGapsAreDrawnCoarserNotForever() {
    Panel panel = new Panel(128, 64, 4, 4, Corner.TOP_LEFT, false, true, 0);
    LayoutPlan plan = LayoutPlan.of(List.of(Fixture.of("f1", "Wall", panel)));
    float[] light = new float[3 * 8192];
    Arrays.fill(light, 1);
    Diffusion.View view = Diffusion.view(plan, light, 1000, 1200);
    assertThat(view.width()).isBetween(20, 1200);
    assertThat(view.light()).hasSize(view.width() * view.height() * 3);
  }
}
