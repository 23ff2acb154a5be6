package org.myrialith.frames.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Glyph;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Programme;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;

/** Characters on segments: each to be told from the others, in segments that are there. */
class CharactersTest {
  private static final String DIGITS = "0123456789";

  private static Set<String> segments(SegmentStyle style, char one) {
    return Characters.segments(style, one).orElseThrow();
  }

  @Test
  void digitsAndHexAreToldApart() {
    for (SegmentStyle style :
        List.of(SegmentStyle.SEVEN, SegmentStyle.FOURTEEN, SegmentStyle.SIXTEEN)) {
      Set<String> names =
          new HashSet<>(
              new SegmentDigits(
                      style,
                      20,
                      10,
                      0,
                      1,
                      List.of(new SegmentDigits.Module(1, "one")),
                      15,
                      0,
                      1,
                      true,
                      false,
                      List.of(),
                      List.of(),
                      List.of())
                  .segmentNames());
      Set<Set<String>> seen = new HashSet<>();
      for (char one : (DIGITS + "ABCDEF").toCharArray()) {
        assertThat(names).as("%s of %s", one, style).containsAll(segments(style, one));
        assertThat(seen.add(segments(style, one))).as("%s of %s", one, style).isTrue();
      }
    }
  }

  /** Seven segments as every data sheet draws them (common practice). */
  @Test
  void theFigureEightAndItsParts() {
    assertThat(segments(SegmentStyle.SEVEN, '8')).hasSize(7);
    assertThat(segments(SegmentStyle.SEVEN, '1')).containsExactlyInAnyOrder("b", "c");
    assertThat(segments(SegmentStyle.SEVEN, '-')).containsExactly("g");
    assertThat(segments(SegmentStyle.SEVEN, '°')).containsExactlyInAnyOrder("a", "b", "f", "g");
    assertThat(segments(SegmentStyle.SEVEN, 'e')).isEqualTo(segments(SegmentStyle.SEVEN, 'E'));
    assertThat(segments(SegmentStyle.SIXTEEN, '8')).hasSize(10);
    assertThat(segments(SegmentStyle.SEVEN, ' ')).isEmpty();
  }

  @Test
  void lettersThatCantBeReadAreNotThere() {
    for (char one : "KMVWXZkmvwxz".toCharArray()) {
      assertThat(Characters.segments(SegmentStyle.SEVEN, one)).as("%s", one).isEmpty();
      assertThat(Characters.segments(SegmentStyle.FOURTEEN, one)).as("%s", one).isPresent();
    }
    assertThat(Characters.segments(SegmentStyle.CUSTOM, '1')).isEmpty();
  }

  private static final SegmentDigits CLOCK =
      new SegmentDigits(
          SegmentStyle.SEVEN,
          20,
          10,
          0,
          1,
          List.of(new SegmentDigits.Module(4, "time")),
          15,
          0,
          1,
          true,
          true,
          List.of(2),
          List.of(),
          List.of());

  /** Rows a to g, the points, then the colon; columns are digits. */
  private static String lit(Picture picture, int digit) {
    StringBuilder rows = new StringBuilder();
    for (int row = 0; row < picture.rows(); row++) {
      rows.append(picture.colour(digit, row) == 0 ? '-' : "abcdefgp:".charAt(row));
    }
    return rows.toString();
  }

  @Test
  void aTextStandsToTheRightWithItsPointsAndColons() {
    Picture dark = Picture.dark(4, 9);
    Picture time = new DigitText(CLOCK).on(dark, "7:0.5", 0xff3010);
    assertThat(lit(time, 0)).isEqualTo("---------");
    assertThat(lit(time, 1)).isEqualTo("abc-----:");
    assertThat(lit(time, 2)).isEqualTo("abcdef-p-");
    assertThat(lit(time, 3)).isEqualTo("a-cd-fg--");
    assertThat(time.colour(3, 0)).isEqualTo(0xff3010);
    // written over, nothing of the old text stays
    Picture minus = new DigitText(CLOCK).on(time, "-1", 0xff3010);
    assertThat(lit(minus, 1)).isEqualTo("---------");
    assertThat(lit(minus, 2)).isEqualTo("------g--");
  }

