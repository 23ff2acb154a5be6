package org.myrialith.finding;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class QuantityTest {
  @ParameterizedTest
  @CsvSource({
    "1.8449, A, 1.84 A",
    "0.0053400001, s, 5.34 ms",
    "3.9998, A, 4.00 A",
    "2, A, 2 A",
    "1.6, A, 1.60 A",
    "1.5, A, 1.50 A",
    "10.269, A, 10.3 A",
    "12345.678, Hz, 12.3 kHz",
    "2.2, , 2.2",
    "1234.56, mm, 1235 mm",
    "0.9999, A, 1.00 A",
    "0.5, A, 500 mA",
    "0, A, 0 A",
    "0.00003, s, 30 µs",
    "187.27, Hz, 187 Hz",
    "1, pixels, 1 pixel",
    "168, pixels, 168 pixels",
    "37, %, 37 %",
    "-12.345, mm, -12.3 mm"
  })
  void readsAsMakersWriteIt(double value, String given, String text) {
    String unit = given == null ? "" : given;
    // whole but for rounding noise in the power of ten
    // the unit stays on the line of its number
    assertThat(Quantity.text(value, unit)).isEqualTo(text.replace(' ', '\u00a0'));
  }

  /** Nobody reads millihertz, nor shares of a millionth. */
  @ParameterizedTest
  @CsvSource({
    "0.5, Hz, 0.500_Hz",
    "0.00129, Hz, 0.00129_Hz",
    "0, Hz, 0_Hz",
    "0.000394, %, under 0.01_%",
    "0.01, %, 0.01_%",
    "0, %, 0_%",
    "-0.001, %, -0.001_%"
  })
  void noUnitIsMadeTooSmall(double value, String unit, String text) {
    assertThat(Quantity.text(value, unit)).isEqualTo(text.replace('_', '\u00a0'));
  }

  @Test
  void groupsDigitsFromFiveOn() {
    assertThat(Quantity.text(32768, "bytes")).isEqualTo("32\u202f768\u00a0bytes");
    assertThat(Quantity.text(2048, "bytes")).isEqualTo("2048\u00a0bytes");
  }

  @Test
  void boundsRefuseWhatIsNoNumberAndSayWhatIsAllowed() {
    Bounds hold = Bounds.count(10, 60_000, "ms");
    assertThat(hold.allow(Double.NaN)).isFalse();
    assertThat(hold.allow(Double.POSITIVE_INFINITY)).isFalse();
    assertThat(hold.allow(10.5)).isFalse();
    assertThat(hold.allow(10)).isTrue();
    assertThatThrownBy(() -> hold.require("holdMillis", 9))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("holdMillis")
        .hasMessageContaining("“9”")
        .hasMessageContaining("a whole number from 10 to 60\u202f000 ms");
  }

  @Test
  void theWorstVerdictCounts() {
    assertThat(Verdict.worst(List.of())).isEqualTo(Verdict.HOLDS);
    assertThat(
            Verdict.worst(
                List.of(
                    Finding.of(Step.POWER, "a", Verdict.TIGHT, ""),
                    Finding.of(Step.POWER, "b", Verdict.OPEN, ""))))
        .isEqualTo(Verdict.TIGHT);
  }
}
