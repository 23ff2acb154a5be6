package org.myrialith.web.circuits;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.ColourOrder;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.circuit.pixel.WhiteExtraction;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.tool.Gadgets;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Pixels of several classes, put on circuits of their own through the pages. */
@ExtendWith(RunningApplication.Extension.class)
class CircuitPagesTest {
  private final RunningApplication application;

  CircuitPagesTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(String id, String step) {
    return Screen.open(application.address() + "/gadgets/" + id + "/" + step);
  }

  @Test
  void aRingOfAnotherClassGetsACircuitOfItsOwn() {
    String id = application.bring(Gadget.blank("Post"));
    try (Screen screen = open(id, "layout")) {
      Page page = screen.page();
      screen.button("Add a ring").click();
      screen.onRevision(2);
      screen.field("Emitter class").selectOption("clocked-rgb");
      screen.onRevision(3);
      page.navigate(application.address() + "/gadgets/" + id + "/circuits");
      Locator remedy =
          page.getByText("Add a circuit of clocked RGB pixels for it", new Page.GetByTextOptions());
      remedy.click();
      screen.onRevision(4);
      Gadget stored = application.stored(id);
      ClockedPixels line = (ClockedPixels) stored.circuits().of(stored.fixtures().get(0)).get();
      assertThat(line.dataPin()).isNotEqualTo(line.clockPin());
      page.navigate(application.address() + "/gadgets/" + id + "/circuits?circuit=" + line.id());
      assertThat(page.locator(".chain-pin")).hasText("data B1, clock B2");
      screen.field("Clock pin").selectOption("D7");
      screen.onRevision(5);
      assertThat(page.locator(".chain-pin")).hasText("data B1, clock D7");
      // the same pin twice is refused beside its field, and nothing is lost
      screen.field("Clock pin").selectOption("B1");
      assertThat(page.locator("#clockPin-why")).containsText("another pin than the data pin");
      screen.field("Clock pin").selectOption("D7");
      screen.field("Brightness field").fill("40");
      page.keyboard().press("Tab");
      assertThat(page.locator("#brightnessField-why")).containsText("1 to 31");
      screen.field("Brightness field").fill("12");
      page.keyboard().press("Tab");
      screen.onRevision(6);
      screen.holdAccessible();
    }
    assertThat(application.stored(id).circuits().circuits())
        .filteredOn(ClockedPixels.class::isInstance)
        .extracting(c -> ((ClockedPixels) c).brightnessField())
        .isEqualTo(List.of(12));
  }

  @Test
  void whiteIsAskedOnlyWhereThereIsWhite() {
    String id = application.bring(Gadget.blank("Lines"));
    try (Screen screen = open(id, "circuits")) {
      Page page = screen.page();
      assertThat(screen.field("White of RGBW")).hasCount(0);
      screen.button("Add a circuit of one-wire RGBW pixels").click();
      screen.onRevision(2);
      assertThat(page.locator(".tab[aria-current]")).hasText("RGBW line");
      screen.field("White of RGBW").selectOption("dark");
      screen.onRevision(3);
      screen.field("Colour order").selectOption("WRGB");
      screen.onRevision(4);
      OneWirePixels line = (OneWirePixels) application.stored(id).circuits().circuits().get(1);
      assertThat(line.white()).isEqualTo(WhiteExtraction.DARK);
      assertThat(line.colourOrder()).isEqualTo(ColourOrder.WRGB);
      screen.field("Colour order").selectOption("GRB");
      screen.onRevision(5);
      assertThat(screen.field("White of RGBW")).hasCount(0);
      // what was said of white is kept for the day it has some again
      screen.field("Colour order").selectOption("GRBW");
      screen.onRevision(6);
      assertThat(screen.field("White of RGBW")).hasValue("dark");
    }
  }

  @Test
  void thePageOfACircuitIsAboutThatCircuit() {
    String id = application.bring(DemoGadgets.mooringPost());
    try (Screen screen = open(id, "circuits?circuit=c1")) {
      Page page = screen.page();
      assertThat(page.locator(".timebar")).containsText("One frame: ");
      assertThat(page.locator(".time-gap")).hasCount(0);
      page.locator(".tab", new Page.LocatorOptions().setHasText("Rope line")).click();
      assertThat(page.locator(".timebar")).containsText("One frame with latch gap");
      assertThat(screen.field("Speed")).hasValue("400");
      assertThat(page.locator(".numbers-of > summary b").allTextContents())
          .containsExactly("Beacon ring", "Lamp line", "Rope line");
      screen.holdAccessible();
    }
  }

  @Test
  void aSmallerControllerIsUsedByOnePressAndPinsMove() {
    String id = application.bring(DemoGadgets.mooringPost());
    try (Screen screen = open(id, "firmware")) {
      screen.page().getByText("Use the 8-bit controller, 16 MHz, 512 bytes RAM").click();
      screen.onRevision(2);
      assertThat(screen.page().locator("#calculations")).not().containsText("smallest class");
    }
    Gadget stored = application.stored(id);
    assertThat(stored.circuits().circuits().stream().flatMap(c -> c.pins().stream()))
        .doesNotHaveDuplicates()
        .isSubsetOf(stored.brief().controller().pins());
  }

  @Test
  void everyPageOpensWithoutACircuitToo() {
    Gadget none = Gadget.blank("No circuit").with(new Circuits(List.of()));
    Gadget resting =
        none.with(DemoGadgets.tideLantern().fixtures().get(0)).with(new Circuits(List.of()));
    for (Gadget gadget : List.of(none, resting)) {
      String id = application.bring(gadget);
      for (String step :
          List.of("brief", "layout", "circuits", "power", "colour", "frames", "firmware")) {
        assertThat(application.json("GET", "/gadgets/" + id + "/" + step, null).statusCode())
            .as("%s of %d fixtures", step, gadget.fixtures().size())
            .isEqualTo(200);
      }
    }
  }

  @Test
  void theDataLineIsReorderedAndAFixtureTakenOff() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "circuits")) {
      Page page = screen.page();
      screen.button("Tide line earlier").click();
      assertThat(page.locator(".chain-link").first()).containsText("Tide line");
      assertThat(Gadgets.line(application.stored(id)).fixtures()).containsExactly("f2", "f1");
      screen.button("Remove Tide line from the line").click();
      assertThat(page.locator(".chain-loose")).containsText("Tide line");
      screen.button("Add to the line").click();
      assertThat(page.locator(".chain-loose")).hasCount(0);
    }
  }
}
