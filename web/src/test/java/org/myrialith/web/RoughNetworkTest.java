package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;

/** Slow answers, none, and bad ones: nothing is lost, and the maker is told. */
@ExtendWith(RunningApplication.Extension.class)
class RoughNetworkTest {
  private static final int SLOW_MS = 1500;

  private final RunningApplication application;

  RoughNetworkTest(RunningApplication application) {
    this.application = application;
  }

  private Screen open(String id, String step) {
    return Screen.open(application.address() + "/gadgets/" + id + "/" + step);
  }

  /** Has every change sent a while later; the page itself goes on meanwhile. */
  private static void slow(Page page) {
    page.evaluate(
        "ms => { const send = window.fetch; window.fetch = async (to, how) => {"
            + " if (how?.method === 'POST') { await new Promise((r) => setTimeout(r, ms)); } return send(to, how); }; }",
        SLOW_MS);
  }

  /** Has every change wait until it is let go: however slow the machine is, it is on its way. */
  private static void held(Page page) {
    page.evaluate(
        "() => { const send = window.fetch; const gate = new Promise((open) => { window.letGo = open; });"
            + " window.fetch = async (to, how) => { if (how?.method === 'POST') { await gate; } return send(to, how); }; }");
  }

  private static void letGo(Page page) {
    page.evaluate("() => window.letGo()");
  }

  private static void broken(Page page) {
    page.route(
        "**/*",
        route -> {
          if (route.request().method().equals("POST")) {
            route.abort();
          } else {
            route.resume();
          }
        });
  }

  private static Locator state(Page page) {
    return page.locator("#saving");
  }

  private static void fill(Page page, String label, String value) {
    page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(value);
  }

  private Picture firstFrame(String id) {
    return application.stored(id).clipOn("f1").orElseThrow().frames().get(0).picture();
  }

