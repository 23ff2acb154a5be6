package org.myrialith.frames.edit;

import org.myrialith.colour.Lightness;
import org.myrialith.frames.Picture;

/**
 * Asked values by how light they look: steps of one lightness look alike (CIE 1976 L*, of the light
 * that an asked value stands for by IEC 61966-2-1).
 */
final class PerceivedShade {
  private static final int SIZE = 256;
  private static final double[] LIGHTNESS = new double[SIZE];

  static {
    for (int value = 0; value < SIZE; value++) {
      double share = value / (SIZE - 1.0);
      double light = share <= 0.04045 ? share / 12.92 : Math.pow((share + 0.055) / 1.055, 2.4);
      LIGHTNESS[value] = Lightness.of(light);
    }
  }

  private PerceivedShade() {}

  /** Returns the asked value that looks nearest to a lightness (0 to 100). */
  private static int value(double lightness) {
    int low = 0;
    int high = SIZE - 1;
    while (high - low > 1) {
      int middle = low + high >>> 1;
      if (LIGHTNESS[middle] <= lightness) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return lightness - LIGHTNESS[low] <= LIGHTNESS[high] - lightness ? low : high;
  }

  /** Returns a value so far on the way to another (0 to 1). */
  static int between(int from, int to, double way) {
    return value(LIGHTNESS[from] + (LIGHTNESS[to] - LIGHTNESS[from]) * way);
  }

  /** Returns a picture whose values are all changed. */
  static Picture each(Picture picture, Picture other, double way) {
    byte[] rgb = picture.rgb();
    byte[] to = other.rgb();
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = (byte) between(rgb[i] & 0xff, to[i] & 0xff, way);
    }
    return Picture.of(picture.columns(), picture.rows(), rgb);
  }
}
