package org.myrialith.frames.flash;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.layout.Position;

/**
 * How much of a field of view of 10 degrees the units of a stretch fill: each as much as the square
 * of its distance from the next.
 *
 * @param each area of a unit (mm²)
 * @param fieldMm2 area of a field of 10 degrees at the distance of the eye (mm²)
 * @param windows units that are within one field, by their numbers
 */
record FlashingArea(double each, double fieldMm2, List<int[]> windows) {
  /** Of a single light, or lights in one place (mm²). */
  private static final double ALONE = 100;

  /** Solid angle of 10 degrees of the field of view (sr): four times 0.006. */
  static final double FIELD_STERADIAN = 0.024;

  /** So wide is a field of 10 degrees, of the distance: twice the tangent of 5 degrees. */
  private static final double FIELD_WIDTH = 2 * Math.tan(Math.toRadians(5));

  static FlashingArea of(ChannelRange stretch, double distanceMm) {
    int units = stretch.units();
    double[] x = new double[units];
    double[] y = new double[units];
    int[] parts = new int[units];
    int emitters = stretch.fixture().count();
    for (int i = 0; i < emitters; i++) {
      int unit = stretch.unit(i);
      if (unit >= 0) {
        Position at = stretch.fixture().position(i);
        x[unit] += at.xMm();
        y[unit] += at.yMm();
        parts[unit]++;
      }
    }
    for (int unit = 0; unit < units; unit++) {
      x[unit] /= Math.max(1, parts[unit]);
      y[unit] /= Math.max(1, parts[unit]);
    }
    double field = FIELD_STERADIAN * distanceMm * distanceMm;
    return new FlashingArea(
        area(stretch, emitters), field, windows(x, y, FIELD_WIDTH * distanceMm));
  }

  /** The square of the usual distance to the next emitter, for each emitter of a unit. */
  private static double area(ChannelRange stretch, int emitters) {
    double[] apart =
        IntStream.range(1, emitters)
            .mapToDouble(
                i -> {
                  Position one = stretch.fixture().position(i - 1);
                  Position other = stretch.fixture().position(i);
                  return Math.hypot(one.xMm() - other.xMm(), one.yMm() - other.yMm());
                })
            .filter(mm -> mm > 0)
            .sorted()
            .toArray();
    if (apart.length == 0) {
      return ALONE;
    }
    double pitch = apart[apart.length / 2];
    return pitch * pitch * Math.max(1, (double) stretch.section().count() / stretch.units());
  }

  /** All of them, or squares as large as a field, each half over the one before. */
  private static List<int[]> windows(double[] x, double[] y, double fieldMm) {
    double left = Arrays.stream(x).min().orElse(0);
    double top = Arrays.stream(y).min().orElse(0);
    double width = Arrays.stream(x).max().orElse(0) - left;
    double height = Arrays.stream(y).max().orElse(0) - top;
    if (Math.hypot(width, height) <= fieldMm) {
      return List.of(IntStream.range(0, x.length).toArray());
    }
    double side = fieldMm * Math.sqrt(Math.PI) / 2; // as large as the round field
    List<int[]> all = new ArrayList<>();
    for (double from = left; from <= left + width; from += side / 2) {
      for (double down = top; down <= top + height; down += side / 2) {
        double atX = from;
        double atY = down;
        int[] within =
            IntStream.range(0, x.length)
                .filter(i -> x[i] >= atX && x[i] < atX + side)
                .filter(i -> y[i] >= atY && y[i] < atY + side)
                .toArray();
        if (within.length > 0) {
          all.add(within);
        }
      }
    }
    return all;
  }

  /** Returns the share of a field that so many units fill. */
  double share(int units) {
    return units * each / fieldMm2;
  }
}
