package org.myrialith.web.frames;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Ember;
import org.myrialith.effects.Fireflies;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Recipe;
import org.myrialith.effects.Wave;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.Panel;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Effects are chosen, looked at while they change, laid over each other, and made frames. */
@ExtendWith(RunningApplication.Extension.class)
class EffectsPageTest {
  private final RunningApplication application;

  EffectsPageTest(RunningApplication application) {
    this.application = application;
  }

  private static Locator button(Page page, String text) {
    return page.locator("button").filter(new Locator.FilterOptions().setHasText(text)).first();
  }

  @Test
  void framesAreMadeOfLayersOfEffects() {
    String id = application.bring(DemoGadgets.tideLantern());
    String address = application.address() + "/gadgets/" + id + "/frames/f1/effects";
    try (Screen screen = Screen.open(address)) {
      Page page = screen.page();
      assertThat(page.locator("lit-lamp output")).containsText("moment");
      page.locator("#layer0-kind").selectOption("ember");
      screen.onRevision(2);
      // another kind begins as it usually is
      assertThat(page.locator("#layer0-times")).hasValue("4");
      screen.holdAccessible();
      button(page, "Add a layer").click();
      screen.onRevision(3);
      page.locator("#layer1-kind").selectOption("wave");
      screen.onRevision(4);
      // what can't be is told beside the field and stays typed; the look keeps the last that can
      page.locator("#layer1-waves").fill("0");
      page.locator("#layer1-waves").blur();
      assertThat(page.locator("#layer1-waves-why")).containsText("1 to 64");
      assertThat(page.locator(".look-trouble")).containsText("last valid entry");
      assertThat(page.locator("#layer1-waves")).hasValue("0");
      page.locator("#layer1-waves").fill("3");
      page.locator("#layer1-waves").blur();
      screen.onRevision(5);
      Recipe recipe = application.stored(id).programme().recipeOn("f1").orElseThrow();
      assertThat(recipe.layers().get(0).effect()).isInstanceOf(Ember.class);
      assertThat(((Wave) recipe.layers().get(1).effect()).waves()).isEqualTo(3);
      button(page, "Make frames").click();
      screen.onRevision(6);
      Gadget made = application.stored(id);
      assertThat(made.clipOn("f1").orElseThrow().frames()).isEqualTo(made.baked(recipe));
      assertThat(made.clipOn("f1").orElseThrow().frames())
          .extracting(Frame::holdMillis)
          .containsOnly(50);
      // the frames are there on the bench, and play
      assertThat(page.locator(".core li")).hasCount(40);
      assertThat(page.locator("lit-lamp output")).containsText("moment");
      page.locator("a").filter(new Locator.FilterOptions().setHasText("effects")).click();
      button(page, "Remove layer 2").click();
      screen.onRevision(7);
      assertThat(application.stored(id).programme().recipeOn("f1").orElseThrow().layers())
          .hasSize(1);
    }
  }

  /** Over all fixtures as over one, by the controller itself; what either way takes is shown. */
  @Test
  void theControllerWorksThemOutOverTheWholeGadget() {
    String id = application.bring(DemoGadgets.tideLantern());
    String address = application.address() + "/gadgets/" + id + "/frames/f1/effects";
    try (Screen screen = Screen.open(address)) {
      Page page = screen.page();
      page.locator("#layer0-kind").selectOption("wave");
      screen.onRevision(2);
      page.locator("#over").selectOption("all");
      screen.onRevision(3);
      page.locator("#computed").selectOption("true");
      screen.onRevision(4);
      assertThat(page.locator(".costs tbody tr")).hasCount(2);
      assertThat(page.locator(".costs tr:has-text('computed') .chosen")).hasCount(1);
      screen.holdAccessible();
      button(page, "Make frames").click();
      screen.onRevision(5);
      Gadget made = application.stored(id);
      Recipe recipe = made.programme().recipeOn("f2").orElseThrow();
      assertThat(recipe.over()).isEqualTo(Recipe.ALL);
      made.bakedOver(recipe)
          .forEach(
              (fixture, frames) ->
                  assertThat(made.clipOn(fixture).orElseThrow().frames()).isEqualTo(frames));
      page.navigate(application.address() + "/gadgets/" + id + "/firmware");
      assertThat(page.locator("main")).containsText("effects of 2 clips are computed");
      assertThat(page.locator("main")).containsText("effects.c");
      // a frame that is painted over is kept again, and so it is said
      page.navigate(application.address() + "/gadgets/" + id + "/frames?fixture=f1");
      page.locator("#easel").click();
      screen.onRevision(6);
      assertThat(page.locator("body")).containsText("differ from what its effects make");
    }
  }

