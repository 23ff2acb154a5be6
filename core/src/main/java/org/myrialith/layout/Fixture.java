package org.myrialith.layout;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.KindPart;
import org.myrialith.schema.Part;

/**
 * Something a maker mounts as one piece: a shape, and how it is put up. Immutable.
 *
 * @param id unique in the gadget
 * @param name what the maker calls it
 */
public record Fixture(String id, String name, Shape shape, Mount mount) {
  /** Allowed coordinate (mm). */
  public static final Bounds PLACE = Mount.PLACE;

  /** Most emitters of one fixture. */
  public static final int MOST_EMITTERS = 8192;

  /** Most cells of a fixture's picture. */
  public static final int MOST_CELLS = 8192;

  /** How it stands in the format. */
  public static final Description<Fixture> DESCRIPTION =
      Description.of(
          Fixture.class,
          Field.id("id"),
          Field.named("name", "Name"),
          KindPart.of("shape", () -> ShapeKinds.ALL),
          Part.of("mount", Mount.DESCRIPTION));

  public Fixture {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    Objects.requireNonNull(shape, "shape");
    Objects.requireNonNull(mount, "mount");
    if (shape.count() > MOST_EMITTERS || shape.seenColumns() * shape.seenRows() > MOST_CELLS) {
      throw new InputException(
          "count",
          shape.count() + " emitters",
          "at most " + MOST_EMITTERS + " emitters and " + MOST_CELLS + " cells in a fixture");
    }
    for (int index : mount.dark()) {
      if (index < 0 || index >= shape.count()) {
        throw new InputException(
            "dark", index, "indices from 0 to " + (shape.count() - 1) + " of this fixture");
      }
    }
  }

  /** Returns a fixture whose shape is only shifted. */
  public static Fixture of(String id, String name, Shape shape, double xMm, double yMm) {
    return new Fixture(id, name, shape, Mount.at(xMm, yMm));
  }

  /** Returns a fixture whose shape stays where its own frame has it. */
  public static Fixture of(String id, String name, Shape shape) {
    return of(id, name, shape, 0, 0);
  }

  /** Returns the number of emitters, at least 1. */
  public int count() {
    return shape.count();
  }

  /** Returns the columns of a picture on this fixture, as the viewer sees it. */
  public int seenColumns() {
    return shape.seenColumns();
  }

  /** Returns the rows of a picture on this fixture, as the viewer sees it. */
  public int seenRows() {
    return shape.seenRows();
  }

  /** Returns the least distance of neighbours (mm), above 0. */
  public double pitchMm() {
    return shape.spacingMm();
  }

  /** Returns a few words that describe it, such as "16 × 8 panel". */
  public String describe() {
    return shape.describe();
  }

  /** Index in the shape's own order, of so many: shapes count anew each time they are asked. */
  private int own(int index, int count) {
    Objects.checkIndex(index, count);
    return mount.reversed() ? count - 1 - index : index;
  }

  /** Returns the flat place of the emitter with that index in data order. */
  public Position position(int index) {
    return new Frame(this).position(shape.position(own(index, count())));
  }

  /** Returns all emitters on the bench, in data order. */
  public List<Placement> placements() {
    Frame frame = new Frame(this);
    List<Placement> own = shape.placements();
    List<Placement> all = new ArrayList<>(own.size());
    for (int i = 0; i < own.size(); i++) {
      int at = own(i, own.size());
      Placement placement = own.get(at);
      boolean ends =
          mount.reversed() ? at > 0 && own.get(at - 1).endsPiece() : placement.endsPiece();
      all.add(
          new Placement(
              frame.position(placement.position()),
              frame.pose(placement.pose()),
              placement.part(),
              ends));
    }
    return all;
  }

  /**
   * Returns which of the things that are on or off each emitter is of, in data order and numbered
   * in that order.
   */
  public int[] switches() {
    int[] own = shape.switches();
    int[] all = new int[own.length];
    int[] number = new int[own.length];
    Arrays.fill(number, -1);
    int next = 0;
    for (int i = 0; i < all.length; i++) {
      int one = own[own(i, own.length)];
      if (number[one] < 0) {
        number[one] = next++;
      }
      all[i] = number[one];
    }
    return all;
  }

  /** Returns which emitters are in the chain but never lit. */
  public BitSet dark() {
    BitSet dark = new BitSet(count());
    mount.dark().forEach(dark::set);
    return dark;
  }

  /** Returns the lines to cut and to fold by. */
  public List<Edge> edges() {
    Frame frame = new Frame(this);
    return shape.edges().stream()
        .map(e -> new Edge(e.kind(), e.points().stream().map(frame::point).toList()))
        .toList();
  }

  /** Returns words that help to build it. */
  public List<Note> notes() {
    Frame frame = new Frame(this);
    return shape.notes().stream().map(n -> new Note(n.text(), frame.point(n.at()))).toList();
  }

  /** Returns lines in space that show its body. */
  public List<List<Pose>> body() {
    Frame frame = new Frame(this);
    return shape.body().stream().map(line -> line.stream().map(frame::pose).toList()).toList();
  }

  /** Returns this fixture shifted by (mm). */
  public Fixture movedBy(double dxMm, double dyMm) {
    return with(mount.movedBy(dxMm, dyMm));
  }

  /** Returns a copy with another identifier and name. */
  public Fixture renamed(String newId, String newName) {
    return new Fixture(newId, newName, shape, mount);
  }

  /** Returns this fixture put up another way. */
  public Fixture with(Mount newMount) {
    return new Fixture(id, name, shape, newMount);
  }

  /** Returns this fixture with another shape. */
  public Fixture with(Shape newShape) {
    return new Fixture(id, name, newShape, mount);
  }

  /** Carries places from the shape's own frame to the bench. */
  private static final class Frame {
    private final Fixture fixture;
    private final double cos;
    private final double sin;
    private final double axis;

    Frame(Fixture fixture) {
      this.fixture = fixture;
      double turn = fixture.mount.turnDegrees();
      this.cos = exact(turn + 90);
      this.sin = exact(turn);
      this.axis = fixture.mount.mirrored() ? 2 * fixture.shape.middleMm() : 0;
    }

    /** The sine; quarter turns without rounding noise. */
    private static double exact(double degrees) {
      double turn = ((degrees % 360) + 360) % 360;
      return turn % 180 == 0
          ? 0
          : turn == 90 ? 1 : turn == 270 ? -1 : Math.sin(Math.toRadians(turn));
    }

    private double own(double x) {
      return fixture.mount.mirrored() ? axis - x : x;
    }

    private double x(double x, double y) {
      return fixture.mount.xMm() + own(x) * cos - y * sin;
    }

    private double y(double x, double y) {
      return fixture.mount.yMm() + own(x) * sin + y * cos;
    }

    Position position(Position p) {
      boolean swapped = fixture.mount.mirrored() && fixture.shape.pictorial();
      int column = swapped ? fixture.seenColumns() - 1 - p.column() : p.column();
      return new Position(x(p.xMm(), p.yMm()), y(p.xMm(), p.yMm()), column, p.row());
    }

    Point point(Point p) {
      return new Point(x(p.xMm(), p.yMm()), y(p.xMm(), p.yMm()));
    }

    Pose pose(Pose s) {
      double fx = fixture.mount.mirrored() ? -s.facing().x() : s.facing().x();
      double fy = s.facing().y();
      return new Pose(
          x(s.xMm(), s.yMm()),
          y(s.xMm(), s.yMm()),
          fixture.mount.zMm() + s.zMm(),
          new Facing(fx * cos - fy * sin, fx * sin + fy * cos, s.facing().z()));
    }
  }
}
