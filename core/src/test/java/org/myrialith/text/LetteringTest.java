package org.myrialith.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.myrialith.finding.Phrase.phrase;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.formats.BdfFont;
import org.myrialith.tool.OutsideTool;

/** Text in dots, against an independent renderer of the same font files. */
class LetteringTest {
  @TempDir static Path folder;

  private static byte[] file(String key) throws IOException {
    try (InputStream in = Fonts.class.getResourceAsStream(key + ".bdf")) {
      return in.readAllBytes();
    }
  }

  /** Rows of lit dots without what is dark round them. */
  private static List<String> cropped(int columns, int rows, boolean[] lit) {
    int left = columns;
    int right = -1;
    int top = rows;
    int foot = -1;
    for (int i = 0; i < lit.length; i++) {
      if (lit[i]) {
        left = Math.min(left, i % columns);
        right = Math.max(right, i % columns);
        top = Math.min(top, i / columns);
        foot = Math.max(foot, i / columns);
      }
    }
    List<String> all = new ArrayList<>();
    for (int row = top; row <= foot; row++) {
      StringBuilder text = new StringBuilder();
      for (int column = left; column <= right; column++) {
        text.append(lit[row * columns + column] ? '#' : '.');
      }
      all.add(text.toString());
    }
    return all;
  }

  /** The image tool draws the text with its own font library. */
  private static List<String> drawn(Path font, int height, String text) {
    String bitmap =
        OutsideTool.run(
                folder,
                "convert",
                "+antialias",
                "-background",
                "black",
                "-fill",
                "white",
                "-font",
                font.toString(),
                "-pointsize",
                String.valueOf(height),
                "label:" + text.replace("\\", "\\\\").replace("%", "%%"),
                "-threshold",
                "50%",
                "-compress",
                "none",
                "pbm:-")
            .text();
    String[] words = bitmap.strip().split("\\s+", 4);
    int columns = Integer.parseInt(words[1]);
    int rows = Integer.parseInt(words[2]);
    String dots = words[3].replaceAll("\\s", "");
    boolean[] lit = new boolean[columns * rows];
    for (int i = 0; i < lit.length; i++) {
      lit[i] = dots.charAt(i) == '0'; // 1 is black there
    }
    return cropped(columns, rows, lit);
  }

  @ParameterizedTest
  @ValueSource(strings = {"pebble-8", "pebble-8-even", "pebble-5", "pebble-16"})
  void linesAreThoseOfAnIndependentRenderer(String key) throws IOException {
    Path path = folder.resolve(key + ".bdf");
    Files.write(path, file(key));
    BdfFont font = Fonts.of(key, List.of()).orElseThrow();
    Random random = new Random(key.hashCode());
    List<String> texts =
        new ArrayList<>(List.of("HELLO 12:45", "A,B;C!D?", "TIDE +3.5 M", "X<Y>Z = 100%"));
    if (!key.equals("pebble-5")) {
      texts.addAll(List.of("Quay jiffy g", "Ärger über größe", "façade, señor, ålesund €5"));
    }
    List<Integer> there = font.glyphs().keySet().stream().filter(c -> c > 32).sorted().toList();
    for (int i = 0; i < 4; i++) {
      StringBuilder text = new StringBuilder("A");
      for (int letter = 0; letter < 12; letter++) {
        int code = there.get(random.nextInt(there.size()));
        text.appendCodePoint(code == 0xffff ? 'B' : code);
      }
      texts.add(text.toString());
    }
    for (String text : texts) {
      Line line = Line.of(text, font);
      assertThat(cropped(line.columns(), line.rows(), line.lit()))
          .as(text)
          .isEqualTo(drawn(path, font.height(), text));
      assertThat(line.missing()).as(text).isEmpty();
    }
  }

