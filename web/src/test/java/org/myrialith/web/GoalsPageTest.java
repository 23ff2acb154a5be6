package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;

/** A goal is entered in the brief, judged where it is worked out, and reached by a press. */
@ExtendWith(RunningApplication.Extension.class)
class GoalsPageTest {
  private final RunningApplication application;

  GoalsPageTest(RunningApplication application) {
    this.application = application;
  }

  @Test
  void whatReachesAGoalIsRankedAndApplied() {
    String id = application.bring(DemoGadgets.tideLantern());
    String at = application.address() + "/gadgets/" + id + "/";
    try (Screen screen = Screen.open(at + "power")) {
      Page page = screen.page();
      Locator link = page.getByText("Rank what reaches the goal");
      assertThat(link).hasCount(0); // there is no goal yet
      page.navigate(at + "brief");
      screen.field("Peak supply current, at most").fill("1.5 A");
      screen.field("Peak supply current, at most").blur();
      screen.onRevision(2);
      assertThat(application.stored(id).brief().goals().milliamps()).isEqualTo(1500);
      assertThat(page.locator("#goal-current")).containsText("4.00 A");
      // what can't be is refused beside its field, and the goal stays as it was
      screen.field("Frame rate, at least").fill("-3");
      screen.field("Frame rate, at least").blur();
      assertThat(page.locator("#framesPerSecond-why")).containsText("0 to 1000 fps");
      page.navigate(at + "power");
      assertThat(link).hasCount(1);
      link.click();
      assertThat(page.locator(".ranked tbody tr").first()).containsText("reaches it");
      screen.holdAccessible();
      page.locator(".ranked button").first().click();
      screen.onRevision(3);
      assertThat(page.locator("#goal-current .stone-holds")).isVisible();
      assertThat(application.stored(id).colour().brightnessPercent()).isEqualTo(34);
    }
  }

  /** A changed class of emitter offers the circuit that fits it where it was changed. */
  @Test
  void aChangedClassOffersItsCircuit() {
    String id = application.bring(DemoGadgets.tideLantern());
    String at = application.address() + "/gadgets/" + id + "/layout?fixture=f1";
    try (Screen screen = Screen.open(at)) {
      Page page = screen.page();
      assertThat(page.locator("#fitting")).hasCount(0);
      screen.field("Emitter class").selectOption("single-red");
      screen.onRevision(2);
      page.locator("#fitting button").click();
      screen.onRevision(3);
      assertThat(page.locator("#fitting")).hasCount(0);
      var gadget = application.stored(id);
      var fixture = gadget.fixture("f1").orElseThrow();
      assertThat(
              gadget
                  .circuits()
                  .of(fixture)
                  .orElseThrow()
                  .drives(gadget.layout().emitterOf(fixture).kind()))
          .isTrue();
    }
  }
}
