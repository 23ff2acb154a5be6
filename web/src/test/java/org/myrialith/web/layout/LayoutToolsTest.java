package org.myrialith.web.layout;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.tool.Gadgets;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** The tools below the drawing: arrange, order, site, groups; and what a session brings. */
@ExtendWith(RunningApplication.Extension.class)
class LayoutToolsTest {
  private final RunningApplication application;

  LayoutToolsTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(String id, String query) {
    return Screen.open(application.address() + "/gadgets/" + id + "/layout" + query);
  }

  private Fixture stored(String id, String fixture) {
    return application.stored(id).fixture(fixture).orElseThrow();
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
  void numbersDoWhatTheMouseDoes() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "?fixture=f1,f2,f3")) {
      Page page = screen.page();
      screen.button("Align").click();
      screen.onRevision(2);
      assertThat(application.stored(id).fixtures()).allMatch(f -> f.position(0).xMm() == 85);
      page.getByLabel("Right", new Page.GetByLabelOptions().setExact(true)).fill("12,5");
      screen.button("Move").click();
      screen.onRevision(3);
      assertThat(stored(id, "f3").position(0).xMm()).isEqualTo(97.5);
      page.getByLabel("Clockwise", new Page.GetByLabelOptions().setExact(true)).fill("400");
      screen.button("Rotate").click();
      assertThat(page.locator("#notice")).containsText("-360 to 360");
      assertThat(page.getByLabel("Clockwise", new Page.GetByLabelOptions().setExact(true)))
          .hasValue("400");
      page.getByLabel("Clockwise", new Page.GetByLabelOptions().setExact(true)).fill("30");
      screen.button("Rotate").click();
      screen.onRevision(4);
      assertThat(stored(id, "f1").mount().turnDegrees()).isEqualTo(30);
      for (String act :
          List.of("Mirror left to right", "Mirror top to bottom", "Reverse the data direction")) {
        screen.button(act).click();
      }
      screen.onRevision(7);
      assertThat(stored(id, "f2").mount().reversed()).isTrue();
      for (String act : List.of("Distribute across", "Snap to the grid")) {
        screen.button(act).click();
      }
      page.waitForCondition(() -> stored(id, "f1").position(0).xMm() % 10 == 0);
      assertThat(stored(id, "f1").position(0).xMm() / 10 % 1).isCloseTo(0, within(1e-9));
    }
  }

  @Test
  void arraysRepeatInALineAndRoundAPoint() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      page.locator("#arrange > summary").click();
      page.getByLabel("Copies", new Page.GetByLabelOptions().setExact(true)).first().fill("5");
      page.getByLabel("step angle").fill("60");
      screen.button("Repeat round the point").click();
      assertThat(page.locator(".piece")).hasCount(8);
      assertThat(application.stored(id).fixtures())
          .extracting(Fixture::name)
          .doesNotHaveDuplicates()
          .contains("Bar 1 2", "Bar 1 6");
      assertThat(application.stored(id).fixtures().get(7).mount().turnDegrees()).isEqualTo(300);
      // the copies hang on the line too
      assertThat(Gadgets.line(application.stored(id)).fixtures()).hasSize(8);
    }
  }

  @Test
  void theDataLineIsReorderedByDraggingByNumberAndByKeys() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "")) {
      Page page = screen.page();
      page.locator("#order > summary").click();
      BoundingBox last = page.locator(".turn-grip").nth(2).boundingBox();
      BoundingBox first = page.locator(".turn-grip").nth(0).boundingBox();
      screen.drag(new double[] {last.x + 8, last.y + 8}, new double[] {first.x + 8, first.y + 2});
      screen.onRevision(2);
      assertThat(Gadgets.line(application.stored(id)).fixtures()).containsExactly("f3", "f1", "f2");
      assertThat(page.locator("#order")).hasAttribute("open", "");
      page.getByLabel("Position of Bar 3 on the data line").fill("3");
      page.keyboard().press("Enter");
      screen.onRevision(3);
      assertThat(Gadgets.line(application.stored(id)).fixtures()).containsExactly("f1", "f2", "f3");
      page.getByLabel("Position of Bar 1 on the data line").fill("4");
      page.keyboard().press("Enter");
      assertThat(page.locator("#notice")).containsText("1 to 3");
      assertThat(page.getByLabel("Position of Bar 1 on the data line")).hasValue("4");
      screen.holdAccessible();
      screen.button("Bar 2 earlier").click();
      screen.button("Reverse the data direction of Bar 2").click();
      screen.onRevision(5);
      assertThat(stored(id, "f2").mount().reversed()).isTrue();
    }
  }

  @Test
  void groupsAreNamedChangedAndRemoved() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "?fixture=f1,f3")) {
      Page page = screen.page();
      page.locator("#groups > summary").click();
      page.getByLabel("Name of the selection").fill("left arrow");
      screen.button("Make it a group").click();
      screen.onRevision(2);
      Group group = application.stored(id).layout().groups().get(0);
      assertThat(group.count()).isEqualTo(8);
      page.getByLabel("Members: one fixture per line, then a comma and LED numbers")
          .fill("Bar 1, 0-1\nf2, 3\nf9, 0");
      screen.button("Save the group").click();
      assertThat(page.locator("#notice")).containsText("f9");
      assertThat(page.getByLabel("Members: one fixture per line, then a comma and LED numbers"))
          .hasValue("Bar 1, 0-1\nf2, 3\nf9, 0");
      page.getByLabel("Members: one fixture per line, then a comma and LED numbers")
          .fill("Bar 1, 0-1\nf2, 3");
      screen.button("Save the group").click();
      screen.onRevision(3);
      assertThat(application.stored(id).layout().groups().get(0).count()).isEqualTo(3);
      screen.holdAccessible();
      // a group goes along when a fixture of it is removed
      page.navigate(application.address() + "/gadgets/" + id + "/layout?fixture=f2");
      page.locator("form[action$='/layout/remove'] button").click();
      screen.onRevision(4);
      assertThat(application.stored(id).layout().groups().get(0).count()).isEqualTo(2);
    }
  }

  @Test
  void theSiteIsSaidAndJudged() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "")) {
      Page page = screen.page();
      page.locator("#site > summary").click();
      page.getByLabel("Enclosure", new Page.GetByLabelOptions().setExact(true))
          .selectOption("rectangle");
      screen.onRevision(2);
      assertThat(page.locator("#site")).hasAttribute("open", "");
      page.getByLabel("Width").fill("230");
      page.keyboard().press("Tab");
      screen.onRevision(3);
      assertThat(page.locator("#calculations")).containsText("are outside the enclosure");
      page.getByLabel("Height").fill("-4");
      page.keyboard().press("Tab");
      assertThat(page.locator("#notice")).containsText("1 to 20");
      assertThat(page.getByLabel("Height")).hasValue("-4");
      page.getByLabel("Height").fill("300");
      page.keyboard().press("Tab");
      screen.onRevision(4);
      page.getByLabel("Diffuser distance (0 = none)").fill("12");
      page.keyboard().press("Tab");
      screen.onRevision(5);
      assertThat(page.locator("#calculations")).containsText("light spots merge");
      assertThat(page.locator(".diffused img")).isVisible();
      Object width =
          page.locator(".diffused img").evaluate("e => e.decode().then(() => e.naturalWidth)");
      assertThat(((Number) width).intValue()).isGreaterThan(100);
      assertThat(application.stored(id).layout().site().enclosure())
          .isInstanceOf(Enclosure.Rectangle.class);
      screen.holdAccessible();
    }
  }

  @Test
  void enterPressesTheButtonBehindTheField() {
    String id = application.bring(ThreeBars.gadget());
    try (Screen screen = open(id, "?fixture=f1")) {
      Page page = screen.page();
      page.locator("#arrange summary").click();
      page.getByLabel("Clockwise", new Page.GetByLabelOptions().setExact(true)).fill("30");
      page.keyboard().press("Enter");
      screen.onRevision(2);
      assertThat(application.stored(id).fixture("f1").orElseThrow().mount().turnDegrees())
          .isEqualTo(30);
      page.getByLabel("Grid", new Page.GetByLabelOptions().setExact(true)).fill("7 mm");
      page.keyboard().press("Enter");
      screen.onRevision(3);
      page.locator("#undo").hover();
      assertThat(page.locator("#undo")).hasAttribute("title", Pattern.compile("Undo: .*grid.*"));
    }
  }

  @Test
  void halfAGadgetIsThereAfterAReloadAndTheBackButtonDoesNoHarm() {
    String id = application.bring(Gadget.blank("Half"));
    try (Screen screen = open(id, "")) {
      Page page = screen.page();
      screen.button("Add a stack").click();
      screen.onRevision(2);
      page.getByLabel("Layers", new Page.GetByLabelOptions().setExact(true)).fill("7");
      page.reload();
      // what stood in the field when the page was left is saved on the way out
      page.waitForCondition(() -> application.head(id) == 3);
      page.reload();
      assertThat(page.getByLabel("Layers", new Page.GetByLabelOptions().setExact(true)))
          .hasValue("7");
      screen.button("Add a box").click();
      screen.onRevision(4);
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
        screen.button("Add " + (kind.endsWith("s") ? "" : "a ") + kind).click();
      }
      screen.onRevision(5);
      assertThat(application.stored(id).fixtures())
          .extracting(f -> f.shape().getClass().getSimpleName())
          .containsExactly("Panel", "Bar", "Ring", "BoxFaces");
      screen.button("Remove").dblclick();
      screen.onRevision(6);
      assertThat(application.stored(id).fixtures()).hasSize(3);
    }
  }
}
