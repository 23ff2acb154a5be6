package org.myrialith.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.finding.InputException;

class SvgDrawingTest {
  private static final String HEAD = "<svg xmlns='http://www.w3.org/2000/svg' ";

  private static SvgDrawing read(String text) {
    return SvgDrawing.read(text.getBytes(StandardCharsets.UTF_8));
  }

  /** Scales by SVG 2, 8.2: width over view box; CSS: 96 user units to the inch. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "width='100mm' viewBox='0 0 100 50' | 10 | 20",
        "width='10cm' viewBox='0 0 200 50' | 5 | 10",
        "width='2in' viewBox='-10 -20 508 50' | 2 | 4",
        "width='96' height='96' | 2.64583333 | 5.29166667",
        "viewBox='0 0 96 96' | 2.64583333 | 5.29166667",
        "width='200mm' height='50mm' viewBox='0 0 100 50' | 60 | 20",
        "width='200mm' height='50mm' viewBox='0 0 100 50' preserveAspectRatio='none' | 20 | 20",
        "width='200mm' height='50mm' viewBox='0 0 100 50' preserveAspectRatio='xMinYMid' | 10 | 20",
        "width='200mm' height='50mm' viewBox='0 0 100 50' preserveAspectRatio='xMaxYMax slice' | 20 | -10",
        "width='50%' viewBox='0 0 96 96' | 2.64583333 | 5.29166667"
      })
  void unitsFollowWidthAndViewBox(String attributes, double x, double y) {
    SvgDrawing drawing = read(HEAD + attributes + "><circle id='a' cx='10' cy='20' r='1'/></svg>");
    assertThat(drawing.circles()).hasSize(1);
    assertThat(drawing.circles().get(0).xMm()).isCloseTo(x, within(1e-6));
    assertThat(drawing.circles().get(0).yMm()).isCloseTo(y, within(1e-6));
    assertThat(drawing.circles().get(0).name()).isEqualTo("a");
  }

  /** A drawing within one has a place, a scale and a view box of its own (SVG 2, 8.2). */
  @Test
  void drawingsNest() {
    SvgDrawing drawing =
        read(
            HEAD
                + """
                width='100mm' height='100mm' viewBox='0 0 100 100'>
                <svg x='10' y='20' width='50' height='50' viewBox='0 0 10 10'><circle cx='2' cy='3'/></svg>
                <svg x='5' width='50%' height='50%' viewBox='0 0 25 25'><circle cx='1' cy='1'/></svg>
                </svg>""");
    assertThat(drawing.circles().get(0).xMm()).isCloseTo(20, within(1e-9));
    assertThat(drawing.circles().get(0).yMm()).isCloseTo(35, within(1e-9));
    assertThat(drawing.circles().get(1).xMm()).isCloseTo(7, within(1e-9));
    assertThat(drawing.circles().get(1).yMm()).isCloseTo(2, within(1e-9));
  }

  @Test
  void hiddenPartsAreNotReadAndAreTold() {
    SvgDrawing drawing =
        read(
            HEAD
                + """
                viewBox='0 0 9 9'>
                <g display='none'><circle cx='1' cy='1' id='a'/></g>
                <g style='fill:red; display: none'><circle cx='1' cy='1' id='b'/></g>
                <g visibility='hidden'><circle cx='1' cy='1' id='c'/>
                  <circle cx='1' cy='1' id='d' visibility='visible'/></g>
                </svg>""");
    assertThat(drawing.circles()).extracting(SvgDrawing.Circle::name).containsExactly("d");
    assertThat(drawing.passedOver()).containsExactly("a hidden g", "a hidden g");
  }

