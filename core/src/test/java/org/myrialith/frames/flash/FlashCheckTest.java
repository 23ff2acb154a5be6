package org.myrialith.frames.flash;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;

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

  private static FlashCheck judged(Clip clip) {
    return judged(clip, ColourSettings.USUAL, PowerSettings.USUAL, Optional.empty());
  }

  private static FlashCheck judged(
      Clip clip, ColourSettings colour, PowerSettings power, Optional<Supply> supply) {
    int pixels = clip.frames().get(0).picture().columns();
    Fixture strip =
        Fixture.of("f1", "S", new Strip(pixels, 60, List.of(new Point(0, 0), new Point(9, 0))));
    return GadgetPlan.of(
            Gadgets.of(
                "G",
                "",
                Controller.AVR8_32K,
                supply,
                List.of(strip),
                List.of(OneWirePixels.usual("c1", List.of("f1"))),
                colour,
                power,
                List.of(clip)))
        .frames()
        .flashes()
        .get("k1");
  }

  /** A clip of even pictures, each held for 50 ms. */
  private static Clip even(int millis, int... colours) {
    List<Frame> frames = new ArrayList<>();
    for (int colour : colours) {
      byte[] rgb = new byte[24];
      for (int i = 0; i < 8; i++) {
        rgb[3 * i] = (byte) (colour >> 16);
        rgb[3 * i + 1] = (byte) (colour >> 8);
        rgb[3 * i + 2] = (byte) colour;
      }
      frames.add(new Frame(Picture.of(8, 1, rgb), millis));
    }
    return new Clip("k1", "Even", "f1", frames);
  }

  /** Light 0.503, then 0.407 and 0.597 in turn: it starts in the middle of its swing. */
  @Test
  void aClipMayStartBetweenItsExtremes() {
    assertThat(
            judged(
                    even(
                        50, 0xbcbcbc, 0xababab, 0xcbcbcb, 0xababab, 0xcbcbcb, 0xababab, 0xcbcbcb,
                        0xababab, 0xcbcbcb))
                .safe())
        .isFalse();
    assertThat(judged(even(50, 0xababab, 0xcbcbcb)).safe()).isFalse();
  }

  /** A clip that blinks, and one beside it that stays at full white: what is compared with. */
  private static boolean safeBesideWhite(int value, ColourSettings colour) {
    List<Frame> frames = new ArrayList<>();
    for (int on = 0; on < 2; on++) {
      byte[] rgb = new byte[24];
      Arrays.fill(rgb, 0, 3, (byte) 255);
      Arrays.fill(rgb, 3, 24, (byte) (on == 0 ? value : 0));
      frames.add(new Frame(Picture.of(8, 1, rgb), 50));
    }
    return judged(
            new Clip("k1", "Blink", "f1", frames), colour, PowerSettings.USUAL, Optional.empty())
        .safe();
  }

  /** Relative to the most that the gadget reaches: a brightness limit takes nothing of a flash. */
  @Test
  void whatIsEmittedCountsNotWhatIsAsked() {
    Clip clip = blink(8, 255, 50);
    ColourSettings dim = new ColourSettings(new Transfer.Srgb(), 9);
    assertThat(judged(clip, dim, PowerSettings.USUAL, Optional.empty()).safe()).isFalse();
    // 0x50 is 8 % of white by the screen's curve, 31 % by a straight one
    assertThat(safeBesideWhite(0x50, ColourSettings.USUAL)).isTrue();
    assertThat(safeBesideWhite(0x50, new ColourSettings(new Transfer.PowerLaw(1), 100))).isFalse();
  }

  /** What is over the budget is taken from white, and not from the half of it. */
  @Test
  void theLimiterTakesItsPartOfAFlash() {
    List<Frame> frames =
        List.of(new Frame(lit(8, 8, 255), 50), new Frame(lit(8, 8, 188), 50)); // 1 and 0.5
    Clip clip = new Clip("k1", "Half", "f1", frames);
    PowerSettings power = new PowerSettings(0, PlanningBasis.THESE_FRAMES, 0);
    // dark 8 mA, white 488, half of it 248: with 250 mA both are alike
    assertThat(
            judged(clip, ColourSettings.USUAL, power, Optional.of(new Supply("s", 5, 0.25))).safe())
        .isTrue();
    assertThat(
            judged(clip, ColourSettings.USUAL, power, Optional.of(new Supply("s", 5, 0.5))).safe())
        .isFalse();
  }

  /** Saturated red to black is 0.21 of luminance at full; at 0.4 of it only red is judged. */
  @Test
  void saturatedRedIsJudgedApart() {
    assertThat(judged(even(50, 0xa80000, 0x000000)).safe()).isFalse();
    assertThat(judged(even(50, 0x0000ff, 0x000000)).red()).isZero();
    assertThat(judged(even(50, 0xa80000, 0x4a4a4a)).safe()).isFalse();
    assertThat(judged(even(200, 0xa80000, 0x000000)).safe()).isTrue();
    // a slow way to red and back in many steps is one change each way
    int[] fade = new int[40];
    for (int i = 0; i < 40; i++) {
      fade[i] = (i < 20 ? 8 * i : 8 * (40 - i)) << 16;
    }
    assertThat(judged(even(50, fade)).safe()).isTrue();
  }

  @Test
  void threeASecondPassAndFourDoNot() {
    assertThat(judged(blink(8, 255, 167)).safe()).isTrue();
    assertThat(judged(blink(8, 255, 125)).safe()).isFalse();
    assertThat(judged(blink(8, 255, 20)).safe()).isFalse();
  }

  @Test
  void smallPartsAndSmallChangesPass() {
    assertThat(judged(blink(1, 255, 50)).safe()).isTrue();
    assertThat(judged(blink(2, 255, 50)).safe()).isFalse();
    // 8 and 12 % of white
    assertThat(safeBesideWhite(0x50, ColourSettings.USUAL)).isTrue();
    assertThat(safeBesideWhite(0x60, ColourSettings.USUAL)).isFalse();
  }

  /**
   * Parts that flash one after the other: only what does so in the same second counts together (the
   * area of flashes that occur concurrently, WCAG 2.2).
   */
  @Test
  void partsOfOtherSecondsDoNotAddUp() {
    List<Frame> frames = new ArrayList<>();
    for (int cell = 0; cell < 8; cell++) {
      for (int flash = 0; flash < 5; flash++) {
        byte[] rgb = new byte[24];
        Arrays.fill(rgb, 3 * cell, 3 * cell + 3, (byte) 255);
        frames.add(new Frame(Picture.of(8, 1, rgb), 50));
        frames.add(new Frame(Picture.dark(8, 1), flash == 4 ? 1000 : 50));
      }
    }
    FlashCheck apart = judged(new Clip("k1", "Round", "f1", frames));
    // a pixel of 16.7 mm by 16.7 mm, seen from 0.3 m: 277.8 of 0.024 * 90 000 mm2
    assertThat(apart.flashingShare()).isCloseTo(277.8 / 2160, within(1e-3));
    assertThat(apart.safe()).isTrue();
    List<Frame> closer =
        frames.stream()
            .map(frame -> new Frame(frame.picture(), Math.min(50, frame.holdMillis())))
            .toList();
    // five flashes take half a second: one after the other is not together
    assertThat(judged(new Clip("k1", "Round", "f1", closer)).safe()).isTrue();
  }

  @Test
  void aSlowFadeOfManyFramesIsNoFlash() {
    List<Frame> frames = new ArrayList<>();
    for (int i = 0; i < 100; i++) {
      frames.add(new Frame(lit(8, 8, i < 50 ? i * 5 : (100 - i) * 5), 10));
    }
    FlashCheck check = judged(new Clip("k1", "Fade", "f1", frames));
    assertThat(check.safe()).isTrue();
    assertThat(judged(new Clip("k1", "Still", "f1", frames.subList(3, 4))).flashingShare())
        .isZero();
  }
}
