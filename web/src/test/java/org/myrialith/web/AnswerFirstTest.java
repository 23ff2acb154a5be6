package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Finding;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;

/** What a maker wants to know stands where it is needed, and nothing valid is lost. */
@ExtendWith(RunningApplication.Extension.class)
class AnswerFirstTest {
  private final RunningApplication application;

  AnswerFirstTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(String id, String step) {
    return Screen.open(application.address() + "/gadgets/" + id + "/" + step);
  }

  private static String plain(String text) {
    return text.replace('\u00a0', ' ').replace("\u202f", "");
  }

  /** The page of the download, the file that goes with it and the shelf say the same. */
  @Test
  void whatBreaksIsSaidTheSameInThreePlaces() throws Exception {
    Gadget lantern = DemoGadgets.tideLantern();
    String id = application.bring(lantern);
    List<Finding> problems = GadgetPlan.of(lantern).problems();
    String worst = plain(problems.get(0).says());
    String readme = readme(application.bytes("/gadgets/" + id + "/r/1/firmware.zip"));
    assertThat(readme).contains("THIS BREAKS");
    problems.forEach(p -> assertThat(readme).contains(plain(p.says())));
    try (Screen screen = open(id, "firmware")) {
      Page page = screen.page();
      Locator first = page.locator(".problems li").first();
      assertThat(plain(first.innerText())).contains("breaks", worst);
      assertThat(page.locator(".problems li")).hasCount(problems.size());
      screen.holdAccessible();
      first.getByRole(com.microsoft.playwright.options.AriaRole.LINK).click();
      assertThat(page.locator(".band[aria-current]")).containsText("Power");
    }
    assertThat(plain(application.json("GET", "/gadgets/" + id + "/slab", null).body()))
        .contains(worst + " And " + (problems.size() - 1) + " more.");
  }

  private static String readme(byte[] zip) throws Exception {
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        if (entry.getName().endsWith("README.txt")) {
          return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
      }
    }
    throw new AssertionError("no README.txt");
  }

  /**
   * Columns 999, and a new name while it still stands there: the name is kept, Columns is refused.
   */
  @Test
  void aValidFieldBesideARefusedOneIsSaved() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "layout?fixture=f1")) {
      Page page = screen.page();
      page.locator(".fixture-form input[name=columns]").fill("999");
      page.keyboard().press("Tab");
      assertThat(page.locator("#notice")).containsText("Nothing was changed or lost.");
      page.locator(".fixture-form input[name=name]").fill("Bay window");
      page.keyboard().press("Tab");
      assertThat(page.locator("#notice")).containsText("The other fields are saved.");
      assertThat(page.locator("#notice")).containsText("999");
      assertThat(page.locator("input[name=columns]").first()).hasValue("999");
      Gadget stored = application.stored(id);
      assertThat(stored.fixtures().get(0).name()).isEqualTo("Bay window");
      assertThat(stored.fixtures().get(0).seenColumns()).isEqualTo(16);
    }
  }

  /** A distance that is none costs neither the distance that was there nor the supply. */
  @Test
  void aRefusedFieldOfTheBriefCostsNothing() {
    Gadget badge = DemoGadgets.duneBadge();
    Gadget seen = badge.with(badge.layout().site().viewedFrom(1500));
    String id = application.bring(seen);
    try (Screen screen = open(id, "brief")) {
      Page page = screen.page();
      page.locator("#viewing").fill("far");
      page.keyboard().press("Tab");
      assertThat(page.locator("#notice")).containsText("far");
      page.locator("#milliampHours").fill("0.25 Ah");
      page.locator("#title").focus();
      assertThat(page.locator("#notice")).containsText("The other fields are saved.");
      assertThat(page.locator("#viewing")).hasValue("far");
      Gadget stored = application.stored(id);
      assertThat(stored.layout().site().viewingMm()).isEqualTo(1500);
      assertThat(stored.brief().supply().orElseThrow().milliampHours()).isEqualTo(250);
      assertThat(stored.brief().supply().orElseThrow().name())
          .isEqualTo(badge.brief().supply().orElseThrow().name());
    }
  }

  /** A term is explained where it is met, by key. */
  @Test
  void aTermIsExplainedByKey() {
    String id = application.bring(DemoGadgets.fogBell());
    try (Screen screen = open(id, "circuits")) {
      Page page = screen.page();
      Locator what = page.locator(".term").first();
      what.focus();
      page.keyboard().press("Enter");
      Locator card = page.locator(".term-card:popover-open");
      assertThat(card).hasCount(1);
      assertThat(card).isVisible();
      screen.holdAccessible();
      page.keyboard().press("Escape");
      assertThat(card).hasCount(0);
      page.navigate(application.address() + "/words#duty-cycle");
      assertThat(page.locator("#duty-cycle dd")).containsText("share of time");
      screen.holdAccessible();
    }
  }

  /** From the shelf to firmware of one's own: a press, and two more to the download. */
  @Test
  void aReadyGadgetIsTwoPressesFromItsFirmware() {
    try (Screen screen = Screen.open(application.address())) {
      Page page = screen.page();
      screen.holdAccessible();
      page.locator(".start-card").filter(new Locator.FilterOptions().setHasText("Clock")).click();
      assertThat(page.locator(".gadget-title")).containsText("Clock");
      page.locator(".band").filter(new Locator.FilterOptions().setHasText("Firmware")).click();
      com.microsoft.playwright.Download file =
          page.waitForDownload(() -> page.locator(".take-away").click());
      assertThat(file.suggestedFilename()).endsWith(".zip");
    }
  }
}
