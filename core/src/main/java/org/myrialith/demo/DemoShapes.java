package org.myrialith.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.myrialith.brief.Brief;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Bar;
import org.myrialith.layout.BoxFaces;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.LampDigits;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.ModulePolygon;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Panes;
import org.myrialith.layout.Point;
import org.myrialith.layout.Ring;
import org.myrialith.layout.Segment;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.layout.Shape;
import org.myrialith.layout.Site;
import org.myrialith.layout.Stack;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;

/** Demo gadgets that are laid out and nothing more yet: between them they have every kind. */
final class DemoShapes {
  private DemoShapes() {}

  static Fixture fixture(String id, String name, Shape shape, double x, double y, String emitter) {
    return new Fixture(id, name, shape, new Mount(x, y, 0, 0, false, false, List.of(), emitter));
  }

  private static Brief brief(String title, String notes) {
    return new Brief(title, notes, Controller.AVR8_32K, Optional.empty());
  }

  /** Returns a clock with digits of four sorts. */
  static Gadget quayClock() {
    SegmentDigits time =
        new SegmentDigits(
            SegmentStyle.SEVEN,
            56,
            30,
            8,
            9,
            List.of(new SegmentDigits.Module(2, "hours"), new SegmentDigits.Module(2, "minutes")),
            46,
            14,
            3,
            true,
            false,
            List.of(2),
            List.of(),
            List.of(
                new SegmentDigits.Indicator(-16, 4, "morning"),
                new SegmentDigits.Indicator(-16, 52, "alarm")));
    LampDigits berth =
        new LampDigits(List.of("###", "#.#", "#.#", "###", "#.#", "#.#", "###"), 2, 15, 10);
    Panes tide = new Panes(2, 10, 2, 6, 40, 60, 3, 50);
    return Gadget.blank("Quay clock")
        .with(
            brief(
                "Quay clock",
                "Time, berth, height of the tide and the wind, read across the room. Laid out; its circuits come later."))
        .with(Site.USUAL.viewedFrom(6000))
        .with(fixture("f1", "Time", time, 20, 0, "small-red"))
        .with(fixture("f2", "Berth", berth, 262, -17, "lamp"))
        .with(fixture("f3", "Tide", tide, 0, 160, "single-warm-white"))
        .with(fixture("f4", "Wind", windDigit(), 160, 100, "filament"))
        .with(new Group("g1", "hours", List.of(new Group.Member("f1", 0, 41))));
  }

  /** Thirteen filaments and a point: eight spokes, four sides and a mast. */
  private static SegmentDigits windDigit() {
    List<Segment> lines = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      double angle = Math.PI * i / 4;
      double x = Math.round(500 * Math.sin(angle)) / 10.0;
      double y = Math.round(-500 * Math.cos(angle)) / 10.0;
      lines.add(new Segment("spoke " + (i + 1), 60 + x * 0.3, 60 + y * 0.3, 60 + x, 60 + y));
    }
    double[][] corners = {{0, 0}, {120, 0}, {120, 120}, {0, 120}};
    for (int i = 0; i < 4; i++) {
      double[] from = corners[i];
      double[] to = corners[(i + 1) % 4];
      lines.add(new Segment("side " + (i + 1), from[0], from[1], to[0], to[1]));
    }
    lines.add(new Segment("mast", 140, 20, 140, 100));
    lines.add(new Segment("point", 140, 116, 140, 116));
    return new SegmentDigits(
        SegmentStyle.CUSTOM,
        120,
        120,
        0,
        6,
        List.of(new SegmentDigits.Module(1, "wind")),
        160,
        0,
        1,
        true,
        false,
        List.of(),
        lines,
        List.of());
  }

  /** Returns a shelf of one-wire shapes on one data line. */
  static Gadget reefShelf() {
    Strip kelp =
        new Strip(
            List.of(
                new Strip.Piece(12, 0, false),
                new Strip.Piece(9, 40, true),
                new Strip.Piece(12, 40, false)),
            3,
            60,
            List.of(new Point(0, 0), new Point(640, 0)));
    return Gadget.blank("Reef shelf")
        .with(
            brief(
                "Reef shelf",
                "A porthole, a gauge, a die, a coral block and a nest of fireflies on one shelf."))
        .with(Site.USUAL.viewedFrom(2000))
        .with(Fixture.of("f1", "Porthole", new ModulePolygon(12, 5, 42, 10, 0, 1, true), 95, 100))
        .with(
            Fixture.of(
                "f2",
                "Iris",
                new Ring(
                    List.of(
                        new Ring.Circle(24, 52), new Ring.Circle(12, 34), new Ring.Circle(1, 0)),
                    0,
                    360,
                    true),
                95,
                100))
        .with(
            Fixture.of(
                "f3", "Brow", new Ring(List.of(new Ring.Circle(9, 120)), -40, 80, true), 95, 100))
        .with(Fixture.of("f4", "Gauge", new Bar(16, 9, 120), 300, 50))
        .with(
            Fixture.of(
                "f5",
                "Die",
                new BoxFaces(42, 42, 42, 1.6, 11, List.of("1", "2", "6", "5", "3", "4")),
                300,
                150))
        .with(Fixture.of("f6", "Coral", new Stack(4, 4, 4, 22, 22, 12), 480, 40))
        .with(Fixture.of("f7", "Fireflies", fireflies(), 470, 130))
        .with(Fixture.of("f8", "Kelp", kelp, -20, 250))
        .with(
            new Group(
                "g1", "eye", List.of(new Group.Member("f1", 0, 59), new Group.Member("f2", 0, 36))))
        .with(new Group("g2", "left of the gauge", List.of(new Group.Member("f4", 0, 7))));
  }

  private static LooseEmitters fireflies() {
    Random random = new Random(7);
    List<LooseEmitters.Single> singles = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      double angle = i * 2.4;
      double far = 12 + 4.5 * i;
      singles.add(
          new LooseEmitters.Single(
              Math.rint(60 + far * Math.cos(angle)),
              Math.rint(50 + far * 0.7 * Math.sin(angle)),
              Math.rint(random.nextDouble() * 20),
              "firefly " + (i + 1)));
    }
    return new LooseEmitters(singles);
  }
}
