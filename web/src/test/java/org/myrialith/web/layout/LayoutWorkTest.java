package org.myrialith.web.layout;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.Gadget;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.Loose;
import org.myrialith.layout.Panel;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Work on the drawing: by mouse, by keys and by numbers. */
@ExtendWith(RunningApplication.Extension.class)
class LayoutWorkTest {
  private final RunningApplication application;

  LayoutWorkTest(RunningApplication application) {
    this.application = application;
  }

  private static Gadget threeBars() {
    Gadget gadget = Gadget.blank("Three bars");
    for (int i = 1; i <= 3; i++) {
      gadget =
          gadget.withFixture(Fixture.of("f" + i, "Bar " + i, new Bar(4, 10, 0), 100 * i, 37 * i));
    }
    return gadget;
  }

  private Screen open(String id, String query) {
    return Screen.open(application.address() + "/gadgets/" + id + "/layout" + query);
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private static void revision(Page page, int number) {
    assertThat(page.locator(".revision b")).hasText(Integer.toString(number));
  }

  private Fixture stored(String id, String fixture) {
    return application.stored(id).fixture(fixture).orElseThrow();
  }

  /** Where a place of the bench is on screen (px). */
  private static double[] onScreen(Page page, double xMm, double yMm) {
    Object at =
        page.locator("svg.drawing")
            .evaluate(
                "(e, p) => { const q = new DOMPoint(p[0], p[1]).matrixTransform(e.getScreenCTM()); return [q.x, q.y]; }",
                List.of(xMm, yMm));
    List<?> both = (List<?>) at;
    return new double[] {
      ((Number) both.get(0)).doubleValue(), ((Number) both.get(1)).doubleValue()
    };
  }

  private static void drag(Page page, double[] from, double[] to) {
    page.mouse().move(from[0], from[1]);
    page.mouse().down();
    page.mouse().move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2);
    page.mouse().move(to[0], to[1]);
    page.mouse().up();
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "?fixture=f2,f3", "/emitters", "/emitters?emitter=high-power"})
  void thePagesOfEveryKindMeetTheRulesOfAccess(String query) {
    for (Gadget gadget : List.of(DemoGadgets.quayClock(), DemoGadgets.reefShelf())) {
      try (Screen screen = open(application.bring(gadget), query)) {
        for (Locator summary : screen.page().locator("details.tools > summary").all()) {
          summary.click();
        }
        screen.holdAccessible();
      }
    }
  }

  @Test
  void aStripThatBendsRoundAPanelDoesNotCoverIt() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "?fixture=f2")) {
      Page page = screen.page();
      double[] dot = onScreen(page, 70, 30);
      page.mouse().click(dot[0], dot[1]);
      assertThat(page.locator(".piece-picked")).hasAttribute("data-fixture", "f1");
    }
  }

  @Test
  void severalArePickedByShiftByBandAndByKeys() {
    String id = application.bring(threeBars());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      double[] second = onScreen(page, 215, 74);
      page.keyboard().down("Shift");
      page.mouse().click(second[0], second[1]);
      page.keyboard().up("Shift");
      assertThat(page.locator(".piece-picked")).hasCount(2);
      page.locator(".piece").nth(2).focus();
      page.keyboard().press("Shift+Enter");
      assertThat(page.locator(".piece-picked")).hasCount(3);
      page.getByLabel("Leave out Bar 1").click();
      assertThat(page.locator(".piece-picked")).hasCount(2);
      page.keyboard().down("Shift");
      drag(page, onScreen(page, 90, 20), onScreen(page, 245, 90));
      page.keyboard().up("Shift");
      assertThat(page.locator(".piece-picked")).hasCount(2);
      assertThat(page.locator(".piece-picked").first()).hasAttribute("data-fixture", "f1");
    }
  }

  @Test
  void whatIsPickedIsDraggedTogetherInStepsOfTheGrid() {
    String id = application.bring(threeBars());
    try (Screen screen = open(id, "?fixture=f1,f2")) {
      Page page = screen.page();
      page.getByLabel("Snap to a grid of so many millimetres").fill("5");
      page.keyboard().press("Tab");
      drag(page, onScreen(page, 115, 37), onScreen(page, 127, 20));
      revision(page, 2);
      assertThat(stored(id, "f1").mount().xMm()).isEqualTo(110);
      assertThat(stored(id, "f1").mount().yMm()).isEqualTo(22);
      assertThat(stored(id, "f2").mount().xMm()).isEqualTo(210);
      assertThat(stored(id, "f2").mount().yMm()).isEqualTo(59);
      assertThat(stored(id, "f3").mount().xMm()).isEqualTo(300);
      // the arrow keys go on from there
      page.locator(".piece-picked").first().focus();
      page.keyboard().press("ArrowRight");
      page.keyboard().press("Shift+ArrowDown");
      revision(page, 3);
      assertThat(stored(id, "f2").mount().xMm()).isEqualTo(211);
      assertThat(stored(id, "f2").mount().yMm()).isEqualTo(69);
    }
  }

  @Test
  void numbersDoWhatTheMouseDoes() {
    String id = application.bring(threeBars());
    try (Screen screen = open(id, "?fixture=f1,f2,f3")) {
      Page page = screen.page();
      button(page, "Align").click();
      revision(page, 2);
      assertThat(application.stored(id).fixtures()).allMatch(f -> f.place(0).xMm() == 85);
      page.getByLabel("Right", new Page.GetByLabelOptions().setExact(true)).fill("12,5");
      button(page, "Move").click();
      revision(page, 3);
      assertThat(stored(id, "f3").place(0).xMm()).isEqualTo(97.5);
      page.getByLabel("Clockwise", new Page.GetByLabelOptions().setExact(true)).fill("400");
      button(page, "Turn").click();
      assertThat(page.locator("#notice")).containsText("-360 to 360");
      assertThat(page.getByLabel("Clockwise", new Page.GetByLabelOptions().setExact(true)))
          .hasValue("400");
      page.getByLabel("Clockwise", new Page.GetByLabelOptions().setExact(true)).fill("30");
      button(page, "Turn").click();
      revision(page, 4);
      assertThat(stored(id, "f1").mount().turnDegrees()).isEqualTo(30);
      for (String act :
          List.of("Mirror left to right", "Mirror top to bottom", "Reverse the data")) {
        button(page, act).click();
      }
      revision(page, 7);
      assertThat(stored(id, "f2").mount().reversed()).isTrue();
      for (String act : List.of("Spread evenly across", "Snap to the grid")) {
        button(page, act).click();
      }
      page.waitForCondition(() -> stored(id, "f1").place(0).xMm() % 10 == 0);
      assertThat(stored(id, "f1").place(0).xMm() / 10 % 1).isCloseTo(0, within(1e-9));
    }
  }

  @Test
  void arraysRepeatInALineAndRoundAPoint() {
    String id = application.bring(threeBars());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      page.locator("#arrange > summary").click();
      page.getByLabel("Copies", new Page.GetByLabelOptions().setExact(true)).first().fill("5");
      page.getByLabel("each by").fill("60");
      button(page, "Repeat round the point").click();
      assertThat(page.locator(".piece")).hasCount(8);
      assertThat(application.stored(id).fixtures())
          .extracting(Fixture::name)
          .doesNotHaveDuplicates()
          .contains("Bar 1 2", "Bar 1 6");
      assertThat(application.stored(id).fixtures().get(7).mount().turnDegrees()).isEqualTo(300);
      // the copies hang on the line too
      assertThat(application.stored(id).chain().orElseThrow().fixtures()).hasSize(8);
    }
  }

  @Test
  void theDataLineIsReorderedByDraggingByNumberAndByKeys() {
    String id = application.bring(threeBars());
    try (Screen screen = open(id, "")) {
      Page page = screen.page();
      page.locator("#order > summary").click();
      BoundingBox last = page.locator(".turn-grip").nth(2).boundingBox();
      BoundingBox first = page.locator(".turn-grip").nth(0).boundingBox();
      drag(page, new double[] {last.x + 8, last.y + 8}, new double[] {first.x + 8, first.y + 2});
      revision(page, 2);
      assertThat(application.stored(id).chain().orElseThrow().fixtures())
          .containsExactly("f3", "f1", "f2");
      assertThat(page.locator("#order")).hasAttribute("open", "");
      page.getByLabel("Place of Bar 3 on the data line").fill("3");
      page.keyboard().press("Enter");
      revision(page, 3);
      assertThat(application.stored(id).chain().orElseThrow().fixtures())
          .containsExactly("f1", "f2", "f3");
      page.getByLabel("Place of Bar 1 on the data line").fill("4");
      page.keyboard().press("Enter");
      assertThat(page.locator("#notice")).containsText("1 to 3");
      assertThat(page.getByLabel("Place of Bar 1 on the data line")).hasValue("4");
      screen.holdAccessible();
      button(page, "Bar 2 earlier").click();
      button(page, "Reverse the data of Bar 2").click();
      revision(page, 5);
      assertThat(stored(id, "f2").mount().reversed()).isTrue();
    }
  }

  @Test
  void emittersAreSetByHandAndDragged() {
    String id = application.bring(threeBars());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      button(page, "Place emitters").click();
      for (double[] at : List.of(new double[] {150, 110}, new double[] {170, 115})) {
        double[] there = onScreen(page, at[0], at[1]);
        int before = application.head(id);
        page.mouse().click(there[0], there[1]);
        revision(page, before + 1);
      }
      Fixture nest = stored(id, "f4");
      assertThat(nest.shape()).isInstanceOf(Loose.class);
      assertThat(nest.place(1).xMm()).isEqualTo(170);
      drag(page, onScreen(page, 170, 115), onScreen(page, 190, 90));
      revision(page, 4);
      assertThat(stored(id, "f4").count()).isEqualTo(2);
      assertThat(stored(id, "f4").place(1).xMm()).isEqualTo(190);
      assertThat(stored(id, "f4").place(1).yMm()).isEqualTo(90);
      assertThat(stored(id, "f4").place(0).xMm()).isEqualTo(150);
    }
  }

  @Test
  void theViewIsKeptWhileValuesChangeAndTheRulerTellsTheTruth() {
    String id = application.bring(threeBars());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      Locator drawing = page.locator("svg.drawing");
      String whole = drawing.getAttribute("viewBox");
      button(page, "Larger").click();
      drawing.focus();
      page.keyboard().press("+");
      page.keyboard().press("ArrowRight");
      String moved = drawing.getAttribute("viewBox");
      assertThat(moved).isNotEqualTo(whole);
      page.getByLabel("At x").fill("101");
      page.keyboard().press("Tab");
      revision(page, 2);
      assertThat(drawing).hasAttribute("viewBox", moved);
      // what the ruler says is what lies between two points on screen
      Object bar =
          page.locator(".ruler path")
              .evaluate(
                  "e => { const b = e.getBBox(), m = e.getScreenCTM(); return [b.width * m.a, b.x * m.a + m.e, (b.y + b.height) * m.d + m.f]; }");
      List<?> ruler = (List<?>) bar;
      double says = Double.parseDouble(page.locator(".ruler text").textContent().split(" ")[0]);
      double[] from = onScreen(page, 0, 0);
      double[] to = onScreen(page, says, 0);
      assertThat(((Number) ruler.get(0)).doubleValue()).isCloseTo(to[0] - from[0], within(0.1));
      BoundingBox stage = page.locator(".stage").boundingBox();
      assertThat(((Number) ruler.get(1)).doubleValue()).isGreaterThan(stage.x);
      assertThat(((Number) ruler.get(2)).doubleValue()).isLessThan(stage.y + stage.height);
      drawing.focus();
      page.keyboard().press("0");
      drag(page, onScreen(page, 200, 40), onScreen(page, 240, 60));
      assertThat(drawing.getAttribute("viewBox")).isNotEqualTo(whole);
      button(page, "Whole").click();
      assertThat(application.head(id)).isEqualTo(2);
    }
  }

  @Test
  void theWheelZoomsAboutThePointer() {
    String id = application.bring(threeBars());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      Locator drawing = page.locator("svg.drawing");
      String whole = drawing.getAttribute("viewBox");
      double[] before = onScreen(page, 215, 74);
      page.mouse().move(before[0], before[1]);
      page.mouse().wheel(0, -120);
      page.mouse().wheel(0, -120);
      assertThat(drawing).not().hasAttribute("viewBox", whole);
      double[] after = onScreen(page, 215, 74);
      assertThat(after[0]).isCloseTo(before[0], within(0.5));
      assertThat(after[1]).isCloseTo(before[1], within(0.5));
      double[] beside = onScreen(page, 225, 74);
      double[] further = onScreen(page, 235, 74);
      assertThat(further[0] - beside[0]).isCloseTo(beside[0] - after[0], within(0.01));
    }
  }

  @Test
  void namesNeverRunIntoEachOther() {
    Gadget gadget = Gadget.blank("Crowd");
    for (int i = 1; i <= 12; i++) {
      gadget =
          gadget.withFixture(
              Fixture.of("f" + i, "A rather long name " + i, new Bar(2, 5, 0), 12 * i, i % 3 * 6));
    }
    String id =
        application.bring(gadget.withFixture(Fixture.of("f13", "Far", new Bar(2, 5, 0), 900, 500)));
    try (Screen screen = open(id, "?fixture=f7")) {
      List<BoundingBox> shown =
          screen.page().locator(".names text:not(.crowded)").all().stream()
              .map(Locator::boundingBox)
              .toList();
      assertThat(shown).hasSizeBetween(2, 12);
      for (BoundingBox a : shown) {
        assertThat(shown)
            .filteredOn(b -> b != a)
            .noneMatch(
                b ->
                    a.x < b.x + b.width - 1
                        && b.x < a.x + a.width - 1
                        && a.y < b.y + b.height - 1
                        && b.y < a.y + a.height - 1);
      }
      assertThat(screen.page().locator(".names text[data-name=f7]")).not().hasClass("crowded");
    }
  }

  @Test
  void groupsAreNamedChangedAndRemoved() {
    String id = application.bring(threeBars());
    try (Screen screen = open(id, "?fixture=f1,f3")) {
      Page page = screen.page();
      page.locator("#groups > summary").click();
      page.getByLabel("What is picked is called").fill("left arrow");
      button(page, "Make it a group").click();
      revision(page, 2);
      Group group = application.stored(id).groups().get(0);
      assertThat(group.count()).isEqualTo(8);
      page.getByLabel("Members: a fixture a line, then a comma and indices")
          .fill("Bar 1, 0-1\nf2, 3\nf9, 0");
      button(page, "Save the group").click();
      assertThat(page.locator("#notice")).containsText("f9");
      assertThat(page.getByLabel("Members: a fixture a line, then a comma and indices"))
          .hasValue("Bar 1, 0-1\nf2, 3\nf9, 0");
      page.getByLabel("Members: a fixture a line, then a comma and indices")
          .fill("Bar 1, 0-1\nf2, 3");
      button(page, "Save the group").click();
      revision(page, 3);
      assertThat(application.stored(id).groups().get(0).count()).isEqualTo(3);
      screen.holdAccessible();
      // a group goes along when a fixture of it is removed
      page.navigate(application.address() + "/gadgets/" + id + "/layout?fixture=f2");
      page.locator("form[action$='/layout/remove'] button").click();
      revision(page, 4);
      assertThat(application.stored(id).groups().get(0).count()).isEqualTo(2);
    }
  }

  @Test
  void theSiteIsSaidAndJudged() {
    String id = application.bring(threeBars());
    try (Screen screen = open(id, "")) {
      Page page = screen.page();
      page.locator("#site > summary").click();
      page.getByLabel("Enclosure", new Page.GetByLabelOptions().setExact(true))
          .selectOption("rectangle");
      revision(page, 2);
      assertThat(page.locator("#site")).hasAttribute("open", "");
      page.getByLabel("Its width").fill("230");
      page.keyboard().press("Tab");
      revision(page, 3);
      assertThat(page.locator("#reckonings")).containsText("lie outside the enclosure");
      page.getByLabel("Its height").fill("-4");
      page.keyboard().press("Tab");
      assertThat(page.locator("#notice")).containsText("1 to 20");
      assertThat(page.getByLabel("Its height")).hasValue("-4");
      page.getByLabel("Its height").fill("300");
      page.keyboard().press("Tab");
      revision(page, 4);
      page.getByLabel("Diffuser in front, 0 none").fill("12");
      page.keyboard().press("Tab");
      revision(page, 5);
      assertThat(page.locator("#reckonings")).containsText("the light spots melt");
      assertThat(page.locator(".diffused img")).isVisible();
      Object width =
          page.locator(".diffused img").evaluate("e => e.decode().then(() => e.naturalWidth)");
      assertThat(((Number) width).intValue()).isGreaterThan(100);
      assertThat(application.stored(id).site().enclosure()).isInstanceOf(Enclosure.Rectangle.class);
      screen.holdAccessible();
    }
  }

  @Test
  void theBodyIsTurnedInSpaceAndStaysInSightWhileItIsChanged() {
    String id = application.bring(DemoGadgets.reefShelf());
    try (Screen screen = open(id, "")) {
      Page page = screen.page();
      page.locator(".tab").filter(new Locator.FilterOptions().setHasText("Coral")).click();
      button(page, "In space").click();
      Locator canvas = page.locator("lit-space canvas");
      assertThat(page.locator("lit-space output")).hasText("turned -30°, tilted 25°");
      int before = ink(canvas);
      assertThat(before).isGreaterThan(100);
      canvas.focus();
      page.keyboard().press("ArrowRight");
      page.keyboard().press("ArrowUp");
      assertThat(page.locator("lit-space output")).hasText("turned -25°, tilted 30°");
      page.getByLabel("only what is picked").check();
      page.waitForCondition(() -> ink(canvas) != before);
      page.getByLabel("Layer to layer").fill("33");
      page.keyboard().press("Tab");
      revision(page, 2);
      assertThat(page.locator("lit-space")).isVisible();
      assertThat(page.locator("lit-space output")).hasText("turned -25°, tilted 30°");
      assertThat(page.getByLabel("only what is picked")).isChecked();
    }
  }

  /** How much of a canvas is drawn on. */
  private static int ink(Locator canvas) {
    Object count =
        canvas.evaluate(
            "c => c.getContext('2d').getImageData(0, 0, c.width, c.height).data.filter((v, i) => i % 4 == 3 && v > 0).length");
    return ((Number) count).intValue();
  }

  @Test
  void halfAGadgetIsThereAfterAReloadAndTheBackButtonDoesNoHarm() {
    String id = application.bring(Gadget.blank("Half"));
    try (Screen screen = open(id, "")) {
      Page page = screen.page();
      button(page, "Add a stack").click();
      revision(page, 2);
      page.getByLabel("Layers", new Page.GetByLabelOptions().setExact(true)).fill("7");
      page.reload();
      assertThat(page.getByLabel("Layers", new Page.GetByLabelOptions().setExact(true)))
          .hasValue("4");
      button(page, "Add a box").click();
      revision(page, 3);
      page.goBack();
      page.getByLabel("Pitch", new Page.GetByLabelOptions().setExact(true)).first().fill("9");
      page.keyboard().press("Tab");
      assertThat(
              page.locator(".piece")
                  .or(page.locator("h1", new Page.LocatorOptions().setHasText("Another")))
                  .first())
          .isVisible();
      assertThat(application.stored(id).fixtures()).hasSize(2);
    }
  }

  /** Quick presses all count, and a double click is one. */
  @Test
  void pressesWhileASaveIsOnItsWayAllCount() {
    String id = application.bring(Gadget.blank("Quick"));
    try (Screen screen = open(id, "")) {
      Page page = screen.page();
      page.route(
          "**/layout/**",
          route -> {
            page.waitForTimeout(150);
            route.resume();
          });
      for (String kind : List.of("panel", "bar", "ring", "box")) {
        button(page, "Add a " + kind).click();
      }
      revision(page, 5);
      assertThat(application.stored(id).fixtures())
          .extracting(f -> f.shape().getClass().getSimpleName())
          .containsExactly("Panel", "Bar", "Ring", "BoxFaces");
      button(page, "Remove it").dblclick();
      revision(page, 6);
      assertThat(application.stored(id).fixtures()).hasSize(3);
    }
  }

  @Test
  void tenThousandEmittersAreWorkedOn() {
    Gadget wall = Gadget.blank("Wall");
    for (int i = 1; i <= 5; i++) {
      Panel panel = new Panel(50, 40, 10, 10, Corner.TOP_LEFT, false, true, 0);
      wall = wall.withFixture(Fixture.of("f" + i, "Wall " + i, panel, 520 * i, 0));
    }
    String id = application.bring(wall);
    try (Screen screen = open(id, "?fixture=f3")) {
      Page page = screen.page();
      drag(page, onScreen(page, 1780, 200), onScreen(page, 1780, 260));
      revision(page, 2);
      assertThat(stored(id, "f3").mount().yMm()).isEqualTo(60);
      button(page, "Add a bar").click();
      assertThat(page.locator("#notice")).containsText("at most 10000 emitters");
    }
  }
}