  @Test
  void whatAFontLacksIsTold() {
    Line line = Line.of("Tide 漁火 漁 A", Fonts.of("pebble-8", List.of()).orElseThrow());
    assertThat(line.missing()).containsExactly("漁", "火");
    CaptionPlan plan = CaptionPlan.of(Caption.usual("f1").saying("漁"), List.of(), 16, 5);
    assertThat(plan.notes()).anyMatch(n -> n.contains("漁")).anyMatch(n -> n.contains("cut off"));
  }

  /** A text of 29 dots over 16 columns: 45 pictures, 12 a second to the millisecond. */
  @Test
  void whatScrollsGoesADotAPicture() {
    Caption caption = Caption.usual("f1");
    BdfFont font = Fonts.of(Fonts.USUAL, List.of()).orElseThrow();
    Line line = Line.of("Hello", font);
    CaptionPlan plan = CaptionPlan.of(caption, List.of(), 16, 8);
    assertThat(plan.shots()).hasSize(line.columns() + 16);
    int seconds = plan.shots().stream().mapToInt(CaptionPlan.Shot::holdMillis).sum();
    assertThat((double) seconds).isCloseTo(plan.shots().size() / 0.012, within(1.0));
    // it begins dark, and each picture is the one before moved by a dot
    assertThat(plan.shots().get(0).rgb()).containsOnly(0);
    for (int shot = 1; shot < plan.shots().size(); shot++) {
      byte[] before = plan.shots().get(shot - 1).rgb();
      byte[] now = plan.shots().get(shot).rgb();
      for (int row = 0; row < 8; row++) {
        assertThat(Arrays.copyOfRange(now, row * 48, row * 48 + 45))
            .isEqualTo(Arrays.copyOfRange(before, row * 48 + 3, row * 48 + 48));
      }
    }
    // five letters in the time of their dots
    assertThat(plan.lettersPerSecond()).isCloseTo(5 / (line.columns() / 12.0), within(1e-9));
  }

  @Test
  void pagesHaveWholeWordsWhereTheyFit() {
    Caption caption = Caption.usual("f1").saying("AB CD ABCDEFGHIJ E").by(Caption.Way.PAGES);
    CaptionPlan plan = CaptionPlan.of(caption, List.of(), 24, 8);
    // five dots a letter and one between: two words of two letters do not fit into 24
    BdfFont font = Fonts.of(Fonts.USUAL, List.of()).orElseThrow();
    assertThat(Line.of("AB CD", font).columns() - 1).isGreaterThan(24);
    assertThat(plan.shots().size()).isBetween(5, 6);
    assertThat(plan.shots()).allMatch(shot -> shot.holdMillis() == 2000);
    assertThat(CaptionPlan.of(caption.by(Caption.Way.STANDS), List.of(), 24, 8).shots()).hasSize(1);
    assertThat(CaptionPlan.of(caption.saying(""), List.of(), 24, 8).shots()).hasSize(1);
  }

  @Test
  void textsThatAreTooLongAreRefusedByName() {
    assertThatThrownBy(
            () -> CaptionPlan.of(Caption.usual("f1").saying("W".repeat(10_000)), List.of(), 16, 8))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("text")
        .hasMessageContaining("2000");
    assertThatThrownBy(() -> Caption.usual("f1").saying("W".repeat(10_001)))
        .hasMessageContaining("at most 10000");
    assertThatThrownBy(() -> CaptionPlan.of(Caption.usual("f1").in("none"), List.of(), 9, 9))
        .hasMessageContaining("font");
  }

