package org.myrialith.web.shelf;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.LitArea;
import org.myrialith.parts.EmitterClass;

/** A gadget drawn small: emitters as dots; segments, panes and lamps as what is seen of them. */
record Glance(GadgetPlan plan) {
  private static final double EDGE = 24;
  private static final int UNLIT = 0x2a3238;

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
    Set<Integer> drawn = areas(ink, rgb);
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

  /** Draws what is seen as more than dots and returns the emitters that it is lit by. */
  private Set<Integer> areas(Graphics2D ink, byte[] rgb) {
    Set<Integer> drawn = new HashSet<>();
    int first = 0; // emitters stand fixture by fixture
    for (Fixture fixture : plan.gadget().fixtures()) {
      EmitterClass emitter = plan.gadget().layout().emitterOf(fixture);
      for (LitArea area : LitArea.of(fixture, emitter)) {
        ink.setColor(lit(rgb, first + area.emitters().get(0)));
        ink.setStroke(
            new BasicStroke(
                (float) area.thicknessMm(),
                area.round() ? BasicStroke.CAP_ROUND : BasicStroke.CAP_BUTT,
                BasicStroke.JOIN_MITER));
        ink.draw(
            new Line2D.Double(
                area.from().xMm(), area.from().yMm(), area.to().xMm(), area.to().yMm()));
        for (int index : area.emitters()) {
          drawn.add(first + index);
        }
      }
      first += fixture.count();
    }
    return drawn;
  }

  /**
   * With cues what is seen when power comes on, as long as that is not dark, else the brightest
   * moment of the show, or of the first scene that is not dark.
   */
  private byte[] light() {
    byte[] first = plan.cueTable().map(t -> plan.seen(new CueEngine(t).levels())).orElse(null);
    if (first != null && seen(first)) {
      return first;
    }
    byte[] show = brightest(plan);
    if (seen(show) || plan.cueTable().isEmpty()) {
      return show;
    }
    return plan.gadget().scenes().stream()
        .filter(scene -> !scene.clips().isEmpty())
        .map(scene -> brightest(GadgetPlan.of(plan.gadget().playing(scene))))
        .filter(Glance::seen)
        .findFirst()
        .orElse(show);
  }

  private static byte[] brightest(GadgetPlan plan) {
    return plan.seen((int) Math.max(0, plan.power().peakMoment()));
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
