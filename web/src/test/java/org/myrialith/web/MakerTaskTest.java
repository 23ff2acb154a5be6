package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.tool.EdgeDecoder;
import org.myrialith.tool.OutsideTool;
import org.myrialith.tool.SimulatedController;

/**
 * The maker's whole way through the pages: from nothing to firmware that lights the right pixels.
 */
@ExtendWith(RunningApplication.Extension.class)
class MakerTaskTest {
  @TempDir Path folder;

  private final RunningApplication application;
  private Page page;

  MakerTaskTest(RunningApplication application) {
    this.application = application;
  }

  private Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private void layer(String name) {
    page.locator("#strata a", new Page.LocatorOptions().setHasText(name)).click();
    assertThat(page.locator("#strata a[aria-current]")).containsText(name);
  }

  /** Fills a field and waits until the change is saved as a revision of its own. */
  private void fill(String label, String value) {
    String before = page.locator(".revision b").textContent();
    page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(value);
    page.keyboard().press("Tab");
    assertThat(page.locator(".revision b")).not().hasText(before);
  }

  private Gadget stored() {
    return application.stored(id());
  }

  private String id() {
    return page.url().replaceAll(".*/gadgets/([0-9a-f-]{36}).*", "$1");
  }

  @Test
  void fromNothingToFirmwareThatLightsTheRightPixels() throws IOException {
    OutsideTool.runClean(
        folder,
        "/usr/bin/convert",
        "-delay",
        "15",
        "-size",
        "64x32",
        "gradient:#000010-#0a6a90",
        "-dispose",
        "None",
        "(",
        "-delay",
        "20",
        "-size",
        "24x24",
        "xc:white",
        "-repage",
        "+20+4",
        ")",
        "(",
        "-delay",
        "9",
        "-size",
        "20x10",
        "xc:#ffcc66",
        "-repage",
        "+40+16",
        ")",
        "-loop",
        "0",
        "tide.gif");
    try (Screen screen = Screen.open(application.address())) {
      page = screen.page();
      startAndDescribe();
      layOut();
      importPanel();
      drawStrip();
      mendPower();
      takeFirmware();
      undoRedoAndReload();
    }
  }

  private void startAndDescribe() {
    page.getByLabel("Name of the gadget").fill("Test lantern ⚓");
    button("Start empty").click();
    assertThat(page.locator("#strata a[aria-current]")).containsText("Layout");
    layer("Brief");
    page.getByLabel("Power source").fill("Wall adapter");
    page.keyboard().press("Tab");
    page.waitForTimeout(200);
    assertThat(page.locator("#notice")).not().containsText("Voltage");
    // a supply with a name alone is refused when it is left, and what was typed stays
    page.getByLabel("Name of the gadget").focus();
    assertThat(page.locator("#notice")).containsText("Voltage");
  }

  private void layOut() {
    page.getByLabel("Voltage").fill("5");
    page.keyboard().press("Tab");
    page.getByLabel("Rated current").fill("2");
    page.getByLabel("Name of the gadget").focus();
    assertThat(page.locator("#strata a[aria-current] .band-figure")).hasText("2\u00a0A");
    assertThat(page.getByLabel("Power source")).hasValue("Wall adapter");

    layer("Layout");
    button("Add a panel").click();
    assertThat(page.locator(".piece-picked")).hasCount(1);
    fill("Columns", "16");
    fill("Name", "Harbour");
    button("Add a strip").click();
    assertThat(page.locator("#pieces")).hasValue("30");
    fill("Pieces, one per line: pixels, gap before it in mm, “reversed”", "40");
    assertThat(stored().fixtures()).hasSize(2);
    assertThat(page.locator("#strata a[aria-current] .band-figure")).hasText("168\u00a0emitters");

    // by mouse, then by keys: the strip moves, and stays where it was put
    var box = page.locator(".piece-picked .dots").boundingBox();
    page.mouse().move(box.x + 2, box.y + box.height / 2);
    page.mouse().down();
    page.mouse()
        .move(box.x + 60, box.y + 30, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(5));
    page.mouse().up();
    Locator revision = page.locator(".revision b");
    String moved = revision.textContent();
    page.locator(".piece-picked").focus();
    page.keyboard().press("Shift+ArrowDown");
    page.keyboard().press("ArrowRight");
    assertThat(revision).not().hasText(moved);
    assertThat(stored().fixture("f2").orElseThrow().position(0).xMm()).isNotEqualTo(100.0 / 12);
  }

  private void importPanel() {
    layer("Frames");
    page.locator("input[type=file]").setInputFiles(folder.resolve("tide.gif"));
    button("Preview").click();
    assertThat(page.locator(".before-after li")).hasCount(3);
    assertThat(stored().clips()).as("looking keeps nothing").isEmpty();
    page.getByText("Nearest: ").click();
    assertThat(page.locator(".tab[aria-current]")).containsText("Nearest");
    page.reload();
    page.getByText("Average: ").click();
    assertThat(page.locator(".tab[aria-current]")).containsText("Average");
    button("Import").click();
    assertThat(page.locator(".core li")).hasCount(3);
    assertThat(stored().clipOn("f1").orElseThrow().frames())
        .extracting(f -> f.holdMillis())
        .containsExactly(150, 200, 90);
  }

