package org.myrialith.frames.flash;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;

/**
 * Gratings drawn just below and above each limit of ITU-R BT.1702 (from memory): more than five
 * pairs of stripes over more than 40 % of what is seen, or 25 % where light and dark change places.
 */
class StripePatternTest {
  private interface Drawn {
    int at(int column, int row, int frame);
  }

  private static Clip clip(int columns, int rows, int frames, Drawn drawn) {
    List<Frame> all = new ArrayList<>();
    for (int f = 0; f < frames; f++) {
      byte[] rgb = new byte[3 * columns * rows];
      for (int i = 0; i < columns * rows; i++) {
        int colour = drawn.at(i % columns, i / columns, f);
        rgb[3 * i] = (byte) (colour >> 16);
        rgb[3 * i + 1] = (byte) (colour >> 8);
        rgb[3 * i + 2] = (byte) colour;
      }
      all.add(new Frame(Picture.of(columns, rows, rgb), 500));
    }
    return new Clip("k1", "Grating", "f1", all);
  }

  /** Stripes across in some columns of a hundred; the rest is dark. */
  private static Clip still(int width, int pairs, int thick) {
    return clip(
        100, 2 * pairs * thick, 1, (x, y, f) -> x < width && y / thick % 2 == 0 ? 0xffffff : 0);
  }

  @ParameterizedTest
  @CsvSource({
    "100, 5, 1, false", "100, 6, 1, true", "100, 5, 4, false", "100, 6, 4, true",
    "40, 8, 1, false", "42, 8, 1, true", "40, 6, 3, false", "42, 6, 3, true"
  })
  void stillStripesAreTooMuchBeyondFivePairsAndTwoFifths(
      int width, int pairs, int thick, boolean tooMuch) {
    Optional<StripePattern> found = StripePattern.in(still(width, pairs, thick));
    assertThat(found.isPresent()).isEqualTo(tooMuch);
    found.ifPresent(
        stripes -> {
          assertThat(stripes.pairs()).isEqualTo(pairs);
          assertThat(stripes.share()).isCloseTo(width / 100.0, within(1e-9));
          assertThat(stripes.reverses()).isFalse();
        });
  }

  @ParameterizedTest
  @CsvSource({"25, false", "26, true", "100, true"})
  void stripesThatChangePlacesAreTooMuchBeyondAQuarter(int width, boolean tooMuch) {
    Clip clip = clip(100, 16, 2, (x, y, f) -> x < width && (y + f) % 2 == 0 ? 0xff0000 : 0);
    Optional<StripePattern> found = StripePattern.in(clip);
    assertThat(found.isPresent()).isEqualTo(tooMuch);
    found.ifPresent(stripes -> assertThat(stripes.reverses()).isTrue());
  }

  /** Upright ones, and slanted ones that move on by a cell a row. */
  @ParameterizedTest
  @ValueSource(ints = {0, 1})
  void stripesMayStandInAnyWay(int slant) {
    Clip clip = clip(32, 20, 1, (x, y, f) -> (x + slant * y) / 2 % 2 == 0 ? 0x00ff00 : 0x001000);
    assertThat(StripePattern.in(clip)).get().extracting(StripePattern::pairs).isEqualTo(8);
  }

  /** The darker is below 80 %, and a tenth of the brightest below the other (linear light). */
  @ParameterizedTest
  @CsvSource({
    "255, 232, false",
    "255, 231, true",
    "255, 200, true",
    "100, 0, true",
    "255, 0, true"
  })
  void stripesDifferInLight(int light, int dark, boolean striped) {
    Clip clip = clip(20, 24, 1, (x, y, f) -> (y % 2 == 0 ? light : dark) * 0x10101);
    assertThat(StripePattern.in(clip).isPresent()).isEqualTo(striped);
  }

  @Test
  void noiseDotsAndPlainPicturesHaveNone() {
    Random random = new Random(4);
    int[] noise = random.ints(32 * 32, 0, 2).toArray();
    assertThat(StripePattern.in(clip(32, 32, 1, (x, y, f) -> noise[32 * y + x] * 0xffffff)))
        .isEmpty();
    assertThat(StripePattern.in(clip(60, 1, 1, (x, y, f) -> x % 2 * 0xffffff))).isEmpty();
    assertThat(StripePattern.in(clip(32, 32, 1, (x, y, f) -> 0xffffff))).isEmpty();
    assertThat(StripePattern.in(clip(32, 32, 1, (x, y, f) -> x * 0x080808))).isEmpty();
    assertThat(StripePattern.in(clip(32, 32, 1, (x, y, f) -> 0))).isEmpty();
    // lone lines are no pattern
    assertThat(StripePattern.in(clip(32, 32, 1, (x, y, f) -> y % 8 == 0 ? 0xffffff : 0))).isEmpty();
  }
}
