package org.myrialith.firmware.effect;

import static org.myrialith.firmware.effect.EffectCode.Part.*;
import static org.myrialith.firmware.effect.EffectCode.Variable.*;

import java.util.Locale;
import java.util.Set;
import org.myrialith.effects.Effect;
import org.myrialith.effects.EffectKinds;

/**
 * What the code of each effect is made of and takes: flash of an 8-bit core and of a 32-bit core,
 * read from the size tool on hundreds of builds with effects by chance (GCC 5.4 for 8-bit AVR, GCC
 * 12 for a small 32-bit core, -Os), spread over its parts by least squares.
 */
enum EffectCode {
  CANDLE(260, 201, true, Set.of(SHARES, CHANCES, COURSES, TABLED), Set.of()),
  LIGHTNING(135, 29, true, Set.of(SHARES, CHANCES, PICKS), Set.of()),
  BREATHING(83, 18, true, Set.of(SHARES, WAVES, TABLED), Set.of()),
  HEARTBEAT(248, 115, true, Set.of(SHARES), Set.of()),
  EMBER(297, 251, false, Set.of(CHANCES, COURSES, TABLED), Set.of(X, Y, HEIGHT)),
  SPARKLE(166, 2, false, Set.of(CHANCES, PICKS), Set.of(INDEX)),
  CHASE(479, 168, true, Set.of(), Set.of(INDEX)),
  WAVE(9, 30, false, Set.of(WAVES, TABLED, DIRECTIONS, PHASES), Set.of(X, Y)),
  SWEEP(294, 96, true, Set.of(WAYS), Set.of(X, Y, Z, INDEX)),
  RAINBOW(0, 18, false, Set.of(DIRECTIONS, PHASES, HUES), Set.of(X, Y)),
  PLASMA(105, 94, false, Set.of(WAVES, TABLED, SINES, HUES), Set.of(X, Y, Z)),
  RIPPLES(407, 117, false, Set.of(WAVES, TABLED), Set.of(X, Y, Z)),
  FILL(220, 65, true, Set.of(WAYS), Set.of(X, Y, Z, INDEX)),
  ARROWS(393, 196, true, Set.of(DIRECTIONS), Set.of(X, Y, WIDTH, HEIGHT)),
  BUBBLES(
      67,
      0,
      true,
      Set.of(CHANCES, PICKS, WAVES, TABLED, SINES, FALLING, NEARNESS),
      Set.of(X, Y, WIDTH, HEIGHT)),
  RAIN(293, 212, true, Set.of(CHANCES, PICKS, FALLING), Set.of(X, Y, WIDTH, HEIGHT)),
  FIREFLIES(
      531,
      227,
      true,
      Set.of(CHANCES, PICKS, COURSES, WAVES, TABLED, SHARES, NEARNESS),
      Set.of(X, Y, Z, WIDTH, HEIGHT, DEPTH)),
  LIFE(1010, 620, true, Set.of(CHANCES, PICKS), Set.of(CELL));

  /** What several effects have in common. */
  enum Part {
    SHARES(49, 98),
    WAVES(7, 0),
    /** The table of a cosine. */
    TABLED(0, 0),
    SINES(172, 75),
    DIRECTIONS(287, 52),
    PHASES(0, 0),
    CHANCES(220, 14),
    /** Numbers below another. */
    PICKS(119, 129),
    COURSES(318, 53),
    WAYS(217, 161),
    HUES(145, 113),
    FALLING(360, 142),
    NEARNESS(318, 207);

    private final int small;
    private final int large;

    Part(int small, int large) {
      this.small = small;
      this.large = large;
    }

    /** Returns the flash of its code (bytes). */
    int bytes(boolean portable) {
      return portable ? large : small;
    }
  }

  /** What is kept of a pixel or of its fixture, two bytes each. */
  enum Variable {
    X,
    Y,
    Z,
    INDEX,
    WIDTH,
    HEIGHT,
    DEPTH,
    /** Of the picture. */
    CELL
  }

  private final int small;
  private final int large;
  private final boolean shares;
  private final Set<Part> parts;
  private final Set<Variable> reads;

  EffectCode(int small, int large, boolean shares, Set<Part> parts, Set<Variable> reads) {
    this.small = small;
    this.large = large;
    this.shares = shares;
    this.parts = parts;
    this.reads = reads;
  }

  /** Returns that of an effect. */
  static EffectCode of(Effect effect) {
    return valueOf(EffectKinds.ALL.kindOf(effect).key().toUpperCase(Locale.ROOT));
  }

  /** Returns the flash of its own code (bytes). */
  int bytes(boolean portable) {
    return portable ? large : small;
  }

  /** Returns whether it has something in common for all pixels of a frame. */
  boolean shares() {
    return shares;
  }

  Set<Part> parts() {
    return parts;
  }

  Set<Variable> reads() {
    return reads;
  }
}
