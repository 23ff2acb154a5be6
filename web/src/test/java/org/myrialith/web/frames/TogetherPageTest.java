package org.myrialith.web.frames;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.Stack;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** The whole gadget on one easel, and a group of it. */
@ExtendWith(RunningApplication.Extension.class)
class TogetherPageTest {
  private final RunningApplication application;

  TogetherPageTest(RunningApplication application) {
    this.application = application;
  }

  private static int red(Picture picture, int cell) {
    return picture.value(cell, 0);
  }

  @Test
  void severalFixturesArePaintedInOneStroke() {
    Gadget lantern =
        DemoGadgets.tideLantern()
            .with(new Group("g1", "Ends", List.of(new Group.Member("f2", 38, 39))));
    String id = application.bring(lantern);
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      page.locator("a").filter(new Locator.FilterOptions().setHasText("All together")).click();
      assertThat(page.locator("#easel")).isVisible();
      screen.holdAccessible();
      page.locator("input[type=color]").fill("#fe0102");
      BoundingBox box = page.locator("#easel").boundingBox();
      // from the left end of the strip across the panel to the right
      page.mouse().move(box.x + 2, box.y + box.height - 2);
      page.mouse().down();
      for (int step = 1; step <= 30; step++) {
        page.mouse().move(box.x + 2 + step * (box.width - 4) / 30, box.y + box.height / 2);
      }
      page.mouse().up();
      screen.onRevision(2);
      for (String fixture : List.of("f1", "f2")) {
        Picture seen =
            application.stored(id).clipOn(fixture).orElseThrow().frames().get(0).picture();
        long painted = 0;
        for (int cell = 0; cell < seen.columns() * seen.rows(); cell++) {
          painted += red(seen, cell) == 0xfe ? 1 : 0;
        }
        assertThat(painted).as(fixture).isPositive();
      }
      // by keys, without a mouse
      page.locator("input[type=color]").fill("#0102fe");
      page.locator("#easel").focus();
      page.keyboard().press("ArrowLeft");
      page.keyboard().press("Space");
      screen.onRevision(3);
      // a group, in another moment, all of it at once
      page.locator("#moment").fill("5");
      page.locator("#over").selectOption("g1");
      screen.button("Show").click();
      assertThat(page.locator("#easel"))
          .hasAttribute("aria-label", java.util.regex.Pattern.compile("Moment 5, 2 places.*"));
      page.locator("input[type=color]").fill("#fe0102");
      screen.button("Paint everything").click();
      screen.onRevision(4);
      page.navigate(application.address() + "/gadgets/" + id + "/frames/together?moment=9999");
      assertThat(page.locator("#notice")).containsText("1 to 23");
    }
  }

  /** An ellipse over several fixtures at once, and a line by keys. */
  @Test
  void allToolsWorkOnTheWholeGadget() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen =
        Screen.open(application.address() + "/gadgets/" + id + "/frames/together")) {
      Page page = screen.page();
      assertThat(page.locator("#easel")).isVisible();
      page.locator("input[type=color]").fill("#fe0102");
      page.locator("input[name=tool][value=ellipse]").check();
      BoundingBox box = page.locator("#easel").boundingBox();
      page.mouse().move(box.x + 1, box.y + 1);
      page.mouse().down();
      page.mouse().move(box.x + box.width - 1, box.y + box.height - 1);
      page.mouse().up();
      screen.onRevision(2);
      Picture panel = application.stored(id).clipOn("f1").orElseThrow().frames().get(0).picture();
      Picture strip = application.stored(id).clipOn("f2").orElseThrow().frames().get(0).picture();
      assertThat(painted(panel)).isBetween(60L, 128L);
      assertThat(painted(strip)).as("not its ends").isBetween(1L, 39L);
      page.locator("input[name=tool][value=replace]").check();
      page.locator("input[type=color]").fill("#0102fe");
      page.mouse().click(box.x + box.width / 2, box.y + box.height / 2);
      screen.onRevision(3);
      assertThat(
              painted(application.stored(id).clipOn("f1").orElseThrow().frames().get(0).picture()))
          .isZero();
    }
  }

  private static long painted(Picture picture) {
    return IntStream.range(0, picture.columns() * picture.rows())
        .filter(cell -> red(picture, cell) == 0xfe)
        .count();
  }

  /** A stack is painted layer by layer, and in space, where the one before hides the others. */
  @Test
  void aStackIsPaintedByLayersAndInSpace() {
    Gadget cube =
        Gadget.blank("Cube").with(Fixture.of("f1", "Cube", new Stack(3, 3, 3, 20, 20, 10)));
    String id = application.bring(cube);
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      screen.button("Start with a dark frame").click();
      screen.onRevision(2);
      page.locator("input[type=color]").fill("#fe0102");
      page.locator(".layer-only").selectOption("2");
      page.locator("input[name=tool][value=fill]").check();
      BoundingBox box = page.locator("#easel").boundingBox();
      page.mouse().click(box.x + box.width / 2, box.y + box.height / 2);
      screen.onRevision(3);
      Picture filled = application.stored(id).clipOn("f1").orElseThrow().frames().get(0).picture();
      assertThat(IntStream.range(0, 27).filter(cell -> red(filled, cell) == 0xfe).boxed())
          .containsExactlyElementsOf(IntStream.range(9, 18).boxed().toList());
      // seen straight from the front, the topmost layer hides those under it
      page.locator(".layer-only").selectOption("0");
      page.locator(".in-space").check();
      for (Locator slider : page.locator(".easel-turn input").all()) {
        slider.fill("0");
      }
      page.locator("input[name=tool][value=pencil]").check();
      page.locator("input[type=color]").fill("#0102fe");
      box = page.locator("#easel").boundingBox();
      page.mouse().click(box.x + box.width / 2, box.y + box.height / 2);
      screen.onRevision(4);
      Picture touched = application.stored(id).clipOn("f1").orElseThrow().frames().get(0).picture();
      assertThat(IntStream.range(0, 27).filter(cell -> red(touched, cell) == 1).boxed())
          .containsExactly(22);
      screen.holdAccessible();
    }
  }
}
