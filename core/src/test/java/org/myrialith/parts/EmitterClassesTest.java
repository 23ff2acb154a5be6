package org.myrialith.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EmitterClassesTest {
  private static final double PLANCK = 6.62607015e-34;
  private static final double LIGHT = 299_792_458;
  private static final double CHARGE = 1.602176634e-19;

  private static EmitterClass of(EmitterKind kind, List<EmitterClass.Die> dies) {
    return new EmitterClass("own", "Own", kind, dies, 120, 3, 2);
  }

  private static EmitterClass.Die die(double volts, double rated, double pulse) {
    return new EmitterClass.Die("red", volts, rated, pulse, 100);
  }

  @Test
  void everyKindHasAClassToStartFrom() {
    assertThat(EmitterClasses.ALL).extracting(EmitterClass::kind).contains(EmitterKind.values());
    assertThat(EmitterClasses.ALL).extracting(EmitterClass::id).doesNotHaveDuplicates();
    assertThat(EmitterClasses.ALL).extracting(EmitterClass::name).doesNotHaveDuplicates();
  }

  /**
   * A die needs about the voltage of one photon, h c ÷ (e λ) (SI, exact constants); common peak
   * wavelengths from memory.
   */
  @ParameterizedTest
  @CsvSource({"single-red, 630", "single-amber, 605", "single-blue, 465"})
  void forwardVoltsAreNearThoseOfAPhoton(String id, double nanometres) {
    double photon = PLANCK * LIGHT / (CHARGE * nanometres * 1e-9);
    EmitterClass found =
        EmitterClasses.ALL.stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    assertThat(found.dies().get(0).forwardVolts()).isBetween(0.9 * photon, 1.35 * photon);
  }

  @Test
  void refusesByName() {
    assertThatThrownBy(() -> of(EmitterKind.SINGLE, List.of()))
        .hasMessageContaining("dies")
        .hasMessageContaining("1 for");
    assertThatThrownBy(() -> die(0.1, 20, 100)).hasMessageContaining("forwardVolts");
    assertThatThrownBy(() -> die(2, -1, 100)).hasMessageContaining("ratedMilliamps");
    assertThatThrownBy(() -> die(2, 20, 10))
        .hasMessageContaining("pulseMilliamps")
        .hasMessageContaining("rated current");
    assertThatThrownBy(
            () ->
                new EmitterClass(
                    "own", "Own", EmitterKind.SINGLE, List.of(die(2, 20, 100)), 0, 3, 2))
        .hasMessageContaining("viewingDegrees");
    assertThat(of(EmitterKind.SINGLE, List.of(die(2, 20, 100))).slimMm()).isEqualTo(2);
  }
}
