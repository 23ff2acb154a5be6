package org.myrialith.layout.judge;

import org.myrialith.layout.Emitter;
import org.myrialith.layout.LayoutPlan;

/**
 * Light on a diffuser in front of emitters that shine evenly into the half space (Lambertian).
 *
 * <p>At a point r beside the foot of an emitter at a gap g, the illuminance is
 *
 * <pre>E(r) = E(0) · (g² / (g² + r²))²</pre>
 *
 * by the inverse-square law and the cosine law at emitter and screen, each giving g / √(g² + r²).
 */
public final class Diffusion {
  private static final int RINGS = 40;

  private Diffusion() {}

  /** Returns the illuminance beside the foot of an emitter, as a share of that at its foot. */
  public static double share(double besideSquared, double gapMm) {
    double cosSquared = gapMm * gapMm / (gapMm * gapMm + besideSquared);
    return cosSquared * cosSquared;
  }

  /**
   * Returns the contrast of a wide square grid on the diffuser, 0 when it is even, 1 when there is
   * dark between the spots.
   */
  public static double ripple(double pitchMm, double gapMm) {
    double bright = sum(pitchMm, gapMm, 0);
    double dark = sum(pitchMm, gapMm, 0.5);
    double ripple = (bright - dark) / (bright + dark);
    // so near that all light is in the middle: there is nothing between, and the sums run out
    return Double.isFinite(ripple) ? ripple : 1;
  }

  private static double sum(double pitchMm, double gapMm, double shift) {
    double sum = 0;
    for (int i = -RINGS; i <= RINGS; i++) {
      for (int j = -RINGS; j <= RINGS; j++) {
        double x = (i + shift) * pitchMm;
        double y = (j + shift) * pitchMm;
        sum += share(x * x + y * y, gapMm);
      }
    }
    return sum;
  }

  /** Emitters are blurred as far as their light is worth showing: E falls to 1 % at 3 gaps. */
  private static final double REACH_GAPS = 3;

  /** Most additions of one view; a wider reach is drawn coarser. */
  private static final long MOST_WORK = 60_000_000L;

  /**
   * A view of the front through a diffuser.
   *
   * @param light red, green, blue, linear, 0 to 1, row by row
   */
  public record View(int width, int height, float[] light) {}

  /**
   * Returns what shines through a diffuser.
   *
   * @param plan whose emitters shine
   * @param rgb linear light of each emitter in the order of the plan, red, green, blue, 0 to 1
   * @param gapMm from emitters to diffuser, above 0
   * @param width wanted (pixels); less when that took too long
   */
  public static View view(LayoutPlan plan, float[] rgb, double gapMm, int width) {
    LayoutPlan.Box box = plan.box();
    double edge = Math.max(gapMm, 5);
    double across = box.widthMm() + 2 * edge;
    double down = box.heightMm() + 2 * edge;
    // wide pictures are as wide as wanted, tall ones three quarters as high
    int columns = (int) Math.max(1, Math.min(width, width * 0.75 * across / down));
    double scale = columns / across;
    while (columns > 40 && work(plan, gapMm * scale) > MOST_WORK) {
      columns /= 2;
      scale = columns / across;
    }
    int rows = (int) Math.max(1, Math.round(down * scale));
    float[] light = new float[columns * rows * 3];
    Splat splat = new Splat(light, columns, rows, gapMm * scale);
    int i = 0;
    for (Emitter emitter : plan.emitters()) {
      double x = (emitter.position().xMm() - box.leftMm() + edge) * scale;
      double y = (emitter.position().yMm() - box.topMm() + edge) * scale;
      splat.add(x, y, rgb[3 * i], rgb[3 * i + 1], rgb[3 * i + 2]);
      i++;
    }
    float brightest = 0;
    for (float value : light) {
      brightest = Math.max(brightest, value);
    }
    for (int at = 0; brightest > 0 && at < light.length; at++) {
      light[at] /= brightest;
    }
    return new View(columns, rows, light);
  }

  private static long work(LayoutPlan plan, double gapPixels) {
    double reach = 2 * REACH_GAPS * gapPixels + 1;
    return (long) (plan.emitters().size() * reach * reach);
  }

  /** Adds emitters to a view, cell by cell. Mutable. */
  private record Splat(float[] light, int columns, int rows, double gap) {
    void add(double x, double y, float r, float g, float b) {
      double reach = REACH_GAPS * gap;
      int left = (int) Math.max(0, Math.floor(x - reach));
      int right = (int) Math.min(columns - 1, Math.ceil(x + reach));
      int top = (int) Math.max(0, Math.floor(y - reach));
      int bottom = (int) Math.min(rows - 1, Math.ceil(y + reach));
      for (int row = top; row <= bottom; row++) {
        for (int column = left; column <= right; column++) {
          double dx = column + 0.5 - x;
          double dy = row + 0.5 - y;
          float share = (float) share(dx * dx + dy * dy, gap);
          int at = (row * columns + column) * 3;
          light[at] += r * share;
          light[at + 1] += g * share;
          light[at + 2] += b * share;
        }
      }
    }
  }
}
