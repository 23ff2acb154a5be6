package org.myrialith.web.layout;

/** Numbers of SVG paths and view boxes. */
final class PathNumbers {
  private PathNumbers() {}

  /**
   * Returns numbers parted by spaces, to hundredths and as short as they can be written: drawings
   * send thousands of them.
   */
  static String text(double... values) {
    StringBuilder text = new StringBuilder();
    for (double value : values) {
      if (!text.isEmpty()) {
        text.append(' ');
      }
      long hundredths = Math.round(value * 100);
      if (hundredths % 100 == 0) {
        text.append(hundredths / 100);
      } else {
        text.append(hundredths / 100.0);
      }
    }
    return text.toString();
  }
}
