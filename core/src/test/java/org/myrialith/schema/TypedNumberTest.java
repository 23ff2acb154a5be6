package org.myrialith.schema;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Numbers with their units; what a unit is worth is that of the SI, an inch 25.4 mm (ISO 80000).
 */
class TypedNumberTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "5V | V | 5",
        "5 V | V | 5",
        "20 % | % | 20",
        "10 mm | mm | 10",
        "3 m | mm | 3000",
        "2,5 cm | mm | 25",
        "2.5 Ah | mAh | 2500",
        "4k7 | ohm | 4700",
        "1k2 | ohm | 1200",
        "2R2 | ohm | 2.2",
        "10 kohm | ohm | 10000",
        "1.2 kHz | Hz | 1200",
        "2 days | h | 48",
        "1 in | mm | 25.4",
        "0.1 in | mm | 2.54",
        "1.2 A | mA | 1200",
        "350 mA | A | 0.35",
        "40 ms | ms | 40",
        "0.5 s | ms | 500",
        "300 µs | µs | 300",
        "0.3 ms | µs | 300",
        "90° | ° | 90",
        "7 | mm | 7"
      })
  void aUnitBehindTheNumberIsTaken(String typed, String unit, double value) {
    assertThat(TypedNumber.parse(typed, unit)).hasValue(value);
  }

  @ParameterizedTest
  @ValueSource(strings = {"5 V", "3 kg", "mm", "3 mm mm", "1e3 mm", "3 %", "--3 mm"})
  void anotherUnitIsNot(String typed) {
    assertThat(TypedNumber.parse(typed, "mm")).isEmpty();
  }
}
