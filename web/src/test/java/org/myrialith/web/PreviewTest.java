package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Transfer;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Supply;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import tools.jackson.databind.JsonNode;

/**
 * The preview shows the light that is sent, at the time it is sent, with its current; and it minds
 * eyes.
 */
@ExtendWith(RunningApplication.Extension.class)
class PreviewTest {
  private final RunningApplication application;

  PreviewTest(RunningApplication application) {
    this.application = application;
  }

  private static Fixture strip(int count) {
    return Fixture.of(
        "f1", "Line", new Strip(count, 50, List.of(new Point(0, 0), new Point(20.0 * count, 0))));
  }

  private static Picture filled(int count, int value) {
    byte[] rgb = new byte[count * 3];
    Arrays.fill(rgb, (byte) value);
    return Picture.of(count, 1, rgb);
  }

  private static Gadget gadget(Frame... frames) {
    return Gadget.blank("Preview")
        .with(strip(5))
        .with(new Clip("k1", "Clip", "f1", List.of(frames)));
  }

  @Test
  void theSceneTellsMomentsCurrentsAndPlacesOfTheCore() {
    String id = application.bring(DemoGadgets.tideLantern());
    GadgetPlan plan = GadgetPlan.of(DemoGadgets.tideLantern());
    JsonNode scene =
        RunningApplication.tree(
            application.json("GET", "/gadgets/" + id + "/r/1/preview.json", null));
    assertThat(scene.get("places")).hasSize(168 * 2);
    assertThat(scene.get("moments")).hasSize(plan.show().moments().size());
    for (int m = 0; m < plan.show().moments().size(); m++) {
      JsonNode moment = scene.get("moments").get(m);
      assertThat(moment.get(0).longValue()).isEqualTo(plan.show().moments().get(m).startMillis());
      assertThat(moment.get(3).doubleValue()).isEqualTo(plan.power().askedAmps(m));
    }
    byte[] light = application.bytes("/gadgets/" + id + "/r/1/light?from=4");
    assertThat(Arrays.copyOf(light, 168 * 3)).isEqualTo(plan.seen(4));
    assertThat(application.bytes("/gadgets/" + id + "/r/1/light?from=9999")).isEmpty();
    assertThat(application.bytes("/gadgets/" + id + "/r/1/light?from=-5")).isNotEmpty();
    assertThat(application.json("GET", "/gadgets/" + id + "/r/1/light?from=x", null).statusCode())
        .isEqualTo(400);
    assertThat(application.json("GET", "/gadgets/" + id + "/r/77/preview.json", null).statusCode())
        .isEqualTo(404);
  }

