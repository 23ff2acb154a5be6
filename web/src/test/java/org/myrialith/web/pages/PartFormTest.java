package org.myrialith.web.pages;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.InputError;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Ring;
import org.myrialith.layout.Segment;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.layout.Shape;
import org.myrialith.layout.ShapeKinds;
import org.myrialith.layout.Strip;
import org.myrialith.schema.Kind;

/** Forms made from descriptions: what was not touched stays, what was typed is read or refused. */
class PartFormTest {
  private static final Fixture PANEL = DemoGadgets.tideLantern().fixtures().get(0);
  private static final Fixture STRIP = DemoGadgets.tideLantern().fixtures().get(1);

  private static PartForm<Fixture> form(Fixture fixture) {
    return new PartForm<>(Fixture.DESCRIPTION, fixture);
  }

  private static Map<String, String> with(Fixture fixture, String field, String text) {
    Map<String, String> typed = new HashMap<>(form(fixture).shown().values());
    typed.put(field, text);
    return typed;
  }

  @Test
  void fieldsShowWhatStandsInTheGadget() {
    FormValues shown = form(PANEL).shown();
    assertThat(shown.value("pitchXMm")).isEqualTo("10");
    assertThat(shown.value("firstCorner")).isEqualTo("top-left");
    assertThat(shown.value("no such field")).isEmpty();
    assertThat(form(STRIP).shown().value("path")).startsWith("-35, 100\n185, 100\n");
  }

  /** A pitch of a third is shown short and kept whole while another field is typed. */
  @Test
  void aLongFractionIsShownShortAndKeptWhole() {
    Fixture third = PANEL.with(panel(3, 3, 10.0 / 3));
    assertThat(form(third).shown().value("pitchXMm")).isEqualTo("3.33");
    Fixture renamed = form(third).read(with(third, "name", "Thirds"));
    assertThat(((Panel) renamed.shape()).pitchXMm()).isEqualTo(10.0 / 3);
    Fixture typed = form(third).read(with(third, "pitchXMm", "3.34"));
    assertThat(((Panel) typed.shape()).pitchXMm()).isEqualTo(3.34);
  }

  private static Panel panel(int columns, int rows, double pitch) {
    return new Panel(columns, rows, pitch, 10, org.myrialith.layout.Corner.TOP_LEFT, true, true, 0);
  }

  /** Headings of a pasted table and dashes of a typeset range are what they are. */
  @Test
  void aPastedTableMayHaveHeadings() {
    Fixture pasted = form(STRIP).read(with(STRIP, "path", "x, y\n0, 0\n150, 20"));
    assertThat(((Strip) pasted.shape()).path())
        .containsExactly(new Point(0, 0), new Point(150, 20));
    assertThat(form(PANEL).read(with(PANEL, "dark", "3, 7–9")).mount().dark())
        .containsExactly(3, 7, 8, 9);
  }

  static Stream<Shape> shapes() {
    return Stream.concat(
        ShapeKinds.ALL.kinds().stream().map(Kind::usual),
        Stream.of(
            new Panel(
                3, 3, 10.0 / 3, 0.1 + 0.2 + 7, org.myrialith.layout.Corner.TOP_LEFT, true, true, 3),
            new Strip(
                List.of(new Strip.Piece(6, 0.1 + 0.2, true), new Strip.Piece(3, 0, false)),
                3,
                59.99999999999999,
                List.of(new Point(-1e-17, 1e-300), new Point(1.0 / 3, 12.345678901234567))),
            new LooseEmitters(
                List.of(
                    new LooseEmitters.Single(0, 0, 0, "0"),
                    new LooseEmitters.Single(1.5, 2.5, 0, "left, \"upper\"; eye"),
                    new LooseEmitters.Single(4, 5, 6, ""))),
            new SegmentDigits(
                SegmentStyle.CUSTOM,
                50,
                30,
                0,
                2,
                List.of(new SegmentDigits.Module(2, "hours, minutes")),
                40,
                0,
                1,
                true,
                true,
                List.of(1),
                List.of(new Segment("a, b", 0, 0, 1, 1)),
                List.of(new SegmentDigits.Indicator(1, 2, "pm; am")))));
  }

