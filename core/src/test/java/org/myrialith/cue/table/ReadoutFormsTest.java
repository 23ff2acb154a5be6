package org.myrialith.cue.table;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Levels;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Readout;
import org.myrialith.cue.ReadoutForm;
import org.myrialith.cue.Scene;
import org.myrialith.cue.Variable;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LampDigits;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Panes;
import org.myrialith.layout.Shape;
import org.myrialith.parts.Controller;
import org.myrialith.power.PowerSettings;
import org.myrialith.text.Fonts;
import org.myrialith.tool.Gadgets;

/** Values in bits, on panes and by digits, read off the lights as somebody would who looks. */
class ReadoutFormsTest {
  private static final int COLUMNS = 12;
  private static final int ROWS = 11;

  private static final Shape PANEL =
      new Panel(COLUMNS, ROWS, 10, 10, Corner.TOP_LEFT, false, false, 0);

  private static GadgetPlan plan(Shape shape, int value, Readout readout) {
    Gadget bare =
        Gadgets.of(
            "Shown",
            "",
            Controller.AVR8_32K,
            Optional.empty(),
            List.of(Fixture.of("f1", "Sign", shape, 0, 0)),
            List.of(OneWirePixels.usual("c1", List.of("f1"))),
            ColourSettings.USUAL,
            PowerSettings.USUAL,
            List.of());
    Variable x = new Variable("x", 0, 2047, value, false);
    Scene scene = Scene.empty("s1", "Value").showing(List.of(readout));
    Cue shows = Cue.showing("u1", "Shows", new PowerOn(), "s1");
    return GadgetPlan.of(
        bare.with(new CueSheet(List.of(x), List.of(scene), "s1", List.of(shows), 1)));
  }

  private static Readout readout(ReadoutForm form, String text, String font, int column) {
    return new Readout("r1", "f1", form, text, font, column, 0, 0xffffff, false, "");
  }

  /** Which cells are lit, row by row. */
  private static List<String> lit(Shape shape, int value, ReadoutForm form, String text) {
    GadgetPlan plan = plan(shape, value, readout(form, text, Fonts.USUAL, 0));
    CueEngine engine = new CueEngine(plan.cueTable().orElseThrow());
    engine.untouched(100, () -> {});
    Levels levels = engine.levels().get(0);
    int columns = plan.layout().fixtures().get(0).seenColumns();
    int rows = plan.layout().fixtures().get(0).seenRows();
    boolean[] on = new boolean[columns * rows];
    var seats = plan.layout().fixtures().get(0).placements();
    for (int i = 0; i < seats.size(); i++) {
      on[seats.get(i).position().row() * columns + seats.get(i).position().column()] =
          levels.at(3 * i) > 0;
    }
    List<String> all = new ArrayList<>();
    for (int row = 0; row < rows; row++) {
      StringBuilder text2 = new StringBuilder();
      for (int column = 0; column < columns; column++) {
        text2.append(on[row * columns + column] ? '1' : '0');
      }
      all.add(text2.toString());
    }
    return all;
  }

  private static String column(List<String> rows, int column) {
    StringBuilder all = new StringBuilder();
    rows.forEach(row -> all.append(row.charAt(column)));
    return all.toString();
  }

  /** A number in base 2 as the platform writes it, eleven bits for values up to 2047. */
  @ParameterizedTest
  @ValueSource(ints = {0, 1, 9, 10, 37, 999, 1024, 2047})
  void binaryIsTheNumberInBaseTwo(int value) {
    List<String> across = lit(PANEL, value, ReadoutForm.BINARY, "{x}");
    assertThat(Integer.parseInt(across.get(0).substring(0, 11), 2)).isEqualTo(value);
    assertThat(String.join("", across.subList(1, ROWS))).doesNotContain("1");
    List<String> down = lit(PANEL, value, ReadoutForm.BINARY_DOWN, "{x}");
    assertThat(Integer.parseInt(column(down, 0), 2)).isEqualTo(value);
  }

  /** Binary coded decimal: each digit by itself in four bits. */
  @ParameterizedTest
  @ValueSource(ints = {0, 5, 42, 709, 1998})
  void eachDigitHasFourBits(int value) {
    String digits = ("0000" + value).substring(("0000" + value).length() - 4);
    List<String> across = lit(PANEL, value, ReadoutForm.BITS_ACROSS, "{x}");
    List<String> down = lit(PANEL, value, ReadoutForm.BITS, "{x}");
    for (int digit = 0; digit < 4; digit++) {
      int shown = digits.charAt(digit) - '0';
      assertThat(Integer.parseInt(across.get(digit).substring(0, 4), 2)).isEqualTo(shown);
      assertThat(Integer.parseInt(column(down, digit).substring(0, 4), 2)).isEqualTo(shown);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "2026, {x:last2}, 26",
    "2007, {x:last2}, 07",
    "1905, {x:last3}, 905",
    "1905, {x:ones}, 5",
    "1905, {x:tens}, 0",
    "1905, {x:hundreds}, 9",
    "1905, {x:thousands}, 1",
    "42, {x:thousands}{x:ones}, 02",
  })
  void aPartOfAValueIsShown(int value, String text, String seen) {
    List<String> down = lit(PANEL, value, ReadoutForm.BITS, text);
    StringBuilder shown = new StringBuilder();
    for (int digit = 0; digit < seen.length(); digit++) {
      shown.append(Integer.parseInt(column(down, digit).substring(0, 4), 2));
    }
    assertThat(shown).hasToString(seen);
  }

