package org.myrialith.web.shelf;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Edge;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Point;
import org.myrialith.layout.Position;
import org.myrialith.layout.SegmentDigits;

/** A gadget drawn small: emitters as dots, segments of digits as the bars that they are. */
record Glance(GadgetPlan plan) {
  private static final double EDGE = 24;
  private static final int UNLIT = 0x2a3238;

  /** A segment is about so much thicker than its gap to the next, as modules have it. */
  private static final double SEGMENT_SHARE = 0.16;

  void draw(Graphics2D ink, int width, int height) {
    LayoutPlan.Box box = plan.layout().box();
    double scale =
        Math.min(
            (width - 2 * EDGE) / Math.max(box.widthMm(), 1),
            (height - 2 * EDGE) / Math.max(box.heightMm(), 1));
    ink.translate(width / 2.0, height / 2.0);
    ink.scale(scale, scale);
    ink.translate(-box.leftMm() - box.widthMm() / 2, -box.topMm() - box.heightMm() / 2);
    byte[] rgb = light();
    Set<Integer> drawn = new HashSet<>();
    List<Fixture> fixtures = plan.gadget().fixtures();
    for (int f = 0; f < fixtures.size(); f++) {
      if (fixtures.get(f).shape() instanceof SegmentDigits digits) {
        drawn.addAll(segments(ink, rgb, f, fixtures.get(f), digits));
      }
    }
    dots(ink, rgb, size(box, scale) / scale, drawn);
  }

  /** As large as the mean area for each allows, and never less than a dot (pixels). */
  private double size(LayoutPlan.Box box, double scale) {
    int count = Math.max(1, plan.layout().emitters().size());
    double each = Math.sqrt((box.widthMm() + 1) * (box.heightMm() + 1) / count);
    return Math.max(1.5, Math.min(14, 0.62 * each * scale));
  }

  private void dots(Graphics2D ink, byte[] rgb, double size, Set<Integer> drawn) {
    List<Emitter> emitters = plan.layout().emitters();
    for (int i = 0; i < emitters.size(); i++) {
      if (drawn.contains(i)) {
        continue;
      }
      double x = emitters.get(i).position().xMm();
      double y = emitters.get(i).position().yMm();
      ink.setColor(lit(rgb, i));
      ink.fill(new Ellipse2D.Double(x - size / 2, y - size / 2, size, size));
    }
  }

  /** Draws them and returns the emitters that they are lit by. */
  private Set<Integer> segments(
      Graphics2D ink, byte[] rgb, int at, Fixture fixture, SegmentDigits digits) {
    Map<Integer, List<Integer>> shows = new HashMap<>();
    List<Emitter> emitters = plan.layout().emitters();
    for (int i = 0; i < emitters.size(); i++) {
      Position place = emitters.get(i).position();
      if (emitters.get(i).fixture() == at) {
        shows.computeIfAbsent(cell(place.column(), place.row()), c -> new ArrayList<>()).add(i);
      }
    }
    Set<Integer> drawn = new HashSet<>();
    List<SegmentDigits.Line> lines = digits.lines();
    List<Edge> bars = fixture.edges();
    for (int i = 0; i < lines.size(); i++) {
      List<Integer> those =
          shows.getOrDefault(cell(lines.get(i).column(), lines.get(i).row()), List.of());
      ink.setColor(those.isEmpty() ? new Color(UNLIT) : lit(rgb, those.get(0)));
      bar(ink, bars.get(i).points().get(0), bars.get(i).points().get(1));
      drawn.addAll(those);
    }
    return drawn;
  }

  private static void bar(Graphics2D ink, Point from, Point to) {
    double length = Math.hypot(to.xMm() - from.xMm(), to.yMm() - from.yMm());
    ink.setStroke(
        new BasicStroke(
            (float) (SEGMENT_SHARE * length), BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER));
    ink.draw(new Line2D.Double(from.xMm(), from.yMm(), to.xMm(), to.yMm()));
  }

  private static int cell(int column, int row) {
    return column << 16 | row;
  }

  /**
   * With cues what is seen when power comes on, as long as that is not dark; else the brightest
   * moment of the show.
   */
  private byte[] light() {
    byte[] first = plan.cueTable().map(t -> plan.seen(new CueEngine(t).levels())).orElse(null);
    return first != null && seen(first)
        ? first
        : plan.seen((int) Math.max(0, plan.power().peakMoment()));
  }

  private static boolean seen(byte[] rgb) {
    for (byte value : rgb) {
      if ((value & 0xff) >= (UNLIT & 0xff)) {
        return true;
      }
    }
    return false;
  }

  /** An emitter that gives less light than its own body reflects is seen by its body. */
  private static Color lit(byte[] rgb, int emitter) {
    int red = rgb[emitter * 3] & 0xff;
    int green = rgb[emitter * 3 + 1] & 0xff;
    int blue = rgb[emitter * 3 + 2] & 0xff;
    boolean seen = Math.max(red, Math.max(green, blue)) >= (UNLIT & 0xff);
    return seen ? new Color(red, green, blue) : new Color(UNLIT);
  }
}
