package org.myrialith.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** Preferred values as IEC 60063 lists them (from memory). */
class PreferredValuesTest {
  /** The list of E96 as it is printed on the lids of resistor cabinets, from memory. */
  private static final String E96 =
      "100 102 105 107 110 113 115 118 121 124 127 130 133 137 140 143 147 150 154 158 162 165 169 174 178 182 187 "
          + "191 196 200 205 210 215 221 226 232 237 243 249 255 261 267 274 280 287 294 301 309 316 324 332 340 348 "
          + "357 365 374 383 392 402 412 422 432 442 453 464 475 487 499 511 523 536 549 562 576 590 604 619 634 649 "
          + "665 681 698 715 732 750 768 787 806 825 845 866 887 909 931 953 976";

  @Test
  void theSeriesAreThoseOfTheStandard() {
    assertThat(PreferredValues.E96.decade())
        .containsExactly(Arrays.stream(E96.split(" ")).mapToInt(Integer::parseInt).toArray());
    assertThat(PreferredValues.E24.decade()).hasSize(24).contains(27, 39, 47, 82);
    assertThat(PreferredValues.E24.decade()).contains(PreferredValues.E12.decade());
    assertThat(PreferredValues.E12.decade())
        .containsExactly(10, 12, 15, 18, 22, 27, 33, 39, 47, 56, 68, 82);
  }

  @Test
  void theNearestIsByRatioAndTheSafeOneIsNoLess() {
    assertThat(PreferredValues.E24.atLeast(150)).isCloseTo(150, within(1e-9));
    assertThat(PreferredValues.E24.atLeast(150.1)).isCloseTo(160, within(1e-9));
    assertThat(PreferredValues.E12.atLeast(151)).isCloseTo(180, within(1e-9));
    assertThat(PreferredValues.E12.nearest(151)).isCloseTo(150, within(1e-9));
    // half-way by ratio between 150 and 180 is 164.3
    assertThat(PreferredValues.E12.nearest(164)).isCloseTo(150, within(1e-9));
    assertThat(PreferredValues.E12.nearest(165)).isCloseTo(180, within(1e-9));
    assertThat(PreferredValues.E96.atLeast(4_991)).isCloseTo(5_110, within(1e-6));
    assertThat(PreferredValues.E24.atLeast(0.2)).isCloseTo(1, within(1e-9));
    assertThat(PreferredValues.E24.atLeast(9.2)).isCloseTo(10, within(1e-9));
    assertThat(PreferredValues.E24.nearest(1e9)).isCloseTo(10e6, within(1e-3));
    for (PreferredValues series : PreferredValues.values()) {
      for (double ohms = 1; ohms < 9e6; ohms *= 1.037) {
        double safe = series.atLeast(ohms);
        assertThat(safe).isGreaterThanOrEqualTo(ohms * (1 - 1e-9));
        assertThat(series.atLeast(safe)).isCloseTo(safe, within(safe * 1e-9));
      }
    }
  }
}
