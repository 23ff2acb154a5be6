package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.circuit.charlieplex.Charlieplex;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.gadget.plan.Goal;
import org.myrialith.gadget.plan.GoalCheck;

/**
 * Five tasks of a new user, each from the shelf to the downloaded firmware with at most 12 clicks
 * and 20 keys; the other two, a text and a clock, are in {@link FewStepsTest}.
 */
@ExtendWith(RunningApplication.Extension.class)
class SevenTasksTest {
  private final RunningApplication application;
  private Screen screen;
  private Page page;
  private int clicks;
  private int keys;

  SevenTasksTest(RunningApplication application) {
    this.application = application;
  }

  private void click(Locator what) {
    what.click();
    clicks++;
  }

  private void button(String name) {
    click(screen.button(name));
  }

  private void layer(String name) {
    click(page.locator("#strata a", new Page.LocatorOptions().setHasText(name)));
    assertThat(page.locator("#strata a[aria-current]")).containsText(name);
  }

  private void type(String text) {
    page.keyboard().type(text);
    keys += text.length();
  }

  private void press(String key) {
    page.keyboard().press(key);
    keys++;
  }

  private void tabTo(Locator what) {
    assertThat(what).isVisible();
    while (!(boolean) what.evaluate("e => e === document.activeElement")) {
      press("Tab");
      assertThat(keys).isLessThan(400);
    }
  }

  private void choose(String label, String option) {
    screen.field(label).selectOption(option);
    clicks++; // the list opens and an entry is pressed: counted as one, as browsers let it be
  }

  private void start(String kind) {
    button("Start empty");
    button(kind);
    screen.onRevision(2);
  }

  private Gadget away() {
    layer("Firmware");
    assertThat(page.waitForDownload(() -> click(page.locator(".take-away"))).suggestedFilename())
        .endsWith(".zip");
    return application.stored(page.url().replaceAll(".*/gadgets/([0-9a-f-]{36}).*", "$1"));
  }

  private void within(String what) {
    System.out.printf("%s: %d clicks + %d keys%n", what, clicks, keys);
    assertThat(clicks).as(what + ", clicks").isLessThanOrEqualTo(12);
    assertThat(keys).as(what + ", keys").isLessThanOrEqualTo(20);
  }

  private void effect(String name) {
    layer("Frames");
    click(page.locator(".make-first a", new Page.LocatorOptions().setHasText("Effects")));
    if (!name.isEmpty()) {
      button(name + " in layer 1");
      assertThat(page.locator("#layer0-kind")).hasValue(name);
    }
    click(page.locator("button.act", new Page.LocatorOptions().setHasText("Make frames")));
    assertThat(page.locator(".core li").first()).isVisible();
  }

  @Test
  void anEightByEightMatrixLastsTwoDaysOnACoinCell() {
    try (Screen open = Screen.open(application.address())) {
      screen = open;
      page = open.page();
      start("Add a panel");
      choose("Emitter class", "small-red");
      click(page.locator("#fitting button"));
      assertThat(page.locator("#fitting")).hasCount(0);
      effect("");
      layer("Brief");
      button("Coin cell");
      assertThat(screen.button("Coin cell")).hasAttribute("aria-pressed", "true");
      press("Tab");
      assertThat(page.locator("#wantedHours")).isFocused();
      type("48");
      press("Tab");
      Locator goal = page.locator("#goal-battery-life");
      assertThat(goal).isVisible();
      if (goal.getByText("Rank what reaches it").count() > 0) {
        Locator rank = goal.getByText("Rank what reaches it");
        tabTo(rank);
        press("Enter");
        click(page.locator(".ranked button").first());
      }
      Gadget gadget = away();
      GadgetPlan plan = GadgetPlan.of(gadget);
      assertThat(new GoalCheck(plan).figure(Goal.BATTERY_LIFE).orElseThrow())
          .isGreaterThanOrEqualTo(48);
      within("8 x 8 on a coin cell");
    }
  }

  @Test
  void aBadgeOfTwentyCharlieplexedLedsSparkles() {
    try (Screen open = Screen.open(application.address())) {
      screen = open;
      page = open.page();
      start("Add a panel");
      type("5");
      press("Tab");
      type("4");
      press("Tab");
      choose("Emitter class", "small-red");
      layer("Circuits");
      click(page.locator("#ways-all > summary"));
      click(
          page.locator(".ways-table tr", new Page.LocatorOptions().setHasText("charlieplex"))
              .getByText("Use it")
              .first());
      assertThat(page.locator(".chain-pin").first()).isVisible();
      effect("sparkle");
      Gadget gadget = away();
      assertThat(gadget.fixtures().get(0).count()).isEqualTo(20);
      assertThat(gadget.circuits().of(gadget.fixtures().get(0)).orElseThrow())
          .isInstanceOf(Charlieplex.class);
      within("20 charlieplexed LEDs");
    }
  }

