package org.myrialith.frames;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.finding.InputException;
import org.myrialith.tool.Chance;

@ExtendWith(InstancioExtension.class)
class ShowTest {
  private static Clip clip(String id, int... holds) {
    List<Frame> frames = new ArrayList<>();
    for (int hold : holds) {
      frames.add(new Frame(Picture.dark(2, 1), hold));
    }
    return new Clip(id, "Clip " + id, "f" + id.substring(1), frames);
  }

  @Test
  void aShorterClipRepeatsUntilTheLongestEnds() {
    Show show = Show.of(List.of(clip("k1", 100, 100, 50), clip("k2", 80, 20)));
    assertThat(show.lengthMillis()).isEqualTo(250);
    assertThat(show.moments())
        .extracting(Show.Moment::startMillis)
        .containsExactly(0L, 80L, 100L, 180L, 200L);
    assertThat(show.moments().get(4).frames()).containsExactly(2, 0);
    assertThat(show.moments().get(4).holdMillis()).isEqualTo(50);
  }

  /** Against looking every millisecond up by itself. */
  @RepeatedTest(100)
  void everyMillisecondShowsWhatTheClipsShow(@Given long given) {
    Chance chance = new Chance(given);
    List<Integer> one = chance.wholes(1, 4, 10, 60);
    List<Integer> two = chance.wholes(1, 4, 10, 60);
    Clip a = clip("k1", one.stream().mapToInt(i -> i).toArray());
    Clip b = clip("k2", two.stream().mapToInt(i -> i).toArray());
    Show show = Show.of(List.of(a, b));
    long at = 0;
    for (Show.Moment moment : show.moments()) {
      assertThat(moment.startMillis()).isEqualTo(at);
      for (long ms = at; ms < at + moment.holdMillis(); ms++) {
        assertThat(moment.frames()).containsExactly(frameAt(a, ms), frameAt(b, ms));
      }
      at += moment.holdMillis();
    }
    assertThat(at).isEqualTo(Math.max(a.lengthMillis(), b.lengthMillis()));
  }

  private static int frameAt(Clip clip, long millis) {
    long left = millis % clip.lengthMillis();
    int frame = 0;
    while (left >= clip.frames().get(frame).holdMillis()) {
      left -= clip.frames().get(frame++).holdMillis();
    }
    return frame;
  }

  @Test
  void aShowOfTooManyMomentsSaysSo() {
    Show show = Show.of(List.of(clip("k1", 60_000, 60_000, 60_000, 60_000), clip("k2", 10, 11)));
    assertThat(show.whole()).isTrue();
    assertThat(show.listed()).isFalse();
    assertThat(show.moments()).hasSize(Show.MOST_LISTED);
    // every 21 ms the short clip changes twice, 240 000 = 11 428 × 21 + 12
    assertThat(show.count()).isEqualTo(2 * 11_428 + 2 + 3);
    assertThat(show.lengthMillis()).isEqualTo(240_000);
    assertThat(Show.of(List.of()).whole()).isTrue();
  }

  @Test
  void clipsAreEditedByFrame() {
    Clip clip = clip("k1", 100, 200, 300);
    assertThat(holds(clip.withFrameMoved(0, 2))).containsExactly(200, 300, 100);
    assertThat(holds(clip.withFrameSplit(1))).containsExactly(100, 100, 100, 300);
    assertThat(holds(clip.withoutFrame(1))).containsExactly(100, 300);
    assertThat(holds(clip.withFrameBehind(2, clip.frames().get(0))))
        .containsExactly(100, 200, 300, 100);
    assertThatThrownBy(() -> clip.withoutFrame(3))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("1 to 3");
    assertThatThrownBy(() -> clip("k1", 10).withoutFrame(0)).hasMessageContaining("1 to 2000");
    assertThatThrownBy(() -> clip("k1", 1).withFrameSplit(0)).hasMessageContaining("2 ms or more");
  }

  private static List<Integer> holds(Clip clip) {
    return clip.frames().stream().map(Frame::holdMillis).toList();
  }
}