  /** A form that comes back as it was shown changes nothing, to the last digit, of any kind. */
  @ParameterizedTest
  @MethodSource("shapes")
  void whatIsNotTouchedIsNotChanged(Shape shape) {
    Mount mount = new Mount(1.0 / 3, -7e-17, 0.1 + 0.2, 12.3, true, true, List.of(0), "small-red");
    Fixture fixture = new Fixture("f1", "Name, with \"marks\"", shape, mount);
    Map<String, String> back = new HashMap<>();
    // a browser sends lines with other ends
    form(fixture).shown().values().forEach((k, v) -> back.put(k, v.replace("\n", "\r\n")));
    assertThat(form(fixture).read(back)).isEqualTo(fixture);
    // another field alone leaves all others as they are
    back.put("name", "Other");
    assertThat(form(fixture).read(back)).isEqualTo(fixture.renamed("f1", "Other"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"12.5 | 12.5", "12,5 | 12.5", "' 7 ' | 7.0", "1e2 | 100.0", "+3 | 3.0"})
  void numbersAreTakenWithPointOrComma(String text, double value) {
    Panel panel = (Panel) form(PANEL).read(with(PANEL, "pitchXMm", text)).shape();
    assertThat(panel.pitchXMm()).isEqualTo(value);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "ten",
        "''",
        "1.2.3",
        "NaN",
        "0x10",
        "1e999999",
        "1111111111111111111111111111111111"
      })
  void whatIsNoNumberIsRefusedByName(String text) {
    assertThatThrownBy(() -> form(PANEL).read(with(PANEL, "pitchXMm", text)))
        .hasMessageContaining("pitchXMm")
        .hasMessageContaining("0.5 to 500 mm");
  }

  private static Fixture ring(String circles) {
    Fixture ring =
        Fixture.of("f1", "Ring", new Ring(List.of(new Ring.Circle(9, 40)), 0, 360, true));
    return form(ring).read(with(ring, "circles", circles));
  }

  private static Ring.Circle circle(String line) {
    return ((Ring) ring(line).shape()).circles().get(0);
  }

  @Test
  void decimalCommasAreTakenWhereTheyCanOnlyBeThat() {
    assertThat(circle("12; 30,5")).isEqualTo(new Ring.Circle(12, 30.5));
    assertThat(circle("12, 30.5")).isEqualTo(new Ring.Circle(12, 30.5));
    assertThat(circle("12,30")).isEqualTo(new Ring.Circle(12, 30));
    assertThat(circle("12, 30, 5, back")).isEqualTo(new Ring.Circle(12, 30, 5, true));
    assertThat(circle("12\t30,5\t7")).isEqualTo(new Ring.Circle(12, 30.5, 7, false));
  }

  /** 12, 30 and 5, or 12 and 30.5: nobody can tell. */
  @Test
  void whatMayBeReadInTwoWaysIsAskedAbout() {
    for (String either : List.of("12,30,5", "12, 30,5")) {
      assertThatThrownBy(() -> circle(either))
          .hasMessageContaining("circles[0]")
          .hasMessageContaining("30,5");
    }
    assertThatThrownBy(() -> circle("12, 30, 5, forth")).hasMessageContaining("the word back");
  }

  @Test
  void runsOfIndicesAreKnown() {
    assertThat(form(PANEL).read(with(PANEL, "dark", "3, 7-9")).mount().dark())
        .containsExactly(3, 7, 8, 9);
    assertThatThrownBy(() -> form(PANEL).read(with(PANEL, "dark", "9-7")))
        .hasMessageContaining("ascending ranges");
  }

  @Test
  void errorsStandBesideTheirFields() {
    FormValues form =
        FormValues.refused(
            Map.of("path", "1"),
            List.of(
                new InputError("path[1].xMm", "x", "a number"),
                new InputError("count", "0", "more")));
    assertThat(form.error("path")).contains("row 2, xMm");
    assertThat(form.error("count")).contains("allowed is more");
    assertThat(form.error("name")).isEmpty();
    assertThat(form.value("path")).isEqualTo("1");
  }
}
