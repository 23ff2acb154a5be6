package org.myrialith.build;

import static org.myrialith.finding.Phrase.phrase;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import org.apache.pdfbox.util.Matrix;
import org.myrialith.finding.Quantity;
import org.myrialith.layout.Edge;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Note;
import org.myrialith.layout.Point;

/**
 * A template as PDF at 1:1: a circle and a cross for each emitter, a heavy circle where data enters
 * a fixture, the names, on each sheet a bar of 100 mm to check the print by, registration marks in
 * the overlaps.
 *
 * @param title of the gadget
 */
public record TemplatePdf(Template template, String title) {
  private static final float POINTS_PER_MM = 72f / 25.4f;
  private static final float HAIR_MM = 0.1f;
  private static final float CROSS_MM = 2f;
  private static final float CHECK_MM = 100f;

  /** Handles of a Bézier quarter circle. */
  private static final float ROUND = 0.5522848f;

  /** Returns the file. */
  public byte[] bytes() {
    try (PDDocument document = new PDDocument()) {
      PDFont font = new PDType1Font(Standard14Fonts.FontName.HELVETICA);
      PDViewerPreferences preferences =
          new PDViewerPreferences(new org.apache.pdfbox.cos.COSDictionary());
      preferences.setPrintScaling(PDViewerPreferences.PRINT_SCALING.None);
      document.getDocumentCatalog().setViewerPreferences(preferences);
      List<Emitter> holes = Holes.of(template.layout());
      Set<Emitter> firsts = firsts(holes);
      for (Template.Sheet sheet : template.sheets()) {
        PDPage page =
            new PDPage(
                new PDRectangle(
                    (float) template.sheetWidthMm() * POINTS_PER_MM,
                    (float) template.sheetHeightMm() * POINTS_PER_MM));
        document.addPage(page);
        try (PDPageContentStream ink = new PDPageContentStream(document, page)) {
          new Pen(ink, font, sheet, holes, firsts).draw();
        }
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      document.save(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException("writing to memory", e);
    }
  }

  /**
   * The first hole of each fixture: it has the name and the heavier ring, also when emitter 0 is
   * dark.
   */
  private static Set<Emitter> firsts(List<Emitter> holes) {
    Map<Integer, Emitter> first = new HashMap<>();
    holes.forEach(hole -> first.putIfAbsent(hole.fixture(), hole));
    return Set.copyOf(first.values());
  }

  /** Draws one sheet; coordinates are mm from the sheet's left top corner. */
  private final class Pen {
    private final PDPageContentStream ink;
    private final PDFont font;
    private final Template.Sheet sheet;
    private final List<Emitter> holes;
    private final Set<Emitter> firsts;
    private final float height = (float) template.sheetHeightMm();

    Pen(
        PDPageContentStream ink,
        PDFont font,
        Template.Sheet sheet,
        List<Emitter> holes,
        Set<Emitter> firsts) {
      this.ink = ink;
      this.font = font;
      this.sheet = sheet;
      this.holes = holes;
      this.firsts = firsts;
    }

    void draw() throws IOException {
      ink.transform(Matrix.getScaleInstance(POINTS_PER_MM, POINTS_PER_MM));
      ink.setLineWidth(HAIR_MM);
      foot();
      registration();
      ink.addRect(
          (float) Template.MARGIN_MM,
          height - (float) (Template.MARGIN_MM + template.windowHeightMm()),
          (float) template.windowWidthMm(),
          (float) template.windowHeightMm());
      ink.clip();
      for (Fixture fixture : template.layout().fixtures()) {
        for (Edge edge : fixture.edges()) {
          edge(edge);
        }
        for (Note note : fixture.notes()) {
          centred(x(note.at().xMm()), y(note.at().yMm()), (float) Template.NOTE_MM, note.text());
        }
      }
      for (Emitter emitter : holes) {
        if (touches(emitter)) {
          mark(emitter);
        }
      }
    }

    /** Whether anything of its mark lies on this sheet; a name runs on to the right of its mark. */
    private boolean touches(Emitter emitter) {
      double reach = Math.max(template.holeMm() / 2, CROSS_MM / 2) + 1;
      double x = emitter.position().xMm() - sheet.leftMm();
      double y = emitter.position().yMm() - sheet.topMm();
      double above = reach + (firsts.contains(emitter) ? Template.NAME_MM : 0);
      return (x >= -reach || firsts.contains(emitter))
          && x <= template.windowWidthMm() + reach
          && y >= -reach
          && y <= template.windowHeightMm() + above;
    }

    private void edge(Edge edge) throws IOException {
      ink.setLineDashPattern(
          switch (edge.kind()) {
            case CUT -> new float[0];
            case FOLD -> new float[] {2, 1.5f};
            case GUIDE -> new float[] {0.4f, 0.8f};
          },
          0);
      Point first = edge.points().get(0);
      ink.moveTo(x(first.xMm()), y(first.yMm()));
      for (Point point : edge.points()) {
        ink.lineTo(x(point.xMm()), y(point.yMm()));
      }
      ink.stroke();
      ink.setLineDashPattern(new float[0], 0);
    }

    private float x(double layoutMm) {
      return (float) (Template.MARGIN_MM + layoutMm - sheet.leftMm());
    }

    private float y(double layoutMm) {
      return (float) (height - (Template.MARGIN_MM + layoutMm - sheet.topMm()));
    }

    private void mark(Emitter emitter) throws IOException {
      float x = x(emitter.position().xMm());
      float y = y(emitter.position().yMm());
      boolean first = firsts.contains(emitter);
      ink.setLineWidth(first ? 4 * HAIR_MM : HAIR_MM);
      circle(x, y, (float) template.holeMm() / 2);
      ink.setLineWidth(HAIR_MM);
      cross(x, y);
      if (first) {
        Fixture fixture = template.layout().fixtures().get(emitter.fixture());
        words(
            x + (float) template.holeMm() / 2 + 1,
            y + (float) template.holeMm() / 2 + 1,
            (float) Template.NAME_MM,
            fixture.name());
      }
    }

    private void cross(float x, float y) throws IOException {
      line(x - CROSS_MM / 2, y, x + CROSS_MM / 2, y);
      line(x, y - CROSS_MM / 2, x, y + CROSS_MM / 2);
    }

    private void line(float x1, float y1, float x2, float y2) throws IOException {
      ink.moveTo(x1, y1);
      ink.lineTo(x2, y2);
      ink.stroke();
    }

    private void circle(float x, float y, float r) throws IOException {
      float h = ROUND * r;
      ink.moveTo(x + r, y);
      ink.curveTo(x + r, y + h, x + h, y + r, x, y + r);
      ink.curveTo(x - h, y + r, x - r, y + h, x - r, y);
      ink.curveTo(x - r, y - h, x - h, y - r, x, y - r);
      ink.curveTo(x + h, y - r, x + r, y - h, x + r, y);
      ink.stroke();
    }

    private void foot() throws IOException {
      float base = (float) Template.MARGIN_MM;
      float left = (float) Template.MARGIN_MM;
      ink.setLineWidth(3 * HAIR_MM);
      line(left, base, left + CHECK_MM, base);
      line(left, base, left, base + 3);
      line(left + CHECK_MM, base, left + CHECK_MM, base + 3);
      words(
          left + 2,
          base + 1.2f,
          2.8f,
          "this bar is 100 mm: print at 100 %, not fitted to the page");
      words(
          left,
          base + 5.5f,
          (float) Template.NAME_MM,
          phrase(
              "%s   holes %s   sheet %d of %d, column %d, row %d",
              title,
              Quantity.text(template.holeMm(), "mm"),
              sheet.row() * template.columns() + sheet.column() + 1,
              template.columns() * template.rows(),
              sheet.column() + 1,
              sheet.row() + 1));
    }

    /** A ringed cross in the middle of each overlap, a quarter and three quarters along. */
    private void registration() throws IOException {
      double half = Template.OVERLAP_MM / 2;
      for (double share : new double[] {0.25, 0.75}) {
        float along = (float) (height - Template.MARGIN_MM - template.windowHeightMm() * share);
        float across = (float) (Template.MARGIN_MM + template.windowWidthMm() * share);
        if (sheet.column() > 0) {
          target((float) (Template.MARGIN_MM + half), along);
        }
        if (sheet.column() + 1 < template.columns()) {
          target((float) (Template.MARGIN_MM + template.windowWidthMm() - half), along);
        }
        if (sheet.row() > 0) {
          target(across, (float) (height - Template.MARGIN_MM - half));
        }
        if (sheet.row() + 1 < template.rows()) {
          target(across, (float) (height - Template.MARGIN_MM - template.windowHeightMm() + half));
        }
      }
    }

    private void target(float x, float y) throws IOException {
      ink.setLineWidth(HAIR_MM);
      circle(x, y, 1.5f);
      line(x - 3, y, x + 3, y);
      line(x, y - 3, x, y + 3);
    }

    private void words(float x, float y, float sizeMm, String text) throws IOException {
      ink.beginText();
      ink.setFont(font, sizeMm);
      ink.newLineAtOffset(x, y);
      ink.showText(plain(text));
      ink.endText();
    }

    private void centred(float x, float y, float sizeMm, String text) throws IOException {
      float width = font.getStringWidth(plain(text)) / 1000 * sizeMm;
      words(x - width / 2, y - 0.35f * sizeMm, sizeMm, text);
    }

    /** The fonts that every reader has know Latin letters only; others become a dot. */
    private static String plain(String text) {
      return text.replaceAll("[^\\x20-\\x7e\\xa1-\\xac\\xae-\\xff]", "\u00b7");
    }
  }
}
