package org.myrialith.effects;

import org.myrialith.finding.Bounds;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/** A program that says which colour a place has at a time. Whole numbers only. */
public sealed interface Effect
    permits OneTone,
        Moving,
        Ember,
        Sparkle,
        Chase,
        Wave,
        Sweep,
        Rainbow,
        Plasma,
        Ripples,
        Fill,
        Arrows,
        Life {
  /** Allowed seeds. */
  Bounds SEED = Bounds.count(0, 65_535);

  /** Allowed times in a loop. */
  Bounds TIMES = Bounds.count(1, 64);

  /** Allowed shares. */
  Bounds PERCENT = Bounds.count(0, 100, "%");

  /** Allowed shares that are something. */
  Bounds SOME = Bounds.count(1, 100, "%");

  /**
   * Returns the colour of a place (0xRRGGBB).
   *
   * @param turn how far the loop is (0 to 65 535)
   */
  int at(Place place, Places all, int turn);

  /**
   * Returns the numbers that a controller works it out from: colours, then what follows from its
   * parameters and the extents of the places, in the order in which the C reads them.
   */
  int[] numbers(Places all);

  /** Returns what its C takes of a controller that computes it. */
  Footprint footprint();

  /**
   * Returns the cycles of a frame beyond those of its beginning and its pixels.
   *
   * @param pixels of the part of the fixture that is computed
   */
  default double moreCycles(Footprint.Cost cost, Places all, int turn, int pixels) {
    return 0;
  }

  /** Returns whether all places have one colour at a time. */
  default boolean flat() {
    return false;
  }

  /** Returns the things that move. */
  default int movers() {
    return 0;
  }

  /** Returns whether it runs in the order of the data. */
  default boolean byData() {
    return false;
  }

  /** The colours of a frame (0xRRGGBB). */
  interface Frame {
    /** Returns that of a place. */
    int at(Place place);
  }

  /** Returns a frame; what is the same for all of its places is worked out once. */
  default Frame frame(Places all, int turn) {
    return place -> at(place, all, turn);
  }

  /** Returns whether what comes follows from what was, so that frames are worked out in turn. */
  default boolean grows() {
    return false;
  }

  /** Returns a field of a colour. */
  static Field<Integer> colour(String name, String label, int usual) {
    return Field.of(name, label, Types.Colour.ANY).or(usual);
  }

  /** Returns the field of how often something happens in a loop. */
  static Field<Integer> times(String label) {
    return Field.count("times", label, TIMES);
  }

  /** Returns the field of the seed. */
  static Field<Integer> seed() {
    return Field.count("seed", "Seed", SEED).or(1);
  }

  /** Returns a share of 255 (0 to 255) for whole percent. */
  static int share(int percent) {
    return (percent * Waves.FULL + 50) / 100;
  }
}
