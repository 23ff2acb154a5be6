package org.myrialith.finding;

import java.util.Objects;

/**
 * Where a number or a rule comes from.
 *
 * @param kind what sort of authority it has
 * @param text the standard with its number, or a few words
 */
public record Source(Kind kind, String text) {
  /** The sorts of authority. */
  public enum Kind {
    STANDARD,
    COMMON_PRACTICE,
    PART_CLASS,
    OWN_ENTRY,
    ARITHMETIC
  }

  /** Follows from the values put in and nothing else. */
  public static final Source ARITHMETIC = new Source(Kind.ARITHMETIC, "arithmetic");

  /** A rule of the trade without a published source. */
  public static final Source COMMON_PRACTICE = new Source(Kind.COMMON_PRACTICE, "common practice");

  /** The maker entered it. */
  public static final Source OWN_ENTRY = new Source(Kind.OWN_ENTRY, "your own entry");

  public Source {
    Objects.requireNonNull(kind, "kind");
    Objects.requireNonNull(text, "text");
  }

  /** Returns a published standard as a source. */
  public static Source standard(String text) {
    return new Source(Kind.STANDARD, text);
  }

  /** Returns the typical data of a class of parts as a source. */
  public static Source partClass(String text) {
    return new Source(Kind.PART_CLASS, text);
  }
}
