package org.myrialith.finding;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Texts are cut where a reader sees the end of a letter (UAX 29, extended grapheme clusters). */
class CutTest {
  /** A lamp takes two code units; a family is five code points; é may be two. */
  @ParameterizedTest
  @CsvSource({
    "abcd, 4, abcd",
    "abcde, 4, abc…",
    "\uD83D\uDCA1\uD83D\uDCA1\uD83D\uDCA1, 2, \uD83D\uDCA1…",
    "\uD83D\uDCA1\uD83D\uDCA1\uD83D\uDCA1, 3, \uD83D\uDCA1\uD83D\uDCA1\uD83D\uDCA1",
    "ab\uD83D\uDC69\u200D\uD83D\uDC69\u200D\uD83D\uDC67, 6, ab…",
    "abe\u0301f, 4, ab…",
  })
  void neverWithinALetter(String text, int most, String cut) {
    assertThat(TextRules.cut(text, most)).isEqualTo(cut);
  }
}
