package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.colour.Levels;
import org.myrialith.tool.Chance;

@ExtendWith(InstancioExtension.class)
class PackingTest {
  private static List<Levels> frames(long seed, int pixels, int colours) {
    Random random = new Random(seed);
    List<Levels> frames = new ArrayList<>();
    for (int f = 0; f < 4; f++) {
      byte[] wire = new byte[pixels * 3];
      for (int p = 0; p < pixels; p++) {
        int colour = random.nextInt(colours);
        wire[p * 3] = (byte) colour;
        wire[p * 3 + 1] = (byte) (colour >> 8);
        wire[p * 3 + 2] = (byte) (255 - colour);
      }
      frames.add(Levels.of(wire));
    }
    return frames;
  }

  /** Unpacks by the layout in the documentation of {@link Packing}, written a second time here. */
  private static Levels unpack(Packing.Packed packed, byte[] data, int pixels) {
    byte[] wire = new byte[pixels * 3];
    int at = 0;
    for (int p = 0; p < pixels; ) {
      int run = 1;
      byte[] from = data;
      int place;
      if (packed.packing() == Packing.RUNS) {
        run = data[at] & 0xff;
        place = at + 1;
        at += 4;
      } else if (packed.packing() == Packing.RAW) {
        place = p * 3;
      } else {
        int bit = p * packed.indexBits();
        int index =
            data[bit / 8] >> (8 - packed.indexBits() - bit % 8) & (1 << packed.indexBits()) - 1;
        from = packed.palette();
        place = index * 3;
      }
      for (int end = p + run; p < end; p++) {
        System.arraycopy(from, place, wire, p * 3, 3);
      }
    }
    return Levels.of(wire);
  }

  @RepeatedTest(200)
  void everyPackingUnpacksToTheSameFrames(@Given long given) {
    Chance chance = new Chance(given);
    long seed = chance.seed();
    int pixels = chance.whole(1, 700);
    int colours = chance.whole(1, 300);
    List<Levels> frames = frames(seed, pixels, colours);
    for (Packing packing : Packing.values()) {
      packing
          .pack(frames)
          .ifPresent(
              packed -> {
                for (Map.Entry<Levels, byte[]> frame : packed.data().entrySet()) {
                  assertThat(unpack(packed, frame.getValue(), pixels)).isEqualTo(frame.getKey());
                }
              });
    }
  }

  @Test
  void moreThan256ColoursHaveNoPalette() {
    assertThat(Packing.PALETTE.pack(frames(1, 5000, 257))).isEmpty();
    assertThat(Packing.PALETTE.pack(frames(1, 5000, 256))).isPresent();
  }

  @Test
  void equalFramesAreKeptOnce() {
    Levels one = frames(3, 10, 5).get(0);
    assertThat(Packing.RAW.pack(List.of(one, one, one)).orElseThrow().bytes()).isEqualTo(30);
  }
}
