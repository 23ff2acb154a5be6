package org.myrialith.frames.flash;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Site;
import org.myrialith.parts.Controller;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;

/**
 * Cases drawn from the words of the definition (WCAG 2.2: general flash and red flash thresholds),
 * just below and above each of its limits; what is expected follows from the words alone.
 *
 * <p>A panel of 16 by 16 at 10 mm, seen from 0.5 m: 0.006 steradian are 1500 mm², 15 pixels.
 */
class FlashDefinitionTest {
  private static final int SIDE = 16;
  private static final int LIMIT_PIXELS = 15;

  /** How two parts of what flashes go with each other. */
  private enum Phase {
    IN_STEP,
    AGAINST_EACH_OTHER,
    ONE_AFTER_THE_OTHER
  }

  /**
   * A case.
   *
   * @param hertz pairs of opposing changes in a second
   * @param dark and {@code light}: what it changes between, of 255 of the maximum
   * @param pixels that flash, half of them in each part
   */
  private record Case(int hertz, int dark, int light, int pixels, Phase phase) {
    /** By the words: more than three, by a tenth or more, the darker below 0.80, at once. */
    boolean dangerous() {
      int together = phase == Phase.ONE_AFTER_THE_OTHER ? (pixels + 1) / 2 : pixels;
      return hertz > 3 && light - dark >= 25.5 && dark < 0.80 * 255 && together >= LIMIT_PIXELS;
    }

    Clip clip() {
      List<Frame> frames = new ArrayList<>();
      int half = (500 + hertz - 1) / hertz; // no quicker than that
      int flashes = 6 * hertz;
      for (int change = 0; change < flashes; change++) {
        boolean up = change % 2 == 0;
        boolean first = change < flashes / 2;
        int one = phase != Phase.ONE_AFTER_THE_OTHER || first ? up ? light : dark : dark;
        int other =
            switch (phase) {
              case IN_STEP -> one;
              case AGAINST_EACH_OTHER -> up ? dark : light;
              case ONE_AFTER_THE_OTHER -> first || !up ? dark : light;
            };
        frames.add(new Frame(picture(one, other), half));
      }
      return new Clip("k1", "Case", "f1", frames);
    }

    /** Blocks of rows of eight; in the last corner a pixel is at the maximum all the time. */
    private Picture picture(int one, int other) {
      byte[] rgb = new byte[3 * SIDE * SIDE];
      for (int p = 0; p < pixels; p++) {
        int at = p % 8 + SIDE * (p / 8);
        Arrays.fill(rgb, 3 * at, 3 * at + 3, (byte) (p < (pixels + 1) / 2 ? one : other));
      }
      Arrays.fill(rgb, rgb.length - 3, rgb.length, (byte) 255);
      return Picture.of(SIDE, SIDE, rgb);
    }
  }

  static Stream<Arguments> cases() {
    List<Arguments> all = new ArrayList<>();
    for (Phase phase : Phase.values()) {
      for (int hertz : new int[] {2, 3, 4, 10}) {
        for (int[] levels : new int[][] {{0, 25}, {0, 26}, {0, 255}, {203, 255}, {204, 255}}) {
          for (int pixels : new int[] {4, 14, 15, 16, 29, 30, 64}) {
            all.add(Arguments.of(new Case(hertz, levels[0], levels[1], pixels, phase)));
          }
        }
      }
    }
    return all.stream();
  }

  private static FlashCheck judged(Clip clip, double viewingMm) {
    Fixture panel =
        Fixture.of("f1", "P", new Panel(SIDE, SIDE, 10, 10, Corner.TOP_LEFT, false, true, 0));
    Gadget gadget =
        Gadgets.of(
            "G",
            "",
            Controller.RADIO32,
            Optional.empty(),
            List.of(panel),
            List.of(OneWirePixels.usual("c1", List.of("f1"))),
            new ColourSettings(new Transfer.PowerLaw(1), 100),
            PowerSettings.USUAL,
            List.of(clip));
    Site site = new Site(viewingMm, 0, 25, 5000, new Enclosure.Unbounded());
    return GadgetPlan.of(gadget.with(gadget.layout().withSite(site))).frames().flashes().get("k1");
  }

  @ParameterizedTest
  @MethodSource("cases")
  void whatTheWordsSay(Case drawn) {
    assertThat(judged(drawn.clip(), 500).safe()).isNotEqualTo(drawn.dangerous());
  }

  /** From twice as far, four times as many pixels are 0.006 steradian. */
  @Test
  void distanceCounts() {
    Clip clip = new Case(5, 0, 255, 32, Phase.IN_STEP).clip();
    assertThat(judged(clip, 500).safe()).isFalse();
    assertThat(judged(clip, 1000).safe()).isTrue();
  }

  /** Ordinary things that are no flashes: a text that goes by, a candle, embers. */
  @Test
  void aScrollingSignAndACandleAreNotDangerous() {
    for (Gadget gadget : List.of(DemoGadgets.gullSign(), DemoGadgets.skerryJar())) {
      assertThat(GadgetPlan.of(gadget).frames().flashes().values())
          .as(gadget.title())
          .allMatch(FlashCheck::safe);
    }
  }
}
