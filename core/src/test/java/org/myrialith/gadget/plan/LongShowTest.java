package org.myrialith.gadget.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Programme;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;

/** A show of seven clips that never change together: more moments than anyone lists. */
class LongShowTest {
  private static final int[] HOLDS = {29, 10, 11, 13, 12, 17, 19};
  private static final int LONGEST_MS = 58_000;

  private static Gadget sevenBars() {
    List<Fixture> bars = new ArrayList<>();
    List<Clip> clips = new ArrayList<>();
    List<String> ids = new ArrayList<>();
    for (int i = 0; i < HOLDS.length; i++) {
      String id = "f" + (i + 1);
      ids.add(id);
      bars.add(Fixture.of(id, "Bar " + i, new Bar(3, 10, 0), 0, i * 20));
      int frames = i == 0 ? LONGEST_MS / HOLDS[0] : 40;
      List<Frame> all = new ArrayList<>();
      for (int f = 0; f < Math.min(frames, Clip.MOST_FRAMES); f++) {
        int hold = i == 0 ? LONGEST_MS / Clip.MOST_FRAMES : HOLDS[i];
        byte[] rgb = {(byte) f, 0, 9, (byte) (f * 3), 1, 2, 0, (byte) f, 4};
        all.add(new Frame(Picture.of(3, 1, rgb), hold));
      }
      clips.add(new Clip("a" + (i + 1), "Clip " + i, id, all));
    }
    return Gadget.blank("Seven")
        .with(Layout.EMPTY.withFixtures(bars))
        .with(OneWirePixels.usual("c1", ids))
        .with(new Programme(clips));
  }

  @Test
  void itIsJudgedAndExportedWhole() {
    Gadget gadget = sevenBars();
    long longest = gadget.clips().stream().mapToLong(Clip::lengthMillis).max().orElseThrow();
    assertThat(longest).isEqualTo(LONGEST_MS);
    GadgetPlan plan = GadgetPlan.of(gadget);
    assertThat(plan.findings()).isNotEmpty();
    assertThat(plan.show().lengthMillis()).isEqualTo(LONGEST_MS);
    String tables = new String(plan.firmwareFiles().get("frames.h"), StandardCharsets.UTF_8);
    assertThat(tables).containsPattern("SHOW_MS +58000UL");
    // changes of seven clips, counted one by one
    boolean[] changes = new boolean[LONGEST_MS];
    for (Clip clip : gadget.clips()) {
      for (int now = 0, f = 0; now < LONGEST_MS; f++) {
        changes[now] = true;
        now += clip.frames().get(f % clip.frames().size()).holdMillis();
      }
    }
    long expected = 0;
    for (boolean change : changes) {
      expected += change ? 1 : 0;
    }
    long[] walked = new long[2];
    plan.show()
        .walk(
            (index, start, hold, frames) -> {
              walked[0]++;
              walked[1] += hold;
            });
    assertThat(walked[0]).isEqualTo(expected).isGreaterThan(20_000);
    assertThat(walked[1]).isEqualTo(LONGEST_MS);
  }
}
