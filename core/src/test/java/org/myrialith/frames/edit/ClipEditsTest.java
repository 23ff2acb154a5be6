package org.myrialith.frames.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.github.ajalt.colormath.model.RGB;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;

/** Tempo, light and ways between frames; lightness against a library of colours. */
class ClipEditsTest {
  private static Picture grey(int value) {
    return Picture.of(1, 1, new byte[] {(byte) value, (byte) value, (byte) value});
  }

  private static Clip clip(int... values) {
    List<Frame> frames = new ArrayList<>();
    for (int value : values) {
      frames.add(new Frame(grey(value), 70));
    }
    return new Clip("k1", "Greys", "f1", frames);
  }

  private static double lightness(int value) {
    return RGB.Companion.from255(value, value, value, 255).toLAB().getL();
  }

  private static int value(Clip clip, int frame) {
    return clip.frames().get(frame).picture().value(0, 0);
  }

  /** Steps between black and white are of one lightness each, within what whole values allow. */
  @Test
  void waysBetweenFramesAreOfStepsThatLookAlike() {
    Clip eased = new ClipEdits(clip(0, 255, 80)).easedFrom(0, 6);
    assertThat(eased.frames()).hasSize(9);
    for (int step = 0; step <= 7; step++) {
      assertThat(lightness(value(eased, step))).isCloseTo(100 * step / 7.0, within(0.35));
    }
    // no time is lost, and each is held for a seventh
    assertThat(eased.lengthMillis()).isEqualTo(210);
    assertThat(eased.frames().subList(0, 7)).allMatch(f -> f.holdMillis() == 10);
    // the last goes into the first
    Clip round = new ClipEdits(clip(200, 50)).easedFrom(1, 1);
    assertThat(lightness(value(round, 2)))
        .isCloseTo((lightness(50) + lightness(200)) / 2, within(0.35));
  }

  @Test
  void darkerIsAShareOfTheLightness() {
    Clip darker = new ClipEdits(clip(255, 128, 30)).darker(-1, 50);
    for (int frame = 0; frame < 3; frame++) {
      int was = value(clip(255, 128, 30), frame);
      assertThat(lightness(value(darker, frame))).isCloseTo(lightness(was) / 2, within(0.35));
    }
    Clip one = new ClipEdits(clip(255, 128)).darker(1, 0);
    assertThat(value(one, 0)).isEqualTo(255);
    assertThat(value(one, 1)).isZero();
    assertThat(new ClipEdits(clip(9, 77, 201)).darker(-1, 100)).isEqualTo(clip(9, 77, 201));
  }

  /** Three frames of 70 ms at 3 times the tempo: 23, 24 and 23 ms, 70 in all. */
  @Test
  void tempoLosesNeitherFramesNorTime() {
    Clip quick = new ClipEdits(clip(1, 2, 3)).tempo(300);
    assertThat(quick.frames()).extracting(Frame::holdMillis).containsExactly(23, 24, 23);
    assertThat(new ClipEdits(clip(1, 2, 3)).tempo(50).lengthMillis()).isEqualTo(420);
    assertThatThrownBy(() -> new ClipEdits(clip(1, 2)).tempo(10_000))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("tempo")
        .hasMessageContaining("frame 2");
    assertThatThrownBy(() -> new ClipEdits(clip(1)).tempo(0)).hasMessageContaining("tempo");
  }

  @Test
  void thereAndBackHasItsEndsOnce() {
    Clip both = new ClipEdits(clip(1, 2, 3, 4)).thereAndBack();
    assertThat(both.frames())
        .extracting(f -> f.picture().value(0, 0))
        .containsExactly(1, 2, 3, 4, 3, 2);
    assertThat(new ClipEdits(clip(1, 2, 3)).backwards()).isEqualTo(clip(3, 2, 1));
    assertThatThrownBy(() -> new ClipEdits(clip(1, 2)).easedFrom(0, 70))
        .hasMessageContaining("at most 69");
    assertThatThrownBy(() -> new ClipEdits(clip(1, 2)).easedFrom(0, 0))
        .hasMessageContaining("between");
  }
}
