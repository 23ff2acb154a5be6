package org.myrialith.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Position;
import org.myrialith.layout.Ring;
import org.myrialith.layout.ShapeKinds;
import org.myrialith.layout.Strip;
import org.myrialith.tool.OutsideTool;

/**
 * Templates measured with PDF tools that know nothing of us: page size, and marks to a tenth of a
 * millimetre.
 */
class TemplateTest {
  private static final int DOTS_PER_MM = 20;
  private static final LayoutPlan LANTERN = GadgetPlan.of(DemoGadgets.tideLantern()).layout();

  @TempDir Path folder;

  private void write(Template template) throws IOException {
    Files.write(folder.resolve("t.pdf"), new TemplatePdf(template, "Tide lantern ⚓").bytes());
  }

  private BufferedImage page(int number) throws IOException {
    OutsideTool.runClean(
        folder,
        "pdftoppm",
        "-r",
        String.valueOf(25.4 * DOTS_PER_MM),
        "-f",
        String.valueOf(number),
        "-l",
        String.valueOf(number),
        "-singlefile",
        "-mono", // ink or none: quicker to write and to read than shades
        "-png",
        "-aa",
        "no",
        "t.pdf",
        "page");
    return ImageIO.read(folder.resolve("page.png").toFile());
  }

  /**
   * Middle of the vertical stroke of a cross near a place: the column with most ink, within 1 mm.
   */
  private static double inkX(BufferedImage page, double xMm, double yMm) {
    return strongest(page, xMm, yMm, true) / DOTS_PER_MM;
  }

  private static double inkY(BufferedImage page, double xMm, double yMm) {
    return strongest(page, xMm, yMm, false) / DOTS_PER_MM;
  }

  private static double strongest(BufferedImage page, double xMm, double yMm, boolean columns) {
    int reach = DOTS_PER_MM;
    int cx = (int) Math.round(xMm * DOTS_PER_MM);
    int cy = (int) Math.round(yMm * DOTS_PER_MM);
    int most = 0;
    double sum = 0;
    int found = 0;
    for (int i = -reach; i <= reach; i++) {
      int ink = 0;
      for (int j = -reach * 9 / 10; j <= reach * 9 / 10; j++) {
        int x = cx + (columns ? i : j);
        int y = cy + (columns ? j : i);
        ink += (page.getRGB(x, y) & 0xff) < 128 ? 1 : 0;
      }
      if (ink > most) {
        most = ink;
        sum = 0;
        found = 0;
      }
      if (ink == most) {
        sum += (columns ? cx : cy) + i + 0.5;
        found++;
      }
    }
    assertThat(most).as("ink near %.1f, %.1f mm", xMm, yMm).isGreaterThan(reach);
    return sum / found;
  }

  @ParameterizedTest
  @EnumSource(Paper.class)
  void everySheetHasTheSizeOfItsPaperAndTheFileIsSound(Paper paper) throws IOException {
    Template template = new Template(LANTERN, 5, paper);
    write(template);
    String info = OutsideTool.runClean(folder, "pdfinfo", "-f", "1", "-l", "99", "t.pdf").text();
    Matcher size = Pattern.compile("size:\\s+([\\d.]+) x ([\\d.]+) pts").matcher(info);
    int pages = 0;
    while (size.find()) {
      assertThat(Double.parseDouble(size.group(1)) * 25.4 / 72)
          .isCloseTo(template.sheetWidthMm(), within(0.01));
      assertThat(Double.parseDouble(size.group(2)) * 25.4 / 72)
          .isCloseTo(template.sheetHeightMm(), within(0.01));
      pages++;
    }
    assertThat(pages).isEqualTo(template.columns() * template.rows());
    assertThat(OutsideTool.runClean(folder, "qpdf", "--check", "t.pdf").text())
        .contains("No syntax or stream encoding errors");
  }