  /** What follows a closed line without a move begins where that one began (SVG 2, 9.3.4). */
  @Test
  void aLineGoesOnFromWhereAClosedOneBegan() {
    SvgDrawing drawing =
        read(
            HEAD
                + "width='96mm' viewBox='0 0 96 96'><path d='M10,10 h20 v20 z l5,-5 l5,0'/></svg>");
    assertThat(drawing.lines()).hasSize(2);
    assertThat(drawing.lines().get(0).closed()).isTrue();
    assertThat(drawing.lines().get(1).xMm()).containsExactly(10, 15, 20);
    assertThat(drawing.lines().get(1).yMm()).containsExactly(10, 5, 5);
    assertThat(drawing.lines().get(1).closed()).isFalse();
  }

  @Test
  void aPathThatBeginsWithALineIsRefused() {
    assertThatThrownBy(() -> read(HEAD + "><path d='L1,2 3,4'/></svg>"))
        .isInstanceOf(InputException.class);
  }

  @Test
  void transformsNestAndLengthsKeepTheirUnits() {
    SvgDrawing drawing =
        read(
            HEAD
                + """
                width='96mm' viewBox='0 0 96 96'>
                <g transform='translate(10 5) rotate(90)'><g transform='scale(2)'>
                  <circle cx='3' cy='0'/>
                </g></g>
                <circle cx='1in' cy='0'/>
                </svg>""");
    // by hand: (3, 0) doubled, a quarter turn clockwise, shifted: (10, 11)
    assertThat(drawing.circles().get(0).xMm()).isCloseTo(10, within(1e-9));
    assertThat(drawing.circles().get(0).yMm()).isCloseTo(11, within(1e-9));
    // an inch is 96 user units, and one of them is 1 mm here
    assertThat(drawing.circles().get(1).xMm()).isCloseTo(96, within(1e-9));
  }

  @Test
  void linesOfEveryKindAreReadAndClosedOnesKnown() {
    SvgDrawing drawing =
        read(
            HEAD
                + """
                width='100mm' viewBox='0 0 100 100'>
                <line x1='0' y1='0' x2='3' y2='4'/>
                <polyline points='0,0 10,0 10,10'/>
                <polygon points='0,0 10,0 10,10'/>
                <rect x='1' y='2' width='30' height='20'/>
                <path id='two' d='M0 0h10M0 5v10z'/>
                <path d='M50 50a25 25 0 1 1 0.001 0z'/>
                </svg>""");
    assertThat(drawing.lines()).hasSize(7);
    assertThat(drawing.lines().get(0).lengthMm()).isCloseTo(5, within(1e-9));
    assertThat(drawing.lines().get(1).closed()).isFalse();
    assertThat(drawing.lines().get(2).closed()).isTrue();
    assertThat(drawing.lines().get(3).xMm()).containsExactly(1, 31, 31, 1);
    assertThat(drawing.lines().get(4).name()).isEqualTo("two");
    // a flattened circle is shorter than the true one, by less than its flatness allows
    assertThat(drawing.lines().get(6).lengthMm()).isCloseTo(2 * Math.PI * 25, within(0.5));
  }

  @Test
  void whatIsNotDrawnIsPassedOverAndSaid() {
    SvgDrawing drawing =
        read(
            HEAD
                + """
                viewBox='0 0 9 9'><script>alert(1)</script><style>circle{r:9px}</style>
                <defs><circle cx='1' cy='1'/></defs><image href='http://example.invalid/x.png'/>
                <text>hello</text><foreignObject><circle cx='2' cy='2'/></foreignObject>
                <circle cx='3' cy='3' onload='alert(2)'/></svg>""");
    assertThat(drawing.circles()).hasSize(1);
    assertThat(drawing.passedOver())
        .containsExactly("script", "style", "defs", "image", "text", "foreignObject");
  }

