package org.myrialith.web.power;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Conductor;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.SupplyKind;
import org.myrialith.voltagedrop.Feed;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Volts along the wire, the supply tree, and how long cells last, planned through the pages. */
@ExtendWith(RunningApplication.Extension.class)
class PowerPageTest {
  private final RunningApplication application;

  PowerPageTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(String id, String step) {
    return Screen.open(application.address() + "/gadgets/" + id + "/" + step);
  }

  private static void type(Page page, String field, String value) {
    page.locator("#" + field).fill(value);
    page.locator("#" + field).blur();
  }

  private static Locator button(Page page, String text) {
    return page.locator("button").filter(new Locator.FilterOptions().setHasText(text)).first();
  }

  @Test
  void aLongChainIsFedWhereItWantsIt() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "power")) {
      Page page = screen.page();
      assertThat(page.locator("body")).containsText("Power injection not entered");
      screen.holdAccessible();
      button(page, "Save injection points").click();
      screen.onRevision(2);
      assertThat(application.stored(id).power().rails()).hasSize(1);
      button(page, "Inject power at").click();
      screen.onRevision(3);
      assertThat(page.locator("body"))
          .not()
          .containsText("needed for full colour. Colour shift from pixel");
      List<Feed> feeds = application.stored(id).power().rails().get(0).feeds();
      assertThat(feeds).isNotEmpty();
      // what cannot be is told beside the field, and stays typed
      type(page, "leastVolts", "-3");
      assertThat(page.locator("#leastVolts-why")).containsText("0 to 60");
      assertThat(page.locator("#leastVolts")).hasValue("-3");
      type(page, "leastVolts", "4,2");
      screen.onRevision(4);
      page.locator("#along").selectOption(Conductor.TRACK_35.key());
      screen.onRevision(5);
      assertThat(page.locator(".key-worst")).containsText("at pixel");
      // another moment has its own line
      String most = page.locator(".key-shown").innerText();
      page.locator("#moment").fill("3");
      button(page, "Show").click();
      assertThat(page.locator(".key-shown")).containsText("moment 3");
      assertThat(page.locator(".key-shown").innerText()).isNotEqualTo(most);
      assertThat(application.stored(id).power().rails().get(0).feeds()).isEqualTo(feeds);
    }
  }

  /** A scanned bell on a cell: a slower clock by one press, the plug of the supply, what fades. */
  @Test
  void aScannedGadgetOnCellsRunsSlower() {
    String id = application.bring(DemoGadgets.fogBell());
    try (Screen screen = open(id, "brief")) {
      Page page = screen.page();
      button(page, "3 AA alkaline").click();
      screen.onRevision(2);
      page.locator("#clock").selectOption("mhz-8");
      screen.onRevision(3);
      assertThat(application.stored(id).brief().clock()).isEqualTo(ClockRate.MHZ_8);
      screen.holdAccessible();
    }
    try (Screen screen = open(id, "power")) {
      Page page = screen.page();
      button(page, "the bare chip").click();
      screen.onRevision(4);
      assertThat(application.stored(id).power().controllerMilliamps()).isLessThan(9);
      page.locator("#connector").selectOption("breadboard");
      screen.onRevision(5);
      assertThat(page.locator("body")).containsText("Connector at");
      assertThat(page.locator(".fades .key-volts")).containsText("V to");
      assertThat(page.locator(".fades .key-light")).containsText("100 to");
      assertThat(page.locator("body")).containsText("LEDs are unregulated");
      screen.holdAccessible();
    }
  }

  @Test
  void aCellWithABoostConverterIsPlannedFromPresses() {
    String id = application.bring(DemoGadgets.porchBuoy());
    try (Screen screen = open(id, "brief")) {
      Page page = screen.page();
      button(page, "Lithium cell").click();
      screen.onRevision(2);
      type(page, "milliampHours", "1200");
      screen.onRevision(3);
      // the controller's 16 MHz want more than 3.7 V
      assertThat(page.locator("body")).containsText("it needs 3.78");
      page.navigate(application.address() + "/gadgets/" + id + "/power");
      button(page, "charge board").click();
      screen.onRevision(4);
      button(page, "step-up converter").click();
      screen.onRevision(5);
      button(page, "enable switch").click();
      screen.onRevision(6);
      Gadget gadget = application.stored(id);
      assertThat(gadget.brief().supply().orElseThrow().kind()).isEqualTo(SupplyKind.LITHIUM);
      assertThat(gadget.brief().supply().orElseThrow().milliampHours()).isEqualTo(1200);
      assertThat(gadget.brief().tree().converters())
          .extracting(c -> c.sort())
          .containsExactly(ConverterSort.CHARGER, ConverterSort.BOOST, ConverterSort.SWITCH);
      assertThat(gadget.brief().volts()).isEqualTo(5);
      assertThat(page.locator(".tree-node")).hasCount(4);
      assertThat(page.locator(".tree-load")).hasCount(2);
      page.locator("#ownSleep").selectOption("true");
      screen.onRevision(7);
      type(page, "showHours", "20");
      screen.onRevision(8);
      type(page, "darkHours", "9");
      assertThat(page.locator("#darkHours-why")).containsText("no more than the show leaves");
      type(page, "darkHours", "1");
      screen.onRevision(9);
      assertThat(page.locator(".keys-of-parts")).containsText("asleep");
      double hours =
          GadgetPlan.of(application.stored(id)).findings().stream()
              .filter(f -> f.key().equals("cell-life"))
              .findFirst()
              .orElseThrow()
              .calculations()
              .get(0)
              .value();
      assertThat(hours).isPositive();
      screen.holdAccessible();
    }
  }

  @Test
  void aTreeThatIsNoneIsRefusedWithAllInput() {
    String id = application.bring(DemoGadgets.porchBuoy());
    try (Screen screen = open(id, "power")) {
      Page page = screen.page();
      button(page, "linear regulator").click();
      screen.onRevision(2);
      page.locator("#tree-details").evaluate("d => { d.open = true; }");
      type(page, "converters", "5 V rail, linear, 5 V rail, 5, 1");
      assertThat(page.locator("#notice")).containsText("each path must start at a supply");
      assertThat(page.locator("#notice")).containsText("Nothing was changed or lost");
      assertThat(application.stored(id).brief().tree().converters().get(0).from())
          .isEqualTo("supply");
    }
  }
}