  /** A slider changes what is looked at at once, and what is kept when it is let go. */
  @Test
  void aSliderIsFollowed() {
    String id = application.bring(DemoGadgets.porchBuoy());
    String address = application.address() + "/gadgets/" + id + "/frames/f1/effects";
    try (Screen screen = Screen.open(address)) {
      Page page = screen.page();
      Locator slider = page.locator(".slot-range:has(#layer0-depth) input[type=range]");
      page.waitForResponse(
          answer -> answer.url().endsWith("/look") && answer.ok(),
          () ->
              slider.evaluate(
                  "s => { s.value = 77; s.dispatchEvent(new Event('input', {bubbles: true})); }"));
      assertThat(page.locator("#layer0-depth")).hasValue("77");
      assertThat(application.stored(id).programme().recipes()).isEmpty();
      slider.evaluate("s => s.dispatchEvent(new Event('change', {bubbles: true}))");
      screen.onRevision(2);
      assertThat(application.stored(id).programme().recipeOn("f1")).isPresent();
    }
  }

  /** What takes longer than a second says how far it is, and nothing comes of what is ended. */
  @Test
  void longWorkIsSeenAndCanBeEnded() {
    Layer fireflies = new Layer(new Fireflies(0xffffff, 0, 32, 100, 2, 1), Blend.OVER, 100);
    Recipe much = new Recipe("f1", 2000, 50, List.of(fireflies, fireflies, fireflies, fireflies));
    Gadget wall =
        Gadget.blank("Wall")
            .with(
                Fixture.of(
                    "f1", "Wall", new Panel(64, 128, 10, 10, Corner.TOP_LEFT, false, true, 0)));
    // with a clip of its own: effects that come without are made as they come, within a time
    Clip dark = new Clip("k1", "Wall", "f1", List.of(new Frame(Picture.dark(64, 128), 40)));
    assertThat(
            application
                .json(
                    "POST",
                    "/api/v1/projects",
                    GadgetJson.write(wall.with(wall.programme().with(much))))
                .body())
        .contains("recipes", "longer than");
    String id = application.bring(wall.with(wall.programme().with(much)).with(dark));
    String address = application.address() + "/gadgets/" + id + "/frames/f1/effects";
    try (Screen screen = Screen.open(address)) {
      Page page = screen.page();
      button(page, "Make frames, replacing the 1 existing").click();
      assertThat(page.locator(".making")).containsText("of 8000");
      button(page, "Cancel").click();
      assertThat(page.locator("main, body").first()).containsText("Stopped: no frames were made.");
      assertThat(application.stored(id).clips()).containsExactly(dark);
      screen.holdAccessible();
    }
  }

  /** A layer on a group runs on its lights alone. */
  @Test
  void aLayerIsPutOnAGroup() {
    Gadget lantern =
        DemoGadgets.tideLantern()
            .with(new Group("g1", "Ends", List.of(new Group.Member("f2", 38, 39))));
    String id = application.bring(lantern);
    String address = application.address() + "/gadgets/" + id + "/frames/f2/effects";
    try (Screen screen = Screen.open(address)) {
      Page page = screen.page();
      page.locator("#layer0-on").selectOption("g1");
      screen.onRevision(2);
      button(page, "Make frames").click();
      screen.onRevision(3);
      Picture made = application.stored(id).clipOn("f2").orElseThrow().frames().get(0).picture();
      assertThat(made.value(38, 0)).isPositive();
      assertThat(made.value(37, 0)).isZero();
    }
  }
}