  /** What a file may not be, each with the line that says so. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "nothing",
        "STARTFONT 2.1\nFONTBOUNDINGBOX 8 0 0 0\nENDFONT",
        "STARTFONT 2.1\nFONTBOUNDINGBOX 8 8 0\nENDFONT",
        "STARTFONT 2.1\nFONTBOUNDINGBOX 8 8 0 0\nENDFONT",
        "STARTFONT 2.1\nFONTBOUNDINGBOX 8 8 0 0\nSTARTCHAR A\nENCODING 65\nBITMAP\nFF\nENDCHAR\nENDFONT",
        "STARTFONT 2.1\nFONTBOUNDINGBOX 8 8 0 0\nSTARTCHAR A\nENCODING 65\nBBX 8 9999 0 0\nBITMAP\nENDCHAR\nENDFONT",
        "STARTFONT 2.1\nFONTBOUNDINGBOX 8 8 0 0\nSTARTCHAR A\nENCODING 65\nBBX 8 2 0 0\nBITMAP\nFF\nENDCHAR\nENDFONT",
        "STARTFONT 2.1\nFONTBOUNDINGBOX 8 8 0 0\nSTARTCHAR A\nENCODING 65\nBBX 8 1 0 0\nBITMAP\nGG\nENDCHAR\nENDFONT",
        "STARTFONT 2.1\nFONTBOUNDINGBOX 8 8 0 0\nSTARTCHAR A\nENCODING 65\nBBX 8 1 0 0\nBITMAP\nFF",
        "STARTFONT 2.1\nFONT_ASCENT 0\nFONT_DESCENT 0\nFONTBOUNDINGBOX 8 8 0 0\nSTARTCHAR A\nENCODING 65\nBBX 8 1 0 0\nBITMAP\nFF\nENDCHAR\nENDFONT",
      })
  void filesThatAreNoFontsAreRefused(String text) {
    assertThatThrownBy(() -> BdfFont.read(text))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("font");
  }

  /** Cut off anywhere, or with bytes changed, a font is read or refused, and nothing else. */
  @Test
  void brokenFilesNeverDoAnythingElse() throws IOException {
    String text = new String(file("pebble-5"), StandardCharsets.US_ASCII);
    Random random = new Random(3);
    for (int i = 0; i < 400; i++) {
      StringBuilder broken = new StringBuilder(text.substring(0, random.nextInt(text.length())));
      for (int change = 0; change < 3 && !broken.isEmpty(); change++) {
        broken.setCharAt(random.nextInt(broken.length()), (char) (32 + random.nextInt(95)));
      }
      try {
        BdfFont.read(broken.toString());
      } catch (InputException expected) {
        assertThat(expected).hasMessageContaining("font");
      }
    }
  }

  /** A font in which each character is eight dots that spell its place among them. */
  private static BdfFont spelling(String characters) {
    StringBuilder bdf = new StringBuilder("STARTFONT 2.1\nFONTBOUNDINGBOX 8 1 0 0\n");
    for (int i = 0; i < characters.length(); i++) {
      bdf.append(
          phrase(
              "STARTCHAR c\nENCODING %d\nDWIDTH 8 0\nBBX 8 1 0 0\nBITMAP\n%02X\nENDCHAR\n",
              (int) characters.charAt(i), i + 1));
    }
    return BdfFont.read(bdf + "ENDFONT\n");
  }

  private static String spelled(String text) {
    String characters = " abcdefghijklmnopqrstuvwxyz.!?()0123456789אבגדהוזחטיכלמנסעפצקרשת";
    Line line = Line.of(text, spelling(characters));
    StringBuilder seen = new StringBuilder();
    for (int at = 0; at < line.columns(); at += 8) {
      int code = 0;
      for (int bit = 0; bit < 8; bit++) {
        code = 2 * code + (line.lit()[at + bit] ? 1 : 0);
      }
      seen.append(characters.charAt(code - 1));
    }
    return seen.toString();
  }

  /** Capitals stand for letters that are written from right to left, as in UAX 9. */
  private static String rightToLeft(String text) {
    StringBuilder mapped = new StringBuilder();
    String hebrew = "אבגדהוזחטיכלמנסעפצקרשת";
    text.chars()
        .forEach(c -> mapped.append((char) (c >= 'A' && c <= 'V' ? hebrew.charAt(c - 'A') : c)));
    return mapped.toString();
  }