  @Test
  void aStripInThreePiecesOnALithiumCellWithBoostFedAtBothEnds() {
    try (Screen open = Screen.open(application.address())) {
      screen = open;
      page = open.page();
      page.evaluate("sessionStorage.setItem('rows-as-text', 'no')");
      start("Add a strip");
      tabTo(page.getByLabel("Pixels, row 1"));
      type("12");
      press("Enter");
      assertThat(page.getByLabel("Pixels, row 2")).isFocused();
      type("6");
      press("Enter");
      assertThat(page.getByLabel("Pixels, row 3")).isFocused();
      type("9");
      press("Tab");
      effect("");
      layer("Brief");
      button("Lithium cell");
      assertThat(screen.button("Lithium cell")).hasAttribute("aria-pressed", "true");
      layer("Power");
      button("step-up converter");
      button("Inject at both ends");
      Gadget gadget = away();
      GadgetPlan plan = GadgetPlan.of(gadget);
      assertThat(gadget.fixtures().get(0).count()).isEqualTo(27);
      assertThat(gadget.brief().tree().converters()).hasSize(1);
      assertThat(plan.gadget().power().rails().get(0).feeds()).extracting("at").contains(0, 26);
      within("strip of three pieces");
    }
  }

  @Test
  void aWandPaintsInTheAir() {
    try (Screen open = Screen.open(application.address())) {
      screen = open;
      page = open.page();
      start("Add a bar");
      effect("rainbow");
      layer("Flicker");
      click(screen.field("LEDs of the moving bar"));
      press("Control+A");
      type("8");
      press("Tab");
      assertThat(page.locator(".seen figcaption").first()).isVisible();
      layer("Brief");
      button("USB 2.0 port");
      away();
      within("wand");
    }
  }

  private void enter(Locator what) {
    tabTo(what);
    press("Enter");
  }

  private Locator step(String name) {
    return page.locator("#strata a", new Page.LocatorOptions().setHasText(name));
  }

  /**
   * The same without a mouse: every control is reached by Tab and pressed by Enter, steps by their
   * numbers.
   */
  @Test
  void aPanelWithAnEffectByKeyboardAlone() {
    try (Screen open = Screen.open(application.address())) {
      screen = open;
      page = open.page();
      enter(screen.button("Start empty"));
      enter(screen.button("Add a panel"));
      screen.onRevision(2);
      type("16");
      press("Tab");
      enter(step("Frames"));
      enter(page.locator(".make-first a").first());
      assertThat(page.locator("#layer0-kind")).isVisible();
      enter(page.locator("button.act", new Page.LocatorOptions().setHasText("Make frames")));
      assertThat(page.locator(".core li").first()).isVisible();
      enter(step("Brief"));
      enter(screen.button("5 V adapter, 2 A"));
      assertThat(screen.button("5 V adapter, 2 A")).hasAttribute("aria-pressed", "true");
      enter(step("Firmware"));
      Locator away = page.locator(".take-away");
      tabTo(away);
      assertThat(page.waitForDownload(() -> press("Enter")).suggestedFilename()).endsWith(".zip");
      System.out.printf("by keyboard alone: %d keys%n", keys);
      assertThat(clicks).isZero();
      assertThat(keys).isLessThan(250);
    }
  }

  private static byte[] gif() throws IOException {
    BufferedImage image = new BufferedImage(64, 64, BufferedImage.TYPE_INT_RGB);
    for (int at = 0; at < 64 * 64; at++) {
      image.setRGB(at % 64, at / 64, at % 64 < 32 ? 0xff0000 : 0x0000ff);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "gif", out);
    return out.toByteArray();
  }

  @Test
  void aGifOnARing() throws IOException {
    byte[] gif = gif();
    try (Screen open = Screen.open(application.address())) {
      screen = open;
      page = open.page();
      start("Add a ring");
      layer("Frames");
      click(page.locator(".make-first a", new Page.LocatorOptions().setHasText("image")));
      page.locator("#file").setInputFiles(new FilePayload("half.gif", "image/gif", gif));
      clicks += 2; // the field, and the file in the browser's own window
      button("Preview");
      button("Import");
      assertThat(page.locator(".core li").first()).isVisible();
      layer("Brief");
      button("5 V adapter, 2 A");
      Gadget gadget = away();
      assertThat(gadget.clips().get(0).frames().get(0).picture().colour(6, 0))
          .isIn(0xff0000, 0x0000ff);
      within("GIF on a ring");
    }
  }
}