  /** The attacks that XML readers are known for; none may read a file, wait, or fill memory. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "<!DOCTYPE svg [<!ENTITY x SYSTEM 'file:///etc/hostname'>]>",
        "<!DOCTYPE svg SYSTEM 'http://127.0.0.1:9/none.dtd'>",
        "<!DOCTYPE svg [<!ENTITY % x SYSTEM 'file:///etc/hostname'> %x;]>",
        "<!DOCTYPE svg [<!ENTITY a 'ha'><!ENTITY b '&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;'>"
            + "<!ENTITY c '&b;&b;&b;&b;&b;&b;&b;&b;&b;&b;'><!ENTITY d '&c;&c;&c;&c;&c;&c;&c;&c;&c;&c;'>"
            + "<!ENTITY e '&d;&d;&d;&d;&d;&d;&d;&d;&d;&d;'><!ENTITY f '&e;&e;&e;&e;&e;&e;&e;&e;&e;&e;'>"
            + "<!ENTITY g '&f;&f;&f;&f;&f;&f;&f;&f;&f;&f;'><!ENTITY x '&g;&g;&g;&g;&g;&g;&g;&g;&g;&g;'>]>"
      })
  void entitiesAreNeverResolved(String doctype) {
    String file = doctype + HEAD + "viewBox='0 0 9 9'><circle id='&x;' cx='1' cy='1'/>&x;</svg>";
    Assertions.assertTimeoutPreemptively(
        Duration.ofSeconds(10),
        () -> assertThatThrownBy(() -> read(file)).isInstanceOf(InputException.class));
  }

  @Test
  void aDoctypeWithoutEntitiesDoesNoHarm(@TempDir Path folder) throws Exception {
    Path bait = Files.writeString(folder.resolve("bait.dtd"), "<!ATTLIST circle cx CDATA '77'>");
    String file = "<!DOCTYPE svg SYSTEM '" + bait.toUri() + "'>" + HEAD + "><circle cy='1'/></svg>";
    assertThat(read(file).circles().get(0).xMm()).isZero();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'' | whole SVG",
        "'<svg' | whole SVG",
        "'<svg><g>' | whole SVG",
        "'<html/>' | an SVG file",
        "'not xml' | whole SVG",
        "'<svg viewBox=\"1 2\"/>' | four numbers",
        "'<svg viewBox=\"a b c d\"/>' | whole SVG",
        "'<svg><path d=\"M0 0 Lx\"/></svg>' | whole SVG",
        "'<svg><circle cx=\"abc\"/></svg>' | whole SVG",
        "'<svg><circle cx=\"1e300\"/></svg>' | within 10 km",
        "'<svg><g transform=\"twist(3)\"/></svg>' | whole SVG"
      })
  void brokenFilesAreRefused(String text, String says) {
    assertThatThrownBy(() -> read(text))
        .isInstanceOf(InputException.class)
        .hasMessageContaining(says);
  }

  @Test
  void sizeAndDepthAreBounded() {
    String deep = "<svg>" + "<g>".repeat(5000) + "</g>".repeat(5000) + "</svg>";
    assertThatThrownBy(() -> read(deep)).hasMessageContaining("smaller drawing");
    String wide = "<svg>" + "<circle/>".repeat(SvgDrawing.MOST_ELEMENTS + 1) + "</svg>";
    assertThatThrownBy(() -> read(wide)).hasMessageContaining("smaller drawing");
    String hidden = "<svg><defs>" + "<g>".repeat(5000) + "</g>".repeat(5000) + "</defs></svg>";
    assertThatThrownBy(() -> read(hidden)).hasMessageContaining("smaller drawing");
    String corners = "<svg><path d='M0 0" + "h1v1".repeat(300_000) + "'/></svg>";
    assertThatThrownBy(() -> read(corners)).hasMessageContaining("simpler drawing");
  }

  @Test
  void everyCutOfAFileIsRefusedOrRead() {
    String whole =
        HEAD + "viewBox='0 0 9 9'><g transform='scale(2)'><circle cx='1' cy='1'/></g></svg>";
    for (int length = 0; length < whole.length(); length++) {
      String part = whole.substring(0, length);
      assertThatThrownBy(() -> read(part)).as(part).isInstanceOf(InputException.class);
    }
    assertThat(read(whole).circles()).hasSize(1);
  }
}
