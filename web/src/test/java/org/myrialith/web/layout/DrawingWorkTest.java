package org.myrialith.web.layout;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.Panel;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Work on the drawing itself: looked round in, picked from, dragged, set by hand. */
@ExtendWith(RunningApplication.Extension.class)
class DrawingWorkTest {
  private final RunningApplication application;

  DrawingWorkTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(String id, String query) {
    return Screen.open(application.address() + "/gadgets/" + id + "/layout" + query);
  }

  private Fixture stored(String id, String fixture) {
    return application.stored(id).fixture(fixture).orElseThrow();
  }

  @Test
  void aStripThatBendsRoundAPanelDoesNotCoverIt() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "?fixture=f2")) {
      Page page = screen.page();
      double[] dot = screen.at(70, 30);
      page.mouse().click(dot[0], dot[1]);
      assertThat(page.locator(".piece-picked")).hasAttribute("data-fixture", "f1");
    }
  }

  @Test
  void aMoveOfOneIsNotLostToAMoveOfAnother() {
    String id = application.bring(ThreeBars.gadget());
    double first = stored(id, "f1").mount().xMm();
    double second = stored(id, "f2").mount().yMm();
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      page.locator("a[data-fixture=f1]").focus();
      page.keyboard().press("ArrowRight");
      page.locator("a[data-fixture=f2]").focus();
      page.keyboard().press("ArrowDown");
      page.keyboard().press("ArrowDown");
      screen.onRevision(3);
      assertThat(stored(id, "f1").mount().xMm()).isCloseTo(first + 1, within(1e-9));
      assertThat(stored(id, "f2").mount().yMm()).isCloseTo(second + 2, within(1e-9));
    }
  }

  @Test
  void aDragThatTheBrowserTakesAwayMovesNothing() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      var place = stored(id, "f1").position(0);
      double[] dot = screen.at(place.xMm(), place.yMm());
      double[] off = {dot[0] + 60, dot[1] + 40};
      page.mouse().move(dot[0], dot[1]);
      page.mouse().down();
      page.mouse().move(off[0], off[1]);
      assertThat(page.locator(".lifted")).hasCount(1);
      page.evaluate("window.dispatchEvent(new PointerEvent('pointercancel'))");
      assertThat(page.locator(".lifted")).hasCount(0);
      page.mouse().up();
      page.waitForTimeout(300);
      assertThat(application.head(id)).isEqualTo(1);
      // and the next drag goes as ever
      screen.drag(dot, off);
      screen.onRevision(2);
    }
  }

  @Test
  void severalArePickedByShiftByBandAndByKeys() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      double[] second = screen.at(215, 74);
      page.keyboard().down("Shift");
      page.mouse().click(second[0], second[1]);
      page.keyboard().up("Shift");
      assertThat(page.locator(".piece-picked")).hasCount(2);
      page.locator(".piece").nth(2).focus();
      page.keyboard().press("Shift+Enter");
      assertThat(page.locator(".piece-picked")).hasCount(3);
      page.getByLabel("Deselect Bar 1").click();
      assertThat(page.locator(".piece-picked")).hasCount(2);
      page.keyboard().down("Shift");
      screen.drag(screen.at(90, 20), screen.at(245, 90));
      page.keyboard().up("Shift");
      assertThat(page.locator(".piece-picked")).hasCount(2);
      assertThat(page.locator(".piece-picked").first()).hasAttribute("data-fixture", "f1");
    }
  }

  @Test
  void whatIsPickedIsDraggedTogetherInStepsOfTheGrid() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "?fixture=f1,f2")) {
      Page page = screen.page();
      page.getByLabel("Grid to snap to, in millimetres").fill("5");
      page.keyboard().press("Tab");
      screen.drag(screen.at(115, 37), screen.at(127, 20));
      screen.onRevision(2);
      assertThat(stored(id, "f1").mount().xMm()).isEqualTo(110);
      assertThat(stored(id, "f1").mount().yMm()).isEqualTo(22);
      assertThat(stored(id, "f2").mount().xMm()).isEqualTo(210);
      assertThat(stored(id, "f2").mount().yMm()).isEqualTo(59);
      assertThat(stored(id, "f3").mount().xMm()).isEqualTo(300);
      // the arrow keys go on from there
      page.locator(".piece-picked").first().focus();
      page.keyboard().press("ArrowRight");
      page.keyboard().press("Shift+ArrowDown");
      screen.onRevision(3);
      assertThat(stored(id, "f2").mount().xMm()).isEqualTo(211);
      assertThat(stored(id, "f2").mount().yMm()).isEqualTo(69);
    }
  }

  /** However far the view is zoomed, a few pixels are a move. */
  @Test
  void aFixtureIsDraggedByLittleWhenTheViewIsZoomedIn() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "?fixture=f2")) {
      Page page = screen.page();
      for (int i = 0; i < 6; i++) {
        screen.button("Zoom in").click();
      }
      screen.drag(screen.at(205, 74), screen.at(206, 74));
      screen.onRevision(2);
      assertThat(stored(id, "f2").mount().xMm()).isEqualTo(201);
      assertThat(page.locator(".piece-picked")).hasAttribute("data-fixture", "f2");
    }
  }

  @Test
  void emittersAreSetByHandAndDragged() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      screen.button("Place emitters").click();
      for (double[] at : List.of(new double[] {150, 110}, new double[] {170, 115})) {
        double[] there = screen.at(at[0], at[1]);
        int before = application.head(id);
        page.mouse().click(there[0], there[1]);
        screen.onRevision(before + 1);
      }
      Fixture nest = stored(id, "f4");
      assertThat(nest.shape()).isInstanceOf(LooseEmitters.class);
      assertThat(nest.position(1).xMm()).isEqualTo(170);
      screen.drag(screen.at(170, 115), screen.at(190, 90));
      screen.onRevision(4);
      assertThat(stored(id, "f4").count()).isEqualTo(2);
      assertThat(stored(id, "f4").position(1).xMm()).isEqualTo(190);
      assertThat(stored(id, "f4").position(1).yMm()).isEqualTo(90);
      assertThat(stored(id, "f4").position(0).xMm()).isEqualTo(150);
    }
  }

  @Test
  void theViewIsKeptWhileValuesChangeAndTheRulerTellsTheTruth() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      Locator drawing = page.locator("svg.drawing");
      String whole = drawing.getAttribute("viewBox");
      screen.button("Zoom in").click();
      drawing.focus();
      page.keyboard().press("+");
      page.keyboard().press("ArrowRight");
      String moved = drawing.getAttribute("viewBox");
      double seen =
          Double.parseDouble(moved.split(" ")[2]) / Double.parseDouble(whole.split(" ")[2]);
      double unit = Double.parseDouble(drawing.getAttribute("data-unit"));
      double way = Double.parseDouble(page.locator(".way").first().getAttribute("stroke-width"));
      assertThat(way).as("lines get no heavier").isCloseTo(0.1 * unit * seen, within(1e-6));
      assertThat(moved).isNotEqualTo(whole);
      page.getByLabel("At x").fill("101");
      page.keyboard().press("Tab");
      screen.onRevision(2);
      assertThat(drawing).hasAttribute("viewBox", moved);
      // what the ruler says is what lies between two points on screen
      Object bar =
          page.locator(".ruler path")
              .evaluate(
                  "e => { const b = e.getBBox(), m = e.getScreenCTM(); return [b.width * m.a, b.x * m.a + m.e, (b.y + b.height) * m.d + m.f]; }");
      List<?> ruler = (List<?>) bar;
      double says = Double.parseDouble(page.locator(".ruler text").textContent().split(" ")[0]);
      double[] from = screen.at(0, 0);
      double[] to = screen.at(says, 0);
      assertThat(((Number) ruler.get(0)).doubleValue()).isCloseTo(to[0] - from[0], within(0.1));
      BoundingBox stage = page.locator(".stage").boundingBox();
      assertThat(((Number) ruler.get(1)).doubleValue()).isGreaterThan(stage.x);
      assertThat(((Number) ruler.get(2)).doubleValue()).isLessThan(stage.y + stage.height);
      drawing.focus();
      page.keyboard().press("0");
      screen.drag(screen.at(200, 40), screen.at(240, 60));
      assertThat(drawing.getAttribute("viewBox")).isNotEqualTo(whole);
      screen.button("Fit").click();
      assertThat(application.head(id)).isEqualTo(2);
    }
  }

  @Test
  void theWheelZoomsAboutThePointer() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      Locator drawing = page.locator("svg.drawing");
      String whole = drawing.getAttribute("viewBox");
      double[] before = screen.at(215, 74);
      page.mouse().move(before[0], before[1]);
      page.mouse().wheel(0, -120);
      page.mouse().wheel(0, -120);
      assertThat(drawing).not().hasAttribute("viewBox", whole);
      double[] after = screen.at(215, 74);
      assertThat(after[0]).isCloseTo(before[0], within(0.5));
      assertThat(after[1]).isCloseTo(before[1], within(0.5));
      double[] beside = screen.at(225, 74);
      double[] further = screen.at(235, 74);
      assertThat(further[0] - beside[0]).isCloseTo(beside[0] - after[0], within(0.01));
    }
  }

  @Test
  void namesNeverRunIntoEachOther() {
    Gadget gadget = Gadget.blank("Crowd");
    for (int i = 1; i <= 12; i++) {
      gadget =
          gadget.with(
              Fixture.of("f" + i, "A rather long name " + i, new Bar(2, 5, 0), 12 * i, i % 3 * 6));
    }
    String id =
        application.bring(gadget.with(Fixture.of("f13", "Far", new Bar(2, 5, 0), 900, 500)));
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
  void theBodyIsTurnedInSpaceAndStaysInSightWhileItIsChanged() {
    String id = application.bring(DemoGadgets.reefShelf());
    try (Screen screen = open(id, "")) {
      Page page = screen.page();
      page.locator(".tab").filter(new Locator.FilterOptions().setHasText("Coral")).click();
      assertThat(page.locator(".tab[aria-current]")).containsText("Coral");
      screen.button("3D view").click();
      Locator canvas = page.locator("lit-space canvas");
      assertThat(page.locator("lit-space output")).hasText("turned -30°, tilted 25°");
      int before = ink(canvas);
      assertThat(before).isGreaterThan(100);
      // a page that comes late would take the focus away
      canvas.press("ArrowRight");
      assertThat(page.locator("lit-space output")).hasText("turned -25°, tilted 25°");
      canvas.press("ArrowUp");
      assertThat(page.locator("lit-space output")).hasText("turned -25°, tilted 30°");
      page.getByLabel("selection only").check();
      page.waitForCondition(() -> ink(canvas) != before);
      page.getByLabel("Layer spacing").fill("33");
      page.keyboard().press("Tab");
      screen.onRevision(2);
      assertThat(page.locator("lit-space")).isVisible();
      assertThat(page.locator("lit-space output")).hasText("turned -25°, tilted 30°");
      assertThat(page.getByLabel("selection only")).isChecked();
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
  void tenThousandEmittersAreWorkedOn() {
    Gadget wall = Gadget.blank("Wall");
    for (int i = 1; i <= 5; i++) {
      Panel panel = new Panel(50, 40, 10, 10, Corner.TOP_LEFT, false, true, 0);
      wall = wall.with(Fixture.of("f" + i, "Wall " + i, panel, 520 * i, 0));
    }
    String id = application.bring(wall);
    try (Screen screen = open(id, "?fixture=f3")) {
      Page page = screen.page();
      screen.drag(screen.at(1780, 200), screen.at(1780, 260));
      screen.onRevision(2);
      assertThat(stored(id, "f3").mount().yMm()).isEqualTo(60);
      screen.button("Add a bar").click();
      assertThat(page.locator("#notice")).containsText("at most 10000 emitters");
    }
  }
}
