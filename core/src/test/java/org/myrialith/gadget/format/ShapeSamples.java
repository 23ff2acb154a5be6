package org.myrialith.gadget.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.myrialith.layout.Bar;
import org.myrialith.layout.BoxFaces;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Enclosure;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LampDigits;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.ModulePolygon;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Panes;
import org.myrialith.layout.Point;
import org.myrialith.layout.Ring;
import org.myrialith.layout.Segment;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.layout.Shape;
import org.myrialith.layout.Site;
import org.myrialith.layout.Spiral;
import org.myrialith.layout.Stack;
import org.myrialith.layout.Strip;

/** Shapes of every kind, from a source of chance. */
public final class ShapeSamples {
  /** How many kinds there are. */
  public static final int KINDS = 12;

  private ShapeSamples() {}

  /** Puts a shape up somehow. */
  static Fixture fixture(Random random, String id, String name, Shape shape) {
    List<Integer> dark = random.nextBoolean() ? List.of() : List.of(random.nextInt(shape.count()));
    return new Fixture(
        id,
        name,
        shape,
        new Mount(
            random.nextDouble() * 500,
            -random.nextDouble() * 500,
            random.nextInt(3) * 7.5,
            random.nextInt(3) == 0 ? 0 : random.nextDouble() * 720 - 360,
            random.nextBoolean(),
            random.nextBoolean(),
            dark,
            random.nextInt(4) == 0 ? "small-red" : Mount.USUAL_EMITTER));
  }

  static Site site(Random random) {
    Enclosure.Rectangle front = new Enclosure.Rectangle(-5, 2.5, 400, 300);
    Enclosure enclosure =
        switch (random.nextInt(5)) {
          case 0 -> new Enclosure.Unbounded();
          case 1 -> front;
          case 2 -> new Enclosure.Box(front, 60);
          case 3 -> new Enclosure.Circle(3, 4, 500);
          default ->
              new Enclosure.Outline(
                  List.of(new Point(0, 0), new Point(300, 10.5), new Point(-4, 200)));
        };
    return new Site(random.nextInt(9000), random.nextInt(40), random.nextInt(301), 5000, enclosure);
  }

  /** Returns a shape of the kind with that number, 0 to {@link #KINDS} - 1. */
  public static Shape shape(Random random, int kind) {
    return switch (kind) {
      case 0 ->
          new Panel(
              1 + random.nextInt(9),
              1 + random.nextInt(9),
              0.5 + random.nextDouble() * 99,
              0.5 + random.nextDouble() * 99,
              Corner.values()[random.nextInt(4)],
              random.nextBoolean(),
              random.nextBoolean(),
              random.nextInt(4));
      case 1 -> strip(random);
      case 2 -> ring(random);
      case 3 -> {
        int sides = 3 + random.nextInt(12);
        yield new ModulePolygon(
            sides,
            1 + random.nextInt(9),
            10 + random.nextDouble() * 90,
            1 + random.nextDouble() * 20,
            random.nextDouble() * 5,
            1 + random.nextInt(sides),
            random.nextBoolean());
      }
      case 4 -> segments(random);
      case 5 ->
          new Bar(
              1 + random.nextInt(20),
              1 + random.nextDouble() * 20,
              random.nextBoolean() ? 0 : random.nextDouble() * 700 - 350);
      case 6 ->
          new LampDigits(
              List.of("###", "#.#", "###", "..#", "###"),
              1 + random.nextInt(4),
              2 + random.nextDouble() * 60,
              random.nextDouble() * 60);
      case 7 ->
          new Stack(
              1 + random.nextInt(5),
              1 + random.nextInt(5),
              1 + random.nextInt(5),
              1 + random.nextDouble() * 30,
              1 + random.nextDouble() * 30,
              1 + random.nextDouble() * 30);
      case 8 -> new BoxFaces(40, 44, 50, 1.6, 8, List.of("1", "2", "6", "5", "3x4", "0"));
      case 9 -> new Panes(1 + random.nextInt(4), 10, 1 + random.nextInt(3), 4.5, 30, 50, 3, 36);
      case 10 ->
          new Spiral(
              2 + random.nextInt(60),
              1 + random.nextDouble() * 40,
              random.nextInt(3) * 12.5,
              1 + random.nextDouble() * 30,
              random.nextDouble() * 360,
              random.nextBoolean(),
              random.nextBoolean());
      default -> loose(random);
    };
  }

  private static Shape strip(Random random) {
    List<Point> path = new ArrayList<>();
    for (int i = 0; i < 2 + random.nextInt(4); i++) {
      // now and then straight back to where it came from
      path.add(
          i > 1 && random.nextInt(3) == 0
              ? path.get(i - 2)
              : new Point(i * 10 + random.nextDouble(), random.nextDouble() * 100));
    }
    int every = 1 + random.nextInt(3);
    List<Strip.Piece> pieces = new ArrayList<>();
    for (int i = 0; i < 1 + random.nextInt(4); i++) {
      pieces.add(
          new Strip.Piece(
              every * (1 + random.nextInt(9)), random.nextDouble() * 50, random.nextBoolean()));
    }
    return new Strip(pieces, every, 1 + random.nextDouble() * 400, path);
  }

  private static Shape ring(Random random) {
    List<Ring.Circle> circles = new ArrayList<>();
    circles.add(new Ring.Circle(1, 0));
    for (int i = random.nextInt(4); i > 0; i--) {
      circles.add(
          new Ring.Circle(
              1 + random.nextInt(30),
              1 + random.nextDouble() * 200,
              random.nextInt(3) * 12.5,
              random.nextBoolean()));
    }
    return new Ring(
        circles,
        random.nextDouble() * 360,
        random.nextBoolean() ? 360 : 1 + random.nextDouble() * 359,
        random.nextBoolean());
  }

  private static Shape segments(Random random) {
    SegmentStyle style = SegmentStyle.values()[random.nextInt(4)];
    return new SegmentDigits(
        style,
        20 + random.nextDouble() * 80,
        10 + random.nextDouble() * 40,
        random.nextInt(21) - 10,
        random.nextDouble() * 3,
        List.of(
            new SegmentDigits.Module(2, "hours"),
            new SegmentDigits.Module(1 + random.nextInt(2), "rest")),
        60,
        random.nextDouble() * 30,
        1 + random.nextInt(8),
        random.nextBoolean(),
        random.nextBoolean(),
        random.nextBoolean() ? List.of() : List.of(2),
        style == SegmentStyle.CUSTOM
            ? List.of(new Segment("rim", 0, 0, 10, 3), new Segment("dot", 4, 4, 4, 4))
            : List.of(),
        random.nextBoolean() ? List.of() : List.of(new SegmentDigits.Indicator(-10, 5, "alarm")));
  }

  private static Shape loose(Random random) {
    List<LooseEmitters.Single> singles = new ArrayList<>();
    for (int i = 0; i <= random.nextInt(9); i++) {
      singles.add(
          new LooseEmitters.Single(
              random.nextDouble() * 100,
              random.nextDouble() * 100,
              random.nextInt(5),
              i % 2 == 0 ? "" : "single " + i));
    }
    return new LooseEmitters(singles);
  }
}
