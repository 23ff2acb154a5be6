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
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Types;

/**
 * A box whose faces carry emitters: drawn as the net that is cut and folded, placed in space as the
 * folded body. The origin is the left top corner of the front face; the front looks at the viewer.
 *
 * <pre>
 *         [top]
 * [left] [front] [right] [back]
 *        [bottom]
 * </pre>
 *
 * <p>The data runs front, right, back, left, top, bottom, in a face row by row. A picture has the
 * emitters in that order in one row.
 *
 * @param widthMm outside, of front and back
 * @param heightMm outside, of front and back
 * @param depthMm outside, from front to back
 * @param thicknessMm of the boards
 * @param pitchMm between neighbouring emitters of a face
 * @param front what that face carries: pips such as {@code 5}, or a grid such as {@code 4x3}
 * @param right likewise
 * @param back likewise
 * @param left likewise
 * @param top likewise
 * @param bottom likewise
 */
public record BoxFaces(
    double widthMm,
    double heightMm,
    double depthMm,
    double thicknessMm,
    double pitchMm,
    String front,
    String right,
    String back,
    String left,
    String top,
    String bottom)
    implements Shape {
  /** Allowed side. */
  public static final Bounds SIDE = Bounds.measure(5, 1000, "mm");

  /** Allowed thickness of the boards. */
  public static final Bounds THICKNESS = Bounds.measure(0.2, 20, "mm");

  /** Allowed pitch. */
  public static final Bounds PITCH = Bounds.measure(1, 200, "mm");

  private static final double NOTE_DOWN_MM = 3;

  /** Names of the faces in data order. */
  public static final List<String> NAMES =
      List.of("front", "right", "back", "left", "top", "bottom");

  /**
   * Places of the pips of 0 to 9 on a grid of three by three, row by row (common practice: dice).
   */
  private static final List<String> PIPS =
      List.of("", "4", "26", "246", "0268", "02468", "023568", "0234568", "01235678", "012345678");

  /** How it stands in the format. */
  public static final Kind<BoxFaces> KIND =
      Kind.of(
          "box",
          "box",
          new BoxFaces(40, 40, 40, 1.6, 10, List.of("1", "2", "6", "5", "3", "4")),
          Field.measure("widthMm", "Outside width", SIDE),
          Field.measure("heightMm", "Outside height", SIDE),
          Field.measure("depthMm", "Outside depth", SIDE),
          Field.measure("thicknessMm", "Board thickness", THICKNESS),
          Field.measure("pitchMm", "Pitch on a face", PITCH),
          face("front", "Front"),
          face("right", "Right"),
          face("back", "Back"),
          face("left", "Left"),
          face("top", "Top"),
          face("bottom", "Bottom"));

  private static Field<String> face(String name, String label) {
    return Field.words(name, label + ", pips or 4x3", Types.Words.Rule.ANY)
        .explained("pips 0 to 9, or columns x rows up to 32x32, such as 4x3");
  }

  /** Makes a box of what its faces carry, in the order of {@link #NAMES}. */
  public BoxFaces(
      double widthMm,
      double heightMm,
      double depthMm,
      double thicknessMm,
      double pitchMm,
      List<String> faces) {
    this(
        widthMm,
        heightMm,
        depthMm,
        thicknessMm,
        pitchMm,
        faces.get(0),
        faces.get(1),
        faces.get(2),
        faces.get(3),
        faces.get(4),
        faces.get(5));
  }

  /** Returns what the faces carry, in the order of {@link #NAMES}. */
  public List<String> faces() {
    return List.of(front, right, back, left, top, bottom);
  }

  private String face(int face) {
    return switch (face) {
      case 0 -> front;
      case 1 -> right;
      case 2 -> back;
      case 3 -> left;
      case 4 -> top;
      default -> bottom;
    };
  }

  public BoxFaces {
    SIDE.require("widthMm", widthMm);
    SIDE.require("heightMm", heightMm);
    SIDE.require("depthMm", depthMm);
    THICKNESS.require("thicknessMm", thicknessMm);
    PITCH.require("pitchMm", pitchMm);
    List<String> faces = List.of(front, right, back, left, top, bottom);
    if (2 * thicknessMm >= Math.min(widthMm, Math.min(heightMm, depthMm))) {
      throw new InputException("thicknessMm", thicknessMm, "less than half the shortest side");
    }
    for (int face = 0; face < faces.size(); face++) {
      requireFace(face, faces.get(face), sizeOf(face, widthMm, heightMm, depthMm), pitchMm);
    }
    if (faces.stream().allMatch(content -> cells(content) == 0)) {
      throw new InputException("front", faces.get(0), "at least one emitter on one of the faces");
    }
  }

  private static void requireFace(int face, String content, double[] size, double pitch) {
    if (!content.matches("[0-9]|([1-9]|[12][0-9]|3[0-2])x([1-9]|[12][0-9]|3[0-2])")) {
      throw new InputException(
          NAMES.get(face), content, "pips from 0 to 9, or columns x rows up to 32x32, such as 4x3");
    }
    double across = 0;
    double down = 0;
    for (int at = 0; at < cells(content); at++) {
      int[] cell = cell(content, at);
      across = Math.max(across, Math.abs(cell[0]) * pitch / 2);
      down = Math.max(down, Math.abs(cell[1]) * pitch / 2);
    }
    if (across > size[0] / 2 || down > size[1] / 2) {
      throw new InputException(
          NAMES.get(face), content, "what fits on the face at this pitch; use a smaller pitch");
    }
  }

  /** Width and height of a face as it lies in the net. */
  private static double[] sizeOf(int face, double width, double height, double depth) {
    return switch (face) {
      case 0, 2 -> new double[] {width, height};
      case 1, 3 -> new double[] {depth, height};
      default -> new double[] {width, depth};
    };
  }

  private static int cells(String content) {
    String[] sides = content.split("x");
    return sides.length == 2
        ? Integer.parseInt(sides[0]) * Integer.parseInt(sides[1])
        : PIPS.get(Integer.parseInt(content)).length();
  }

  /** Column and row of a cell from the middle of the face, in half pitches. */
  private static int[] cell(String content, int at) {
    String[] sides = content.split("x");
    int columns = sides.length == 2 ? Integer.parseInt(sides[0]) : 3;
    int rows = sides.length == 2 ? Integer.parseInt(sides[1]) : 3;
    int cell = sides.length == 2 ? at : PIPS.get(Integer.parseInt(content)).charAt(at) - '0';
    return new int[] {2 * (cell % columns) - columns + 1, 2 * (cell / columns) - rows + 1};
  }

  /** Left top corner of a face in the net. */
  private double[] corner(int face) {
    return switch (face) {
      case 1 -> new double[] {widthMm, 0};
      case 2 -> new double[] {widthMm + depthMm, 0};
      case 3 -> new double[] {-depthMm, 0};
      case 4 -> new double[] {0, -depthMm};
      case 5 -> new double[] {0, heightMm};
      default -> new double[] {0, 0};
    };
  }

  private int faceOf(int index) {
    Objects.checkIndex(index, count());
    int left = index;
    int face = 0;
    while (left >= cells(face(face))) {
      left -= cells(face(face));
      face++;
    }
    return face;
  }

  /** Where an emitter sits on its face: right and down from the face's left top corner. */
  private double[] onFace(int index, int face) {
    int first = 0;
    for (int before = 0; before < face; before++) {
      first += cells(face(before));
    }
    int[] cell = cell(face(face), index - first);
    double[] size = sizeOf(face, widthMm, heightMm, depthMm);
    return new double[] {size[0] / 2 + cell[0] * pitchMm / 2, size[1] / 2 + cell[1] * pitchMm / 2};
  }

  /** Names each face near its upper edge in the net. */
  @Override
  public List<Note> notes() {
    List<Note> notes = new ArrayList<>();
    for (int face = 0; face < NAMES.size(); face++) {
      double[] corner = corner(face);
      double[] size = sizeOf(face, widthMm, heightMm, depthMm);
      notes.add(
          new Note(NAMES.get(face), new Point(corner[0] + size[0] / 2, corner[1] + NOTE_DOWN_MM)));
    }
    return notes;
  }

  @Override
  public boolean spansArea() {
    return true;
  }

  @Override
  public int count() {
    return faces().stream().mapToInt(BoxFaces::cells).sum();
  }

  @Override
  public Position position(int index) {
    int face = faceOf(index);
    double[] at = onFace(index, face);
    double[] corner = corner(face);
    return new Position(corner[0] + at[0], corner[1] + at[1], index, 0);
  }

  @Override
  public Pose pose(int index) {
    int face = faceOf(index);
    double[] at = onFace(index, face);
    double u = at[0];
    double v = at[1];
    return switch (face) {
      case 1 -> new Pose(widthMm, v, -u, new Facing(1, 0, 0));
      case 2 -> new Pose(widthMm - u, v, -depthMm, new Facing(0, 0, -1));
      case 3 -> new Pose(0, v, -depthMm + u, new Facing(-1, 0, 0));
      case 4 -> new Pose(u, 0, -depthMm + v, new Facing(0, -1, 0));
      case 5 -> new Pose(u, heightMm, -v, new Facing(0, 1, 0));
      default -> new Pose(u, v, 0, Facing.VIEWER);
    };
  }

  @Override
  public String part(int index) {
    return NAMES.get(faceOf(index));
  }

  @Override
  public boolean leapsAfter(int index) {
    return index + 1 < count() && faceOf(index) != faceOf(index + 1);
  }

  /** Returns width, height and depth of the room inside (mm). */
  public double[] insideMm() {
    return new double[] {
      widthMm - 2 * thicknessMm, heightMm - 2 * thicknessMm, depthMm - 2 * thicknessMm
    };
  }

  @Override
  public List<Edge> edges() {
    double w = widthMm;
    double h = heightMm;
    double d = depthMm;
    double[][] round = {
      {0, 0},
      {0, -d},
      {w, -d},
      {w, 0},
      {w + d, 0},
      {2 * w + d, 0},
      {2 * w + d, h},
      {w + d, h},
      {w, h},
      {w, h + d},
      {0, h + d},
      {0, h},
      {-d, h},
      {-d, 0},
      {0, 0}
    };
    List<Point> outline = new ArrayList<>();
    for (double[] corner : round) {
      outline.add(new Point(corner[0], corner[1]));
    }
    return List.of(
        new Edge(Edge.Kind.CUT, outline),
        fold(0, 0, w, 0),
        fold(w, 0, w, h),
        fold(0, h, w, h),
        fold(0, 0, 0, h),
        fold(w + d, 0, w + d, h));
  }

  @Override
  public List<List<Pose>> body() {
    List<List<Pose>> lines = new ArrayList<>();
    for (double z : new double[] {0, -depthMm}) {
      lines.add(
          List.of(
              Pose.corner(0, 0, z),
              Pose.corner(widthMm, 0, z),
              Pose.corner(widthMm, heightMm, z),
              Pose.corner(0, heightMm, z),
              Pose.corner(0, 0, z)));
    }
    for (double x : new double[] {0, widthMm}) {
      for (double y : new double[] {0, heightMm}) {
        lines.add(List.of(Pose.corner(x, y, 0), Pose.corner(x, y, -depthMm)));
      }
    }
    return lines;
  }

  private static Edge fold(double x1, double y1, double x2, double y2) {
    return new Edge(Edge.Kind.FOLD, List.of(new Point(x1, y1), new Point(x2, y2)));
  }

  @Override
  public List<Calculation> numbers(Fixture fixture) {
    String[] names = {"Width", "Height", "Depth"};
    double[] outside = {widthMm, heightMm, depthMm};
    List<Calculation> numbers = new ArrayList<>();
    for (int i = 0; i < names.length; i++) {
      numbers.add(
          LayoutNumbers.length(
              phrase("inside-%s-%d", fixture.id(), i),
              names[i] + " inside " + fixture.name(),
              insideMm()[i],
              "outside − 2 × thickness; of the boards",
              Calculation.given("outside", outside[i], "mm"),
              Calculation.given("thickness", thicknessMm, "mm")));
    }
    return numbers;
  }

  @Override
  public List<Finding> findings(Fixture fixture) {
    double[] room = insideMm();
    return List.of(
        Finding.of(
                Step.LAYOUT,
                "inside-" + fixture.id(),
                Verdict.HOLDS,
                phrase(
                    "%s: inner space %s × %s × %s for a cell and the controller.",
                    fixture.name(),
                    Quantity.number(room[0]),
                    Quantity.number(room[1]),
                    Quantity.text(room[2], "mm")))
            .advising(
                "Test each face before closing the box. A lithium cell needs a protection circuit and must not be pinched; keep a coin cell behind a screw where children play."));
  }

  @Override
  public double spacingMm() {
    return pitchMm;
  }

  @Override
  public String describe() {
    return "box with " + count() + " on its faces";
  }
}
