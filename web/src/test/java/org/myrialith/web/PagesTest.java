package org.myrialith.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;

/** Each page for itself: odd input, two tabs, the back button, keys, and the rules of access. */
@ExtendWith(RunningApplication.Extension.class)
class PagesTest {
  private final RunningApplication application;

  PagesTest(RunningApplication application) {
    this.application = application;
  }

  private String address(String id, String step) {
    return application.address() + "/gadgets/" + id + "/" + step;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "brief",
        "layout",
        "layout?fixture=f2",
        "circuits",
        "power",
        "colour",
        "frames",
        "frames?fixture=f2",
        "firmware",
        "history"
      })
  void everyPageMeetsTheRulesOfAccess(String step) {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.open(address(id, step))) {
      screen.holdAccessible();
    }
  }

  @Test
  void theShelfAndThePagesOfAnEmptyGadgetMeetThemToo() {
    String id = application.bring(Gadget.blank("Empty one"));
    try (Screen screen = Screen.open(application.address())) {
      screen.holdAccessible();
      for (String step :
          List.of("brief", "layout", "circuits", "power", "colour", "frames", "firmware")) {
        screen.page().navigate(address(id, step));
        screen.holdAccessible();
        assertThat(screen.page().locator(".gadget-title .verdict-word")).hasText("open");
      }
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "layout | Columns | 0 | 1 to 256",
        "layout | Columns | -3 | 1 to 256",
        "layout | Columns | sixteen | 1 to 256",
        "layout | Columns | 16.5 | whole number",
        "layout | Columns | '' | 1 to 256",
        "layout | Horizontal pitch | 1e999 | 0.5 to 500",
        "layout | Horizontal pitch | NaN | 0.5 to 500",
        "layout | Name | '' | 1 to 80 characters",
        "circuits | Latch gap | 49 | 50 to 2000",
        "power | Safety margin | 99 | 0 to 80",
        "power | Current per channel at full level | Infinity | 1 to 60",
        "colour | Brightness limit | 101 | 1 to 100",
        "colour | Gamma exponent, 1.0 to 3.5 | 9 | 1 to 3.5",
        "brief | Power source | '' | 1 to 80 characters",
        "brief | Rated current | 0 | 0.001 to 400",
        "brief | Voltage | 230 V | 1 to 60",
        "frames | Frame 1 hold | 0 | 1 to 60"
      })
  void whatCanNotBeTakenIsToldByNameAndKept(
      String step, String label, String value, String allowed) {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.open(address(id, step))) {
      Page page = screen.page();
      page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(value);
      if (step.equals("brief")) {
        page.getByLabel("Name of the gadget").focus(); // a supply is judged when it is left
      } else {
        page.keyboard().press("Tab");
      }
      assertThat(page.locator("#notice")).containsText(allowed);
      if (!step.equals("frames")) {
        assertThat(page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)))
            .hasValue(value);
      }
      if (value.equals("0") || value.equals("Infinity")) {
        screen.holdAccessible(); // one page of each kind is enough: it costs a second
      }
      assertThat(application.head(id)).isEqualTo(1);
    }
  }

  @Test
  void aPathWithBadLinesIsToldLineByLine() {
    String id = application.bring(DemoGadgets.porchBuoy());
    try (Screen screen = Screen.open(address(id, "layout"))) {
      Page page = screen.page();
      page.getByLabel("Path").fill("0, 0\n10\nten, 3\n");
      page.keyboard().press("Tab");
      assertThat(page.locator("#notice")).containsText("row 2");
      assertThat(page.getByLabel("Path")).hasValue("0, 0\n10\nten, 3\n");
      page.getByLabel("Path").fill("0, 0\n900 0\n900; 40.5");
      page.keyboard().press("Tab");
      screen.onRevision(2);
      assertThat(page.locator("#notice")).not().containsText("row");
      assertThat(application.head(id)).isEqualTo(2);
    }
  }

  @Test
  void theBackButtonShowsPagesThatCanStillBeSaved() {
    String id = application.bring(DemoGadgets.porchBuoy());
    try (Screen screen = Screen.open(address(id, "power"))) {
      Page page = screen.page();
      page.locator("#strata a", new Page.LocatorOptions().setHasText("Colour")).click();
      assertThat(page.locator("#strata a[aria-current]")).containsText("Colour");
      page.getByLabel("Brightness limit").fill("50");
      page.keyboard().press("Tab");
      assertThat(page.locator(".revision b")).hasText("2");
      page.goBack();
      page.locator("#strata a", new Page.LocatorOptions().setHasText("Power")).click();
      page.getByLabel("Safety margin").fill("10");
      page.keyboard().press("Tab");
      assertThat(page.locator(".revision b")).hasText("3");
    }
  }

  @Test
  void strokesInARowAreAllKept() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.open(address(id, "frames?fixture=f2"))) {
      Page page = screen.page();
      page.locator("input[type=color]").fill("#ff0000");
      page.locator("lit-easel canvas").focus();
      for (int i = 0; i < 8; i++) {
        page.keyboard().press("Space");
        page.keyboard().press("ArrowRight");
      }
      assertThat(page.locator(".revision b")).hasText("9");
      Picture picture = application.stored(id).clipOn("f2").orElseThrow().frames().get(0).picture();
      for (int column = 0; column < 8; column++) {
        assertThat(picture.colour(column, 0)).isEqualTo(0xff0000);
      }
      // the rest of the page moved on with it
      screen.button("Copy").click();
      assertThat(page.locator(".core li")).hasCount(9);
    }
  }

  @Test
  void framesAreMovedByKeysAndByDragging() {
    String id = application.bring(DemoGadgets.tideLantern());
    List<Frame> before = DemoGadgets.tideLantern().clipOn("f1").orElseThrow().frames();
    try (Screen screen = Screen.open(address(id, "frames"))) {
      Page page = screen.page();
      page.locator(".core a").first().focus();
      page.keyboard().press("Alt+ArrowDown");
      assertThat(page.locator(".revision b")).hasText("2");
      assertThat(application.stored(id).clipOn("f1").orElseThrow().frames().get(1))
          .isEqualTo(before.get(0));
      page.locator(".core li").nth(3).dragTo(page.locator(".core li").nth(6));
      assertThat(page.locator(".revision b")).hasText("3");
      assertThat(application.stored(id).clipOn("f1").orElseThrow().frames().get(6))
          .isEqualTo(before.get(3));
    }
  }

  @Test
  void hostileFilesAreRefusedWithTheReason(@TempDir Path folder) throws Exception {
    String id = application.bring(DemoGadgets.tideLantern());
    Path empty = Files.write(folder.resolve("empty.gif"), new byte[0]);
    Path text = Files.writeString(folder.resolve("<b>nö.png"), "not a picture");
    Path large = Files.write(folder.resolve("large.gif"), new byte[(32 << 20) + 4096]);
    byte[] huge = new byte[40];
    System.arraycopy("GIF89a".getBytes(StandardCharsets.US_ASCII), 0, huge, 0, 6);
    Arrays.fill(huge, 6, 10, (byte) 0xff);
    Path claims = Files.write(folder.resolve("claims.gif"), huge);
    try (Screen screen = Screen.open(address(id, "frames"))) {
      Page page = screen.page();
      for (var step :
          List.of(
              List.of(empty, "a GIF or a PNG"),
              List.of(text, "a GIF or a PNG"),
              List.of(claims, "65535"),
              List.of(large, "32 MB"))) {
        page.navigate(address(id, "frames"));
        page.locator("input[type=file]").setInputFiles((Path) step.get(0));
        screen.button("Preview").click();
        assertThat(page.locator("#notice")).containsText((String) step.get(1));
      }
      assertThat(application.head(id)).isEqualTo(1);
    }
  }

  @Test
  void aRingIsLaidOutFromZeroAndItsFaultsAreTold() {
    String id = application.bring(Gadget.blank("Rings"));
    try (Screen screen = Screen.open(address(id, "layout"))) {
      Page page = screen.page();
      screen.button("Add a ring").click();
      page.getByLabel("Circles").fill("1, 0\n8 12.5\n16, 25\n");
      page.keyboard().press("Tab");
      assertThat(page.locator("#strata a[aria-current] .band-figure")).hasText("25\u00a0emitters");
      assertThat(page.locator("#calculations")).containsText("Spacing on Ring 1");
      page.getByLabel("Arc").fill("180");
      page.keyboard().press("Tab");
      assertThat(page.locator(".revision b")).hasText("4");
      page.getByLabel("Circles").fill("8, 0");
      page.keyboard().press("Tab");
      assertThat(page.locator("#notice")).containsText("row 1, radiusMm");
      assertThat(page.getByLabel("Circles")).hasValue("8, 0");
      screen.holdAccessible();
      assertThat(application.head(id)).isEqualTo(4);
      assertThat(application.stored(id).fixtures().get(0).describe())
          .isEqualTo("3 arcs, 25 in all");
    }
  }

  @Test
  void theWalkNamesEmittersInTheOrderOfTheData() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.open(address(id, "layout"))) {
      Page page = screen.page();
      Locator said = page.locator(".walk-said");
      page.locator(".walk-on").click();
      assertThat(said).hasText("0: Harbour window, index 0, column 0, row 0");
      page.locator(".walk-back").click();
      assertThat(said).hasText("167: Tide line, index 39, column 39, row 0");
      screen.button("Follow the data").click();
      assertThat(said).hasText(Pattern.compile("[3-9]\\d?: Harbour window.*"));
      screen.button("Stop").click();
      assertThat(page.locator(".walker")).not().hasAttribute("r", "0");
    }
  }

  @Test
  void mapsAndTemplatesAreTakenAway() throws Exception {
    String id = application.bring(DemoGadgets.tideLantern());
    String at = "/gadgets/" + id + "/r/1/";
    assertThat(new String(application.bytes(at + "map.csv"), StandardCharsets.UTF_8))
        .startsWith("fixture,name,");
    assertThat(
            new String(
                application.bytes(at + "template.pdf?paper=a3&hole=4,5"),
                0,
                5,
                StandardCharsets.US_ASCII))
        .isEqualTo("%PDF-");
    assertThat(application.json("GET", at + "template.pdf?paper=b7", null).statusCode())
        .isEqualTo(422);
    assertThat(application.json("GET", at + "template.svg?hole=-1", null).body())
        .contains("0.5 to 50");
    // the SVG at 1:1 in a browser: 96 px an inch
    try (Screen screen = Screen.open(application.address())) {
      Page page = screen.page();
      page.setContent(
          new String(application.bytes(at + "template.svg?hole=6"), StandardCharsets.UTF_8));
      var first = page.locator("#f1-0").boundingBox();
      var last = page.locator("#f1-15").boundingBox();
      double mm = 25.4 / 96;
      assertThat((last.x - first.x) * mm)
          .isCloseTo(150, org.assertj.core.api.Assertions.within(0.1));
      assertThat(first.width * mm).isCloseTo(6, org.assertj.core.api.Assertions.within(0.15));
      Object bar =
          page.locator("#check-100mm").evaluate("e => e.getBBox().width * e.getScreenCTM().a");
      assertThat(((Number) bar).doubleValue() * mm)
          .isCloseTo(100, org.assertj.core.api.Assertions.within(0.1));
    }
  }

  @Test
  void aGadgetOf8192PixelsStaysUsable() {
    Fixture panel =
        Fixture.of("f1", "Wall", new Panel(128, 64, 10, 10, Corner.TOP_LEFT, false, true, 0), 0, 0);
    byte[] rgb = new byte[8192 * 3];
    new Random(1).nextBytes(rgb);
    Gadget wall =
        Gadget.blank("Wall of pixels")
            .with(panel)
            .with(
                new Clip(
                    "k1",
                    "Noise",
                    "f1",
                    List.of(
                        new Frame(Picture.of(128, 64, rgb), 400),
                        new Frame(Picture.dark(128, 64), 400))));
    String id = application.bring(wall);
    try (Screen screen = Screen.open(address(id, "layout"))) {
      Page page = screen.page();
      for (String step : List.of("Circuits", "Power", "Colour", "Frames", "Firmware", "Layout")) {
        page.locator("#strata a", new Page.LocatorOptions().setHasText(step)).click();
        assertThat(page.locator("#strata a[aria-current]")).containsText(step);
      }
      page.locator("#strata a", new Page.LocatorOptions().setHasText("Frames")).click();
      page.locator("lit-easel canvas").focus();
      page.keyboard().press("Space");
      assertThat(page.locator(".revision b")).hasText("2");
    }
  }

  @Test
  void theSecondSchoolPutsTheLimiterIntoTheFirmware() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.open(address(id, "power"))) {
      Page page = screen.page();
      page.getByLabel("Plan for these frames").check();
      assertThat(page.locator(".revision b")).hasText("2");
      assertThat(page.locator("#calculations")).containsText("The limiter in the firmware");
      page.locator("#strata a", new Page.LocatorOptions().setHasText("Firmware")).click();
      assertThat(page.locator(".bench")).containsText("The player limits the sum of all levels");
    }
  }

  @Test
  void aSupplyIsTakenByOnePressAndUnitsMayBeTyped() {
    String id = application.bring(Gadget.blank("Fed"));
    try (Screen screen = Screen.open(address(id, "brief"))) {
      Page page = screen.page();
      page.getByLabel("Power source").fill("half a na");
      screen.button("5 V adapter, 3 A").click();
      assertThat(page.getByLabel("Rated current")).hasValue("3");
      assertThat(page.getByLabel("Power source")).hasValue("5 V adapter, 3 A");
      page.getByLabel("Rated current").fill("3200 mA");
      page.getByLabel("Voltage").fill("5.1V");
      page.getByLabel("Name of the gadget").focus();
      screen.onRevision(3);
      assertThat(page.getByLabel("Rated current")).hasValue("3.2");
      assertThat(application.stored(id).brief().supply().orElseThrow().volts()).isEqualTo(5.1);
    }
  }

  @Test
  void anExponentForAnotherCurveIsNotPutBackInSilence() {
    String id = application.bring(Gadget.blank("Curved"));
    try (Screen screen = Screen.open(address(id, "colour"))) {
      Page page = screen.page();
      page.getByLabel("Gamma exponent, 1.0 to 3.5").fill("2.7");
      page.keyboard().press("Tab");
      assertThat(page.locator("#notice")).containsText("select that curve first");
      assertThat(page.getByLabel("Gamma exponent, 1.0 to 3.5")).hasValue("2.7");
      page.locator("input[name=transfer][value=power]").check();
      screen.onRevision(2);
      assertThat(application.stored(id).colour().transfer())
          .isEqualTo(new org.myrialith.colour.Transfer.PowerLaw(2.7));
    }
  }

  @ParameterizedTest
  @CsvSource({
    "layout, Skip to the drawing, drawing",
    "frames, Skip to the canvas, easel",
    "'', Skip to: start a gadget, title"
  })
  void whatIsWorkedOnIsReachedInAFewStops(String step, String link, String reached) {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.open(step.isEmpty() ? application.address() : address(id, step))) {
      Page page = screen.page();
      int stops = 0;
      do {
        page.keyboard().press("Tab");
        stops++;
      } while (stops < 6 && !page.locator(":focus").textContent().strip().equals(link));
      assertThat(page.locator(":focus")).hasText(link);
      page.keyboard().press("Enter");
      if (!reached.equals(page.evaluate("document.activeElement.id"))) {
        page.keyboard().press("Tab"); // the link leads to it, the next stop is it
        stops++;
      }
      assertThat(page.evaluate("document.activeElement.id")).isEqualTo(reached);
      assertThat(stops).isLessThan(6);
    }
  }

  @Test
  void theKeysAreTold() {
    String id = application.bring(DemoGadgets.porchBuoy());
    try (Screen screen = Screen.open(address(id, "colour"))) {
      Page page = screen.page();
      page.keyboard().press("?");
      assertThat(page.locator("#keys")).containsText("Timeline");
      screen.holdAccessible();
      page.keyboard().press("Escape");
      assertThat(page.locator("#keys")).isHidden();
      screen.button("Keyboard").click();
      screen.button("Close").click();
      assertThat(page.locator("#keys")).isHidden();
      assertThat(application.head(id)).isEqualTo(1);
    }
  }

  @Test
  void theFirstStrokeMakesTheFirstFrameInALightColour() {
    String id =
        application.bring(
            Gadget.blank("Drawn")
                .with(
                    Fixture.of(
                        "f1",
                        "Small",
                        new Panel(4, 4, 10, 10, Corner.TOP_LEFT, false, true, 0),
                        0,
                        0)));
    try (Screen screen = Screen.open(address(id, "frames"))) {
      Page page = screen.page();
      screen.holdAccessible();
      page.locator("lit-easel canvas").focus();
      page.keyboard().press("Space");
      page.keyboard().press("ArrowRight");
      page.keyboard().press("Space");
      assertThat(page.locator(".core li")).hasCount(1);
      screen.onRevision(3);
      Picture picture = application.stored(id).clipOn("f1").orElseThrow().frames().get(0).picture();
      assertThat(picture.colour(0, 0)).isEqualTo(0xffffff);
      assertThat(picture.colour(1, 0)).isEqualTo(0xffffff);
      screen.button("Add dark").click();
      assertThat(page.locator(".core li")).hasCount(2);
      assertThat(page.locator("input[type=color]")).hasValue("#ffffff");
    }
  }

  @Test
  void withoutScriptsThePagesStillSave() {
    String id = application.bring(DemoGadgets.tideLantern());
    try (Screen screen = Screen.withoutScripts(address(id, "colour"))) {
      Page page = screen.page();
      page.getByLabel("Brightness limit").fill("41");
      screen.button("Save").click();
      assertThat(application.stored(id).colour().brightnessPercent()).isEqualTo(41);
      page.navigate(address(id, "layout"));
      assertThat(page.locator(".plan-side .no-js")).containsText("need JavaScript");
      page.navigate(address(id, "frames"));
      assertThat(page.locator(".easel .no-js").first()).containsText("need JavaScript");
      page.locator("summary", new Page.LocatorOptions().setHasText("Draw by numbers")).click();
      page.locator("#points").fill("0,0 5,0");
      screen.button("Paint").click();
      assertThat(application.head(id)).isEqualTo(3);
      page.locator("summary", new Page.LocatorOptions().setHasText("Draw by numbers")).click();
      page.locator("#points").fill("99,0");
      screen.button("Paint").click();
      assertThat(page.locator("#notice")).containsText("0,0 to 15,7");
      assertThat(page.locator("#points")).hasValue("99,0");
    }
  }
}
