package org.myrialith.web.layout;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.ModulePolygon;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Ring;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Pieces of the drawing are caught where a maker sees them, and shown before they are pressed. */
@ExtendWith(RunningApplication.Extension.class)
class CatchingTest {
  private final RunningApplication application;

  CatchingTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(Fixture... fixtures) {
    Gadget gadget = Gadget.blank("Caught");
    for (Fixture fixture : fixtures) {
      gadget = gadget.with(fixture);
    }
    return Screen.open(application.address() + "/gadgets/" + application.bring(gadget) + "/layout");
  }

  /** Share of the places of an area that catch a piece: it is shown there before a press. */
  private static double share(
      Screen screen, String fixture, double left, double top, double right, double bottom) {
    int caught = 0;
    int tried = 0;
    for (double x = left; x <= right; x += (right - left) / 7) {
      for (double y = top; y <= bottom; y += (bottom - top) / 5) {
        double[] at = screen.at(x, y);
        Object found =
            screen
                .page()
                .locator("lit-plan")
                .evaluate(
                    "(plan, [x, y]) => plan.catchAt({ clientX: x, clientY: y })?.dataset.fixture",
                    List.of(at[0], at[1]));
        tried++;
        caught += fixture.equals(found) ? 1 : 0;
      }
    }
    return (double) caught / tried;
  }

  @Test
  void aPanelIsCaughtOverItsWholeAreaAndAPolygonWithin() {
    Panel coarse = new Panel(4, 3, 50, 50, Corner.TOP_LEFT, false, true, 0);
    ModulePolygon frame = new ModulePolygon(12, 5, 50, 10, 0, 1, true);
    try (Screen screen =
        open(Fixture.of("f1", "Panel", coarse, 0, 0), Fixture.of("f2", "Frame", frame, 400, 60))) {
      assertThat(share(screen, "f1", 0, 0, 150, 100)).isEqualTo(1);
      assertThat(share(screen, "f2", 330, 0, 470, 120)).isEqualTo(1);
      Page page = screen.page();
      double[] between = screen.at(75, 75);
      page.mouse().move(between[0] - 3, between[1]);
      page.mouse().move(between[0], between[1]);
      assertThat(page.locator(".would")).hasAttribute("data-fixture", "f1");
      double[] inside = screen.at(400, 60);
      page.mouse().move(inside[0], inside[1]);
      assertThat(page.locator(".would")).hasAttribute("data-fixture", "f2");
      page.mouse().click(inside[0], inside[1]);
      assertThat(page.locator(".piece-picked")).hasAttribute("data-fixture", "f2");
    }
  }

  @Test
  void whatLiesWithinAFrameIsCaughtByItsDots() {
    ModulePolygon frame = new ModulePolygon(12, 5, 50, 10, 0, 1, true);
    Ring ring = new Ring(List.of(new Ring.Circle(12, 30)), 0, 360, true);
    try (Screen screen =
        open(Fixture.of("f1", "Ring", ring, 0, 0), Fixture.of("f2", "Frame", frame, 0, 0))) {
      // the frame first: the ring is picked as it is, so that nothing would tell when its page came
      double[] wide = screen.at(70, 0);
      screen.page().mouse().click(wide[0], wide[1]);
      assertThat(screen.page().locator(".piece-picked")).hasAttribute("data-fixture", "f2");
      double[] top = screen.at(0, -30);
      screen.page().mouse().click(top[0], top[1]);
      assertThat(screen.page().locator(".piece-picked")).hasAttribute("data-fixture", "f1");
    }
  }

  @Test
  void looseEmittersAreCaughtOnEachDotByMouseAndFinger() {
    LooseEmitters loose =
        new LooseEmitters(
            List.of(
                new LooseEmitters.Single(0, 0, 0, ""),
                new LooseEmitters.Single(300, 10, 0, ""),
                new LooseEmitters.Single(150, 160, 0, "")));
    Panel panel = new Panel(4, 4, 10, 10, Corner.TOP_LEFT, false, true, 0);
    try (Screen screen =
        open(Fixture.of("f1", "Panel", panel, 400, 60), Fixture.of("f2", "Loose", loose, 0, 0))) {
      Page page = screen.page();
      for (double[] dot : new double[][] {{0, 0}, {300, 10}, {150, 160}}) {
        // the panel may be picked already: its page has to have come before the next click
        page.waitForResponse(
            answer -> answer.url().contains("fixture=f1"),
            () -> page.locator(".picks a", new Page.LocatorOptions().setHasText("Panel")).click());
        page.waitForFunction(
            "() => !document.querySelector('.htmx-request, .htmx-swapping, .htmx-settling')");
        assertThat(page.locator(".piece-picked")).hasAttribute("data-fixture", "f1");
        double[] at = screen.at(dot[0], dot[1]);
        page.mouse().click(at[0] + 3, at[1]);
        assertThat(page.locator(".piece-picked")).hasAttribute("data-fixture", "f2");
      }
      double[] near = screen.at(300, 10);
      Object byFinger =
          page.locator("lit-plan")
              .evaluate(
                  "(plan, [x, y]) => [14, 40].map((off) => plan.catchAt({ clientX: x + off, clientY: y, pointerType: 'touch' })?.dataset.fixture ?? '')",
                  List.of(near[0], near[1]));
      assertThat(byFinger).isEqualTo(List.of("f2", ""));
    }
  }
}
