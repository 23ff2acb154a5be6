package org.myrialith.effects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Stack;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;
import tools.jackson.databind.node.ObjectNode;

/** Effects: what they show by plain mathematics, at their ends, and over the seam of a loop. */
class EffectsTest {
  private static final int LOOP = 1 << 16;

  private static Places places(Fixture fixture) {
    LayoutPlan plan = LayoutPlan.of(List.of(fixture));
    return Places.of(fixture, plan.emittersOf(fixture));
  }

  private static Places panel(int columns, int rows) {
    return places(
        Fixture.of("f1", "P", new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, true, false, 0)));
  }

  private static Places stack() {
    return places(Fixture.of("f1", "S", new Stack(3, 3, 5, 20, 20, 10)));
  }

  static Stream<Effect> usual() {
    return EffectKinds.ALL.kinds().stream().map(Kind::usual);
  }

  private static int[] frame(Effect effect, Places places, int turn) {
    return places.places().stream()
        .mapToInt(p -> p == null ? 0 : effect.at(p, places, turn))
        .toArray();
  }

  private static int apart(int[] one, int[] other) {
    int most = 0;
    for (int cell = 0; cell < one.length; cell++) {
      for (int shift = 0; shift < 24; shift += 8) {
        most = Math.max(most, Math.abs((one[cell] >> shift & 255) - (other[cell] >> shift & 255)));
      }
    }
    return most;
  }

  /** From the last frame to the first nothing jumps farther than between any others. */
  @ParameterizedTest
  @MethodSource("usual")
  void loopsHaveNoSeam(Effect effect) {
    if (effect.grows()) {
      return; // its own test
    }
    Places places = panel(9, 7);
    int steps = 2048;
    int within = 0;
    int[] before = frame(effect, places, 0);
    int[] first = before;
    for (int step = 1; step < steps; step++) {
      int[] now = frame(effect, places, step * (LOOP / steps));
      within = Math.max(within, apart(before, now));
      before = now;
    }
    assertThat(apart(before, first)).isLessThanOrEqualTo(Math.max(within, 8));
  }

  /** With all parameters at either end, on one place and on many, flat and in space. */
  @ParameterizedTest
  @MethodSource("usual")
  void parametersAtTheirEndsStillGiveColours(Effect effect) {
    for (Effect end : ends(effect)) {
      for (Places places : List.of(panel(1, 1), panel(7, 1), panel(1, 9), panel(6, 5), stack())) {
        for (int turn : new int[] {0, 1, 32_768, 65_535}) {
          assertThat(Arrays.stream(frame(end, places, turn)).allMatch(c -> c >>> 24 == 0))
              .as(end.toString())
              .isTrue();
        }
      }
    }
  }

  private static List<Effect> ends(Effect effect) {
    List<Effect> all = new ArrayList<>();
    for (boolean high : new boolean[] {false, true}) {
      ObjectNode node = EffectKinds.ALL.write(effect);
      Description<? extends Effect> description = EffectKinds.ALL.kindOf(effect).description();
      for (Field<?> field : description.fields(null)) {
        if (field.type() instanceof Types.Count count) {
          node.put(field.name(), (int) (high ? count.bounds().max() : count.bounds().min()));
        }
        if (field.type() instanceof Types.Colour) {
          node.put(field.name(), high ? "#ffffff" : "#000000");
        }
      }
      all.add(EffectKinds.ALL.read(node));
    }
    return all;
  }

  @Test
  void rootsAndCurvesAreThoseOfTheLibrary() {
    Random random = new Random(5);
    for (int i = 0; i < 10_000; i++) {
      int square = random.nextInt(3_200_000);
      assertThat(Waves.root(square)).isEqualTo((int) Math.sqrt(square));
    }
    for (int turn = 0; turn < LOOP; turn += 97) {
      double angle = 2 * Math.PI * turn / LOOP;
      assertThat((double) Waves.raised(turn)).isCloseTo(127.5 * (1 - Math.cos(angle)), within(3.7));
      assertThat((double) Waves.sine(turn)).isCloseTo(255 * Math.sin(angle), within(7.4));
      assertThat((double) Waves.cosine(turn)).isCloseTo(255 * Math.cos(angle), within(7.4));
    }
  }

  /** The wheel of hues is that of the library, within the steps of 43 to a sixth. */
  @Test
  void huesAreThoseOfTheLibrary() {
    for (int hue = 0; hue < 256; hue++) {
      int expected = Color.HSBtoRGB(hue / 258f, 1, 1) & 0xffffff;
      assertThat(apart(new int[] {Tone.hue(hue)}, new int[] {expected}))
          .as("hue %d", hue)
          .isLessThanOrEqualTo(7);
    }
  }

  /** Chance is spread evenly: a chi-square of 15 degrees of freedom below its 99.9 % of 37.7. */
  @Test
  void chanceIsEven() {
    for (int seed : new int[] {0, 1, 77, 65_535}) {
      int[] counts = new int[16];
      for (int a = 0; a < 160; a++) {
        for (int b = 0; b < 100; b++) {
          counts[Chance.below(16, seed, a, b)]++;
        }
      }
      double square =
          Arrays.stream(counts).mapToDouble(c -> (c - 1000.0) * (c - 1000) / 1000).sum();
      assertThat(square).isLessThan(37.7);
    }
  }

  /** A row of three turns round by a right angle each generation; a block stays. */
  @Test
  void cellsLiveByTheirRules() {
    boolean[] blinker = new boolean[25];
    blinker[11] = blinker[12] = blinker[13] = true;
    boolean[] turned = new boolean[25];
    turned[7] = turned[12] = turned[17] = true;
    assertThat(Life.next(blinker, 5, 5)).isEqualTo(turned);
    assertThat(Life.next(turned, 5, 5)).isEqualTo(blinker);
    boolean[] block = new boolean[36];
    block[7] = block[8] = block[13] = block[14] = true;
    assertThat(Life.next(block, 6, 6)).isEqualTo(block);
    // a glider is itself again after four, one to the right and one down, also over the edge
    boolean[] glider = new boolean[36];
    glider[1] = glider[8] = glider[12] = glider[13] = glider[14] = true;
    boolean[] now = glider;
    for (int i = 0; i < 24; i++) {
      now = Life.next(now, 6, 6);
    }
    assertThat(now).isEqualTo(glider);
  }

  /** Breathing by its formula in floating point. */
  @Test
  void breathsAreCosines() {
    Breathing breath = new Breathing(0xffffff, 20, 3);
    Places one = panel(1, 1);
    for (int turn = 0; turn < LOOP; turn += 500) {
      double wave = (1 - Math.cos(2 * Math.PI * 3 * turn / LOOP)) / 2;
      assertThat((double) (breath.at(one.places().get(0), one, turn) & 255))
          .isCloseTo(51 + 204 * wave, within(9.0));
    }
  }

  /** The brightest column of a sweep goes from left to right, that of rings stands still. */
  @Test
  void aSweepGoesWhereItIsTold() {
    Places places = panel(16, 4);
    for (Direction way : new Direction[] {Direction.RIGHT, Direction.LEFT}) {
      Sweep sweep = new Sweep(0xffffff, 0, way, 15, 1);
      int last = -1;
      for (int turn = 14_000; turn < 52_000; turn += 2_000) {
        int[] frame = frame(sweep, places, turn);
        int brightest = 0;
        for (int column = 1; column < 16; column++) {
          brightest = frame[column] > frame[brightest] ? column : brightest;
        }
        int along = way == Direction.RIGHT ? brightest : 15 - brightest;
        assertThat(along).isGreaterThanOrEqualTo(last);
        last = along;
      }
      assertThat(last).isGreaterThan(10);
    }
  }

  /** Rings from the middle look the same from all four sides. */
  @Test
  void ripplesAreRound() {
    Places places = panel(9, 9);
    Ripples rings = new Ripples(0xffffff, 0, 50, 50, 50, 4, 2);
    int[] frame = frame(rings, places, 12_345);
    for (int row = 0; row < 9; row++) {
      for (int column = 0; column < 9; column++) {
        int turned = column * 9 + 8 - row;
        assertThat(apart(new int[] {frame[row * 9 + column]}, new int[] {frame[turned]}))
            .isLessThanOrEqualTo(12);
      }
    }
  }

  /** A plane that comes nearer lights the layers of a stack one after the other. */
  @Test
  void aPlaneGoesThroughAStack() {
    Places places = stack();
    Sweep plane = new Sweep(0xffffff, 0, Direction.NEAR, 10, 1);
    List<Integer> seen = new ArrayList<>();
    for (int turn = 0; turn < LOOP; turn += 512) {
      int[] frame = frame(plane, places, turn);
      for (int cell = 0; cell < frame.length; cell++) {
        if ((frame[cell] & 255) > 200 && !seen.contains(places.places().get(cell).z())) {
          seen.add(places.places().get(cell).z());
        }
      }
    }
    assertThat(seen).hasSize(5).isSorted();
  }

  @Test
  void layersComeOverEachOther() {
    assertThat(Blend.ADD.of(0x80ff10, 0x90ff20)).isEqualTo(0xffff30);
    assertThat(Blend.LIGHTEN.of(0x102030, 0x301020)).isEqualTo(0x302030);
    assertThat(Blend.DARKEN.of(0x102030, 0x301020)).isEqualTo(0x101020);
    assertThat(Blend.MASK.of(0x406080, 0xff8000)).isEqualTo(0x403000);
    Breathing white = new Breathing(0xffffff, 100, 1);
    Recipe half =
        new Recipe(
            "f1",
            2,
            50,
            List.of(
                new Layer(new Breathing(0xff0000, 100, 1), Blend.OVER, 100),
                new Layer(white, Blend.OVER, 50)));
    byte[] rgb = half.baked(panel(1, 1)).get(0);
    assertThat(rgb[0] & 255).isEqualTo(255);
    assertThat((double) (rgb[1] & 255)).isCloseTo(127.5, within(1.0));
  }

  @Test
  void workIsToldFrameByFrameAndCanBeEnded() {
    Recipe recipe =
        new Recipe(
            "f1",
            12,
            50,
            List.of(
                new Layer(Wave.KIND.usual(), Blend.OVER, 100),
                new Layer(Life.KIND.usual(), Blend.ADD, 50)));
    Places panel = panel(4, 3);
    List<String> told = new ArrayList<>();
    recipe.baked(panel.places().size(), layer -> panel, (done, all) -> told.add(done + "/" + all));
    assertThat(told).hasSize(24).startsWith("1/24").endsWith("24/24");
    int[] reached = {0};
    assertThatThrownBy(
            () ->
                recipe.baked(
                    panel.places().size(),
                    layer -> panel,
                    (done, all) -> {
                      reached[0] = done;
                      if (done == 5) {
                        throw new Progress.Stopped();
                      }
                    }))
        .isInstanceOf(Progress.Stopped.class);
    assertThat(reached[0]).isEqualTo(5);
  }

  @Test
  void whatIsBeyondItsBoundsIsToldByName() {
    assertThatThrownBy(() -> new Candle(0, 101, 1, 1)).hasMessageContaining("depth");
    assertThatThrownBy(() -> new Wave(0, 0, 0, 1, 1)).hasMessageContaining("waves");
    assertThatThrownBy(() -> new Recipe("f1", 0, 50, List.of())).hasMessageContaining("frames");
    assertThatThrownBy(() -> new Recipe("f1", 10, 50, List.of())).hasMessageContaining("layers");
  }
}
