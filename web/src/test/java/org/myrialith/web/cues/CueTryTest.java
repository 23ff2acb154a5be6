package org.myrialith.web.cues;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.cue.Received;
import org.myrialith.cue.Variable;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.input.Input;
import org.myrialith.input.InputList;
import org.myrialith.input.InputSort;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Lines are sent to a gadget that is tried, and its power goes off and on. */
@ExtendWith(RunningApplication.Extension.class)
class CueTryTest {
  private final RunningApplication application;

  CueTryTest(RunningApplication application) {
    this.application = application;
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** A clock that is told the warmth outside. */
  private static Gadget told() {
    Gadget clock = DemoGadgets.ternClock();
    List<Input> inputs = new ArrayList<>(clock.circuits().inputs().inputs());
    inputs.add(new Input("Radio", InputSort.SERIAL, "D0 D1", 1, 1, 1, 1));
    List<Variable> values = new ArrayList<>(clock.cues().variables());
    values.add(new Variable("warmth", -40, 60, 0, false).telling().keeping());
    return clock
        .with(clock.circuits().with(new InputList(inputs)))
        .with(clock.cues().withVariables(values));
  }

  @Test
  void linesAreSentAndWhatIsKeptIsThereAgain() {
    String id = application.bring(told());
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/cues")) {
      Page page = screen.page();
      button(page, "Add a cue").click();
      screen.onRevision(2);
      // the page was laid once, and the new cue is open
      assertThat(page.locator(".cue-table")).hasCount(1);
      assertThat(page.locator(".cue-edit h2")).hasText("Cue 9");
      page.locator("#when\\.kind").selectOption("received");
      screen.onRevision(3);
      page.locator("#when\\.input").fill("Radio");
      page.locator("#when\\.input").blur();
      screen.onRevision(4);
      page.locator("#when\\.word").fill("rain");
      page.locator("#when\\.word").blur();
      screen.onRevision(5);
      assertThat(application.stored(id).cues().cue("u9").orElseThrow().when())
          .isEqualTo(new Received("Radio", "rain"));
      screen.holdAccessible();

      button(page, "Power on").click();
      page.locator(".try-line input").fill("rain");
      button(page, "Send message").click();
      assertThat(page.locator(".try-log")).containsText("Radio receives “rain”");
      page.locator(".try-line input").fill("warmth=-12");
      page.keyboard().press("Enter");
      assertThat(page.locator(".try-values")).containsText("-12");
      page.locator("[data-speed]").selectOption("10"); // until it is kept
      page.waitForTimeout(700);
      button(page, "Power off and on").click();
      assertThat(page.locator(".try-log")).containsText("off and on");
      page.waitForTimeout(300);
      assertThat(page.locator(".try-values")).containsText("-12");
    }
  }
}
