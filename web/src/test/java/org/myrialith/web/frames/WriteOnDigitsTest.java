package org.myrialith.web.frames;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Picture;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** A text written on segment digits. */
@ExtendWith(RunningApplication.Extension.class)
class WriteOnDigitsTest {
  private final RunningApplication application;

  WriteOnDigitsTest(RunningApplication application) {
    this.application = application;
  }

  private Picture frame(String id, int frame) {
    return application.stored(id).clipOn("f1").orElseThrow().frames().get(frame).picture();
  }

  @Test
  void aNumberIsWrittenAndWhatCantBeReadIsRefused() {
    String id = application.bring(DemoGadgets.ferryBoard());
    try (Screen screen =
        Screen.open(application.address() + "/gadgets/" + id + "/frames?fixture=f1&frame=1")) {
      Page page = screen.page();
      screen.holdAccessible();
      Locator text = page.getByLabel("Write", new Page.GetByLabelOptions().setExact(true));
      text.fill("W 7");
      screen.button("Write on this frame").click();
      assertThat(page.locator("#notice")).containsText("7 segments can show");
      assertThat(page.locator("#text")).hasValue("W 7");
      assertThat(application.head(id)).isEqualTo(1);
      page.locator("#text").fill("  7 F.1");
      screen.button("Write on this frame").click();
      screen.onRevision(2);
      // the last digits: 7, nothing, F with its point, 1; segment a is the first row
      assertThat(frame(id, 1).colour(8, 0)).isNotZero();
      assertThat(frame(id, 1).colour(9, 0)).isZero();
      assertThat(frame(id, 1).colour(10, 7)).isNotZero();
      assertThat(frame(id, 1).colour(11, 0)).isZero();
      assertThat(frame(id, 1).colour(11, 1)).isNotZero();
      assertThat(frame(id, 1).colour(0, 0)).isZero();
      page.locator("#text").fill("12345678901234");
      screen.field("if too long, show its end and light the first point").check();
      screen.button("Write on this frame").click();
      screen.onRevision(3);
      // 345678901234: the first digit has its point
      assertThat(frame(id, 1).colour(0, 7)).isNotZero();
      assertThat(page.locator(".write")).containsText("can’t be shown here: KMVWXZ");
    }
  }

  @Test
  void panelsHaveNoCharacters() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      assertThat(screen.page().locator("#text")).hasCount(0);
    }
  }
}
