package org.myrialith.text;

/**
 * Characters that are turned round in text from right to left: the brackets of Unicode's
 * BidiMirroring table that have a partner as a character, from memory.
 */
final class Mirrored {
  private static final String PAIRS = "()[]{}<>«»‹›⁅⁆⁽⁾₍₎≤≥⟨⟩⟦⟧⟪⟫❨❩❪❫❲❳❴❵";

  private Mirrored() {}

  /** Returns the partner of a character, or itself. */
  static int of(int c) {
    int at = PAIRS.indexOf(c);
    return at < 0 ? c : PAIRS.charAt(at ^ 1);
  }
}
