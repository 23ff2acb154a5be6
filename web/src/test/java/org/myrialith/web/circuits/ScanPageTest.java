package org.myrialith.web.circuits;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Rows and columns on the page: chosen among the ways, seen slot by slot, changed. */
@ExtendWith(RunningApplication.Extension.class)
class ScanPageTest {
  private final RunningApplication application;

  ScanPageTest(RunningApplication application) {
    this.application = application;
  }

  private ScannedPins stored(String id) {
    Gadget gadget = application.stored(id);
    return (ScannedPins) gadget.circuits().of(gadget.fixtures().get(0)).orElseThrow();
  }

  @Test
  void aMatrixIsChosenSeenAndChanged() {
    Fixture panel =
        Fixture.of("f1", "Grid", new Panel(8, 8, 10, 10, Corner.TOP_LEFT, true, false, 0));
    String id =
        application.bring(
            Gadget.blank("Buoy matrix").with(panel.with(panel.mount().withEmitter("single-red"))));
    try (Screen screen =
        Screen.open(application.address() + "/gadgets/" + id + "/circuits?ways=f1")) {
      Page page = screen.page();
      page.locator(".ways-all > summary").click();
      page.locator("tr", new Page.LocatorOptions().setHasText("row–column matrix on pins"))
          .locator("button")
          .click();
      screen.onRevision(2);
      assertThat(stored(id).pins()).hasSize(16);
      assertThat(stored(id).rowSwitch()).isEqualTo(RowSwitch.TRANSISTOR);
      // eight rows of four bits, once each
      assertThat(page.locator(".scan figure").first().locator("rect")).hasCount(32);
      assertThat(page.locator(".scan")).containsText("One scan cycle of all rows: 4.99 ms");
      screen.holdAccessible();
      page.locator("#depth").fill("12");
      page.locator("#depth").blur();
      assertThat(page.locator("#depth-why")).containsText("1 to 8");
      assertThat(page.locator("#depth")).hasValue("12");
      page.locator("#depth").fill("8");
      page.locator("#depth").blur();
      screen.onRevision(3);
      assertThat(stored(id).scan().depth()).isEqualTo(8);
      assertThat(page.locator("body")).containsText("visible flicker");
      assertThat(page.locator(".scan figure").first().locator("rect")).hasCount(64);
    }
  }
}
