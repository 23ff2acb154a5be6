package org.myrialith.web.scan;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.circuit.charlieplex.Charlieplex;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** What is seen of turns: through a camera, slot by slot, swept past; strobe and moving bar. */
@ExtendWith(RunningApplication.Extension.class)
class SeenPageTest {
  private final RunningApplication application;

  SeenPageTest(RunningApplication application) {
    this.application = application;
  }

  private static void type(Page page, String field, String value) {
    page.locator("#" + field).fill(value);
    page.locator("#" + field).blur();
  }

  @Test
  void aCameraIsTriedAndItsBandsGo() {
    String id = application.bring(DemoGadgets.fogBell());
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/scan")) {
      Page page = screen.page();
      assertThat(page.locator(".seen-frames svg")).hasCount(4);
      assertThat(page.locator(".seen-frames svg").first().locator("circle")).hasCount(64);
      assertThat(page.locator("body")).containsText("banding will show");
      screen.holdAccessible();
      // what cannot be is told, and stays typed
      type(page, "shutterMillis", "0");
      assertThat(page.locator("#shutterMillis-why")).containsText("0.01 to 1000");
      assertThat(page.locator("#shutterMillis")).hasValue("0");
      type(page, "shutterMillis", "50");
      assertThat(page.locator("#shutterMillis-why")).containsText("33.3");
      double turn =
          ((ScannedPlan) GadgetPlan.of(application.stored(id)).wiring().plans().get(0))
                  .timing()
                  .cycles()
              / 16_000.0;
      type(page, "shutterMillis", Double.toString(2 * turn));
      screen.onRevision(2);
      assertThat(page.locator("body")).containsText("no visible banding");
      assertThat(application.stored(id).scan().camera().shutterMillis()).isEqualTo(2 * turn);
    }
  }

  @Test
  void slotsAreGoneThrough() {
    String id = application.bring(DemoGadgets.berthLamps());
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/scan?slot=2")) {
      Page page = screen.page();
      assertThat(page.locator("#slot-told")).containsText("B0 to B1");
      // one light has its turn
      assertThat(page.locator(".slow-light.on")).hasCount(1);
      page.locator("input[name=slot]").focus();
      page.keyboard().press("ArrowRight");
      assertThat(page.locator("#slot-told")).containsText("B0 to B2");
      page.locator("[data-play]").click();
      assertThat(page.locator("#slot-told")).not().containsText("B0 to B2");
      page.locator("[data-play]").click();
      assertThat(page.locator("[data-play]")).hasText("Play");
      screen.onRevision(1);
    }
  }

  @Test
  void aStrobeAndAWandArePlanned() {
    String id = application.bring(DemoGadgets.porchBuoy());
    try (Screen screen = Screen.open(application.address() + "/gadgets/" + id + "/scan")) {
      Page page = screen.page();
      assertThat(page.locator(".bench")).containsText("No multiplexed circuits");
      type(page, "strobeArms", "7");
      screen.onRevision(2);
      assertThat(page.locator(".seen-body .arm")).hasCount(8);
      assertThat(page.locator("body")).containsText("Flash rate 84");
      type(page, "everyArm", "2");
      screen.onRevision(3);
      assertThat(page.locator("body")).containsText("can bring on seizures");
      type(page, "flashMicros", "50000");
      assertThat(page.locator("#flashMicros-why")).containsText("when the next one is due");
      type(page, "flashMicros", "200");
      assertThat(page.locator("#flashMicros-why")).hasCount(0);
      type(page, "barLeds", "24");
      screen.onRevision(4);
      assertThat(page.locator(".seen-wide path").first()).isVisible();
      page.locator("#barMotion").selectOption("turns");
      screen.onRevision(5);
      assertThat(
              page.locator(
                  "figcaption", new Page.LocatorOptions().setHasText("one frame per column")))
          .isVisible();
      screen.holdAccessible();
      assertThat(application.stored(id).scan().bar().turns()).isTrue();
      page.locator("#undo").click();
      screen.onRevision(4);
      assertThat(application.stored(id).scan().bar().turns()).isFalse();
    }
  }

  private static Gadget panel(String title, int columns, int rows) {
    Fixture panel =
        Fixture.of(
            "f1", "Grid", new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, false, false, 0));
    return Gadget.blank(title).with(panel.with(panel.mount().withEmitter("single-red")));
  }

  private static void use(Page page, String way) {
    page.locator(".ways-all > summary").click();
    page.locator("tr", new Page.LocatorOptions().setHasText(Pattern.compile(way)))
        .locator("button")
        .first()
        .click();
  }

  @Test
  void lightsBetweenPinsAndOnChainsAreChosen() {
    String id = application.bring(panel("Berths", 6, 5));
    try (Screen screen =
        Screen.open(application.address() + "/gadgets/" + id + "/circuits?ways=f1")) {
      Page page = screen.page();
      use(page, "charlieplexed pins");
      screen.onRevision(2);
      Charlieplex found =
          (Charlieplex)
              application
                  .stored(id)
                  .circuits()
                  .of(application.stored(id).fixtures().get(0))
                  .orElseThrow();
      assertThat(found.charliePins()).hasSize(6);
      assertThat(page.locator(".scan")).containsText("the first 16 of 30");
      assertThat(page.locator("body")).containsText("less than a millionth");
      screen.holdAccessible();
      page.locator("#resistorsAt").selectOption("lights");
      screen.onRevision(3);
      assertThat(page.locator("body")).containsText("Place the resistors at the pins");
    }
    String other = application.bring(panel("Chart", 9, 7));
    try (Screen screen =
        Screen.open(application.address() + "/gadgets/" + other + "/circuits?ways=f1")) {
      Page page = screen.page();
      use(page, "row–column matrix on shift registers");
      screen.onRevision(2);
      ScannedRegisters found =
          (ScannedRegisters)
              application
                  .stored(other)
                  .circuits()
                  .of(application.stored(other).fixtures().get(0))
                  .orElseThrow();
      assertThat(found.rows() * found.columns()).isGreaterThanOrEqualTo(63);
      page.locator("#rows").fill("0");
      page.locator("#rows").blur();
      assertThat(page.locator("#rows-why")).containsText("1 to 64");
      page.locator("#method").selectOption("two-passes");
      page.locator("#rows").fill(Integer.toString(found.rows()));
      page.locator("#rows").blur();
      screen.onRevision(3);
      assertThat(page.locator("body")).containsText("full cycles");
    }
  }
}
