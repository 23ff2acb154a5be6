package org.myrialith.layout;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;

/**
 * An addressable strip laid along a line with bends, in one piece or in several with gaps between.
 *
 * <p>A strip is cut between pixels, so the first pixel of a piece sits half a pitch from its end.
 * Where the path ends before the strip does, the strip goes on straight. The picture has one row,
 * its cells in the order along the path, also where a piece is turned round.
 *
 * @param pieces along the path, at least one
 * @param cutEvery pixels between two marks where the strip may be cut
 * @param pixelsPerMetre as the strip is sold
 * @param path corners of the line, at least two, neighbours apart
 */
public record Strip(List<Piece> pieces, int cutEvery, double pixelsPerMetre, List<Point> path)
    implements Shape {
  private static final double NOTE_OUT_MM = 3;

  /** Allowed density (pixels per metre). */
  public static final Bounds DENSITY = Bounds.measure(1, 500, "pixels per metre");

  /** Allowed pixels between cutting marks. */
  public static final Bounds CUT_EVERY = Bounds.count(1, 24);

  /** Most corners of a path. */
  public static final int MOST_POINTS = 512;

  /** Most pieces. */
  public static final int MOST_PIECES = 256;

  private static final double MM_PER_METRE = 1000;

  /**
   * A piece as cut.
   *
   * @param pixels on it
   * @param gapMm along the path between the piece before, or the start, and this one
   * @param turned whether its data enters at the end farther along the path
   */
  public record Piece(int pixels, double gapMm, boolean turned) {
    /** Allowed pixels. */
    public static final Bounds COUNT = Bounds.count(1, Fixture.MOST_EMITTERS);

    /** Allowed gap. */
    public static final Bounds GAP = Bounds.measure(0, 5000, "mm");

    /** How it stands in the format. */
    public static final Description<Piece> DESCRIPTION =
        Description.of(
            Piece.class,
            Field.count("pixels", "Pixels", COUNT).explained("a multiple of cutEvery"),
            Field.measure("gapMm", "Gap before it", GAP).or(0.0),
            Field.flag("turned", "Reversed", "", "reversed")
                .or(false)
                .explained("data enters at the end farther along the path"));

    public Piece {
      COUNT.require("pixels", pixels);
      GAP.require("gapMm", gapMm);
    }
  }

  /** How it stands in the format. */
  public static final Kind<Strip> KIND =
      Kind.of(
          "strip",
          "strip",
          new Strip(30, 60, List.of(new Point(0, 0), new Point(500, 0))),
          Field.measure("pixelsPerMetre", "Pixels per metre", DENSITY),
          Field.count("cutEvery", "Cut marks every … pixels", CUT_EVERY).or(1),
          Field.rows("pieces", "Pieces", Piece.DESCRIPTION, 1, MOST_PIECES)
              .formerly("count", new Types.Count(Piece.COUNT), n -> List.of(new Piece(n, 0, false)))
              .explained(
                  "along the path; the first pixel is half a pitch from the start of its piece"),
          Field.rows("path", "Path", Point.DESCRIPTION, 2, MOST_POINTS)
              .explained(
                  "corners, at different points; after the last one the strip continues straight"));

  public Strip {
    pieces = List.copyOf(pieces);
    path = List.copyOf(path);
    CUT_EVERY.require("cutEvery", cutEvery);
    DENSITY.require("pixelsPerMetre", pixelsPerMetre);
    requirePieces(pieces, cutEvery);
    requirePath(path);
  }

  /** Returns a strip in one piece. */
  public Strip(int count, double pixelsPerMetre, List<Point> path) {
    this(List.of(new Piece(count, 0, false)), 1, pixelsPerMetre, path);
  }

  private static void requirePieces(List<Piece> pieces, int cutEvery) {
    if (pieces.isEmpty() || pieces.size() > MOST_PIECES) {
      throw new InputException(
          "pieces", pieces.size() + " pieces", "1 to " + MOST_PIECES + " pieces");
    }
    for (int i = 0; i < pieces.size(); i++) {
      if (pieces.get(i).pixels() % cutEvery != 0) {
        throw new InputException(
            "pieces[" + i + "].pixels",
            pieces.get(i).pixels(),
            "a multiple of " + cutEvery + ": the strip can only be cut at its marks");
      }
    }
    int total = pieces.stream().mapToInt(Piece::pixels).sum();
    if (total > Fixture.MOST_EMITTERS) {
      throw new InputException(
          "pieces", total + " pixels", "at most " + Fixture.MOST_EMITTERS + " pixels in a strip");
    }
  }

  private static void requirePath(List<Point> path) {
    if (path.size() < 2 || path.size() > MOST_POINTS) {
      throw new InputException("path", path.size() + " points", "2 to " + MOST_POINTS + " points");
    }
    for (int i = 0; i < path.size(); i++) {
      Fixture.PLACE.require("path[" + i + "].xMm", path.get(i).xMm());
      Fixture.PLACE.require("path[" + i + "].yMm", path.get(i).yMm());
      if (i > 0 && !(path.get(i).distanceTo(path.get(i - 1)) > 0)) {
        throw new InputException(
            "path[" + i + "]",
            "the previous point again",
            "a point different from the previous one");
      }
    }
  }

  @Override
  public double spacingMm() {
    return pitchMm();
  }

  /** Returns the distance of neighbours along the strip (mm). */
  public double pitchMm() {
    return MM_PER_METRE / pixelsPerMetre;
  }

  /** Returns the length of one piece as cut (mm). */
  public double cutMm(Piece piece) {
    return piece.pixels() * pitchMm();
  }

  /** Returns the length of all pieces as cut, without gaps (mm). */
  public double lengthMm() {
    return count() * pitchMm();
  }

  /** Returns how far along the path the strip reaches, gaps included (mm). */
  public double reachMm() {
    return lengthMm() + pieces.stream().mapToDouble(Piece::gapMm).sum();
  }

  /** Returns the length of the path (mm). */
  public double pathMm() {
    double length = 0;
    for (int i = 1; i < path.size(); i++) {
      length += path.get(i).distanceTo(path.get(i - 1));
    }
    return length;
  }

  @Override
  public int count() {
    return pieces.stream().mapToInt(Piece::pixels).sum();
  }

  @Override
  public Position position(int index) {
    Objects.checkIndex(index, count());
    int first = 0;
    double start = 0;
    for (Piece piece : pieces) {
      start += piece.gapMm();
      if (index < first + piece.pixels()) {
        int step = piece.turned() ? piece.pixels() - 1 - (index - first) : index - first;
        Point at = along(start + (step + 0.5) * pitchMm());
        return new Position(at.xMm(), at.yMm(), first + step, 0);
      }
      first += piece.pixels();
      start += cutMm(piece);
    }
    throw new IllegalStateException("unreachable: the index was checked");
  }

  /** Returns the point that far along the path; past its end, straight on. */
  private Point along(double distanceMm) {
    double left = distanceMm;
    int leg = 1;
    while (leg < path.size() - 1 && left > path.get(leg - 1).distanceTo(path.get(leg))) {
      left -= path.get(leg - 1).distanceTo(path.get(leg));
      leg++;
    }
    Point from = path.get(leg - 1);
    Point to = path.get(leg);
    return from.towards(to, left / from.distanceTo(to));
  }

  /** The ends of the leg that holds the point that far along the path. */
  private Point[] legAt(double distanceMm) {
    double left = distanceMm;
    int leg = 1;
    while (leg < path.size() - 1 && left > path.get(leg - 1).distanceTo(path.get(leg))) {
      left -= path.get(leg - 1).distanceTo(path.get(leg));
      leg++;
    }
    return new Point[] {path.get(leg - 1), path.get(leg)};
  }

  @Override
  public List<Cut> cuts() {
    return pieces.stream().map(p -> new Cut(pixelsPerMetre, cutMm(p))).toList();
  }

  @Override
  public List<Calculation> numbers(Fixture fixture) {
    List<Calculation> numbers = new ArrayList<>(List.of(cutLength(fixture)));
    for (int i = 0; pieces.size() > 1 && i < pieces.size(); i++) {
      Piece piece = pieces.get(i);
      numbers.add(
          LayoutNumbers.length(
              phrase("piece-%s-%d", fixture.id(), i),
              phrase("Piece %d of %s%s", i + 1, fixture.name(), piece.turned() ? ", reversed" : ""),
              cutMm(piece),
              "pixels ÷ pixels per metre",
              Calculation.given("pixels", piece.pixels(), ""),
              Calculation.given("pixels per metre", pixelsPerMetre, "per metre"),
              Calculation.given("gap before it", piece.gapMm(), "mm")));
    }
    return numbers;
  }

  private Calculation cutLength(Fixture fixture) {
    return LayoutNumbers.length(
        "cut-" + fixture.id(),
        "Cut length of " + fixture.name(),
        lengthMm(),
        "pixels ÷ pixels per metre",
        Calculation.given("pixels", count(), ""),
        Calculation.given("pixels per metre", pixelsPerMetre, "per metre"));
  }

  @Override
  public List<Finding> findings(Fixture fixture) {
    if (reachMm() <= pathMm() + pitchMm()) {
      return List.of();
    }
    return List.of(
        Finding.of(
                Step.LAYOUT,
                "strip-over-" + fixture.id(),
                Verdict.TIGHT,
                phrase(
                    "%s is %s longer than its path and continues straight past its end.",
                    fixture.name(), Quantity.text(reachMm() - pathMm(), "mm")))
            .advising("Lengthen the path, or use fewer pixels.")
            .restingOn(
                cutLength(fixture),
                LayoutNumbers.length(
                    "path-" + fixture.id(),
                    "Length of the path of " + fixture.name(),
                    pathMm(),
                    Calculation.FOUND_BY + "adding the straight sections of the path")));
  }

  @Override
  public String stretch(Placement first, int number) {
    return "piece " + (number + 1) + (pieces.get(number).turned() ? ", reversed" : "");
  }

  @Override
  public boolean leapsAfter(int index) {
    int end = -1;
    for (Piece piece : pieces) {
      end += piece.pixels();
      if (end == index) {
        return true;
      }
    }
    return false;
  }

  /** Returns a strip of the same pieces on another path. */
  public Strip on(List<Point> newPath) {
    return new Strip(pieces, cutEvery, pixelsPerMetre, newPath);
  }

  @Override
  public String describe() {
    return pieces.size() == 1
        ? "strip of " + count()
        : "strip of " + count() + " in " + pieces.size() + " pieces";
  }

  @Override
  public List<Edge> edges() {
    List<Edge> marks = new ArrayList<>();
    double start = 0;
    for (Piece piece : pieces) {
      start += piece.gapMm();
      marks.add(mark(start));
      start += cutMm(piece);
      marks.add(mark(start));
    }
    return marks;
  }

  /** Numbers the pieces beside their starts, when there are several. */
  @Override
  public List<Note> notes() {
    List<Note> notes = new ArrayList<>();
    double start = 0;
    for (int i = 0; pieces.size() > 1 && i < pieces.size(); i++) {
      start += pieces.get(i).gapMm();
      Point foot = mark(start).points().get(0);
      Point head = mark(start).points().get(1);
      double out = NOTE_OUT_MM / foot.distanceTo(head);
      notes.add(
          new Note(
              Integer.toString(i + 1),
              new Point(
                  head.xMm() + (head.xMm() - foot.xMm()) * out,
                  head.yMm() + (head.yMm() - foot.yMm()) * out)));
      start += cutMm(pieces.get(i));
    }
    return notes;
  }

  /**
   * A short line across the strip where it is cut; across its leg, also where the path turns back.
   */
  private Edge mark(double distanceMm) {
    Point[] leg = legAt(distanceMm);
    double half = 0.3 * pitchMm() / leg[0].distanceTo(leg[1]);
    double dx = (leg[1].xMm() - leg[0].xMm()) * half;
    double dy = (leg[1].yMm() - leg[0].yMm()) * half;
    Point at = along(distanceMm);
    return new Edge(
        Edge.Kind.CUT,
        List.of(new Point(at.xMm() - dy, at.yMm() + dx), new Point(at.xMm() + dy, at.yMm() - dx)));
  }
}
