package org.myrialith.gadget.plan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.formats.Raster24;
import org.myrialith.frames.Show;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.LayoutPlan;

/**
 * The show as it is emitted, drawn to scale: a picture for each moment.
 *
 * @param width of the pictures (dots)
 */
public record SeenPictures(GadgetPlan plan, int width) {
  /** Allowed widths. */
  public static final Bounds WIDTH = Bounds.count(32, 1280, "dots");

  private static final long MOST_DOTS = 40_000_000;
  private static final int MOST_HOLD = 65_535;
  private static final int[] NIGHT = {17, 24, 28};
  private static final int[] BODY = {38, 47, 53};
  private static final double EDGE = 0.06;

  /** A disc takes that part of the way to its neighbour. */
  private static final double RADIUS = 0.36;

  public SeenPictures {
    WIDTH.require("width", width);
  }

  /**
   * Returns them.
   *
   * @throws InputException if nothing plays, or there would be too many dots
   */
  public List<Raster24> all() {
    List<Show.Moment> moments = plan.show().moments();
    Canvas canvas = Canvas.of(plan.layout(), width);
    long dots = (long) width * canvas.height * moments.size();
    if (moments.isEmpty() || !plan.show().listed() || dots > MOST_DOTS) {
      throw new InputException(
          "width",
          phrase("%d dots and %d moments", width, plan.show().count()),
          "a show of some moments whose pictures have 40 million dots at most");
    }
    List<Raster24> all = new ArrayList<>();
    for (int m = 0; m < moments.size(); m++) {
      int hold = Math.min(MOST_HOLD, moments.get(m).holdMillis());
      all.add(new Raster24(width, canvas.height, canvas.drawn(plan.seen(m)), hold));
    }
    return all;
  }

  /** Where each emitter is on a picture (dots). */
  private record Canvas(int width, int height, double[] x, double[] y, double[] radius) {
    static Canvas of(LayoutPlan layout, int width) {
      LayoutPlan.Box box = layout.box();
      double edge = EDGE * Math.max(1, Math.max(box.widthMm(), box.heightMm()));
      double scale = width / (box.widthMm() + 2 * edge);
      int height = (int) Math.max(8, Math.round((box.heightMm() + 2 * edge) * scale));
      List<Emitter> emitters = layout.emitters();
      int count = emitters.size();
      double[] x = new double[count];
      double[] y = new double[count];
      for (int i = 0; i < count; i++) {
        x[i] = (emitters.get(i).position().xMm() - box.leftMm() + edge) * scale;
        y[i] = (emitters.get(i).position().yMm() - box.topMm() + edge) * scale;
      }
      double[] radius = new double[count];
      for (int i = 0; i < count; i++) {
        double room = Math.min(apart(x, y, i, i - 1), apart(x, y, i, i + 1));
        radius[i] = Math.max(0.7, RADIUS * Math.min(room, width / 8.0));
      }
      return new Canvas(width, height, x, y, radius);
    }

    private static double apart(double[] x, double[] y, int one, int other) {
      boolean there = other >= 0 && other < x.length;
      double apart = there ? Math.hypot(x[one] - x[other], y[one] - y[other]) : 0;
      return apart > 0 ? apart : Double.MAX_VALUE;
    }

    byte[] drawn(byte[] light) {
      byte[] rgb = new byte[3 * width * height];
      for (int i = 0; i < rgb.length; i++) {
        rgb[i] = (byte) NIGHT[i % 3];
      }
      for (int e = 0; e < x.length; e++) {
        disc(rgb, e, colour(light, e));
      }
      return rgb;
    }

    /** What gives less light than its body reflects is seen by its body. */
    private static int[] colour(byte[] light, int emitter) {
      int[] own = new int[3];
      for (int channel = 0; channel < 3; channel++) {
        own[channel] = light[3 * emitter + channel] & 0xff;
      }
      return Arrays.stream(own).max().orElse(0) < BODY[2] ? BODY : own;
    }

    private void disc(byte[] rgb, int emitter, int[] colour) {
      double r = radius[emitter];
      int top = (int) Math.max(0, Math.floor(y[emitter] - r));
      int foot = (int) Math.min(height - 1.0, Math.ceil(y[emitter] + r));
      int left = (int) Math.max(0, Math.floor(x[emitter] - r));
      int right = (int) Math.min(width - 1.0, Math.ceil(x[emitter] + r));
      for (int row = top; row <= foot; row++) {
        for (int column = left; column <= right; column++) {
          if (Math.hypot(column + 0.5 - x[emitter], row + 0.5 - y[emitter]) <= r) {
            for (int channel = 0; channel < 3; channel++) {
              rgb[3 * (row * width + column) + channel] = (byte) colour[channel];
            }
          }
        }
      }
    }
  }
}
