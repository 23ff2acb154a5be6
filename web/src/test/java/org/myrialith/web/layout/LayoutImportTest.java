package org.myrialith.web.layout;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.formats.SvgDrawing;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.Strip;
import org.myrialith.web.RunningApplication;
import org.myrialith.web.Screen;

/** Places and lines out of files, looked at first; odd files get their answer. */
@ExtendWith(RunningApplication.Extension.class)
class LayoutImportTest {
  private static final String DRAWING =
      """
      <svg xmlns='http://www.w3.org/2000/svg' width='180mm' height='120mm' viewBox='-10 -20 360 240'>
        <script>document.title = 'taken over'</script>
        <rect id='case' x='0' y='0' width='320' height='200'/>
        <g transform='translate(30 15) rotate(12) scale(1.5 1.2) skewX(10)'>
          <path id='wave' d='M5 60 C40 -30 90 130 150 40 S 170 20 180 60 a 12 20 30 1 1 4 9'/>
          <circle id='eye' cx='60' cy='40' r='3'/>
          <ellipse cx='90' cy='41.5' rx='3' ry='2'/>
        </g>
        <circle id='moon' cx='1cm' cy='2em2' r='1' transform='matrix(1 0 0 1 5 5)' display='none'/>
      </svg>
      """
          .replace("cy='2em2'", "cy='2'");

  private final RunningApplication application;

  LayoutImportTest(RunningApplication application) {
    this.application = application;
  }

  private static void bring(Page page, String name, byte[] file) {
    // tools that were open before are opened by the scripts once they run
    page.locator("html.js").waitFor();
    if (page.locator("#bring").getAttribute("open") == null) {
      page.locator("#bring > summary").click();
    }
    page.locator("#bring input[type=file]")
        .setInputFiles(new FilePayload(name, "application/octet-stream", file));
    press(page, "Preview");
  }

