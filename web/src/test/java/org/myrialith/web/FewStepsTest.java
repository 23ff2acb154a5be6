package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Ring;
import org.myrialith.layout.Strip;

/**
 * Gadgets from an empty shelf to the firmware, with every click and every key counted. The bounds
 * are half of what the same gadgets took before: 35, 81, 42 and 31 clicks and keys.
 */
@ExtendWith(RunningApplication.Extension.class)
class FewStepsTest {
  private final RunningApplication application;
  private Page page;
  private int clicks;
  private int keys;

  FewStepsTest(RunningApplication application) {
    this.application = application;
  }

  private void click(Locator what) {
    what.click();
    clicks++;
  }

  private void button(String name) {
    click(
        page.getByRole(
            com.microsoft.playwright.options.AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(name).setExact(true)));
  }

  private void layer(String name) {
    click(page.locator("#strata a", new Page.LocatorOptions().setHasText(name)));
    assertThat(page.locator("#strata a[aria-current]")).containsText(name);
  }

  /** Types into what has the focus. */
  private void type(String text) {
    page.keyboard().type(text);
    keys += text.length();
  }

  private void press(String key) {
    page.keyboard().press(key);
    keys++;
  }

  private void start() {
    page.evaluate("sessionStorage.setItem('rows-as-text', 'no')");
    click(page.getByLabel("Name of the gadget"));
    type("P");
    press("Enter");
    assertThat(page.locator("#strata a[aria-current]")).containsText("Layout");
  }

  private void onRevision(int number) {
    assertThat(page.locator(".revision b")).hasText(Integer.toString(number));
  }

  /** One stroke, a supply, and away with it. */
  private Gadget finish() {
    layer("Frames");
    click(page.locator("lit-easel canvas"));
    assertThat(page.locator(".core li")).hasCount(1);
    return supplied();
  }

  private void told(String what, int bound) {
    System.out.printf("%s: %d clicks + %d keys%n", what, clicks, keys);
    assertThat(clicks + keys).as(what).isLessThanOrEqualTo(bound);
  }

  @Test
  void aPanelOf16By16() {
    try (Screen screen = Screen.open(application.address())) {
      page = screen.page();
      start();
      button("Add a panel");
      onRevision(2);
      type("16");
      press("Tab");
      type("16");
      press("Tab");
      Gadget gadget = finish();
      Panel panel = (Panel) gadget.fixtures().get(0).shape();
      assertThat(panel.columns() * panel.rows()).isEqualTo(256);
      told("panel", 17);
    }
  }

  @Test
  void aStripInThreePiecesWithOneTurned() {
    try (Screen screen = Screen.open(application.address())) {
      page = screen.page();
      start();
      button("Add a strip");
      onRevision(2);
      click(page.getByLabel("Pixels, row 1"));
      press("Control+A");
      type("12");
      for (int row = 2; row < 4; row++) {
        click(page.locator("lit-rows").first().getByText("Add a row"));
        assertThat(page.getByLabel("Pixels, row " + row)).isFocused();
        type(row == 2 ? "6" : "9");
      }
      click(page.getByLabel("Reversed, row 2"));
      Gadget gadget = finish();
      Strip strip = (Strip) gadget.fixtures().get(0).shape();
      assertThat(strip.pieces())
          .extracting(p -> p.pixels() + (p.turned() ? " reversed" : ""))
          .containsExactly("12", "6 reversed", "9");
      told("strip", 40);
    }
  }

  /** A supply, and away with it. */
  private Gadget supplied() {
    layer("Brief");
    button("5 V enclosed supply, 20 A");
    layer("Firmware");
    Download zip = page.waitForDownload(() -> click(page.locator(".take-away")));
    assertThat(zip.suggestedFilename()).endsWith(".zip");
    return application.stored(page.url().replaceAll(".*/gadgets/([0-9a-f-]{36}).*", "$1"));
  }

  private void atMost(String what, int mostClicks, int mostKeys) {
    System.out.printf("%s: %d clicks + %d keys%n", what, clicks, keys);
    assertThat(clicks).as(what + ", clicks").isLessThanOrEqualTo(mostClicks);
    assertThat(keys).as(what + ", keys").isLessThanOrEqualTo(mostKeys);
  }

  @Test
  void aClockOfSixDigits() {
    try (Screen screen = Screen.open(application.address())) {
      page = screen.page();
      start();
      button("Add segment digits");
      onRevision(2);
      Locator modules =
          page.locator("lit-rows")
              .filter(new Locator.FilterOptions().setHas(page.getByLabel("Digits, row 1")));
      click(modules.getByText("Add a row"));
      assertThat(page.getByLabel("Digits, row 3")).isFocused();
      type("2");
      press("Tab");
      type("s");
      press("Tab");
      layer("Cues");
      button("Start with clock with setting");
      Gadget gadget = supplied();
      assertThat(gadget.cues().scenes().get(0).readouts()).hasSize(3);
      atMost("six-digit clock", 12, 20);
    }
  }

  @Test
  void aTextOnAPanel() {
    try (Screen screen = Screen.open(application.address())) {
      page = screen.page();
      start();
      button("Add a panel");
      onRevision(2);
      layer("Frames");
      click(page.locator(".make-first a", new Page.LocatorOptions().setHasText("Text")));
      click(page.locator("#text"));
      press("Control+A");
      type("Ahoy");
      button("Make frames");
      assertThat(page.locator(".core li").first()).isVisible();
      Gadget gadget = supplied();
      assertThat(gadget.programme().clips().get(0).frames()).hasSizeGreaterThan(5);
      atMost("text on a panel", 12, 20);
    }
  }

  @Test
  void twoRings() {
    try (Screen screen = Screen.open(application.address())) {
      page = screen.page();
      start();
      button("Add a ring");
      onRevision(2);
      click(page.getByText("Add a row"));
      assertThat(page.getByLabel("Pixels, row 2")).isFocused();
      type("12");
      press("Tab");
      type("15");
      press("Tab");
      Gadget gadget = finish();
      assertThat(((Ring) gadget.fixtures().get(0).shape()).circles())
          .extracting(c -> c.count() + " at " + c.radiusMm())
          .containsExactly("24 at 30.0", "12 at 15.0");
      told("rings", 21);
    }
  }

  @Test
  void looseEmittersFromATable() {
    try (Screen screen = Screen.open(application.address())) {
      page = screen.page();
      start();
      click(page.locator("#bring summary"));
      page.locator("#bring input[type=file]")
          .setInputFiles(
              new com.microsoft.playwright.options.FilePayload(
                  "dots.csv",
                  "text/csv",
                  "x mm,y mm\n0,0\n12.5,3\n30,8\n".getBytes(StandardCharsets.UTF_8)));
      clicks += 2; // the field, and the file in the browser's own window
      click(page.locator("#bring button"));
      button("Import as 3 loose emitters");
      Gadget gadget = finish();
      assertThat(gadget.fixtures().get(0).count()).isEqualTo(3);
      told("loose emitters", 15);
    }
  }
}