  @Test
  void theCanvasHasTheColourThatTheLevelLooksLike() {
    ColourSettings colour = new ColourSettings(new Transfer.PowerLaw(2.5), 60);
    String id = application.bring(gadget(new Frame(filled(5, 200), 1000)).with(colour));
    int seen = LevelTable.screenValue(LevelTable.of(colour).level(200));
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      assertThat(page.locator(".lamp-figure b")).containsText("A");
      // the middle emitter of five stands in the middle of the canvas, below the figure
      Object pixel =
          page.evaluate(
              "() => { const c = document.querySelector('.lamp canvas'); const p = c.getContext('2d');"
                  + " return [...p.getImageData(c.width / 2, (c.height + 12) / 2, 1, 1).data]; }");
      assertThat(pixel).isEqualTo(List.of(seen, seen, seen, 255));
    }
  }

  @Test
  void aWallOfManyIsPaintedInItsPlacesToo() {
    int side = 50;
    byte[] rgb = new byte[side * side * 3];
    for (int cell = 0; cell < side * side; cell++) {
      rgb[3 * cell + (cell % side < side / 2 ? 0 : 2)] = (byte) 255;
    }
    Panel panel = new Panel(side, side, 10, 10, Corner.TOP_LEFT, false, true, 0);
    String id =
        application.bring(
            Gadget.blank("Wall")
                .with(Fixture.of("f1", "Wall", panel, 0, 0))
                .with(
                    new Clip(
                        "k1", "Clip", "f1", List.of(new Frame(Picture.of(side, side, rgb), 1000))))
                .with(DemoGadgets.tideLantern().colour()));
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      assertThat(page.locator(".lamp-figure b")).containsText("A");
      // pixels of pure red and pure blue left and right of the middle
      Object pixels =
          page.evaluate(
              "() => { const c = document.querySelector('.lamp canvas'); const half = c.width / 2;"
                  + " const d = c.getContext('2d').getImageData(0, 0, c.width, c.height).data; const n = [0, 0, 0, 0];"
                  + " for (let i = 0; i < d.length; i += 4) { const right = (i / 4) % c.width < half ? 0 : 1;"
                  + "  if (d[i + 3] > 90 && d[i] > 200 && d[i + 2] === 0) n[right]++;"
                  + "  if (d[i + 3] > 90 && d[i + 2] > 200 && d[i] === 0) n[2 + right]++; } return n; }");
      List<?> counts = (List<?>) pixels;
      int dots = side * side / 2;
      assertThat((int) counts.get(0)).as("red at the left").isGreaterThan(dots);
      assertThat((int) counts.get(3)).as("blue at the right").isEqualTo((int) counts.get(0));
      assertThat(counts.subList(1, 3)).isEqualTo(List.of(0, 0));
    }
  }

  @Test
  void theFigureIsTheCurrentAsSentAndTellsWhatTheLimiterTook() {
    Gadget bright =
        gadget(new Frame(filled(5, 255), 60_000))
            .with(
                DemoGadgets.tideLantern()
                    .brief()
                    .withSupply(Optional.of(new Supply("cell", 5, 0.2))))
            .with(new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20));
    String id = application.bring(bright);
    GadgetPlan plan = GadgetPlan.of(bright);
    assertThat(plan.power().sentAmps(0)).isBetween(0.158, 0.16);
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      assertThat(screen.page().locator(".lamp-figure")).containsText("160 mA");
      assertThat(screen.page().locator(".lamp-figure")).containsText("requested 325 mA");
    }
  }

  @Test
  void itPlaysAtTrueSpeedAndPauses() {
    String id =
        application.bring(
            gadget(new Frame(filled(5, 20), 30_000), new Frame(filled(5, 60), 30_000)));
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      assertThat(page.locator(".lamp-play")).hasText("Pause");
      Object passed =
          page.evaluate(
              "async () => { const s = document.querySelector('.lamp-acts input'); const a = Number(s.value); const t = performance.now();"
                  + " await new Promise(r => setTimeout(r, 1500)); await new Promise(requestAnimationFrame);"
                  + " return ((Number(s.value) - a + 60000) % 60000) - (performance.now() - t); }");
      assertThat(((Number) passed).doubleValue()).isCloseTo(0, within(400.0));
      page.locator(".lamp-play").click();
      assertThat(page.locator(".lamp-play")).hasText("Play");
      page.locator(".lamp-day").click();
      assertThat(page.locator(".lamp")).hasClass(Pattern.compile(".*daylight.*"));
      screen.holdAccessible();
    }
  }

  @Test
  void aFlashingClipDoesNotStartByItself() {
    String id =
        application.bring(gadget(new Frame(filled(5, 0), 60), new Frame(filled(5, 255), 60)));
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      assertThat(page.locator(".lamp-word")).containsText("seizures");
      assertThat(page.locator(".lamp-play")).hasText("Play");
      assertThat(page.locator("#calculations")).containsText("more than three flashes");
      page.locator(".lamp-play").click();
      assertThat(page.locator(".lamp-play")).hasText("Pause");
    }
  }

  @Test
  void whoAsksForLessMotionGetsAStillPreview() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.open(application.address())) {
      Page page = screen.page();
      page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.REDUCE));
      page.navigate(application.address() + "/gadgets/" + id + "/frames?frame=11");
      assertThat(page.locator(".lamp-play")).hasText("Play");
      assertThat(page.locator(".lamp-figure")).containsText("4.00 A");
    }
  }
}