  @Test
  void whatDigitsCantShowIsRefused() {
    Picture dark = Picture.dark(4, 9);
    DigitText text = new DigitText(CLOCK);
    for (String wrong : List.of("12345", "12:3", "K", ".5", "1\n")) {
      assertThatThrownBy(() -> text.on(dark, wrong, 1))
          .as(wrong)
          .isInstanceOf(InputException.class)
          .hasMessageContaining("text");
    }
    assertThat(text.on(dark, "", 1)).isEqualTo(dark);
  }

  @Test
  void numbersGetLeadingZerosBehindTheirSign() {
    DigitText zeros = new DigitText(CLOCK, true, false, Map.of());
    Picture five = zeros.on(Picture.dark(4, 9), "5", 1);
    assertThat(lit(five, 0)).isEqualTo("abcdef---");
    assertThat(lit(five, 2)).isEqualTo("abcdef---");
    assertThat(lit(five, 3)).isEqualTo("a-cd-fg--");
    Picture minus = zeros.on(five, "-5", 1);
    assertThat(lit(minus, 0)).isEqualTo("------g--");
    assertThat(lit(minus, 1)).isEqualTo("abcdef---");
    // a word has none
    assertThat(lit(zeros.on(five, "HI", 1), 0)).isEqualTo("---------");
  }

  /** Of 123456 four digits show 3456, the first with its point: there is more. */
  @Test
  void whatIsTooLongShowsItsEndAndAPoint() {
    Picture end = new DigitText(CLOCK, false, true, Map.of()).on(Picture.dark(4, 9), "123456", 1);
    assertThat(lit(end, 0)).isEqualTo("abcd--gp-");
    assertThat(lit(end, 3)).isEqualTo("a-cdefg--");
    Picture fits = new DigitText(CLOCK, false, true, Map.of()).on(end, "1234", 1);
    assertThat(lit(fits, 0)).isEqualTo("-bc------");
  }

  @Test
  void lettersThatCantBeReadAreListed() {
    assertThat(Characters.missing(SegmentStyle.SEVEN, Map.of())).isEqualTo("KMVWXZ");
    assertThat(Characters.missing(SegmentStyle.FOURTEEN, Map.of())).isEmpty();
    assertThat(Characters.missing(SegmentStyle.CUSTOM, Map.of())).hasSize(26);
  }

  /** Own digits have no characters until the maker makes some. */
  @Test
  void theMakersOwnCharactersComeFirst() {
    SegmentDigits digits = SegmentDigits.KIND.usual();
    Map<Character, Set<String>> own =
        Map.of('7', Set.of("a", "b", "c", "f"), 'k', Set.of("e", "f", "g"));

    Picture dark = Picture.dark(digits.seenColumns(), digits.seenRows());
    Picture seven = new DigitText(digits, false, false, own).on(dark, "7", 0xffffff);
    int last = digits.digits() - 1;
    // segment f is the sixth row
    assertThat(seven.value(5 * digits.seenColumns() + last, 0)).isEqualTo(255);
    assertThat(seven).isNotEqualTo(new DigitText(digits).on(dark, "7", 0xffffff));
    // made in one case, it serves for the other where nothing else is known
    assertThat(Characters.segments(SegmentStyle.SEVEN, own, 'K').orElseThrow())
        .containsExactlyInAnyOrder("e", "f", "g");
    assertThat(Characters.missing(SegmentStyle.SEVEN, own)).isEqualTo("MVWXZ");
    assertThat(Characters.missing(SegmentStyle.CUSTOM, own)).hasSize(25);
  }

  @Test
  void badCharactersAreRefused() {
    assertThatThrownBy(() -> new Glyph("f1", "ab", List.of())).hasMessageContaining("“ab”");
    assertThatThrownBy(() -> new Glyph("f1", ":", List.of())).hasMessageContaining("character");
    assertThatThrownBy(
            () -> new Glyph("f1", "a", List.of("z")).requireSegments(SegmentDigits.KIND.usual()))
        .hasMessageContaining("segments")
        .hasMessageContaining("[a, b, c");
    Glyph one = new Glyph("f1", "a", List.of("a", "a", "b"));
    assertThat(one.segments()).containsExactly("a", "b");
    assertThat(Programme.EMPTY.with(one).with(new Glyph("f1", "a", List.of())).glyphs()).hasSize(1);
  }
}
