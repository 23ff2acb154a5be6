package org.myrialith.gadget.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Scene;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Life;
import org.myrialith.effects.Plasma;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.SerialMemory;

/** Frames that take too much flash: every way that is offered makes room. */
class SmallerFramesTest {
  private static Gadget strip(int pixels) {
    return Gadget.blank("Much")
        .with(
            Fixture.of(
                "f1", "Row", new Strip(pixels, 60, List.of(new Point(0, 0), new Point(500, 0)))));
  }

  private static Gadget noise() {
    Random random = new Random(3);
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < 61; f++) {
      byte[] rgb = new byte[600];
      random.nextBytes(rgb);
      frames.add(new Frame(Picture.of(200, 1, rgb), 100));
    }
    return strip(200).with(new Clip("k1", "Noise", "f1", frames));
  }

  private static Finding flash(Gadget gadget) {
    return GadgetPlan.of(gadget).findings(Step.FIRMWARE).stream()
        .filter(finding -> finding.key().equals("flash-fits"))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void fewerColoursOrFramesMakeRoom() {
    Gadget noise = noise();
    assertThat(flash(noise).verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(flash(noise).remedies())
        .extracting(remedy -> remedy.key())
        .contains("colours-64", "halve-frames");
    flash(noise)
        .remedies()
        .forEach(
            remedy -> {
              Gadget mended = GadgetPlan.of(noise).mended("flash-fits", remedy.key()).orElseThrow();
              assertThat(flash(mended).verdict()).as(remedy.key()).isEqualTo(Verdict.HOLDS);
              Clip clip = mended.clipOn("f1").orElseThrow();
              assertThat(clip.lengthMillis()).isEqualTo(6100);
              if (remedy.key().equals("colours-64")) {
                assertThat(
                        clip.frames().stream()
                            .flatMapToInt(f -> f.picture().colours())
                            .distinct()
                            .count())
                    .isBetween(33L, 64L);
              } else if (remedy.key().equals("halve-frames")) {
                assertThat(clip.frames()).hasSize(31);
                assertThat(clip.frames().get(30).holdMillis()).isEqualTo(100);
              }
            });
  }

  /** Cells follow from those before, and cues may ask for any frame next. */
  @Test
  void aGameOfCellsIsWorkedOutUnlessThereAreCues() {
    Recipe life =
        new Recipe("f1", 30, 100, List.of(new Layer(new Life(0xff00, 0, 40, 3), Blend.OVER, 100)));
    Gadget alone = strip(40).made(life, false).computing();
    assertThat(GadgetPlan.of(alone).firmware().orElseThrow().computes("f1")).isTrue();
    Scene scene = Scene.empty("s1", "Cells");
    Gadget cued =
        alone.with(
            new CueSheet(
                List.of(),
                List.of(scene),
                "s1",
                List.of(Cue.showing("u1", "First", new PowerOn(), "s1")),
                1));
    assertThat(GadgetPlan.of(cued).firmware().orElseThrow().computes("f1")).isFalse();
    assertThat(cued.computing().programme().recipes()).noneMatch(Recipe::computed);
  }

  /**
   * Sizes and speeds by hand: 61 frames of 600 bytes are 36 600, more than 32 KB; 600 bytes over
   * I2C at 400 kHz, nine bits each, take 13.5 ms (I2C bus specification, acknowledge after each
   * byte).
   */
  @Test
  void memoryBesideTheControllerIsNamedWithWhatItTakes() {
    assertThat(flash(noise()).advice())
        .contains("EEPROM of 128 KB on I2C")
        .contains(Quantity.text(36_600, "bytes"))
        .contains(Quantity.text(0.0135, "s"))
        .contains(Quantity.text(0.1, "s"));
    assertThat(SerialMemory.holding(32_768, 1, 1)).hasValue(SerialMemory.CLASSES.get(0));
    assertThat(SerialMemory.holding(32_769, 1, 1)).hasValue(SerialMemory.CLASSES.get(1));
    // 4 KB take 92 ms over I2C, and 8 ms over SPI
    assertThat(SerialMemory.holding(30_000, 4096, 0.05)).hasValue(SerialMemory.CLASSES.get(2));
    assertThat(SerialMemory.holding(20L << 20, 1, 1)).isEmpty();
  }

  @Test
  void effectsAreWorkedOutInPlaceOfFrames() {
    Recipe plasma =
        new Recipe("f1", 500, 200, List.of(new Layer(new Plasma(3, 100, 1), Blend.OVER, 100)));
    Gadget gadget = strip(150).made(plasma, false);
    assertThat(flash(gadget).verdict()).isEqualTo(Verdict.BREAKS);
    Gadget mended = GadgetPlan.of(gadget).mended("flash-fits", "compute-effects").orElseThrow();
    assertThat(flash(mended).verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(mended.clips()).isEqualTo(gadget.clips());
    assertThat(GadgetPlan.of(mended).firmware().orElseThrow().computes("f1")).isTrue();
  }
}
