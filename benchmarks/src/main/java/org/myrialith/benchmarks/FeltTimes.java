package org.myrialith.benchmarks;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;

/**
 * What a maker waits for at 8 064 emitters and 40 frames, from the key or the press until it is
 * painted; how smoothly the show plays and a fixture is dragged; what the pages weigh.
 */
public final class FeltTimes {
  private static final int COLUMNS = 128;
  private static final int ROWS = 63;
  private static final int FRAMES = 40;
  private static final int HOLD_MS = 50;
  private static final int TIMES = 9;

  /** Starts a clock that stops when the second frame after a new revision is painted. */
  private static final String UNTIL_SAVED =
      """
      () => { const revision = document.querySelector("#ledge .revision b");
        const old = revision.textContent;
        const from = performance.now();
        window.felt = new Promise((done) => { const look = () => document.querySelector("#ledge .revision b").textContent !== old
            ? requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - from))) : setTimeout(look, 2); look(); }); }
      """;

  /** The same when the second frame after the next key is painted. */
  private static final String UNTIL_PAINTED =
      """
      () => { window.felt = new Promise((done) => document.addEventListener("keydown", () => { const from = performance.now();
          requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - from))); }, { once: true, capture: true })); }
      """;

  private FeltTimes() {}

  /**
   * Measures.
   *
   * @param args the address of the running application
   */
  public static void main(String[] args) throws IOException, InterruptedException {
    try (Application application = Application.at(args[0])) {
      String id = application.bring(wall());
      System.out.printf(Locale.ROOT, "%d emitters, %d frames:%n", COLUMNS * ROWS, FRAMES);
      Page layout = application.page("/gadgets/" + id + "/layout");
      field(layout);
      nudge(layout);
      drag(layout);
      weight(layout, "layout");
      layout.close();
      Page frames = application.page("/gadgets/" + id + "/frames");
      preview(frames);
      copy(frames);
      weight(frames, "frames");
      application.remove(id);
    }
  }

  /** A wall on which a bright column runs through a dim slope of colours. */
  private static Gadget wall() {
    Panel panel = new Panel(COLUMNS, ROWS, 10, 10, Corner.TOP_LEFT, false, true, 0);
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < FRAMES; f++) {
      frames.add(new Frame(picture(f), HOLD_MS));
    }
    return Gadget.blank("Felt times")
        .with(Fixture.of("f1", "Wall", panel, 0, 0))
        .with(new Clip("c1", "Run", "f1", frames));
  }

  private static Picture picture(int step) {
    byte[] rgb = new byte[3 * COLUMNS * ROWS];
    for (int at = 0; at < COLUMNS * ROWS; at++) {
      int column = at % COLUMNS;
      rgb[3 * at] = (byte) (column % FRAMES == step ? 255 : column);
      rgb[3 * at + 1] = (byte) (at / COLUMNS * 2);
      rgb[3 * at + 2] = (byte) (column + step);
    }
    return Picture.of(COLUMNS, ROWS, rgb);
  }

  private static void field(Page page) {
    int[] pitch = {10};
    tell(
        "a field left until the drawing is painted",
        median(
            page,
            UNTIL_SAVED,
            () -> {
              page.locator("[name=pitchXMm]").fill(String.valueOf(10 + ++pitch[0] % 5));
              page.keyboard().press("Tab");
            }));
  }

  private static void nudge(Page page) {
    page.locator(".piece").first().focus();
    tell(
        "an arrow key until the move is painted",
        median(page, UNTIL_PAINTED, () -> page.keyboard().press("ArrowRight")));
  }

  private static void drag(Page page) {
    page.waitForTimeout(1500); // what was moved is saved
    BoundingBox way = page.locator(".piece .hold").first().boundingBox();
    double x = way.x + way.width / 2;
    double y = way.y + way.height / 2;
    page.mouse().move(x, y);
    page.mouse().down();
    page.mouse().move(x + 10, y);
    FrameTimes times =
        FrameTimes.during(
            page,
            () -> {
              for (int i = 1; i <= 150; i++) {
                page.mouse().move(x + 10 + i, y + i / 2.0);
                page.waitForTimeout(10);
              }
            });
    page.mouse().up();
    tell("a frame while dragging", times.median());
    System.out.printf(Locale.ROOT, "%-45s %s%n", "  all of them", times.missed());
    page.waitForTimeout(1500);
  }

  private static void preview(Page page) {
    page.locator(".lamp-play").waitFor();
    page.waitForTimeout(1500);
    if (page.locator(".lamp-play").textContent().equals("Play")) {
      page.locator(".lamp-play").click();
    }
    page.waitForTimeout(3000); // all its light has come
    FrameTimes times = FrameTimes.during(page, () -> page.waitForTimeout(4000));
    System.out.printf(
        Locale.ROOT,
        "%-45s %.1f frames a second, longest %.0f ms%n",
        "the show as it plays",
        times.perSecond(),
        times.longest());
    page.locator(".lamp-play").click();
  }

  private static void copy(Page page) {
    tell(
        "Copy pressed until the new frame is painted",
        median(page, UNTIL_SAVED, () -> page.locator("#do-copy").click()));
  }

  private static double median(Page page, String clock, Runnable act) {
    double[] millis = new double[TIMES];
    for (int i = 0; i < TIMES; i++) {
      page.waitForTimeout(800);
      page.evaluate(clock);
      act.run();
      millis[i] = ((Number) page.evaluate("() => window.felt")).doubleValue();
    }
    Arrays.sort(millis);
    return millis[TIMES / 2];
  }

  private static void tell(String what, double millis) {
    System.out.printf(Locale.ROOT, "%-45s %.0f ms%n", what, millis);
  }

  private static void weight(Page page, String name) {
    page.reload();
    Object bytes =
        page.evaluate("() => performance.getEntriesByType('navigation')[0].decodedBodySize");
    System.out.printf(
        Locale.ROOT, "%-45s %d KB%n", "the page of " + name, ((Number) bytes).longValue() / 1000);
  }
}
