package org.myrialith.web.layout;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Each kind of fixture from zero through the page: added, changed, refused, drawn, taken away. */
@ExtendWith(RunningApplication.Extension.class)
class LayoutKindsTest {
  /** A CSS pixel is 1/96 inch. */
  private static final double MM = 25.4 / 96;

  private final RunningApplication application;

  LayoutKindsTest(RunningApplication application) {
    this.application = application;
  }

  private static void type(Page page, String label, String value) {
    page.locator(".fixture-form").getByLabel(label).first().fill(value);
    page.keyboard().press("Tab");
  }

  /**
   * The last two columns: what is told of it, and how many emitters it has, both counted by hand.
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "panel | Columns | 16 | 16 × 8 panel | 128 | -1 | 1 to 256",
        "strip | Pieces | '12\n6, 25, reversed\n3, 5' | strip of 21 in 3 pieces | 21 | '0' | Pieces",
        "ring | Circles | '1, 0\n8, 12, 22.5, back' | 2 rings, 9 in all | 9 | '8, 0' | radiusMm",
        "polygon | Sides | 5 | polygon of 5 modules, 25 pixels | 25 | 2 | 3 to 128",
        "segment digits | LEDs per segment | 1 | 4 7-segment digits | 30 | 9 | 1 to 8",
        "bar | Bend (0 = straight) | 120 | curved bar of 10 | 10 | 400 | 350",
        "lamp digits | Digits | 3 | 3 lamp digits of 20 | 60 | 0 | 1 to",
        "stack | Layers | 5 | stack of 4 × 4 × 5 | 80 | 2.5 | whole number",
        "box | Top | 8 | box with 26 on its faces | 26 | 99x1 | pips from 0 to 9",
        "edge-lit panes | Panes per digit | 6 | 2 edge-lit digits of 6 panes | 24 | -6 | 1 to",
        "loose emitters | Emitters, one | '1, 2, 0, left eye\n9; 8,5' | 2 loose emitters | 2 | '1' | Emitters"
      })
  void aKindIsLaidOutFromZero(
      String kind,
      String label,
      String value,
      String told,
      int emitters,
      String bad,
      String allowed) {
    String id = application.bring(Gadget.blank("From zero"));
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/layout")) {
      Page page = screen.page();
      page.getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions()
                  .setName("Add " + (kind.endsWith("s") ? "" : "a ") + kind)
                  .setExact(true))
          .click();
      assertThat(page.locator(".piece")).hasCount(1);
      type(page, label, value);
      assertThat(page.locator(".revision b")).hasText("3");
      assertThat(page.locator("#strata a[aria-current] .band-figure"))
          .hasText(emitters + "\u00a0emitters");
      Fixture stored = application.stored(id).fixtures().get(0);
      assertThat(stored.describe()).isEqualTo(told);
      assertThat(stored.count()).isEqualTo(emitters);
      Object dots =
          page.locator(".dots").evaluate("e => e.getAttribute('d').split('M').length - 1");
      assertThat(dots).isEqualTo(emitters);
      takeAway(id, emitters);
      type(page, label, bad);
      assertThat(page.locator("#notice")).containsText(allowed);
      assertThat(page.locator(".fixture-form").getByLabel(label).first()).hasValue(bad);
      assertThat(application.head(id)).isEqualTo(3);
      screen.holdAccessible();
      comesBack(id);
    }
  }

  @Test
  void anOwnDigitStartsFromTheLinesThatAreThere() {
    String id = application.bring(Gadget.blank("Own digit"));
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/layout")) {
      Page page = screen.page();
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add segment digits"))
          .click();
      page.getByLabel("Segments", new Page.GetByLabelOptions().setExact(true))
          .selectOption("custom");
      assertThat(page.locator(".revision b")).hasText("3");
      assertThat(page.getByLabel("Own segments").inputValue().lines()).hasSize(7);
      String thirteen =
          IntStream.rangeClosed(1, 13)
              .mapToObj(i -> "filament %d, %d, 0, %d, 56".formatted(i, i, i + 2))
              .collect(Collectors.joining("\n", "", "\npoint, 30, 56, 30, 56\n"));
      type(page, "Own segments", thirteen);
      assertThat(page.locator(".revision b")).hasText("4");
      assertThat(application.stored(id).fixtures().get(0).describe())
          .isEqualTo("4 14-segment digits");
      screen.holdAccessible();
      page.getByLabel("Segments", new Page.GetByLabelOptions().setExact(true))
          .selectOption("sixteen");
      assertThat(page.locator(".revision b")).hasText("5");
      assertThat(page.getByLabel("Own segments")).hasCount(0);
      assertThat(application.stored(id).fixtures().get(0).describe())
          .isEqualTo("4 16-segment digits");
    }
  }

  private void takeAway(String id, int emitters) {
    String at = "/gadgets/" + id + "/r/3/";
    for (String name : new String[] {"map.csv", "pick-and-place.csv"}) {
      String table = new String(application.bytes(at + name), StandardCharsets.UTF_8);
      assertThat(table.lines()).hasSize(emitters + 1);
    }
    assertThat(application.bytes(at + "template.pdf"))
        .startsWith("%PDF-".getBytes(StandardCharsets.US_ASCII));
    assertThat(new String(application.bytes(at + "template.dxf"), StandardCharsets.US_ASCII))
        .contains("AC1009")
        .endsWith("EOF\n");
    assertThat(new String(application.bytes(at + "template.svg"), StandardCharsets.UTF_8))
        .contains("f1-0");
    var space = RunningApplication.tree(application.json("GET", at + "space.json", null));
    assertThat(space.get("emitters")).hasSize(6 * emitters);
  }

  /** The file of the gadget brings the same gadget. */
  private void comesBack(String id) {
    byte[] file = application.bytes("/gadgets/" + id + "/r/3/gadget.json");
    var answer = application.send("POST", "/api/v1/projects", "application/json", file);
    String copy = RunningApplication.tree(answer).get("id").stringValue();
    assertThat(application.stored(copy)).isEqualTo(application.stored(id));
  }