  @Test
  void centresAndCheckBarLieWithinATenthOfAMillimetre() throws IOException {
    Fixture ring =
        Fixture.of(
            "f1", "Ring", new Ring(List.of(new Ring.Circle(7, 41.3)), 12, 360, true), 60, 55);
    Fixture panel =
        Fixture.of(
            "f2",
            "Panel",
            new Panel(3, 2, 17.37, 23.1, Corner.TOP_LEFT, false, true, 0),
            5.21,
            120.4);
    LayoutPlan layout = LayoutPlan.of(List.of(ring, panel));
    Template template = new Template(layout, 6, Paper.A4);
    write(template);
    Template.Sheet sheet = template.sheets().get(0);
    BufferedImage page = page(1);
    for (var emitter : layout.emitters()) {
      double x = Template.MARGIN_MM + emitter.position().xMm() - sheet.leftMm();
      double y = Template.MARGIN_MM + emitter.position().yMm() - sheet.topMm();
      assertThat(inkX(page, x, y)).isCloseTo(x, within(0.1));
      assertThat(inkY(page, x, y)).isCloseTo(y, within(0.1));
    }
    // the ends of the check bar stand 100 mm apart
    double barY = 297 - Template.MARGIN_MM - 1.5;
    double from = inkX(page, Template.MARGIN_MM, barY);
    double to = inkX(page, Template.MARGIN_MM + 100, barY);
    assertThat(to - from).isCloseTo(100, within(0.1));
  }

  static Stream<String> kinds() {
    return ShapeKinds.ALL.kinds().stream().map(k -> k.key());
  }

  /** On paper of every kind of fixture, mirrored and turned, the holes are where they belong. */
  @ParameterizedTest
  @MethodSource("kinds")
  void everyKindMeasuresRightOnPaper(String kind) throws IOException {
    Mount mount = new Mount(12.3, 45.6, 0, 10, true, true, List.of(), Mount.USUAL_EMITTER);
    Fixture fixture =
        new Fixture("f1", kind, ShapeKinds.ALL.kind(kind).orElseThrow().usual(), mount);
    LayoutPlan layout = LayoutPlan.of(List.of(fixture));
    Template template = new Template(layout, 4, Paper.A3);
    write(template);
    Template.Sheet sheet = template.sheets().get(0);
    BufferedImage page = page(1);
    int measured = 0;
    for (var emitter : Holes.of(layout)) {
      double x = Template.MARGIN_MM + emitter.position().xMm() - sheet.leftMm();
      double y = Template.MARGIN_MM + emitter.position().yMm() - sheet.topMm();
      boolean onSheet =
          x < Template.MARGIN_MM + template.windowWidthMm() - 3
              && y < Template.MARGIN_MM + template.windowHeightMm() - 3;
      if (onSheet) {
        assertThat(inkX(page, x, y)).isCloseTo(x, within(0.1));
        assertThat(inkY(page, x, y)).isCloseTo(y, within(0.1));
        measured++;
      }
    }
    assertThat(measured).isGreaterThan(2);
  }

  /** A fixture keeps its name when its first pixel is dark and has no hole. */
  @Test
  void aFixtureWhoseFirstPixelIsDarkIsNamed() throws IOException {
    Mount mount = Mount.at(20, 30).withDark(List.of(0));
    Fixture fixture =
        new Fixture(
            "f1", "Keeper", new Panel(4, 2, 12, 12, Corner.TOP_LEFT, false, true, 0), mount);
    write(new Template(LayoutPlan.of(List.of(fixture)), 4, Paper.A4));
    assertThat(OutsideTool.runClean(folder, "pdftotext", "-layout", "t.pdf", "-").text())
        .contains("Keeper");
  }