  private static void press(Page page, String name) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
        .click();
  }

  private Screen open(String id) {
    return Screen.open(application.address() + "/gadgets/" + id + "/layout");
  }

  @Test
  void aTableIsLookedAtInAnotherUnitAndKept() {
    String id = application.bring(Gadget.blank("Fireflies"));
    byte[] file =
        "\ufeffname;Mid Y;Mid X;note\ngrün;1,5;2\nrot;0;-3,25\n"
            .getBytes(StandardCharsets.UTF_16LE);
    try (Screen screen = open(id)) {
      Page page = screen.page();
      bring(page, "<i>nest.csv", file);
      assertThat(page.locator(".notes")).containsText("2 rows, UTF-16LE");
      assertThat(page.locator(".notes")).containsText("semicolon");
      assertThat(page.locator(".notes")).containsText("Not used: note");
      assertThat(page.locator("h2").first()).hasText("<i>nest.csv");
      screen.holdAccessible();
      page.locator(".tab", new Page.LocatorOptions().setHasText("numbers in inches")).click();
      assertThat(page.locator(".figures tbody tr").first()).containsText("50.800");
      assertThat(application.head(id)).isEqualTo(1);
      press(page, "Import as 2 loose emitters");
      assertThat(page.locator(".piece")).hasCount(1);
      LooseEmitters nest = (LooseEmitters) application.stored(id).fixtures().get(0).shape();
      assertThat(nest.emitters().get(0).xMm()).isCloseTo(50.8, within(1e-9));
      assertThat(nest.emitters().get(1).yMm()).isZero();
      assertThat(nest.emitters())
          .extracting(LooseEmitters.Single::name)
          .containsExactly("grün", "rot");
    }
  }

  @Test
  void aUnitThatMakesPlacesTooFarIsToldAndTheFileStays() {
    String id = application.bring(Gadget.blank("Too far"));
    try (Screen screen = open(id)) {
      Page page = screen.page();
      bring(page, "wide.csv", "x,y\n0,0\n5000,5\n".getBytes(StandardCharsets.US_ASCII));
      page.locator(".tab", new Page.LocatorOptions().setHasText("numbers in cm")).click();
      assertThat(page.locator("#notice")).containsText("row 2, xMm");
      assertThat(page.locator(".tab[aria-current]").first()).hasText("numbers in mm");
      press(page, "Import as 2 loose emitters");
      assertThat(page.locator(".piece")).hasCount(1);
    }
  }

  /** What was kept can be taken out as a map and brought in again. */
  @Test
  void theMapOfAGadgetComesBackAsPlaces() {
    String id = application.bring(DemoGadgets.tideLantern());
    byte[] map = application.bytes("/gadgets/" + id + "/r/1/map.csv");
    try (Screen screen = open(id)) {
      bring(screen.page(), "map.csv", map);
      press(screen.page(), "Import as 168 loose emitters");
      assertThat(screen.page().locator("#calculations")).containsText("at the same place");
      assertThat(application.stored(id).fixtures()).hasSize(3);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "a.csv | 'x,name\n1,a\n' | column y",
        "a.csv | 'x,y\n1,two\n' | line 2, column y",
        "a.csv | '' | header line",
        "a.csv | 'x,y\n20000,1\n' | 10",
        "a.svg | '<svg><circle' | whole SVG",
        "a.svg | '<!DOCTYPE svg [<!ENTITY a SYSTEM \"file:///etc/hostname\">]><svg><circle id=\"&a;\"/></svg>' | XML",
        "a.svg | '<!DOCTYPE svg [<!ENTITY a \"b\">]><svg>&a;</svg>' | entit",
        "a.svg | '<svg><path d=\"M0 0 L nowhere\"/></svg>' | path",
        "a.svg | '<svg/>' | circle",
        "a.bin | '\u0001\u0002' | x"
      })
  void oddFilesGetTheirAnswer(String name, String text, String says) {
    String id = application.bring(DemoGadgets.porchBuoy());
    try (Screen screen = open(id)) {
      bring(screen.page(), name, text.getBytes(StandardCharsets.UTF_8));
      assertThat(screen.page().locator("#notice")).containsText(says);
      assertThat(application.head(id)).isEqualTo(1);
    }
  }

  @Test
  void aMillionRowsAndAFileThatIsTooLargeAreRefused() {
    String id = application.bring(DemoGadgets.porchBuoy());
    try (Screen screen = open(id)) {
      bring(
          screen.page(),
          "many.csv",
          ("x,y\n" + "1,2\n".repeat(1_000_000)).getBytes(StandardCharsets.US_ASCII));
      assertThat(screen.page().locator("#notice")).containsText("8192 rows");
      bring(screen.page(), "large.csv", new byte[(32 << 20) + 9999]);
      assertThat(screen.page().locator("#notice")).containsText("32 MB");
      assertThat(application.head(id)).isEqualTo(1);
    }
  }

  @Test
  void aDrawingGivesEmittersAStripAndTheEnclosure() {
    String id = application.bring(Gadget.blank("From a drawing"));
    byte[] file = DRAWING.getBytes(StandardCharsets.UTF_8);
    try (Screen screen = open(id)) {
      Page page = screen.page();
      bring(page, "fish.svg", file);
      assertThat(page.locator(".notes")).containsText("Skipped: script");
      assertThat(page.title()).doesNotContain("taken over");
      screen.holdAccessible();
      page.locator("select[name=line]")
          .selectOption(new com.microsoft.playwright.options.SelectOption().setIndex(1));
      page.getByLabel("Pixels per metre").fill("0");
      press(page, "Import as a strip");
      assertThat(page.locator("#notice")).containsText("Pixels per metre");
      assertThat(page.getByLabel("Pixels per metre")).hasValue("0");
      page.getByLabel("Pixels per metre").fill("144");
      press(page, "Import as a strip");
      assertThat(page.locator(".piece")).hasCount(1);
      Fixture strip = application.stored(id).fixtures().get(0);
      assertThat(strip.shape()).isInstanceOf(Strip.class);
      assertThat(strip.count()).isGreaterThan(10);
      bring(page, "fish.svg", file);
      press(page, "Use the longest closed line as the enclosure");
      assertThat(page.locator(".enclosure")).hasCount(1);
      assertThat(application.stored(id).layout().site().enclosure())
          .isInstanceOf(Enclosure.Outline.class);
      bring(page, "fish.svg", file);
      press(page, "Discard");
      assertThat(page.locator(".piece")).hasCount(1);
    }
  }

  /** Places as the browser itself works them out, by its own reading of the file. */
  @Test
  void theBrowserReadsTheSameDrawingTheSame() {
    SvgDrawing read = SvgDrawing.read(DRAWING.getBytes(StandardCharsets.UTF_8));
    try (Screen screen = Screen.open(application.address())) {
      Page page = screen.page();
      page.setContent(DRAWING.replaceAll("<script>.*</script>", ""));
      double mm = 25.4 / 96;
      List<double[]> middles = new ArrayList<>();
      Object found =
          page.evaluate(
              """
              () => { const svg = document.querySelector('svg'); const home = svg.getScreenCTM(); const box = svg.getBoundingClientRect();
                return [...svg.querySelectorAll('circle, ellipse')].filter((c) => c.id !== 'moon').map((c) => {
                  const p = new DOMPoint(c.cx.baseVal.value, c.cy.baseVal.value).matrixTransform(c.getScreenCTM());
                  return [p.x - box.x, p.y - box.y]; }); }
              """);
      ((List<?>) found).forEach(p -> middles.add(pair(p)));
      for (int i = 0; i < middles.size(); i++) {
        assertThat(read.circles().get(i).xMm()).isCloseTo(middles.get(i)[0] * mm, within(0.01));
        assertThat(read.circles().get(i).yMm()).isCloseTo(middles.get(i)[1] * mm, within(0.01));
      }
      SvgDrawing.Line wave = read.lines().get(1);
      assertThat(wave.name()).isEqualTo("wave");
      List<?> points =
          (List<?>)
              page.evaluate(
                  """
                  () => { const path = document.getElementById('wave'); const box = document.querySelector('svg').getBoundingClientRect();
                    return Array.from({ length: 60 }, (_, i) => path.getPointAtLength((i * path.getTotalLength()) / 59))
                      .map((p) => p.matrixTransform(path.getScreenCTM())).map((p) => [p.x - box.x, p.y - box.y]); }
                  """);
      for (Object point : points) {
        double[] at = pair(point);
        assertThat(distance(wave, at[0] * mm, at[1] * mm)).isLessThan(0.1);
      }
    }
  }

  private static double[] pair(Object list) {
    List<?> both = (List<?>) list;
    return new double[] {
      ((Number) both.get(0)).doubleValue(), ((Number) both.get(1)).doubleValue()
    };
  }

  private static double distance(SvgDrawing.Line line, double x, double y) {
    double least = Double.POSITIVE_INFINITY;
    for (int i = 1; i < line.xMm().length; i++) {
      least =
          Math.min(
              least,
              java.awt.geom.Line2D.ptSegDist(
                  line.xMm()[i - 1], line.yMm()[i - 1], line.xMm()[i], line.yMm()[i], x, y));
    }
    return least;
  }

  @Test
  void oldEncodingsAreToldAndAsciiIsFine() {
    String id = application.bring(Gadget.blank("Encodings"));
    try (Screen screen = open(id)) {
      Page page = screen.page();
      bring(page, "old.csv", "x,y,name\n1,2,grün\n".getBytes(Charset.forName("ISO-8859-1")));
      assertThat(page.locator("#notice")).containsText("UTF-8");
      bring(page, "tab.txt", "X\tY\n1,5\t2\n".getBytes(StandardCharsets.US_ASCII));
      assertThat(page.locator(".notes")).containsText("tab");
    }
  }
}
