package org.myrialith.web.frames;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.FrameSource;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.text.Caption;
import org.myrialith.text.CaptionPlan;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** A text is typed, looked at, set in a font that was brought in, and made frames. */
@ExtendWith(RunningApplication.Extension.class)
class LetteringPageTest {
  private static final String FONT =
      "STARTFONT 2.1\nFONTBOUNDINGBOX 3 3 0 0\nSTARTCHAR T\nENCODING 84\nDWIDTH 4 0\nBBX 3 3 0 0\nBITMAP\nE0\n40\n40\nENDCHAR\nENDFONT\n";

  private final RunningApplication application;

  LetteringPageTest(RunningApplication application) {
    this.application = application;
  }

  private static Locator button(Page page, String text) {
    return page.locator("button").filter(new Locator.FilterOptions().setHasText(text)).first();
  }

  private static FilePayload file(String name, String text) {
    return new FilePayload(name, "text/plain", text.getBytes(StandardCharsets.US_ASCII));
  }

  @Test
  void aTextIsMadeFramesInAnyFont() {
    String id = application.bring(DemoGadgets.tideLantern());
    String address = application.address() + "/gadgets/" + id + "/frames/f1/lettering";
    try (Screen screen = Screen.open(address)) {
      Page page = screen.page();
      page.locator("#text").fill("Flut 12:45 漁");
      assertThat(page.locator(".look-notes")).containsText("The font has no 漁");
      page.locator("#text").blur();
      screen.onRevision(2);
      screen.holdAccessible();
      // what is no font is refused, and nothing is lost
      page.locator("#file").setInputFiles(file("none.bdf", "hello"));
      button(page, "Import").click();
      assertThat(page.locator("#notice")).containsText("STARTFONT");
      assertThat(page.locator("#text")).hasValue("Flut 12:45 漁");
      page.locator("#file").setInputFiles(file("tiny.bdf", FONT));
      button(page, "Import").click();
      screen.onRevision(3);
      assertThat(page.locator("#font")).hasValue("tiny.bdf");
      page.locator("#text").fill("TT");
      page.locator("#text").blur();
      screen.onRevision(4);
      // too long for its frames: told beside it, kept as it was typed
      page.locator("#text").fill("T".repeat(600));
      page.locator("#text").blur();
      assertThat(page.locator("#text-why")).containsText("at most 2000");
      page.locator("#text").fill("TT");
      page.locator("#text").blur();
      page.locator("#way").selectOption("pages");
      screen.onRevision(5);
      button(page, "Make frames").click();
      screen.onRevision(6);
      Gadget made = application.stored(id);
      Caption caption = made.programme().captionOn("f1").orElseThrow();
      CaptionPlan plan = CaptionPlan.of(caption, made.programme().fonts(), 16, 8);
      assertThat(made.clipOn("f1").orElseThrow().frames()).isEqualTo(FrameSource.frames(plan));
      assertThat(page.locator(".core li")).hasCount(1);
    }
  }
}