  private void drawStrip() {
    page.getByText("Strip 2 (dark)").click();
    // the first stroke makes the frame
    assertThat(page.locator(".easel")).containsText("Strip 2 has no frames yet");
    Locator revision = page.locator(".revision b");
    page.locator("input[type=color]").fill("#20c0ff");
    var canvas = page.locator("lit-easel canvas").boundingBox();
    String before = revision.textContent();
    page.mouse().move(canvas.x + canvas.width * 0.5 / 40, canvas.y + canvas.height / 2);
    page.mouse().down();
    page.mouse()
        .move(
            canvas.x + canvas.width * 9.5 / 40,
            canvas.y + canvas.height / 2,
            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(20));
    page.mouse().up();
    assertThat(revision).not().hasText(before);
    assertThat(stored().clipOn("f2").orElseThrow().frames().get(0).picture().colour(9, 0))
        .isEqualTo(0x20c0ff);
    assertThat(stored().clipOn("f2").orElseThrow().frames().get(0).picture().colour(10, 0))
        .isZero();

    // without a mouse: fill the rest from the keyboard
    before = revision.textContent();
    page.locator("input[name=tool][value=fill]").check();
    page.locator("input[type=color]").fill("#300808");
    page.locator("lit-easel canvas").focus();
    page.keyboard().press("ArrowRight");
    page.keyboard().press("ArrowRight");
    page.keyboard().press("Space");
    assertThat(revision).not().hasText(before);
    assertThat(stored().clipOn("f2").orElseThrow().frames().get(0).picture().colour(39, 0))
        .isNotEqualTo(stored().clipOn("f2").orElseThrow().frames().get(0).picture().colour(0, 0));

    button("Copy").click();
    assertThat(page.locator(".core li")).hasCount(2);
    page.getByLabel("Shift the picture right").click();
    fill("Frame 2 hold", "330");
    button("Split").click();
    assertThat(page.locator(".core li")).hasCount(3);
    button("Delete").click();
    assertThat(page.locator(".core li")).hasCount(2);
    assertThat(button("Later")).isDisabled();
    button("Earlier").click();
    assertThat(button("Earlier")).isDisabled();
    assertThat(stored().clipOn("f2").orElseThrow().frames()).hasSize(2);
  }

  private void mendPower() {
    layer("Power");
    assertThat(page.locator("#calculations .finding-breaks").first()).containsText("at moment");
    Locator remedy =
        page.locator("#calculations .finding", new Page.LocatorOptions().setHasText("Full white"))
            .locator(".mend")
            .first();
    assertThat(remedy).containsText("Limit brightness to");
    remedy.click();
    assertThat(page.locator("#strata a[aria-current] .band-word")).hasText("holds");
    assertThat(page.locator(".gadget-title .verdict-word")).not().hasText("breaks");
    GadgetPlan plan = GadgetPlan.of(stored());
    assertThat(plan.verdict(Step.POWER)).isEqualTo(Verdict.HOLDS);
    // a number opens to its working
    page.locator("#calculations .number summary").first().click();
    assertThat(page.locator("#calculations .number[open] .formula")).isVisible();

    layer("Frames");
    assertThat(page.locator(".lamp-figure b")).containsText("A");
  }

  private void takeFirmware() throws IOException {
    layer("Firmware");
    Download download = page.waitForDownload(() -> page.getByText("Download the firmware").click());
    Path build = Files.createDirectory(folder.resolve("build"));
    try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(download.path()))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        Path file = build.resolve(entry.getName());
        Files.createDirectories(file.getParent());
        Files.copy((InputStream) zip, file);
      }
    }
    GadgetPlan plan = GadgetPlan.of(stored());
    SimulatedController played =
        SimulatedController.play(build, List.of("B0"), plan.show().lengthMillis() + 60);
    List<Levels> expected = new ArrayList<>();
    for (int m = 0; m < plan.show().moments().size(); m++) {
      expected.add(plan.sent().levels(m).get(0));
    }
    assertThat(
            EdgeDecoder.oneWire(played.dump(), "B0", 375, 812.5, 1250).stream()
                .map(EdgeDecoder.Burst::levels)
                .limit(expected.size())
                .toList())
        .isEqualTo(expected);
  }

  private void undoRedoAndReload() {
    layer("Layout");
    Gadget last = stored();
    for (int i = 0; i < 3; i++) {
      String before = page.locator(".revision b").textContent();
      page.locator("#undo").click();
      assertThat(page.locator(".revision b")).not().hasText(before);
    }
    assertThat(stored()).isNotEqualTo(last);
    page.reload();
    for (int i = 0; i < 3; i++) {
      String before = page.locator(".revision b").textContent();
      page.locator("#redo").click();
      assertThat(page.locator(".revision b")).not().hasText(before);
    }
    assertThat(stored()).isEqualTo(last);
    page.reload();
    assertThat(page.locator("#strata a[aria-current] .band-figure")).hasText("168\u00a0emitters");
  }
}
