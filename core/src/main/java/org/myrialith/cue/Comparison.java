package org.myrialith.cue;

import java.util.Arrays;
import java.util.Optional;

/** How two values are held against each other. */
public enum Comparison {
  EQUAL("="),
  OTHER("<>"),
  LESS("<"),
  MORE(">"),
  AT_MOST("<="),
  AT_LEAST(">=");

  private final String sign;

  Comparison(String sign) {
    this.sign = sign;
  }

  /** Returns the one of that sign. */
  static Optional<Comparison> of(String sign) {
    return Arrays.stream(values()).filter(c -> c.sign.equals(sign)).findFirst();
  }

  /** Returns how it is written. */
  public String sign() {
    return sign;
  }

  /** Returns whether it holds. */
  public boolean holds(int one, int other) {
    return switch (this) {
      case EQUAL -> one == other;
      case OTHER -> one != other;
      case LESS -> one < other;
      case MORE -> one > other;
      case AT_MOST -> one <= other;
      case AT_LEAST -> one >= other;
    };
  }
}
