package org.myrialith.web.frames;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.edit.ClipEdits;
import org.myrialith.frames.edit.Patch;
import org.myrialith.frames.edit.Stroke;
import org.myrialith.frames.file.ClipFiles;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Whole clips are played faster, made darker, eased, and downloaded. */
@ExtendWith(RunningApplication.Extension.class)
class ClipPageTest {
  private final RunningApplication application;

  ClipPageTest(RunningApplication application) {
    this.application = application;
  }

  private static Locator button(Page page, String text) {
    return page.locator("button").filter(new Locator.FilterOptions().setHasText(text)).first();
  }

  private Clip clip(String id) {
    return application.stored(id).clipOn("f1").orElseThrow();
  }

  private static void openEdits(Page page) {
    page.locator("details.clip-edits").evaluate("d => { d.open = true; }");
  }

  /** An ellipse on both sides by the mouse, a frame by keys. */
  @Test
  void toolsPaintByMouseAndByKeys() {
    String id = application.bring(DemoGadgets.tideLantern());
    Picture was = clip(id).frames().get(0).picture();
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      page.locator("input[value=ellipse]").check();
      page.locator("select[name=mirror]").selectOption("across");
      Locator easel = page.locator("#easel");
      BoundingBox box = easel.boundingBox();
      double cell = box.width / was.columns();
      page.mouse().move(box.x + cell / 2, box.y + cell / 2);
      page.mouse().down();
      page.mouse().move(box.x + 4.5 * cell, box.y + 3.5 * cell);
      page.mouse().up();
      screen.onRevision(2);
      int colour = Brush.colour(page.locator("input[name=colour]").first().inputValue());
      Picture oval =
          new Stroke(
                  Stroke.Tool.ELLIPSE,
                  List.of(new Picture.Cell(0, 0), new Picture.Cell(4, 3)),
                  colour,
                  1,
                  Stroke.Mirror.ACROSS)
              .on(was);
      assertThat(clip(id).frames().get(0).picture()).isEqualTo(oval);
      page.locator("input[value=frame]").check();
      easel.focus();
      for (String key : List.of("Enter", "ArrowRight", "ArrowRight", "ArrowDown", "Enter")) {
        page.keyboard().press(key);
      }
      screen.onRevision(3);
      Picture framed =
          new Stroke(
                  Stroke.Tool.FRAME,
                  List.of(new Picture.Cell(4, 3), new Picture.Cell(6, 4)),
                  colour,
                  1,
                  Stroke.Mirror.ACROSS)
              .on(oval);
      assertThat(clip(id).frames().get(0).picture()).isEqualTo(framed);
      screen.holdAccessible();
    }
  }

  /** Cells are picked and moved by the mouse, by keys, and put on another frame. */
  @Test
  void severalCellsArePickedMovedAndPut() {
    String id = application.bring(DemoGadgets.tideLantern());
    Picture was = clip(id).frames().get(0).picture();
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      page.locator("input[value=move]").check();
      Locator easel = page.locator("#easel");
      BoundingBox box = easel.boundingBox();
      double cell = box.width / was.columns();
      drag(page, box, cell, new int[] {9, 1}, new int[] {11, 3});
      assertThat(page.locator(".put-picked")).containsText("3 × 3");
      drag(page, box, cell, new int[] {10, 2}, new int[] {5, 4});
      screen.onRevision(2);
      Picture moved = moved(was, new int[][] {{9, 1}, {11, 3}, {4, 3}});
      assertThat(clip(id).frames().get(0).picture()).isEqualTo(moved);
      // x brings them to where the maker is
      easel.focus();
      page.keyboard().press("ArrowUp");
      page.keyboard().press("x");
      screen.onRevision(3);
      Picture again = moved(moved, new int[][] {{4, 3}, {6, 5}, {5, 3}});
      assertThat(clip(id).frames().get(0).picture()).isEqualTo(again);
      screen.holdAccessible();
      // they stay picked on the next frame
      page.navigate(application.address() + "/gadgets/" + id + "/frames?frame=1");
      page.locator("input[value=move]").check();
      page.locator("#easel").focus();
      for (String key : List.of("Enter", "ArrowRight", "ArrowDown", "Enter", "Control+v")) {
        page.keyboard().press(key);
      }
      screen.onRevision(4);
      Picture second = clip(id).frames().get(1).picture();
      Picture before = DemoGadgets.tideLantern().clips().get(0).frames().get(1).picture();
      Patch patch = Patch.of(before, new Picture.Cell(0, 0), new Picture.Cell(1, 1));
      assertThat(second).isEqualTo(patch.on(before, 1, 1));
    }
  }

  private static Picture moved(Picture picture, int[][] points) {
    List<Picture.Cell> cells =
        Arrays.stream(points).map(point -> new Picture.Cell(point[0], point[1])).toList();
    return new Stroke(Stroke.Tool.MOVE, cells, 0, 1, Stroke.Mirror.NONE).on(picture);
  }

  private static void drag(Page page, BoundingBox box, double cell, int[] from, int[] to) {
    page.mouse().move(box.x + (from[0] + 0.5) * cell, box.y + (from[1] + 0.5) * cell);
    page.mouse().down();
    page.mouse().move(box.x + (to[0] + 0.5) * cell, box.y + (to[1] + 0.5) * cell);
    page.mouse().up();
  }

  /**
   * A strip lies as it was laid: a click paints the pixel that it meets, arrows go on beside it.
   */
  @Test
  void whatIsNoPanelIsPaintedAsItLooks() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen =
        Screen.open(application.address() + "/gadgets/" + id + "/frames?fixture=f2")) {
      Page page = screen.page();
      page.locator("input[name=colour]").first().fill("#ff0000");
      Locator easel = page.locator("#easel");
      BoundingBox box = easel.boundingBox();
      // a pixel of the side that goes up
      List<?> spot =
          (List<?>)
              page.locator("lit-easel").evaluate("e => e.seen().find(([cell]) => cell === 20)");
      page.mouse()
          .click(
              box.x + ((Number) spot.get(1)).doubleValue(),
              box.y + ((Number) spot.get(2)).doubleValue());
      screen.onRevision(2);
      page.keyboard().press("ArrowUp");
      page.keyboard().press(" ");
      screen.onRevision(3);
      Picture picture = application.stored(id).clipOn("f2").orElseThrow().frames().get(0).picture();
      assertThat(picture.colour(20, 0)).isEqualTo(0xff0000);
      assertThat(picture.colour(21, 0)).isEqualTo(0xff0000);
      page.locator(".as-it-looks").uncheck();
      page.locator(".frame-before").check();
      screen.holdAccessible();
    }
  }

  @Test
  void aClipIsChangedAsAWhole() throws IOException {
    String id = application.bring(DemoGadgets.tideLantern());
    Clip was = clip(id);
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      openEdits(page);
      screen.holdAccessible();
      page.locator("#tempo").fill("0");
      button(page, "Apply tempo").click();
      assertThat(page.locator("#tempo-why")).containsText("1 to 10");
      assertThat(page.locator("#tempo")).hasValue("0");
      page.locator("#tempo").fill("200");
      button(page, "Apply tempo").click();
      screen.onRevision(2);
      assertThat(clip(id)).isEqualTo(new ClipEdits(was).tempo(200));
      openEdits(page);
      page.locator("#light").fill("60");
      button(page, "Dim all").click();
      screen.onRevision(3);
      openEdits(page);
      page.locator("#between").fill("3");
      button(page, "Blend frame 1").click();
      screen.onRevision(4);
      assertThat(clip(id))
          .isEqualTo(
              new ClipEdits(new ClipEdits(new ClipEdits(was).tempo(200)).darker(-1, 60))
                  .easedFrom(0, 3));
      Download gif = page.waitForDownload(() -> page.locator("button[value=gif]").first().click());
      assertThat(gif.suggestedFilename()).endsWith(".gif");
      try (InputStream file = gif.createReadStream()) {
        assertThat(file.readAllBytes()).isEqualTo(new ClipFiles(clip(id), 8).gif().file());
      }
      openEdits(page);
      button(page, "Copy frame 1 there").click();
      screen.onRevision(5);
      Clip other = application.stored(id).clipOn("f2").orElseThrow();
      Frame last = other.frames().get(other.frames().size() - 1);
      assertThat(last.picture()).isEqualTo(clip(id).frames().get(0).picture().resized(40, 1));
      assertThat(page.locator(".band-here")).containsText(Integer.toString(other.frames().size()));
    }
  }
}
