package org.myrialith.benchmarks;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetJson;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;

/**
 * Frame times of the drawing in Chromium, for a gadget of ten emitters beside one of 10 000: the
 * share of frames that miss 60 Hz while the view is moved, a fixture dragged and the wheel turned,
 * and how long a move by a key takes until the answer is drawn.
 */
public final class DrawingFrames {
  /** A frame that takes longer than one and a half of 60 Hz has missed one. */
  private static final double MISSED_MS = 1.5 * 1000 / 60;

  private static final int STEPS = 150;
  private static final int STEP_MS = 10;
  private static final int EDITS = 9;

  private DrawingFrames() {}

  /**
   * Measures.
   *
   * @param args the address of the running application
   */
  public static void main(String[] args) throws IOException, InterruptedException {
    String address = args[0].replaceAll("/$", "");
    try (Playwright playwright =
        Playwright.create(
            new Playwright.CreateOptions()
                .setEnv(java.util.Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))) {
      Browser browser =
          playwright
              .chromium()
              .launch(
                  new BrowserType.LaunchOptions()
                      .setExecutablePath(Path.of("/usr/bin/chromium"))
                      .setArgs(List.of("--no-sandbox", "--disable-gpu", "--no-first-run")));
      for (int[] size : new int[][] {{1, 5, 2}, {5, 50, 40}}) {
        String id = bring(address, wall(size[0], size[1], size[2]));
        measure(
            browser,
            address + "/gadgets/" + id + "/layout?fixture=f1",
            size[0] * size[1] * size[2]);
        send(address, "DELETE", "/api/v1/projects/" + id, "");
      }
    }
  }

  private static Gadget wall(int panels, int columns, int rows) {
    Gadget wall = Gadget.blank("Frame times");
    for (int i = 0; i < panels; i++) {
      Panel panel = new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, false, true, 0);
      wall = wall.with(Fixture.of("f" + (i + 1), "Wall " + (i + 1), panel, i * columns * 11, 0));
    }
    return wall;
  }

  private static String bring(String address, Gadget gadget)
      throws IOException, InterruptedException {
    Matcher id =
        Pattern.compile("\"id\"\\s*:\\s*\"([^\"]+)\"")
            .matcher(send(address, "POST", "/api/v1/projects", GadgetJson.write(gadget)));
    if (!id.find()) {
      throw new IOException("the application gave no identifier");
    }
    return id.group(1);
  }

  private static String send(String address, String method, String path, String body)
      throws IOException, InterruptedException {
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(URI.create(address + path))
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .header("Content-Type", "application/json")
                .build(),
            HttpResponse.BodyHandlers.ofString())
        .body();
  }

  private static void measure(Browser browser, String address, int emitters) {
    Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
    page.navigate(address);
    BoundingBox stage = page.locator(".stage").boundingBox();
    double x = stage.x + stage.width / 2;
    double low = stage.y + stage.height - 12;
    BoundingBox first = page.locator(".piece .way").first().boundingBox();
    report(page, emitters, "pan", () -> stroke(page, x, low, 200, -120));
    page.locator(".zoom-all").click();
    report(page, emitters, "drag", () -> stroke(page, first.x + 1, first.y + 1, 120, 60));
    report(page, emitters, "wheel", () -> turn(page, x, stage.y + stage.height / 2));
    page.locator(".zoom-all").click();
    System.out.printf(
        Locale.ROOT,
        "%6d emitters, a move by a key until it is drawn: %.0f ms (median)%n",
        emitters,
        edits(page));
    page.close();
  }

  private static void stroke(Page page, double x, double y, double dx, double dy) {
    page.mouse().move(x, y);
    page.mouse().down();
    for (int i = 1; i <= STEPS; i++) {
      page.mouse().move(x + dx * i / STEPS, y + dy * i / STEPS);
      page.waitForTimeout(STEP_MS);
    }
  }

  private static void turn(Page page, double x, double y) {
    page.mouse().move(x, y);
    for (int i = 0; i < STEPS / 3; i++) {
      page.mouse().wheel(0, i < STEPS / 6 ? -12 : 12);
      page.waitForTimeout(3 * STEP_MS);
    }
  }

  private static void report(Page page, int emitters, String what, Runnable act) {
    page.waitForTimeout(500);
    page.evaluate(
        """
        () => { window.frames60 = []; let last; window.measuring = true;
          const frame = (now) => { if (last) window.frames60.push(now - last); last = now; if (window.measuring) requestAnimationFrame(frame); };
          requestAnimationFrame(frame); }
        """);
    act.run();
    List<?> times =
        (List<?>) page.evaluate("() => { window.measuring = false; return window.frames60; }");
    page.mouse().up();
    double[] sorted =
        times.stream().mapToDouble(t -> ((Number) t).doubleValue()).sorted().toArray();
    long missed = Arrays.stream(sorted).filter(t -> t > MISSED_MS).count();
    System.out.printf(
        Locale.ROOT,
        "%6d emitters, %-5s: %4d frames, %4.1f %% miss 60 Hz, longest %.0f ms%n",
        emitters,
        what,
        sorted.length,
        100.0 * missed / sorted.length,
        sorted[sorted.length - 1]);
  }

  /**
   * From the moment the keys rest, which is when a move is sent, until the new drawing is painted.
   */
  private static double edits(Page page) {
    double[] millis = new double[EDITS];
    for (int i = 0; i < EDITS; i++) {
      page.waitForTimeout(600);
      Object taken =
          page.evaluate(
              """
              () => new Promise((done) => {
                const form = document.querySelector("form.plan-move");
                form.elements.dx.value = 1;
                const from = performance.now();
                const settled = () => { document.removeEventListener("htmx:afterSettle", settled);
                  requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - from))); };
                document.addEventListener("htmx:afterSettle", settled);
                form.requestSubmit();
              })
              """);
      millis[i] = ((Number) taken).doubleValue();
    }
    Arrays.sort(millis);
    return millis[EDITS / 2];
  }
}
