package org.myrialith.web.layout;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.Ring;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Lists as small tables. */
@ExtendWith(RunningApplication.Extension.class)
class RowsTest {
  private final RunningApplication application;

  RowsTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(String id) {
    Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/layout");
    screen.button("As a table").first().click();
    return screen;
  }

  private List<Ring.Circle> circles(String id) {
    return ((Ring) application.stored(id).fixture("f1").orElseThrow().shape()).circles();
  }

  private static void fill(Screen screen, String label, String value) {
    screen.field(label).fill(value);
    screen.page().keyboard().press("Tab");
  }

  @Test
  void rowsAreAddedFilledMovedAndRemoved() {
    Ring ring = new Ring(List.of(new Ring.Circle(8, 20.5), new Ring.Circle(16, 40)), 0, 360, true);
    String id = application.bring(Gadget.blank("Rows").with(Fixture.of("f1", "Ring", ring, 0, 0)));
    try (Screen screen = open(id)) {
      Page page = screen.page();
      assertThat(page.locator("#circles")).isHidden();
      screen.holdAccessible();
      screen.button("Add a row").click();
      screen.onRevision(2);
      assertThat(screen.field("Pixels, row 3")).isFocused();
      screen.field("Pixels, row 3").fill("24");
      fill(screen, "Radius, row 3", "60,5"); // a decimal comma is no two values
      screen.field("Back, row 1").check();
      page.waitForCondition(() -> circles(id).get(0).back());
      assertThat(circles(id))
          .containsExactly(
              new Ring.Circle(8, 20.5, 0, true),
              new Ring.Circle(16, 40),
              new Ring.Circle(24, 60.5));
      screen.button("Move row 3 up").click();
      page.waitForCondition(() -> circles(id).get(1).count() == 24);
      screen.button("Remove row 2").click();
      page.waitForCondition(() -> circles(id).size() == 2);
      int saved = application.head(id);
      assertThat(circles(id)).extracting(Ring.Circle::count).containsExactly(8, 16);
      fill(screen, "Pixels, row 2", "0");
      assertThat(page.locator("#notice")).containsText("Circles");
      assertThat(page.locator("#notice")).containsText("row 2");
      assertThat(screen.field("Pixels, row 2")).hasValue("0");
      screen.button("As text").click();
      assertThat(page.locator("#circles")).isVisible();
      assertThat(application.head(id)).isEqualTo(saved);
    }
  }

  @Test
  void aSpreadsheetIsPastedAndNamesWithCommasStay() {
    LooseEmitters loose =
        new LooseEmitters(
            List.of(
                new LooseEmitters.Single(0, 0, 0, "eye, left"),
                new LooseEmitters.Single(10, 0, 0, "")));
    String id =
        application.bring(Gadget.blank("Loose").with(Fixture.of("f1", "Loose", loose, 0, 0)));
    try (Screen screen = open(id)) {
      assertThat(screen.page().locator("lit-rows input").nth(3)).hasValue("eye, left");
      screen
          .page()
          .locator("lit-rows input[data-row='1']")
          .first()
          .evaluate(
              "e => { const d = new DataTransfer(); d.setData('text/plain', '12.5\\t7\\n30\\t8\\t1\\ttip\\n40\\t9\\n');"
                  + " e.dispatchEvent(new ClipboardEvent('paste', { clipboardData: d, bubbles: true, cancelable: true })); }");
      screen.onRevision(2);
      assertThat(
              ((LooseEmitters) application.stored(id).fixture("f1").orElseThrow().shape())
                  .emitters())
          .containsExactly(
              new LooseEmitters.Single(0, 0, 0, "eye, left"),
              new LooseEmitters.Single(12.5, 7, 0, ""),
              new LooseEmitters.Single(30, 8, 1, "tip"),
              new LooseEmitters.Single(40, 9, 0, ""));
    }
  }
}
