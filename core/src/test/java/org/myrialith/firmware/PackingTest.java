package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
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
  private static List<Packing.Frame> frames(long seed, int pixels, int colours, int channels) {
    Random random = new Random(seed);
    List<Packing.Frame> frames = new ArrayList<>();
    for (int f = 0; f < 4; f++) {
      byte[] wire = new byte[pixels * channels];
      for (int p = 0; p < pixels; p++) {
        int colour = random.nextInt(colours);
        wire[p * channels] = (byte) colour;
        wire[p * channels + channels - 1] = (byte) (255 - colour);
        wire[p * channels + 1] = (byte) (colour >> 8);
      }
      frames.add(new Packing.Frame(Levels.of(wire), channels));
    }
    return frames;
  }

  /** Unpacks by the layout in the documentation of {@link Packing}, written a second time here. */
  private static Levels unpack(
      Packing.Packed packed, byte[] data, int pixels, int channels, int width) {
    byte[] wire = new byte[pixels * channels];
    int at = 0;
    for (int p = 0; p < pixels; ) {
      int run = 1;
      byte[] from = data;
      int place;
      if (packed.packing() == Packing.RUNS) {
        run = data[at] & 0xff;
        place = at + 1;
        at += 1 + channels;
      } else if (packed.packing() == Packing.RAW) {
        place = p * channels;
      } else {
        int bit = p * packed.indexBits();
        int index =
            data[bit / 8] >> (8 - packed.indexBits() - bit % 8) & (1 << packed.indexBits()) - 1;
        from = packed.palette();
        place = index * width;
      }
      for (int end = p + run; p < end; p++) {
        System.arraycopy(from, place, wire, p * channels, channels);
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
    List<Packing.Frame> frames = new ArrayList<>(frames(seed, pixels, colours, 3));
    boolean mixed = chance.whole(0, 1) == 1;
    if (mixed) {
      frames.addAll(frames(seed + 1, pixels, colours, 4));
    }
    for (Packing packing : Packing.values()) {
      packing
          .pack(frames)
          .ifPresent(
              packed -> {
                assertThat(packed.data()).containsOnlyKeys(frames);
                packed
                    .data()
                    .forEach(
                        (frame, data) ->
                            assertThat(
                                    unpack(packed, data, pixels, frame.channels(), mixed ? 4 : 3))
                                .isEqualTo(frame.levels()));
              });
    }
  }

  @Test
  void moreThan256ColoursHaveNoPalette() {
    assertThat(Packing.PALETTE.pack(frames(1, 5000, 257, 3))).isEmpty();
    assertThat(Packing.PALETTE.pack(frames(1, 5000, 256, 4))).isPresent();
  }

  @Test
  void equalFramesAreKeptOnce() {
    Packing.Frame one = frames(3, 10, 5, 3).get(0);
    assertThat(Packing.RAW.pack(List.of(one, one, one)).orElseThrow().bytes()).isEqualTo(30);
  }
}