  /**
   * Examples of the Unicode bidirectional algorithm (UAX 9, section 3.4, and its rules for numbers
   * and brackets): what is stored, and the order in which it is seen.
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "car is a CAR in english|car is a RAC in english",
        "car means CAR.|car means RAC.",
        "CAR is THE CAR|RAC EHT is RAC",
        "THE CAR IS 12 OLD|DLO 12 SI RAC EHT",
        "A (B) C|C (B) A",
        "plain text|plain text",
      })
  void textFromRightToLeftStandsAsItIsSeen(String stored, String seen) {
    assertThat(spelled(rightToLeft(stored))).isEqualTo(rightToLeft(seen));
  }

  @Test
  void accentsThatComeApartArePutTogether() {
    BdfFont font = Fonts.of("pebble-8", List.of()).orElseThrow();
    assertThat(Line.of("A\u0308rger o\u0302", font).lit())
        .isEqualTo(Line.of("\u00c4rger \u00f4", font).lit());
  }

  /**
   * A letter that reaches back before its beginning, and an accent above the rows of the font: BBX
   * gives offsets from the origin (Adobe 5005, section 3.2), here one to the left and two above.
   */
  @Test
  void bearingsAndAccentsAreWhole() {
    BdfFont font =
        BdfFont.read(
            """
            STARTFONT 2.1
            FONTBOUNDINGBOX 3 3 0 0
            STARTPROPERTIES 2
            FONT_ASCENT 3
            FONT_DESCENT 0
            ENDPROPERTIES
            STARTCHAR j
            ENCODING 106
            DWIDTH 3 0
            BBX 4 5 -1 0
            BITMAP
            10
            00
            10
            10
            E0
            ENDCHAR
            STARTCHAR acute
            ENCODING 769
            DWIDTH 0 0
            BBX 2 1 -2 5
            BITMAP
            C0
            ENDCHAR
            ENDFONT
            """);
    Line line = Line.of("j\u0301", font);
    assertThat(line.over()).isEqualTo(3);
    assertThat(cropped(line.columns(), line.rows(), line.lit()))
        .containsExactly("..##", "...#", "....", "...#", "...#", "###.");
  }

  /** Thousands of characters, twice as much as is kept: what texts use is there, and it says so. */
  @Test
  void ofALargeFontWhatIsUsedIsKept() {
    StringBuilder bdf = new StringBuilder("STARTFONT 2.1\nFONTBOUNDINGBOX 6 13 0 -2\nCHARS 5000\n");
    for (int i = 0; i < 5000; i++) {
      bdf.append(
          phrase(
              "STARTCHAR uni%04X\nENCODING %d\nSWIDTH 436 0\nDWIDTH 6 0\nBBX 6 13 0 -2\nBITMAP\n%sENDCHAR\n",
              i + 32, i + 32, "FC\n".repeat(13)));
    }
    bdf.append("ENDFONT\n");
    assertThat(bdf.length()).isGreaterThan(500_000);
    FontFile font = FontFile.of("all", bdf.toString(), Set.of(5000, 0x3b1));
    assertThat(font.bdf().length()).isLessThanOrEqualTo(FontFile.MOST_LENGTH);
    assertThat(font.font().glyphs()).containsKeys(32, 0x3b1, 5000, (int) 'z');
    assertThat(font.font().glyphs().size()).isGreaterThan(2000);
    assertThat(font.note().orElseThrow())
        .contains(Quantity.number(font.font().glyphs().size()) + " of 5000 characters");
    assertThat(FontFile.of("some", font.bdf(), Set.of()).bdf()).isEqualTo(font.bdf());
    // an error beyond what would be kept names its line
    String damaged = bdf.toString().replace("ENCODING 5031", "ENCODING x");
    assertThatThrownBy(() -> FontFile.of("all", damaged, Set.of()))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("line");
  }
}