  /** Each sheet has only the marks that touch it: sixteen sheets are not sixteen whole drawings. */
  @Test
  void sheetsHaveOnlyTheirOwnMarks() {
    Panel panel = new Panel(50, 25, 15, 30, Corner.TOP_LEFT, false, true, 0);
    LayoutPlan layout = LayoutPlan.of(List.of(Fixture.of("f1", "Wall", panel, 0, 0)));
    Template many = new Template(layout, 4, Paper.A4);
    Template alone =
        new Template(
            LayoutPlan.of(
                List.of(
                    Fixture.of(
                        "f1",
                        "Wall",
                        new Panel(25, 10, 7, 7, Corner.TOP_LEFT, false, true, 0),
                        0,
                        0))),
            4,
            Paper.A4);
    assertThat(many.sheets().size()).isGreaterThan(12);
    double perMark = new TemplatePdf(alone, "w").bytes().length / 250.0;
    assertThat(new TemplatePdf(many, "w").bytes().length / 1250.0).isLessThan(4 * perMark);
  }

  @Test
  void aLargeLayoutIsCutOverSheetsThatOverlapAndShowEveryEmitter() throws IOException {
    Fixture strip =
        Fixture.of("f1", "Line", new Strip(60, 60, List.of(new Point(0, 0), new Point(1000, 300))));
    LayoutPlan layout = LayoutPlan.of(List.of(strip));
    Template template = new Template(layout, 5, Paper.A4);
    assertThat(template.sheets().size()).isGreaterThan(3);
    for (int i = 0; i < strip.count(); i++) {
      Position place = strip.position(i);
      assertThat(template.sheets())
          .as("emitter %d is whole on some sheet", i)
          .anySatisfy(
              s -> {
                assertThat(place.xMm())
                    .isBetween(s.leftMm() + 4, s.leftMm() + template.windowWidthMm() - 4);
                assertThat(place.yMm())
                    .isBetween(s.topMm() + 4, s.topMm() + template.windowHeightMm() - 4);
              });
    }
    // a registration mark stands on both sheets that share it, at the same place of the layout
    write(template);
    Template.Sheet first = template.sheets().get(0);
    Template.Sheet second = template.sheets().get(1);
    double rightX = Template.MARGIN_MM + template.windowWidthMm() - Template.OVERLAP_MM / 2;
    double leftX = Template.MARGIN_MM + Template.OVERLAP_MM / 2;
    double y = Template.MARGIN_MM + template.windowHeightMm() * 0.25;
    double onFirst = first.leftMm() + inkX(page(1), rightX, y) - Template.MARGIN_MM;
    double onSecond = second.leftMm() + inkX(page(2), leftX, y) - Template.MARGIN_MM;
    assertThat(onFirst).isCloseTo(onSecond, within(0.1));
  }

  @Test
  void namesAndSheetNumbersAreOnThePage() throws IOException {
    write(new Template(LANTERN, 5, Paper.A3));
    String text = OutsideTool.runClean(folder, "pdftotext", "-layout", "t.pdf", "-").text();
    assertThat(text)
        .contains("Harbour window", "Tide line", "sheet 1 of 1", "100 mm", "Tide lantern ·");
    Fixture die = Fixture.of("f1", "Die", ShapeKinds.ALL.kind("box").orElseThrow().usual());
    write(new Template(LayoutPlan.of(List.of(die)), 4.5, Paper.LETTER));
    assertThat(OutsideTool.runClean(folder, "pdftotext", "-layout", "t.pdf", "-").text())
        .contains("front", "right", "back", "left", "top", "bottom", "holes 4.5");
  }

  @Test
  void tooManySheetsAndBadHolesAreRefusedByName() {
    Fixture far =
        Fixture.of(
            "f1", "Far", new Strip(2, 60, List.of(new Point(-9000, -9000), new Point(9000, 9000))));
    Fixture other =
        Fixture.of(
            "f2", "Other", new Strip(2, 60, List.of(new Point(9000, 9000), new Point(9100, 9000))));
    Template huge = new Template(LayoutPlan.of(List.of(far, other)), 5, Paper.A4);
    assertThatThrownBy(huge::sheets)
        .isInstanceOf(InputException.class)
        .hasMessageContaining("at most 100 sheets");
    assertThatThrownBy(() -> new Template(LANTERN, 0, Paper.A4)).hasMessageContaining("hole");
  }
}