  /** Of every kind, each mark of the SVG stands in the browser where the map says, at 1:1. */
  @ParameterizedTest
  @MethodSource("demos")
  void theTemplateMeasuresRightInTheBrowser(Gadget gadget) {
    String at = "/gadgets/" + application.bring(gadget) + "/r/1/";
    var map = RunningApplication.tree(application.json("GET", at + "map.json", null));
    try (Screen screen = Screen.open(application.address())) {
      Page page = screen.page();
      page.setContent(new String(application.bytes(at + "template.svg"), StandardCharsets.UTF_8));
      Map<?, ?> marks =
          (Map<?, ?>)
              page.evaluate(
                  """
                  () => Object.fromEntries([...document.querySelectorAll('svg [id]')].filter((e) => /^f\\d+-\\d+$/.test(e.id)).map((e) => {
                    const b = e.getBBox(), m = e.getScreenCTM();
                    return [e.id, [(b.x + b.width / 2) * m.a + m.e, (b.y + b.height / 2) * m.d + m.f]]; }))
                  """);
      double[] first = null;
      int measured = 0;
      for (var emitter : map) {
        Object mark =
            marks.get(emitter.get("fixture").stringValue() + "-" + emitter.get("index").intValue());
        if (mark == null) {
          continue; // dark, or above another one of a stack
        }
        double[] there = {
          number(mark, 0) * MM - emitter.get("xMm").doubleValue(),
          number(mark, 1) * MM - emitter.get("yMm").doubleValue()
        };
        first = first == null ? there : first;
        assertThat(there[0]).isCloseTo(first[0], within(0.1));
        assertThat(there[1]).isCloseTo(first[1], within(0.1));
        measured++;
      }
      assertThat(measured).isGreaterThan(map.size() / 2);
      assertThat(page.locator("#names")).containsText(gadget.fixtures().get(0).name());
    }
  }

  static Stream<Gadget> demos() {
    return Stream.of(DemoGadgets.tideLantern(), DemoGadgets.quayClock(), DemoGadgets.reefShelf());
  }

  private static double number(Object pair, int at) {
    return ((Number) ((List<?>) pair).get(at)).doubleValue();
  }
}
