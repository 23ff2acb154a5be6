package org.myrialith.frames;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** WCAG 2.2, 2.3.1: not more than three flashes in any one second. */
class FlashCheckTest {
  private static Picture lit(int cells, int of, int value) {
    byte[] rgb = new byte[of * 3];
    Arrays.fill(rgb, 0, cells * 3, (byte) value);
    return Picture.of(of, 1, rgb);
  }

  private static Clip blink(int cells, int value, int halfPeriod) {
    List<Frame> frames = new ArrayList<>();
    frames.add(new Frame(lit(cells, 8, value), halfPeriod));
    frames.add(new Frame(Picture.dark(8, 1), halfPeriod));
    return new Clip("k1", "Blink", "f1", frames);
  }

  @Test
  void threeASecondPassAndFourDoNot() {
    assertThat(FlashCheck.of(blink(8, 255, 167)).safe()).isTrue();
    assertThat(FlashCheck.of(blink(8, 255, 125)).safe()).isFalse();
    assertThat(FlashCheck.of(blink(8, 255, 20)).safe()).isFalse();
  }

  @Test
  void smallPartsAndSmallChangesPass() {
    assertThat(FlashCheck.of(blink(1, 255, 50)).safe()).isTrue();
    assertThat(FlashCheck.of(blink(2, 255, 50)).safe()).isFalse();
    // 0x50 is 8 % of the maximum
    assertThat(FlashCheck.of(blink(8, 0x50, 50)).safe()).isTrue();
    assertThat(FlashCheck.of(blink(8, 0x60, 50)).safe()).isFalse();
  }

  @Test
  void aSlowFadeOfManyFramesIsNoFlash() {
    List<Frame> frames = new ArrayList<>();
    for (int i = 0; i < 100; i++) {
      frames.add(new Frame(lit(8, 8, i < 50 ? i * 5 : (100 - i) * 5), 10));
    }
    FlashCheck check = FlashCheck.of(new Clip("k1", "Fade", "f1", frames));
    assertThat(check.safe()).isTrue();
    assertThat(FlashCheck.of(new Clip("k1", "Still", "f1", frames.subList(3, 4))).flashingShare())
        .isZero();
  }
}
