package org.myrialith.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;

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
 * @param faces what each face carries: pips such as {@code 5}, or a grid such as {@code 4x3}
 */
public record BoxFaces(
    double widthMm,
    double heightMm,
    double depthMm,
    double thicknessMm,
    double pitchMm,
    List<String> faces)
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

  public BoxFaces {
    SIDE.require("widthMm", widthMm);
    SIDE.require("heightMm", heightMm);
    SIDE.require("depthMm", depthMm);
    THICKNESS.require("thicknessMm", thicknessMm);
    PITCH.require("pitchMm", pitchMm);
    faces = List.copyOf(faces);
    if (faces.size() != NAMES.size()) {
      throw new InputException("faces", faces.size() + " faces", "six faces");
    }
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
          NAMES.get(face), content, "what fits on the face at this pitch; take a smaller pitch");
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
    while (left >= cells(faces.get(face))) {
      left -= cells(faces.get(face));
      face++;
    }
    return face;
  }

  /** Where an emitter sits on its face: right and down from the face's left top corner. */
  private double[] onFace(int index, int face) {
    int first = 0;
    for (int before = 0; before < face; before++) {
      first += cells(faces.get(before));
    }
    int[] cell = cell(faces.get(face), index - first);
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
  public int count() {
    return faces.stream().mapToInt(BoxFaces::cells).sum();
  }

  @Override
  public Place place(int index) {
    int face = faceOf(index);
    double[] at = onFace(index, face);
    double[] corner = corner(face);
    return new Place(corner[0] + at[0], corner[1] + at[1], index, 0);
  }

  @Override
  public Spot spot(int index) {
    int face = faceOf(index);
    double[] at = onFace(index, face);
    double u = at[0];
    double v = at[1];
    return switch (face) {
      case 1 -> new Spot(widthMm, v, -u, new Facing(1, 0, 0));
      case 2 -> new Spot(widthMm - u, v, -depthMm, new Facing(0, 0, -1));
      case 3 -> new Spot(0, v, -depthMm + u, new Facing(-1, 0, 0));
      case 4 -> new Spot(u, 0, -depthMm + v, new Facing(0, -1, 0));
      case 5 -> new Spot(u, heightMm, -v, new Facing(0, 1, 0));
      default -> new Spot(u, v, 0, Facing.VIEWER);
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
  public List<List<Spot>> body() {
    List<List<Spot>> lines = new ArrayList<>();
    for (double z : new double[] {0, -depthMm}) {
      lines.add(
          List.of(
              Spot.corner(0, 0, z),
              Spot.corner(widthMm, 0, z),
              Spot.corner(widthMm, heightMm, z),
              Spot.corner(0, heightMm, z),
              Spot.corner(0, 0, z)));
    }
    for (double x : new double[] {0, widthMm}) {
      for (double y : new double[] {0, heightMm}) {
        lines.add(List.of(Spot.corner(x, y, 0), Spot.corner(x, y, -depthMm)));
      }
    }
    return lines;
  }

  private static Edge fold(double x1, double y1, double x2, double y2) {
    return new Edge(Edge.Kind.FOLD, List.of(new Point(x1, y1), new Point(x2, y2)));
  }

  @Override
  public String describe() {
    return "box with " + count() + " on its faces";
  }
}
