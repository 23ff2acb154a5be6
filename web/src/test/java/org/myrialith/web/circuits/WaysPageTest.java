package org.myrialith.web.circuits;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.chip.display.DisplayDrivers;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.parts.PartSort;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** The ways side by side on the page: sorted, taken with the reason, priced. */
@ExtendWith(RunningApplication.Extension.class)
class WaysPageTest {
  private final RunningApplication application;

  WaysPageTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(String id, String step) {
    return Screen.open(application.address() + "/gadgets/" + id + "/" + step);
  }

  private static Locator row(Page page, String way) {
    return page.locator(".ways-table tbody tr").filter(new Locator.FilterOptions().setHasText(way));
  }

  private static void allMethods(Page page) {
    page.locator(".ways-all > summary").click();
  }

  @Test
  void plainLedsAreDrivenByAWayThatTheMakerTakes() {
    String id = application.bring(Gadget.blank("Dial"));
    try (Screen screen = open(id, "layout")) {
      Page page = screen.page();
      screen.button("Add a bar").click();
      screen.onRevision(2);
      // a new bar is of plain LEDs, on the circuit that is recommended first
      Gadget fresh = application.stored(id);
      Circuit first = fresh.circuits().of(fresh.fixtures().get(0)).orElseThrow();
      assertThat(fresh.layout().emitterOf(fresh.fixtures().get(0)).id()).isEqualTo("single-red");
      page.navigate(application.address() + "/gadgets/" + id + "/circuits?circuit=" + first.id());
      assertThat(page.locator(".chain-why"))
          .containsText("chosen: " + fresh.circuits().why(first.id()));
      page.getByText("Compare drive methods").click();
      assertThat(page.locator("#ways-title")).containsText("Drive methods for Bar");
      assertThat(page.locator(".best li").first())
          .containsText(
              Pattern.compile(fresh.circuits().why(first.id()), Pattern.CASE_INSENSITIVE));
      screen.holdAccessible();
      allMethods(page);
      assertThat(row(page, "one-wire RGB pixels")).containsText("can't drive: single colour");
      page.locator(".ways-table thead")
          .getByText("pins", new Locator.GetByTextOptions().setExact(true))
          .click();
      assertThat(page.locator(".ways-table tbody tr").first().locator("[data-column=pins]"))
          .hasText("2 pins");
      row(page, "8-bit shift registers").getByRole(AriaRole.BUTTON).click();
      screen.onRevision(3);
      assertThat(page.locator(".chain-why")).containsText("chosen: pins: 3");
      assertThat(page.locator("section.chip")).hasCount(2);
      Gadget stored = application.stored(id);
      Circuit circuit = stored.circuits().of(stored.fixtures().get(0)).orElseThrow();
      assertThat(circuit).isInstanceOf(ShiftRegisters.class);
      assertThat(stored.circuits().why(circuit.id())).startsWith("pins: 3");
    }
  }

  @Test
  void aCircuitCanBeExchangedForAnotherWay() {
    String id = application.bring(DemoGadgets.ferryBoard());
    try (Screen screen = open(id, "circuits")) {
      Page page = screen.page();
      page.getByText("Compare drive methods").click();
      assertThat(page.locator("#ways-title")).hasText("Drive methods for Board");
      allMethods(page);
      assertThat(row(page, "pins of the controller")).containsText("needs 96 pins, 20 available");
      row(page, "three-wire display drivers").getByRole(AriaRole.BUTTON).click();
      screen.onRevision(2);
      assertThat(application.stored(id).circuits().circuits())
          .singleElement()
          .isInstanceOf(DisplayDrivers.class);
      // a chip's digits stand one under the other
      assertThat(page.locator("section.chip")).hasCount(16);
      screen.holdAccessible();
      screen.button("Undo").click();
      screen.onRevision(1);
    }
  }

  @Test
  void pricesAreTheMakersOwnAndNonsenseIsRefused() {
    String id = application.bring(DemoGadgets.ferryBoard());
    try (Screen screen = open(id, "circuits?circuit=c1&ways=f1&sort=cost")) {
      Page page = screen.page();
      page.locator(".prices > summary").click();
      Locator prices = page.locator("#prices");
      prices.fill("register 1 NaN");
      screen.button("Save prices").click();
      assertThat(page.locator("#prices-why")).containsText("a number");
      assertThat(page.locator("#prices")).hasValue("register 1 NaN");
      assertThat(application.head(id)).isEqualTo(1);
      prices.fill("register 1 2\nresistor 1 0.01\ncapacitor 1 0.01");
      screen.button("Save prices").click();
      screen.onRevision(2);
      assertThat(application.stored(id).circuits().prices().cost(PartSort.REGISTER, 12))
          .isEqualTo(24);
      // 12 chips at 2, 98 resistors and 12 capacitors at 0.01
      assertThat(row(page, "8-bit shift registers").locator("[data-column=cost]"))
          .containsText("25.10 units");
      // what has no price says so
      assertThat(row(page, "16-bit port expanders").locator("[data-column=cost]"))
          .containsText("open");
      assertThat(page.url()).contains("sort=cost");
    }
  }
}
