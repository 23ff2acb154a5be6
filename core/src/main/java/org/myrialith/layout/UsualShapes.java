package org.myrialith.layout;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A shape of each kind in usual sizes, to start from (common practice). */
public final class UsualShapes {
  /** By the name that the gadget format has for the kind. */
  public static final Map<String, Shape> BY_KIND = byKind();

  private UsualShapes() {}

  private static Map<String, Shape> byKind() {
    Map<String, Shape> all = new LinkedHashMap<>();
    all.put("panel", new Panel(8, 8, 10, 10, Corner.TOP_LEFT, false, true, 0));
    all.put("strip", new Strip(30, 60, List.of(new Point(0, 0), new Point(500, 0))));
    all.put("ring", new Ring(List.of(new Ring.Circle(24, 30)), 0, 360, true));
    all.put("polygon", new ModulePolygon(12, 5, 50, 10, 0, 1, true));
    all.put(
        "segments",
        new SegmentDigits(
            SegmentStyle.SEVEN,
            56,
            30,
            8,
            8,
            List.of(new SegmentDigits.Module(2, "hours"), new SegmentDigits.Module(2, "minutes")),
            50,
            20,
            2,
            true,
            false,
            List.of(2),
            List.of(),
            List.of()));
    all.put("bar", new Bar(10, 10, 0));
    all.put(
        "lamps",
        new LampDigits(List.of("####", "#..#", "#..#", "####", "#..#", "#..#", "####"), 2, 40, 40));
    all.put("stack", new Stack(4, 4, 4, 20, 20, 10));
    all.put("box", new BoxFaces(40, 40, 40, 1.6, 10, List.of("1", "2", "6", "5", "3", "4")));
    all.put("panes", new Panes(2, 10, 2, 6, 40, 60, 3, 50));
    all.put(
        "loose",
        new Loose(
            List.of(
                new Loose.Bead(0, 0, 0, "first"),
                new Loose.Bead(30, 10, 0, "second"),
                new Loose.Bead(60, 0, 0, "third"))));
    return all;
  }
}
