package org.myrialith.frames;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
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
}
