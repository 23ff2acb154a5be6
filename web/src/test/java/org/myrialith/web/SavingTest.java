package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Clip;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.tool.Gadgets;
import org.myrialith.tool.OutsideTool;

/** Nothing typed, pressed or drawn gets lost while a save is on its way. */
@ExtendWith(RunningApplication.Extension.class)
class SavingTest {
  private final RunningApplication application;

  SavingTest(RunningApplication application) {
    this.application = application;
  }

  /** Makes every answer to a form come a while later, as from a slow machine. */
  private static void slow(Page page, int millis) {
    page.route(
        "**/*",
        route -> {
          if (route.request().method().equals("POST")) {
            page.waitForTimeout(millis);
          }
          route.resume();
        });
  }

  private static void type(Page page, String label, String value) {
    page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(value);
    page.keyboard().press("Tab");
  }

  @Test
  void fieldsFilledInARowAreAllSaved() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/power")) {
      Page page = screen.page();
      slow(page, 150);
      type(page, "Safety margin", "25");
      type(page, "Controller current", "31");
      type(page, "Current per channel at full level", "18,5");
      type(page, "Idle current per pixel", "0.8");
      page.waitForCondition(
          () -> Gadgets.line(application.stored(id)).pixel().idleMilliamps() == 0.8);
      Gadget stored = application.stored(id);
      assertThat(stored.power().marginPercent()).isEqualTo(25);
      assertThat(stored.power().controllerMilliamps()).isEqualTo(31);
      assertThat(Gadgets.line(stored).pixel().channelMilliamps()).isEqualTo(18.5);
      assertThat(page.getByLabel("Safety margin")).hasValue("25");
    }
  }

  @Test
  void aButtonPressedRightAfterTypingStartsFromWhatWasTyped() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen =
        Screen.open(application.address() + "/gadgets/" + id + "/layout?fixture=f2")) {
      Page page = screen.page();
      slow(page, 150);
      page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Quay");
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Copy")).click();
      page.waitForCondition(() -> application.stored(id).fixtures().size() == 3);
      assertThat(application.stored(id).fixtures())
          .extracting(f -> f.name())
          .containsExactly("Harbour window", "Quay", "Quay copy");
      assertThat(page.locator("h1")).not().containsText("Another change");
    }
  }

  @Test
  void whatIsRefusedStaysInSightWhateverWasPressedMeanwhile() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen =
        Screen.open(application.address() + "/gadgets/" + id + "/layout?fixture=f1")) {
      Page page = screen.page();
      slow(page, 300);
      page.getByLabel("Columns").fill("999");
      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Copy")).click();
      assertThat(page.locator("#notice")).containsText("Columns");
      page.waitForTimeout(900);
      assertThat(page.getByLabel("Columns")).hasValue("999");
      assertThat(application.stored(id).fixtures()).hasSize(2);
    }
  }

  @Test
  void aLinkFollowedRightAfterTypingLeavesTheValueSaved() {
    String id = application.bring(DemoGadgets.porchBuoy());
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/colour")) {
      Page page = screen.page();
      slow(page, 150);
      page.getByLabel("Brightness limit").fill("33");
      page.locator("#strata a", new Page.LocatorOptions().setHasText("Power")).click();
      assertThat(page.locator("#strata a[aria-current]")).containsText("Power");
      assertThat(application.stored(id).colour().brightnessPercent()).isEqualTo(33);
      assertThat(page.locator(".band-was").first()).containsText("was");
    }
  }

  @Test
  void anImageIsLookedAtKeptBehindAndUndone(@TempDir Path folder) throws Exception {
    OutsideTool.runClean(
        folder,
        "/usr/bin/convert",
        "-delay",
        "0",
        "-size",
        "20x20",
        "xc:red",
        "-delay",
        "7",
        "xc:blue",
        "two.gif");
    OutsideTool.runClean(folder, "/usr/bin/convert", "-size", "16x8", "xc:#336699", "one.png");
    String id = application.bring(DemoGadgets.tideLantern());
    String frames = application.address() + "/gadgets/" + id + "/frames";
    try (Screen screen = Screen.open(frames)) {
      Page page = screen.page();
      page.locator("input[type=file]").setInputFiles(folder.resolve("two.gif"));
      screen.button("Preview").click();
      assertThat(page.locator(".notes")).containsText("1 frame has no delay");
      screen.holdAccessible();
      page.getByText("Import, after those").click();
      assertThat(page.locator(".core li")).hasCount(18);
      page.locator("#undo").click();
      assertThat(page.locator(".core li")).hasCount(16);

      page.locator("input[type=file]").setInputFiles(folder.resolve("one.png"));
      screen.button("Preview").click();
      page.getByText("Crop: ").click();
      assertThat(page.locator(".tab[aria-current]")).containsText("Crop");
      page.getByText("Import, replacing").click();
      assertThat(page.locator(".core li")).hasCount(1);
      Clip clip = application.stored(id).clipOn("f1").orElseThrow();
      assertThat(clip.frames().get(0).picture().colour(7, 3)).isEqualTo(0x336699);
      assertThat(clip.frames().get(0).holdMillis()).isEqualTo(1000);

      page.locator("input[type=file]").setInputFiles(folder.resolve("two.gif"));
      screen.button("Preview").click();
      assertThat(page.locator(".before-after li")).hasCount(2);
      String looked = page.url();
      page.getByText("Discard").click();
      assertThat(page.locator(".core li")).hasCount(1);
      page.navigate(looked);
      assertThat(page.locator("h1")).containsText("nothing at this address");
    }
    assertThat(Files.exists(folder.resolve("two.gif"))).isTrue();
  }

  @Test
  void framesAreWorkedOnFromTheKeyboard() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen =
        Screen.open(application.address() + "/gadgets/" + id + "/frames?frame=2")) {
      Page page = screen.page();
      page.locator(".core a[aria-current]").focus();
      page.keyboard().press("+");
      assertThat(page.locator(".revision b")).hasText("2");
      assertThat(application.stored(id).clipOn("f1").orElseThrow().frames().get(2).holdMillis())
          .isEqualTo(190);
      page.locator(".core a[aria-current]").focus();
      page.keyboard().press("c");
      assertThat(page.locator(".core li")).hasCount(17);
      page.locator(".core a[aria-current]").focus();
      page.keyboard().press("s");
      assertThat(page.locator(".core li")).hasCount(18);
      page.locator(".core a[aria-current]").focus();
      page.keyboard().press("Delete");
      assertThat(page.locator(".core li")).hasCount(17);
    }
  }

  @Test
  void aLongStripIsFoldedOnTheEaselAndPaintedWhereItIsTouched() {
    Gadget gadget =
        Gadget.blank("Long")
            .with(
                Fixture.of(
                    "f1",
                    "Long",
                    new Strip(150, 60, List.of(new Point(0, 0), new Point(2500, 0)))));
    String id = application.bring(gadget);
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      page.getByText("Start with a dark frame").click();
      assertThat(page.locator(".core li")).hasCount(1);
      page.locator("input[type=color]").fill("#ffffff");
      var canvas = page.locator("lit-easel canvas").boundingBox();
      // third row of 64, sixth cell: pixel 133
      page.mouse().click(canvas.x + canvas.width * 5.5 / 64, canvas.y + canvas.height * 2.5 / 3);
      assertThat(page.locator(".revision b")).hasText("3");
      assertThat(
              application
                  .stored(id)
                  .clipOn("f1")
                  .orElseThrow()
                  .frames()
                  .get(0)
                  .picture()
                  .colour(133, 0))
          .isEqualTo(0xffffff);
    }
  }
}
