package org.myrialith.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import com.github.ajalt.colormath.model.LAB;
import com.github.ajalt.colormath.model.LABColorSpaces;
import com.github.ajalt.colormath.model.RGB;
import com.github.ajalt.colormath.model.RGBColorSpaces;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.tool.Chance;

/** Curves against a colour library, and the table against its rule. */
@ExtendWith(InstancioExtension.class)
class LevelTableTest {
  /** The library reckons in single precision. */
  private static final double SINGLE = 2e-6;

  @Test
  void theSrgbCurveIsThatOfAColourLibrary() {
    Transfer.Srgb curve = new Transfer.Srgb();
    for (int asked = 0; asked < 256; asked++) {
      float v = asked / 255f;
      float theirs =
          new RGB(v, v, v, 1f, RGBColorSpaces.INSTANCE.getSRGB())
              .convertTo(RGBColorSpaces.INSTANCE.getLinearSRGB())
              .getR();
      assertThat(curve.light(asked / 255.0)).isCloseTo(theirs, within(SINGLE));
      assertThat(Transfer.Srgb.encode(curve.light(asked / 255.0)))
          .isCloseTo(asked / 255.0, within(1e-9));
    }
  }

  @Test
  void lightnessIsThatOfAColourLibrary() {
    Transfer.Lightness curve = new Transfer.Lightness();
    for (int asked = 0; asked < 256; asked++) {
      LAB grey = new LAB(asked / 255f * 100, 0f, 0f, 1f, LABColorSpaces.INSTANCE.getLAB65());
      assertThat(curve.light(asked / 255.0)).isCloseTo(grey.toXYZ().getY(), within(SINGLE));
    }
  }

  /**
   * CIE 15, and IEC 61966-2-1: written down from memory, held a second time by the library above.
   */
  @Test
  void publishedValues() {
    assertThat(new Transfer.Lightness().light(0.5)).isCloseTo(0.1842, within(5e-5));
    assertThat(new Transfer.Srgb().light(0.04045)).isCloseTo(0.04045 / 12.92, within(1e-12));
    assertThat(new Transfer.Srgb().light(0.5)).isCloseTo(0.2140, within(5e-5));
  }

  @RepeatedTest(1000)
  void tablesRiseAndEndAtTheLimit(@Given long given) {
    Chance chance = new Chance(given);
    double exponent = chance.measure(1, 3.5);
    int percent = chance.whole(1, 100);
    LevelTable table = LevelTable.of(new ColourSettings(new Transfer.PowerLaw(exponent), percent));
    assertThat(table.level(0)).isZero();
    Set<Integer> levels = new HashSet<>();
    for (int asked = 0; asked < 256; asked++) {
      // the nearest whole level to a power law (IEC 61966-2-1 calls the exponent gamma)
      double light = Math.pow(asked / 255.0, exponent) * 255 * percent / 100;
      assertThat((double) table.level(asked)).isCloseTo(light, within(0.5 + 1e-9));
      levels.add(table.level(asked));
    }
    assertThat(table.distinctLevels()).isEqualTo(levels.size());
    int dark = table.darkenedValues();
    assertThat(table.level(dark)).isZero();
    assertThat(dark == 255 || table.level(dark + 1) > 0).isTrue();
  }

  @Test
  void aStraightLineKeepsEverything() {
    LevelTable table = LevelTable.of(new ColourSettings(new Transfer.PowerLaw(1), 100));
    assertThat(table.distinctLevels()).isEqualTo(256);
    assertThat(table.darkenedValues()).isZero();
  }

  /** A level of 12 bits tells 256 asked values apart; of 4 bits there are but 16. */
  @Test
  void eachDepthKeepsWhatItCanTellApart() {
    ColourSettings straight = new ColourSettings(new Transfer.PowerLaw(1), 100);
    assertThat(LevelTable.of(straight, 12).distinctLevels()).isEqualTo(256);
    assertThat(LevelTable.of(straight, 4).distinctLevels()).isEqualTo(16);
    var depths = new TreeMap<>(Map.of(12, List.of("Fine"), 4, List.of("Rough")));
    ColourStep step = new ColourStep(straight, depths, false);
    assertThat(step.findings())
        .extracting(finding -> finding.key(), finding -> finding.says().split(":")[0])
        .containsExactly(
            tuple("levels-left-4", "Rough (4-bit)"), tuple("levels-left-12", "Fine (12-bit)"));
    assertThat(step.findings().get(1).says()).contains("256");
    assertThat(step.findings().get(0).says()).contains("16");
  }

  @Test
  void settingsRefuseByName() {
    assertThatThrownBy(() -> new Transfer.PowerLaw(3.6))
        .hasMessageContaining("exponent")
        .hasMessageContaining("1 to 3.5");
    assertThatThrownBy(() -> new ColourSettings(new Transfer.Srgb(), 0))
        .hasMessageContaining("brightnessPercent");
  }
}
