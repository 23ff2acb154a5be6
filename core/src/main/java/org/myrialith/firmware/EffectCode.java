package org.myrialith.firmware;

import static org.myrialith.firmware.EffectCode.Part.*;
import static org.myrialith.firmware.EffectCode.Variable.*;

import java.util.Locale;
import java.util.Set;
import org.myrialith.effects.Effect;
import org.myrialith.effects.EffectKinds;

/** What the code of each effect is made of and takes. */
enum EffectCode {
  CANDLE(true, Set.of(SHARES, CHANCES, COURSES, TABLED), Set.of()),
  LIGHTNING(true, Set.of(SHARES, CHANCES, PICKS), Set.of()),
  BREATHING(true, Set.of(SHARES, WAVES, TABLED), Set.of()),
  HEARTBEAT(true, Set.of(SHARES), Set.of()),
  EMBER(false, Set.of(CHANCES, COURSES, TABLED), Set.of(X, Y, HEIGHT)),
  SPARKLE(false, Set.of(CHANCES, PICKS), Set.of(INDEX)),
  CHASE(true, Set.of(), Set.of(INDEX)),
  WAVE(false, Set.of(WAVES, TABLED, DIRECTIONS, PHASES), Set.of(X, Y)),
  SWEEP(true, Set.of(WAYS), Set.of(X, Y, Z, INDEX)),
  RAINBOW(false, Set.of(DIRECTIONS, PHASES, HUES), Set.of(X, Y)),
  PLASMA(false, Set.of(WAVES, TABLED, SINES, HUES), Set.of(X, Y, Z)),
  RIPPLES(false, Set.of(WAVES, TABLED), Set.of(X, Y, Z)),
  FILL(true, Set.of(WAYS), Set.of(X, Y, Z, INDEX)),
  ARROWS(true, Set.of(DIRECTIONS), Set.of(X, Y, WIDTH, HEIGHT)),
  BUBBLES(
      true,
      Set.of(CHANCES, PICKS, WAVES, TABLED, SINES, FALLING, NEARNESS),
      Set.of(X, Y, WIDTH, HEIGHT)),
  RAIN(true, Set.of(CHANCES, PICKS, FALLING), Set.of(X, Y, WIDTH, HEIGHT)),
  FIREFLIES(
      true,
      Set.of(CHANCES, PICKS, COURSES, WAVES, TABLED, SHARES, NEARNESS),
      Set.of(X, Y, Z, WIDTH, HEIGHT, DEPTH));

  /** What several effects have in common. */
  enum Part {
    SHARES,
    WAVES,
    /** The table of a cosine. */
    TABLED,
    SINES,
    DIRECTIONS,
    PHASES,
    CHANCES,
    /** Numbers below another. */
    PICKS,
    COURSES,
    WAYS,
    HUES,
    FALLING,
    NEARNESS
  }

  /** What is kept of a pixel or of its fixture, two bytes each. */
  enum Variable {
    X,
    Y,
    Z,
    INDEX,
    WIDTH,
    HEIGHT,
    DEPTH
  }

  private final boolean shares;
  private final Set<Part> parts;
  private final Set<Variable> reads;

  EffectCode(boolean shares, Set<Part> parts, Set<Variable> reads) {
    this.shares = shares;
    this.parts = parts;
    this.reads = reads;
  }

  /** Returns that of an effect; not of one that grows. */
  static EffectCode of(Effect effect) {
    return valueOf(EffectKinds.ALL.kindOf(effect).key().toUpperCase(Locale.ROOT));
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