  @Test
  void theStateIsToldAtOnceForFieldsPressesStrokesAndMoves() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "layout?fixture=f1")) {
      Page page = screen.page();
      slow(page);
      assertThat(state(page)).hasText("saved");
      // within the very task of the change, so long before a tenth of a second is over
      Object told =
          page.evaluate(
              "() => { const f = document.getElementById('pitchXMm'); f.value = '11';"
                  + " f.dispatchEvent(new Event('input', {bubbles: true})); const typed = document.getElementById('saving').className;"
                  + " f.dispatchEvent(new Event('change', {bubbles: true})); return typed + '|' + document.getElementById('saving').className; }");
      assertThat(told).isEqualTo("saving saving-typed|saving saving-under");
      assertThat(state(page)).hasText("saved");
      page.locator("a[data-fixture=f1]").focus();
      page.keyboard().press("ArrowRight");
      assertThat(state(page)).not().hasText("saved");
      assertThat(state(page)).hasText("saved");
      held(page);
      screen.button("Copy").click();
      assertThat(state(page)).hasText("saving Copy");
      assertThat(screen.button("Copy")).hasAttribute("aria-busy", "true");
      letGo(page);
      assertThat(state(page)).hasText("saved");
      page.navigate(application.address() + "/gadgets/" + id + "/frames?fixture=f1");
      held(page);
      page.locator("lit-easel canvas").focus();
      page.keyboard().press("Space");
      assertThat(state(page)).containsText("saving a stroke");
      letGo(page);
      assertThat(state(page)).hasText("saved");
      assertThat(application.head(id)).isEqualTo(5);
    }
  }

  @Test
  void strokesThatAreOnTheirWayAreKeptWhateverIsPressedNext() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "frames")) {
      Page page = screen.page();
      slow(page);
      page.locator("input[type=color]").fill("#0a0b0c");
      page.locator("lit-easel canvas").focus();
      for (int i = 0; i < 4; i++) {
        page.keyboard().press("Space");
        page.keyboard().press("ArrowRight");
      }
      page.locator(".core a").nth(3).click();
      assertThat(page.locator(".core .band-here b").first()).hasText("4");
      for (int i = 0; i < 4; i++) {
        assertThat(firstFrame(id).colour(i, 0)).isEqualTo(0x0a0b0c);
      }
      assertThat(page.locator("h1")).not().containsText("Another change");
      // the colour in hand stays from frame to frame
      assertThat(page.locator("input[type=color]")).hasValue("#0a0b0c");
    }
  }

  /** The page of the first frame comes between two keys: the second is where the maker went. */
  @Test
  void theFirstFrameComesWhileTheMakerMovesOn() {
    String id = application.bring(DemoGadgets.tideLantern().withoutClip("k1").withoutClip("k2"));
    try (Screen screen = open(id, "frames")) {
      Page page = screen.page();
      slow(page);
      page.locator("lit-easel canvas").focus();
      page.keyboard().press("Space");
      page.keyboard().press("ArrowRight");
      page.keyboard().press("ArrowRight");
      screen.onRevision(2);
      page.keyboard().press("Space");
      screen.onRevision(3);
      assertThat(firstFrame(id).colour(0, 0)).isEqualTo(0xffffff);
      assertThat(firstFrame(id).colour(2, 0)).isEqualTo(0xffffff);
    }
  }

  @Test
  void anImpatientPressIsNotTakenTwice() {
    String id = application.bring(DemoGadgets.porchBuoy());
    try (Screen screen = open(id, "layout")) {
      Page page = screen.page();
      int before = application.stored(id).fixtures().size();
      held(page);
      for (int i = 0; i < 3; i++) {
        screen.button("Add a ring").click();
      }
      assertThat(state(page)).containsText("being sent already");
      letGo(page);
      screen.onRevision(2);
      assertThat(state(page)).hasText("saved");
      assertThat(application.stored(id).fixtures()).hasSize(before + 1);
      screen.button("Add a bar").click();
      screen.onRevision(3);
      page.reload();
      held(page);
      for (int i = 0; i < 3; i++) {
        page.locator("#undo").click();
      }
      letGo(page);
      screen.onRevision(2);
      page.waitForTimeout(SLOW_MS);
      assertThat(application.head(id)).isEqualTo(2);
    }
  }

  @Test
  void whatCouldNotBeSentIsToldStaysAndIsSentAgain() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "power")) {
      Page page = screen.page();
      broken(page);
      fill(page, "Safety margin", "31");
      page.keyboard().press("Tab");
      assertThat(state(page)).hasText("not saved");
      assertThat(page.locator("#trouble")).containsText("Not saved: Safety margin.");
      screen.holdAccessible();
      fill(page, "Controller current", "33");
      page.locator("#strata a").first().click(); // nothing leaves the page meanwhile
      assertThat(page.locator("#trouble")).containsText("Safety margin, Controller current");
      assertThat(page.locator("#strata a[aria-current]")).containsText("Power");
      assertThat(page.getByLabel("Safety margin")).hasValue("31");
      page.unrouteAll();
      screen.button("Send again").click();
      assertThat(state(page)).hasText("saved");
      Gadget stored = application.stored(id);
      assertThat(stored.power().marginPercent()).isEqualTo(31);
      assertThat(stored.power().controllerMilliamps()).isEqualTo(33);
      assertThat(page.locator("#trouble")).isHidden();
    }
  }

  @Test
  void aStrokeAndAMoveStayInSightAndAreSentByThemselvesWhenTheNetworkIsBack() {
    String id = application.bring(DemoGadgets.tideLantern());
    double left = application.stored(id).fixture("f1").orElseThrow().mount().xMm();
    try (Screen screen = open(id, "layout?fixture=f1")) {
      Page page = screen.page();
      broken(page);
      double[] from = screen.at(left + 5, 5);
      screen.drag(from, new double[] {from[0] + 60, from[1]});
      assertThat(page.locator("#trouble")).containsText("the move");
      assertThat(page.locator("a[data-fixture=f1]"))
          .hasAttribute("transform", Pattern.compile("translate\\([1-9].*"));
      page.unrouteAll();
      screen.onRevision(2);
      assertThat(application.stored(id).fixture("f1").orElseThrow().mount().xMm())
          .isGreaterThan(left + 1);

      page.navigate(application.address() + "/gadgets/" + id + "/frames?fixture=f1");
      broken(page);
      page.locator("input[type=color]").fill("#0a0b0c");
      page.locator("lit-easel canvas").focus();
      page.keyboard().press("Space");
      assertThat(page.locator("#trouble")).containsText("a stroke on frame 1");
      page.keyboard().press("ArrowRight"); // draws anew
      Object cell =
          page.locator("lit-easel canvas")
              .evaluate(
                  "c => [...c.getContext('2d').getImageData(c.width / 32, c.height / 16, 1, 1).data]");
      assertThat(cell.toString()).isEqualTo("[10, 11, 12, 255]");
      page.unrouteAll();
      screen.onRevision(3);
      assertThat(firstFrame(id).colour(0, 0)).isEqualTo(0x0a0b0c);
    }
  }

  @Test
  void anAnswerOf500KeepsPageAddressAndText() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "colour")) {
      Page page = screen.page();
      String address = page.url();
      page.route(
          "**/colour",
          route -> {
            if (route.request().method().equals("POST")) {
              route.fulfill(
                  new Route.FulfillOptions()
                      .setStatus(500)
                      .setContentType("text/html")
                      .setBody("<h1>That did not work.</h1>"));
            } else {
              route.resume();
            }
          });
      fill(page, "Brightness limit", "47");
      page.keyboard().press("Tab");
      assertThat(page.locator("#trouble")).containsText("That did not work.");
      assertThat(page.url()).isEqualTo(address);
      assertThat(page.getByLabel("Brightness limit")).hasValue("47");
      page.unrouteAll();
      screen.button("Send again").click();
      screen.onRevision(2);
      assertThat(application.stored(id).colour().brightnessPercent()).isEqualTo(47);
    }
  }

  @Test
  void whatWasSavedThoughTheAnswerWasLostIsNotDoneTwice() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "colour")) {
      Page page = screen.page();
      page.route(
          "**/colour",
          route -> {
            if (route.request().method().equals("POST")) {
              route.fetch(); // it arrives, its answer does not
              route.abort();
            } else {
              route.resume();
            }
          });
      fill(page, "Brightness limit", "47");
      page.keyboard().press("Tab");
      assertThat(state(page)).hasText("not saved");
      page.unrouteAll();
      screen.button("Send again").click();
      assertThat(state(page)).hasText("saved");
      assertThat(page.locator("h1")).not().containsText("Another change");
      assertThat(application.stored(id).colour().brightnessPercent()).isEqualTo(47);
      assertThat(application.head(id)).isEqualTo(2);
    }
  }

  @Test
  void aGadgetThatIsGoneAndARemedyThatIsNotNeededAreToldOnThePage() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "power")) {
      Page page = screen.page();
      slow(page);
      // the value makes the remedy needless before it comes to it
      fill(page, "Current per channel at full level", "1");
      page.locator(".mend").first().click();
      assertThat(page.locator("#notice")).containsText("the plan changed meanwhile");
      assertThat(page.locator("#strata a[aria-current]")).containsText("Power");
      assertThat(application.head(id)).isEqualTo(2);
      application.json("DELETE", "/api/v1/projects/" + id, null);
      fill(page, "Safety margin", "12");
      page.keyboard().press("Tab");
      assertThat(page.locator("#notice")).containsText("It may have been deleted");
      assertThat(page.getByLabel("Safety margin")).hasValue("12");
    }
  }

  @Test
  void aPageThatWasOpenTooLongSavesAllTheSame() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "colour")) {
      Page page = screen.page();
      page.evaluate("document.querySelector('meta[name=csrf-token]').content = 'of-yesterday'");
      fill(page, "Brightness limit", "46");
      page.keyboard().press("Tab");
      screen.onRevision(2);
      assertThat(application.stored(id).colour().brightnessPercent()).isEqualTo(46);
    }
  }

  @Test
  void aLinkDoesNotLeaveAClashUnseen() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen one = open(id, "colour");
        Screen two = one.tab(one.page().url())) {
      fill(one.page(), "Brightness limit", "31");
      one.page().keyboard().press("Tab");
      one.onRevision(2);
      two.page().bringToFront();
      slow(two.page());
      fill(two.page(), "Brightness limit", "32");
      two.page().locator("#strata a", new Page.LocatorOptions().setHasText("Power")).click();
      assertThat(two.page().locator("h1")).hasText("Another change came first");
      two.page().waitForTimeout(400);
      assertThat(two.page().locator("h1")).hasText("Another change came first");
    }
  }

  @Test
  void focusAndScrollStayWhereTheyWere() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = open(id, "layout?fixture=f1")) {
      Page page = screen.page();
      page.setViewportSize(1280, 500);
      slow(page);
      fill(page, "Vertical pitch", "11");
      page.keyboard().press("Tab");
      page.waitForTimeout(700); // scrolling is smooth
      double scrolled = ((Number) page.evaluate("() => scrollY")).doubleValue();
      String focused = (String) page.evaluate("() => document.activeElement.id");
      screen.onRevision(2);
      assertThat(((Number) page.evaluate("() => scrollY")).doubleValue())
          .isCloseTo(scrolled, within(1.0));
      assertThat(page.evaluate("() => document.activeElement.id")).isEqualTo(focused);
      page.setViewportSize(1280, 800);
      page.navigate(application.address() + "/gadgets/" + id + "/frames?fixture=f1");
      page.locator(".core a[aria-current]").focus();
      for (int revision = 3; revision < 6; revision++) {
        page.keyboard().press("+"); // again and again, without looking for the band in between
        screen.onRevision(revision);
      }
      page.keyboard().press("c");
      screen.onRevision(6);
      assertThat(page.locator(":focus")).not().hasJSProperty("localName", "body");
      assertThat(application.stored(id).clipOn("f1").orElseThrow().frames().get(0).holdMillis())
          .isEqualTo(
              DemoGadgets.tideLantern().clipOn("f1").orElseThrow().frames().get(0).holdMillis()
                  + 30);
    }
  }
}
