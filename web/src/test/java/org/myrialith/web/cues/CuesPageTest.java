package org.myrialith.web.cues;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.cue.Cue;
import org.myrialith.cue.Press;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Clip;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** A machine is begun with, tried, changed and taken apart on the page of cues. */
@ExtendWith(RunningApplication.Extension.class)
class CuesPageTest {
  private final RunningApplication application;

  CuesPageTest(RunningApplication application) {
    this.application = application;
  }

  private static Locator button(Page page, String text) {
    return page.locator("button").filter(new Locator.FilterOptions().setHasText(text)).first();
  }

  @Test
  void aMoodLightIsBegunTriedAndChanged() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/cues")) {
      Page page = screen.page();
      screen.holdAccessible();
      button(page, "Start with mood light").click();
      screen.onRevision(2);
      Gadget begun = application.stored(id);
      assertThat(begun.cues().cues()).hasSize(7);
      // what played before is a scene of its own
      assertThat(begun.scenes().get(begun.scenes().size() - 1).clips())
          .isEqualTo(DemoGadgets.tideLantern().clips());
      button(page, "Power on").click();
      assertThat(page.locator(".try-on li")).containsText("Candle light");
      Locator hand = page.locator(".try-button").first();
      hand.focus();
      page.keyboard().down(" ");
      page.waitForTimeout(150);
      page.keyboard().up(" ");
      assertThat(page.locator(".try-log")).containsText("Tide: lit = 1 and mood = 2");
      assertThat(page.locator(".try-values")).containsText("2");
      button(page, "Power off").click();

      page.locator(".cue-table a")
          .filter(new Locator.FilterOptions().setHasText("Next mood"))
          .click();
      screen.holdAccessible();
      // what can't be is told beside the field, and stays typed
      page.locator("#then").fill("mood ++ 1");
      page.locator("#then").blur();
      assertThat(page.locator("#then-why")).containsText("score + 1");
      assertThat(page.locator("#then")).hasValue("mood ++ 1");
      page.locator("#then").fill("mood + 2");
      page.locator("#then").blur();
      screen.onRevision(3);
      page.locator("#when\\.how").selectOption("double");
      screen.onRevision(4);
      Cue changed = application.stored(id).cues().cue("u1").orElseThrow();
      assertThat(changed.then()).isEqualTo("mood + 2");
      assertThat(((Press) changed.when()).how()).isEqualTo(Press.How.DOUBLE);
    }
  }

  @Test
  void scenesGoOnTheEaselAndShowValues() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/cues")) {
      Page page = screen.page();
      button(page, "Make the frames a scene").click();
      screen.onRevision(2);
      page.locator("input.name").fill("Тёмная ✓");
      button(page, "Add a scene").click();
      screen.onRevision(3);
      button(page, "Edit Тёмная ✓").click();
      screen.onRevision(4);
      Gadget opened = application.stored(id);
      assertThat(opened.clips()).isEmpty();
      assertThat(opened.scenes().get(0).clips()).isEqualTo(DemoGadgets.tideLantern().clips());
      button(page, "Add a value").click();
      screen.onRevision(5);
      page.locator("#r1\\.text").fill("{hour");
      page.locator("#r1\\.text").blur();
      assertThat(page.locator("#r1\\.text-why")).containsText("{score}");
      page.locator("#r1\\.text").fill("{minute:02}");
      page.locator("#r1\\.text").blur();
      screen.onRevision(6);
      screen.holdAccessible();
      assertThat(application.stored(id).scene("s2").orElseThrow().readouts().get(0).text())
          .isEqualTo("{minute:02}");
      // a dot of its own does not hide what lies beneath
      page.navigate(application.address() + "/gadgets/" + id + "/frames");
      button(page, "Start with a dark frame").click();
      screen.onRevision(7);
      button(page, "Make dark pixels transparent").click();
      screen.onRevision(8);
      assertThat(page.locator(".through")).containsText("the scenes beneath show");
      assertThat(application.stored(id).clips()).allMatch(Clip::seeThrough);
      screen.holdAccessible();
      button(page, "Make dark pixels opaque").click();
      screen.onRevision(9);
      assertThat(application.stored(id).clips()).noneMatch(Clip::seeThrough);
    }
  }
}