  /** Ten panes a digit, that of 0 in front: one pane of each is lit, by its figure. */
  @Test
  void panesShowFigures() {
    Shape panes = new Panes(4, 10, 1, 6, 40, 60, 3, 50);
    List<String> rows = lit(panes, 709, ReadoutForm.TEXT, "{x:04}");
    for (int digit = 0; digit < 4; digit++) {
      String one = column(rows, digit);
      assertThat(one.chars().filter(c -> c == '1')).hasSize(1);
      assertThat(one.indexOf('1')).isEqualTo("0709".charAt(digit) - '0');
    }
    // six panes have no 7
    Shape few = new Panes(4, 6, 1, 6, 40, 60, 3, 50);
    assertThat(findings(few, ReadoutForm.TEXT, "{x:04}", Fonts.USUAL, 0))
        .anyMatch(f -> f.verdict() == Verdict.BREAKS && f.says().contains("no pane"));
  }

  /** Figures of thirteen lamps and more, as old scoreboards have them, drawn by hand. */
  @Test
  void lampDigitsShowFigures() {
    Shape lamps = LampDigits.KIND.usual();
    Map<Integer, List<String>> drawn =
        Map.of(
            10,
                List.of(
                    "0001" + "1111",
                    "0001" + "1001",
                    "0001" + "1001",
                    "0001" + "1001",
                    "0001" + "1001",
                    "0001" + "1001",
                    "0001" + "1111"),
            27,
                List.of(
                    "1111" + "1111",
                    "0001" + "0001",
                    "0001" + "0001",
                    "1111" + "0001",
                    "1000" + "0001",
                    "1000" + "0001",
                    "1111" + "0001"),
            45,
                List.of(
                    "1001" + "1111",
                    "1001" + "1000",
                    "1001" + "1000",
                    "1111" + "1111",
                    "0001" + "0001",
                    "0001" + "0001",
                    "0001" + "1111"));
    drawn.forEach(
        (value, rows) ->
            assertThat(lit(lamps, value, ReadoutForm.TEXT, "{x:2}"))
                .as("%d", value)
                .isEqualTo(rows));
  }

  private static List<Finding> findings(
      Shape shape, ReadoutForm form, String text, String font, int column) {
    return plan(shape, 7, readout(form, text, font, column)).cues().orElseThrow().findings();
  }

  /** Panels as large as the text, and one cell smaller, by the font's own advance and height. */
  @Test
  void whatFallsOffItsFixtureIsToldWithAFontThatFits() {
    int wide =
        Fonts.of("pebble-8-even", List.of()).orElseThrow().glyph('0').orElseThrow().advance();
    assertThat(findings(PANEL, ReadoutForm.TEXT, "{x:1}", "pebble-8-even", 0))
        .noneMatch(f -> f.key().equals("off-r1"));
    Shape low = new Panel(4 * wide, 5, 10, 10, Corner.TOP_LEFT, false, false, 0);
    assertThat(findings(low, ReadoutForm.TEXT, "{x}", "pebble-8-even", 0))
        .anyMatch(
            f ->
                f.key().equals("off-r1")
                    && f.verdict() == Verdict.TIGHT
                    && f.advice().contains("Pebble, 5 rows"));
    assertThat(findings(low, ReadoutForm.TEXT, "{x}", "pebble-5", 0))
        .noneMatch(f -> f.key().equals("off-r1"));
    // a digit further right, and the last is not seen at all
    assertThat(findings(low, ReadoutForm.TEXT, "{x}", "pebble-5", 3 * wide))
        .anyMatch(f -> f.key().equals("off-r1") && f.verdict() == Verdict.BREAKS);
    assertThat(findings(PANEL, ReadoutForm.BINARY, "{x}", Fonts.USUAL, 1))
        .noneMatch(f -> f.key().equals("off-r1"));
    assertThat(findings(PANEL, ReadoutForm.BINARY, "{x}", Fonts.USUAL, 2))
        .anyMatch(f -> f.key().equals("off-r1") && f.says().contains("1 of 11"));
  }

  /** The time to begin with can be read on whatever it is put on. */
  @Test
  void theFirstReadoutFits() {
    for (int rows = 1; rows <= 16; rows++) {
      Shape panel = new Panel(60, rows, 10, 10, Corner.TOP_LEFT, false, false, 0);
      Readout first = Readout.first("r1", Fixture.of("f1", "Sign", panel, 0, 0), List.of());
      assertThat(plan(panel, 7, first).cues().orElseThrow().findings())
          .as("%d rows", rows)
          .noneMatch(f -> f.key().startsWith("off-") || f.key().startsWith("can-not"));
    }
  }
}
