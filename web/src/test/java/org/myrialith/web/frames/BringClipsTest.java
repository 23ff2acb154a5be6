package org.myrialith.web.frames;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.file.ClipFiles;
import org.myrialith.gadget.format.ClipFile;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Clips come in from files of all sorts, and segments are painted as they look. */
@ExtendWith(RunningApplication.Extension.class)
class BringClipsTest {
  private final RunningApplication application;

  BringClipsTest(RunningApplication application) {
    this.application = application;
  }

  private static Locator button(Page page, String text) {
    return page.locator("button").filter(new Locator.FilterOptions().setHasText(text)).first();
  }

  private Clip clip(String id) {
    return application.stored(id).clipOn("f1").orElseThrow();
  }

  private static void bring(Page page, byte[] file) {
    page.locator("#file")
        .setInputFiles(new FilePayload("brought", "application/octet-stream", file));
    button(page, "Preview").click();
  }

  @Test
  void aClipComesWithWhatItWasMadeOf() {
    Gadget sign = DemoGadgets.gullSign();
    byte[] file = ClipFile.of(sign, "f1").orElseThrow().write().getBytes(StandardCharsets.UTF_8);
    String id = application.bring(sign.with(org.myrialith.frames.Programme.EMPTY));
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      bring(page, "{\"format\":\"myrialith-clip\"}".getBytes(StandardCharsets.UTF_8));
      assertThat(page.locator("#notice")).containsText("myrialith-clip 1");
      bring(page, file);
      assertThat(page.locator("p.hint").first()).containsText("234 frames");
      screen.holdAccessible();
      button(page, "Import").click();
      screen.onRevision(2);
      assertThat(clip(id).frames()).isEqualTo(sign.clips().get(0).frames());
      assertThat(application.stored(id).programme().captionOn("f1"))
          .isEqualTo(sign.programme().captionOn("f1"));
    }
  }

  @Test
  void aSheetIsCutIntoFrames() {
    Gadget lantern = DemoGadgets.tideLantern();
    Clip clip = lantern.clipOn("f1").orElseThrow();
    int frames = clip.frames().size();
    String id = application.bring(lantern);
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/frames")) {
      Page page = screen.page();
      bring(page, new ClipFiles(clip, 1).sheet());
      assertThat(page.locator("p.hint").first()).containsText("1 frame, made");
      page.locator("#down").fill("7");
      button(page, "Cut the sheet").click();
      assertThat(page.locator("#notice")).containsText("divided by");
      assertThat(page.locator("#down")).hasValue("7");
      page.locator("#down").fill(String.valueOf(frames));
      page.locator("#holdMillis").fill("70");
      button(page, "Cut the sheet").click();
      assertThat(page.locator("p.hint").first()).containsText(frames + " frames");
      button(page, "Import, replacing").click();
      screen.onRevision(2);
      assertThat(clip(id).frames()).extracting(Frame::holdMillis).containsOnly(70);
      List<Picture> cut = clip(id).frames().stream().map(Frame::picture).toList();
      assertThat(cut).isEqualTo(clip.frames().stream().map(Frame::picture).toList());
    }
  }

  /** A press near the end of a segment, far from the LED in its middle. */
  @Test
  void aSegmentIsPaintedWhereItIsSeen() {
    Gadget desk = DemoGadgets.pilotDesk();
    String id = application.bring(desk);
    SegmentDigits digits = (SegmentDigits) desk.fixtures().get(0).shape();
    SegmentDigits.Line segment =
        digits.lines().stream()
            .filter(
                line ->
                    line.column() == 0
                        && clip(id).frames().get(0).picture().colour(line.column(), line.row())
                            == 0)
            .findFirst()
            .orElseThrow();
    try (Screen screen =
        Screen.open(application.address() + "/gadgets/" + id + "/frames?fixture=f1")) {
      Page page = screen.page();
      Locator easel = page.locator("#easel");
      BoundingBox box = easel.boundingBox();
      List<SegmentDigits.Line> lines = digits.lines();
      double left = lines.stream().mapToDouble(l -> l.from().xMm()).min().orElseThrow();
      double top = lines.stream().mapToDouble(l -> l.from().yMm()).min().orElseThrow();
      double bottom = lines.stream().mapToDouble(l -> l.to().yMm()).max().orElseThrow();
      left = Math.min(left, lines.stream().mapToDouble(l -> l.to().xMm()).min().orElseThrow());
      double scale = (box.height - 32) / (bottom - top);
      double x = segment.from().xMm() * 0.85 + segment.to().xMm() * 0.15;
      double y = segment.from().yMm() * 0.85 + segment.to().yMm() * 0.15;
      page.mouse().click(box.x + 16 + (x - left) * scale, box.y + 16 + (y - top) * scale);
      screen.onRevision(2);
      assertThat(clip(id).frames().get(0).picture().colour(segment.column(), segment.row()))
          .isNotZero();
    }
  }
}
