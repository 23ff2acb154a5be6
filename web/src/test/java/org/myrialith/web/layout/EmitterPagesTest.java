package org.myrialith.web.layout;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.EmitterKind;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Classes of emitters: their data changed, made anew, kept for other gadgets. */
@ExtendWith(RunningApplication.Extension.class)
class EmitterPagesTest {
  private final RunningApplication application;

  EmitterPagesTest(RunningApplication application) {
    this.application = application;
  }

  private String address(String id, String rest) {
    return application.address() + "/gadgets/" + id + "/layout" + rest;
  }

  @Test
  void aClassIsChangedForOneGadgetAndChangesItsFindings() {
    Gadget gadget = Gadget.blank("Tight bar").with(Fixture.of("f1", "Bar", new Bar(5, 6, 0)));
    String id = application.bring(gadget);
    try (Screen screen = Screen.open(address(id, ""))) {
      Page page = screen.page();
      assertThat(page.locator("#calculations")).not().containsText("overlap");
      page.getByText("Data order of these emitters").click();
      screen.field("Package width").fill("8");
      screen.field("Package height").fill("7");
      screen.button("Save for this gadget").click();
      assertThat(page.locator("#calculations")).containsText("4 pairs of emitters overlap");
      assertThat(application.stored(id).layout().emitters()).hasSize(1);
      screen.holdAccessible();
      screen.field("Viewing angle").fill("0");
      screen.button("Save for this gadget").click();
      assertThat(page.locator("#notice")).containsText("1 to 360");
      assertThat(screen.field("Viewing angle")).hasValue("0");
      assertThat(application.head(id)).isEqualTo(2);
    }
  }

  @Test
  void aClassOfOnesOwnIsKeptForOtherGadgets() {
    String id = application.bring(Gadget.blank("First"));
    try (Screen screen = Screen.open(address(id, "/emitters?emitter=single-red"))) {
      Page page = screen.page();
      screen.field("Name").fill("Deep red, 3 mm, from the drawer");
      screen.field("Package width").fill("3");
      screen.field("Package height").fill("3");
      page.getByLabel("Dies").fill("deep red, 1.9, 15");
      screen.button("Save, also for other gadgets").click();
      assertThat(page.locator("#notice")).containsText("Dies");
      assertThat(page.getByLabel("Dies")).hasValue("deep red, 1.9, 15");
      page.getByLabel("Dies").fill("deep red, 1.9, 15, 60, 320");
      // the name was saved beside the dies that were refused: what is awaited is the answer
      page.waitForResponse(
          answer -> answer.request().method().equals("POST"),
          () -> screen.button("Save, also for other gadgets").click());
      assertThat(page.locator(".figures")).containsText("Deep red, 3 mm, from the drawer");
      // in another gadget
      String other =
          application.bring(Gadget.blank("Second").with(Fixture.of("f1", "Bar", new Bar(5, 6, 0))));
      page.navigate(address(other, ""));
      screen
          .field("Emitter class")
          .selectOption(
              new com.microsoft.playwright.options.SelectOption()
                  .setLabel("Deep red, 3 mm, from the drawer"));
      assertThat(page.locator(".revision b")).hasText("2");
      Gadget stored = application.stored(other);
      assertThat(stored.layout().emitters()).hasSize(1);
      assertThat(stored.layout().emitters().get(0).kind()).isEqualTo(EmitterKind.SINGLE);
      assertThat(stored.layout().emitters().get(0).dies().get(0).forwardVolts()).isEqualTo(1.9);
      assertThat(page.locator("#calculations")).containsText("5\u00a0channels");
      // forgotten for others, it stays where it is used
      page.getByText("Data order of these emitters").click();
      screen.button("Remove from other gadgets").click();
      assertThat(application.stored(other).layout().emitters()).hasSize(1);
      page.navigate(address(id, "/emitters"));
      screen.holdAccessible();
    }
  }

  @Test
  void dangerousClassesSaySo() {
    String id = application.bring(Gadget.blank("Bright"));
    try (Screen screen = Screen.open(address(id, "/emitters?emitter=high-power"))) {
      assertThat(screen.page().locator(".caution")).containsText("hurt eyes");
      screen.page().navigate(address(id, "/emitters?emitter=filament"));
      assertThat(screen.page().locator(".caution")).containsText("licensed hands");
    }
  }
}
