package org.myrialith.web.circuits;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.SwitchedCircuit;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Outputs of chips on the page: what lights what, and channels that move. */
@ExtendWith(RunningApplication.Extension.class)
class OutputsPageTest {
  private final RunningApplication application;

  OutputsPageTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(String id, String step) {
    return Screen.open(application.address() + "/gadgets/" + id + "/" + step);
  }

  private static List<OutputWiring.Moved> moved(Gadget gadget) {
    return ((SwitchedCircuit) gadget.circuits().circuits().get(0)).hookup().moved();
  }

  private static Locator out(Page page, int output) {
    return page.locator("a.out[data-output='" + output + "']");
  }

  @Test
  void anOutputShowsWhatItLightsAndTheReverse() {
    String id = application.bring(DemoGadgets.ferryBoard());
    try (Screen screen = open(id, "circuits")) {
      Page page = screen.page();
      screen.holdAccessible();
      // the fourth chip drives the first digit of the second number: its segment c is output 26
      out(page, 26).hover();
      assertThat(page.locator(".bits-map .lit")).hasCount(1);
      assertThat(page.locator(".bits-map .lit title")).hasText("Board: waiting 1 c");
      page.locator(".bits-map .lit").click();
      assertThat(page.locator(".bits-picked b")).hasText("Board: waiting 1 c");
      // twelve chips, the farthest first, the highest bit first: chip 4 is the ninth byte
      assertThat(page.locator(".bits-picked")).containsText("byte 8, bit 2");
      assertThat(page.locator(".bits-picked")).containsText("number 70 of 96");
      assertThat(application.head(id)).isEqualTo(1);
    }
  }

  @Test
  void aChannelMovesByNumberAndAClashIsRefused() {
    String id = application.bring(DemoGadgets.ferryBoard());
    try (Screen screen = open(id, "circuits?circuit=c1&output=26")) {
      Page page = screen.page();
      Locator number = page.getByLabel("Output, counted from 0 over all");
      number.fill("3");
      screen.button("Move").click();
      assertThat(page.locator("#notice")).containsText("Board: boat 1 d is on this one");
      assertThat(application.head(id)).isEqualTo(1);
      page.getByLabel("Output, counted from 0 over all").fill("5000");
      screen.button("Move").click();
      assertThat(page.locator("#notice")).containsText("a whole number from 0 to 223");
      page.getByLabel("Output, counted from 0 over all").fill("97");
      screen.button("Move").click();
      screen.onRevision(2);
      // it stands on a thirteenth chip now, and where it stood is free
      assertThat(page.locator("section.chip")).hasCount(13);
      assertThat(out(page, 26)).containsText("free");
      assertThat(page.locator(".bits-picked b")).hasText("Board: waiting 1 c");
      assertThat(moved(application.stored(id)))
          .containsExactly(new OutputWiring.Moved("f1", 26, 97));
      screen.button("Restore the moved channel").click();
      screen.onRevision(3);
      assertThat(page.locator("section.chip")).hasCount(12);
      assertThat(moved(application.stored(id))).isEmpty();
    }
  }

  @Test
  void anOutputDraggedOntoAnotherTradesPlaces() {
    String id = application.bring(DemoGadgets.ferryBoard());
    try (Screen screen = open(id, "circuits")) {
      Page page = screen.page();
      BoundingBox from = out(page, 0).boundingBox();
      BoundingBox onto = out(page, 10).boundingBox();
      page.mouse().move(from.x + 20, from.y + 20);
      page.mouse().down();
      page.mouse().move(onto.x + 10, onto.y + 10);
      page.mouse().move(onto.x + 20, onto.y + 20);
      assertThat(page.locator(".out-onto")).hasCount(1);
      page.mouse().up();
      screen.onRevision(2);
      assertThat(moved(application.stored(id)))
          .containsExactlyInAnyOrder(
              new OutputWiring.Moved("f1", 0, 10), new OutputWiring.Moved("f1", 10, 0));
      assertThat(out(page, 0)).hasAttribute("title", "chip 1, output 0: Board: boat 2 c");
    }
  }

  @Test
  void theTableAndTheConstantsCanBeTakenAway() {
    String id = application.bring(DemoGadgets.ferryBoard());
    try (Screen screen = open(id, "circuits")) {
      Page page = screen.page();
      String there = application.address() + "/gadgets/" + id + "/circuits/bitmap";
      assertThat(page.request().get(there + ".csv").text())
          .startsWith(
              "circuit,fixture,name,channel,switches,field,counted by,chip,output,turn,byte,bit\r\n")
          .contains("c1,f1,Board,26,waiting 1 c,,chip,4,2,69,8,2\r\n");
      assertThat(page.request().get(there + ".h").text())
          .contains("#define BOARD_WAITING_1_C 66u\n");
    }
  }
}
