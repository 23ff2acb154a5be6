package org.myrialith.web.circuits;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.input.Input;
import org.myrialith.input.InputSort;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Lights with a grey scale, inputs beside them, and another controller, through the pages. */
@ExtendWith(RunningApplication.Extension.class)
class DepthPagesTest {
  private final RunningApplication application;

  DepthPagesTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(String id, String step) {
    return Screen.open(application.address() + "/gadgets/" + id + "/" + step);
  }

  private static Gadget grid() {
    Panel panel = new Panel(5, 8, 10, 10, Corner.TOP_LEFT, false, true, 0);
    Fixture grid = Fixture.of("f1", "Grid", panel);
    Gadget gadget = Gadget.blank("Grid").with(grid.with(grid.mount().withEmitter("rgb-pins")));
    return gadget.with(gadget.circuits().without("f1"));
  }

  private static ShiftRegisters sinks(Gadget gadget) {
    return (ShiftRegisters) gadget.circuits().of(gadget.fixtures().get(0)).orElseThrow();
  }

  @Test
  void aGridOnSinksHasShadesAndMovesToAnotherController() {
    String id = application.bring(grid());
    try (Screen screen = open(id, "circuits")) {
      Page page = screen.page();
      page.locator(".ways-all > summary").click();
      page.locator(".ways-table tbody tr")
          .filter(
              new Locator.FilterOptions()
                  .setHasText("24-channel constant-current LED drivers with PWM"))
          .getByRole(AriaRole.BUTTON)
          .click();
      screen.onRevision(2);
      assertThat(sinks(application.stored(id)).sort()).isEqualTo(RegisterClass.GREY_24);
      assertThat(page.locator("section.chip")).hasCount(5);
      page.locator(".out").nth(4).click();
      assertThat(page.locator(".bits-picked")).containsText("level of 12 bits");
      screen.holdAccessible();
      // a shade: half of full in perceived steps is far less than half the light
      page.navigate(application.address() + "/gadgets/" + id + "/brief");
      screen.field("32-bit controller, two cores, 133 MHz, 264 KB RAM, 2 MB flash, 3.3 V").check();
      screen.onRevision(3);
      page.navigate(application.address() + "/gadgets/" + id + "/circuits");
      screen.button("Move the circuits to valid pins").first().click();
      screen.onRevision(4);
      Gadget moved = application.stored(id);
      assertThat(Controller.ARM32_TWO_CORES.pins()).containsAll(sinks(moved).pins());
      assertThat(GadgetPlan.of(moved).wiring().plans()).anyMatch(p -> p.levelBits() == 12);
    }
  }

  @Test
  void inputsAreRowsWithTheirPins() {
    String id = application.bring(grid());
    try (Screen screen = open(id, "circuits")) {
      Page page = screen.page();
      page.locator("#beside summary").click();
      page.locator("#beside").getByText("As a table").click();
      page.locator("#beside").getByText("Add a row").click();
      screen.field("Pins, row 1").fill("D9");
      page.keyboard().press("Tab");
      screen.button("Save inputs").click();
      assertThat(page.locator("#beside .why")).containsText("row 1, pins: read “D9”");
      assertThat(screen.field("Pins, row 1")).hasValue("D9");
      screen.field("Type, row 1").selectOption("knob");
      screen.field("Pins, row 1").fill("D2, D3");
      page.keyboard().press("Tab");
      screen.button("Save inputs").click();
      screen.onRevision(2);
      assertThat(application.stored(id).circuits().inputs().inputs())
          .isEqualTo(List.of(new Input("Button", InputSort.KNOB, "D2, D3", 1, 5, 4, 3)));
      assertThat(page.locator("#findings, .findings, aside").first())
          .containsText("Button: 2 pins");
      screen.holdAccessible();
      // a row that came is shown as it is, and saved as it is
      page.reload();
      assertThat(screen.field("Type, row 1")).hasValue("knob");
      page.locator("#beside summary").click();
      screen.field("Name, row 1").fill("Dimmer");
      page.keyboard().press("Tab");
      screen.button("Save inputs").click();
      screen.onRevision(3);
      assertThat(application.stored(id).circuits().inputs().inputs().get(0).sort())
          .isEqualTo(InputSort.KNOB);
    }
  }
}
