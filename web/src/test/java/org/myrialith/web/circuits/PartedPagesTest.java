package org.myrialith.web.circuits;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.circuit.output.SwitchedCircuit;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Glyph;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.parts.OwnController;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** What makers make their own: parted fixtures, fields, characters, controllers. */
@ExtendWith(RunningApplication.Extension.class)
class PartedPagesTest {
  private final RunningApplication application;

  PartedPagesTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(String id, String step) {
    return Screen.open(application.address() + "/gadgets/" + id + "/" + step);
  }

  private List<String> members(String id, int circuit) {
    return application.stored(id).circuits().circuits().get(circuit).fixtures();
  }

  @Test
  void aFixtureIsPartedOverTwoLines() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "circuits")) {
      Page page = screen.page();
      page.getByLabel("Last LED of Harbour window on this circuit").fill("200");
      page.getByLabel("Set the section of Harbour window").click();
      assertThat(page.locator("#notice")).containsText("0 to 127");
      assertThat(page.getByLabel("Last LED of Harbour window on this circuit")).hasValue("200");
      assertThat(application.head(id)).isEqualTo(1);
      page.getByLabel("Last LED of Harbour window on this circuit").fill("63");
      page.getByLabel("Set the section of Harbour window").click();
      screen.onRevision(2);
      assertThat(members(id, 0)).containsExactly("f1:0-63", "f2");
      assertThat(page.locator(".chain-loose")).containsText("Harbour window (LEDs 64 to 127)");
      screen.button("Add a circuit of one-wire RGB pixels").click();
      screen.onRevision(3);
      screen.button("Add to Data line 2").click();
      screen.onRevision(4);
      assertThat(members(id, 1)).containsExactly("f1:64-127");
      screen.holdAccessible();
      // the order page tells the parts apart
      page.navigate(application.address() + "/gadgets/" + id + "/layout");
      assertThat(page.locator("body")).containsText("Harbour window (LEDs 64 to 127)");
    }
  }

  @Test
  void aFieldIsNamed() {
    String id = application.bring(DemoGadgets.ferryBoard());
    try (Screen screen = open(id, "circuits?circuit=c1&output=26")) {
      Page page = screen.page();
      page.locator("#field").fill("Minutes à quai");
      screen.button("Name the group").click();
      screen.onRevision(2);
      Gadget stored = application.stored(id);
      SwitchedCircuit board = (SwitchedCircuit) stored.circuits().circuits().get(0);
      assertThat(board.hookup().fields())
          .singleElement()
          .extracting("name")
          .isEqualTo("Minutes à quai");
      assertThat(page.locator("#field")).hasValue("Minutes à quai");
    }
  }

  @Test
  void aCharacterIsMadeByClickingSegments() {
    String id = application.bring(DemoGadgets.ferryBoard());
    try (Screen screen = open(id, "frames?fixture=f1&frame=0")) {
      Page page = screen.page();
      page.locator("#glyphs summary").click();
      page.locator("#character").fill("7");
      assertThat(page.locator(".glyph line.lit")).hasCount(3);
      page.locator(".glyph line[data-segment=f]").dispatchEvent("click");
      assertThat(page.locator(".glyph line.lit")).hasCount(4);
      screen.holdAccessible();
      screen.button("Save this character").click();
      screen.onRevision(2);
      assertThat(application.stored(id).programme().glyphs())
          .containsExactly(new Glyph("f1", "7", List.of("a", "b", "c", "f")));
      page.locator("#text").fill("7");
      screen.button("Write on this frame").click();
      screen.onRevision(3);
      assertThat(
              application
                  .stored(id)
                  .clipOn("f1")
                  .orElseThrow()
                  .frames()
                  .get(0)
                  .picture()
                  .colour(11, 5))
          .isNotZero();
      screen.button("Save this character").click();
      assertThat(page.locator("#notice")).containsText("character");
      assertThat(application.head(id)).isEqualTo(3);
    }
  }

  @Test
  void aControllerOfOnesOwnIsMadeAndUsed() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "brief")) {
      Page page = screen.page();
      page.locator("#own-classes summary").click();
      screen.button("As a table").click();
      screen.button("Add a row").click();
      screen.field("Name, row 1").fill("Badge");
      screen.field("Pins, row 1").fill("B9");
      screen.button("Save my controllers").click();
      assertThat(page.locator("#notice")).containsText("B9");
      screen.field("Pins, row 1").fill("D2 D3");
      screen.button("Save my controllers").click();
      screen.onRevision(2);
      assertThat(application.stored(id).brief().ownControllers())
          .extracting(OwnController::name)
          .containsExactly("Badge");
      page.getByLabel("Badge", new Page.GetByLabelOptions().setExact(true)).check();
      screen.onRevision(3);
      assertThat(application.stored(id).brief().controller().pins()).containsExactly("D2", "D3");
      screen.holdAccessible();
    }
  }
}
