package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Panel;

/** Two tabs of one gadget: what does not meet is put together, what meets is shown. */
@ExtendWith(RunningApplication.Extension.class)
class TwoTabsTest {
  private final RunningApplication application;

  TwoTabsTest(RunningApplication application) {
    this.application = application;
  }

  private String address(String id, String step) {
    return application.address() + "/gadgets/" + id + "/" + step;
  }

  @Test
  void ofTwoTabsThatTouchTheSameTheLaterIsToldKeepsItsInputAndCanLookAtBoth() {
    String id = application.bring(DemoGadgets.porchBuoy());
    try (Screen one = Screen.open(address(id, "colour"));
        Screen two = one.tab(address(id, "colour"))) {
      one.page().getByLabel("Brightness limit").fill("35");
      one.page().keyboard().press("Tab");
      assertThat(one.page().locator(".revision b")).hasText("2");
      two.page().getByLabel("Brightness limit").fill("44");
      two.page().keyboard().press("Tab");
      assertThat(two.page().locator("h1")).hasText("Another change came first");
      assertThat(two.page().locator(".two img")).hasCount(2);
      assertThat(two.page().locator(".touched .differs")).containsText("44");
      assertThat(two.page().locator(".touched .differs")).containsText("35");
      two.holdAccessible();
      assertThat(application.stored(id).colour().brightnessPercent()).isEqualTo(35);
      two.button("Continue with yours").click();
      assertThat(two.page().locator(".revision b")).hasText("4");
      assertThat(two.page().locator("#strata a[aria-current]")).containsText("Colour");
      assertThat(application.stored(id).colour().brightnessPercent()).isEqualTo(44);
      two.page().locator("#undo").click();
      assertThat(two.page().locator(".revision b")).hasText("2");
      assertThat(application.stored(id).colour().brightnessPercent()).isEqualTo(35);
    }
  }

  @Test
  void ofTwoTabsThatTouchDifferentThingsBothAreKeptWithoutAWord() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen one = Screen.open(address(id, "brief"));
        Screen two = one.tab(address(id, "frames"));
        Screen three = one.tab(address(id, "layout?fixture=f1"))) {
      one.page().getByLabel("Name of the gadget").fill("Renamed");
      one.page().keyboard().press("Tab");
      assertThat(one.page().locator(".revision b")).hasText("2");
      two.page().bringToFront();
      two.page().locator("input[type=color]").fill("#123456");
      two.page().locator("lit-easel canvas").focus();
      two.page().keyboard().press("Space");
      assertThat(two.page().locator(".revision b")).hasText("3");
      three.page().bringToFront();
      three.page().getByLabel("Horizontal pitch").fill("11");
      three.page().keyboard().press("Tab");
      assertThat(three.page().locator(".revision b")).hasText("4");
      Gadget stored = application.stored(id);
      assertThat(stored.title()).isEqualTo("Renamed");
      assertThat(stored.clipOn("f1").orElseThrow().frames().get(0).picture().colour(0, 0))
          .isEqualTo(0x123456);
      assertThat(((Panel) stored.fixture("f1").orElseThrow().shape()).pitchXMm()).isEqualTo(11);
      three.page().navigate(address(id, "history"));
      assertThat(three.page().locator(".pairs tr", new Page.LocatorOptions().setHasText("current")))
          .containsText("Harbour window: horizontal pitch 10\u00a0mm to 11\u00a0mm");
    }
  }

  @Test
  void whatTwoTabsAddIsThereTwice() {
    String id = application.bring(DemoGadgets.tideLantern());
    int before = application.stored(id).fixtures().size();
    try (Screen one = Screen.open(address(id, "layout"));
        Screen two = one.tab(address(id, "layout"))) {
      one.button("Add a ring").click();
      one.onRevision(2);
      two.page().bringToFront();
      two.button("Add a panel").click();
      two.onRevision(3);
      Gadget stored = application.stored(id);
      assertThat(stored.fixtures()).hasSize(before + 2);
      assertThat(stored.fixtures()).extracting(f -> f.id()).doesNotHaveDuplicates();
      assertThat(two.page().locator("h1")).not().hasText("Another change came first");
    }
  }

  @Test
  void aStrokeOnAFrameThatAnotherTabPaintedIsToldToo() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen one = Screen.open(address(id, "frames"));
        Screen two = one.tab(address(id, "frames"))) {
      stroke(one, "#112233");
      one.onRevision(2);
      two.page().bringToFront();
      stroke(two, "#445566");
      assertThat(two.page().locator("h1")).hasText("Another change came first");
      assertThat(
              application
                  .stored(id)
                  .clipOn("f1")
                  .orElseThrow()
                  .frames()
                  .get(0)
                  .picture()
                  .colour(0, 0))
          .isEqualTo(0x112233);
    }
  }

  private static void stroke(Screen screen, String colour) {
    screen.page().locator("input[type=color]").fill(colour);
    screen.page().locator("lit-easel canvas").focus();
    screen.page().keyboard().press("Space");
  }
}
