package org.myrialith.benchmarks;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.util.Locale;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;

/**
 * Frame times of the drawing in Chromium, for a gadget of ten emitters beside one of 10 000: the
 * share of frames that miss 60 Hz while the view is moved, a fixture dragged and the wheel turned.
 */
public final class DrawingFrames {
  private static final int STEPS = 150;
  private static final int STEP_MS = 10;

  private DrawingFrames() {}

  /**
   * Measures.
   *
   * @param args the address of the running application
   */
  public static void main(String[] args) throws IOException, InterruptedException {
    try (Application application = Application.at(args[0])) {
      for (int[] size : new int[][] {{1, 5, 2}, {5, 50, 40}}) {
        String id = application.bring(wall(size[0], size[1], size[2]));
        Page page = application.page("/gadgets/" + id + "/layout?fixture=f1");
        measure(page, size[0] * size[1] * size[2]);
        application.remove(id);
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

  private static void measure(Page page, int emitters) {
    BoundingBox stage = page.locator(".stage").boundingBox();
    double x = stage.x + stage.width / 2;
    double low = stage.y + stage.height - 12;
    BoundingBox first = page.locator(".piece .way").first().boundingBox();
    report(page, emitters, "pan", () -> stroke(page, x, low, 200, -120));
    page.locator(".zoom-all").click();
    report(page, emitters, "drag", () -> stroke(page, first.x + 1, first.y + 1, 120, 60));
    report(page, emitters, "wheel", () -> turn(page, x, stage.y + stage.height / 2));
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
    FrameTimes times = FrameTimes.during(page, act);
    page.mouse().up();
    System.out.printf(Locale.ROOT, "%6d emitters, %-5s: %s%n", emitters, what, times.missed());
  }
}
