package org.myrialith.web.power;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.Quantity;
import org.myrialith.power.supply.BatteryLife;

/**
 * Where what the cells hold goes.
 *
 * @param parts one after the other
 */
record DayPicture(List<Part> parts, String lasts) {
  private static final double WIDTH = 880;
  private static final List<String> NAMES =
      List.of("the show", "awake and dark", "asleep", "self-discharge");

  /** A stretch of the bar. */
  record Part(double x, double width, int shade, String told) {}

  static DayPicture of(BatteryLife life) {
    double[] shares = life.shares();
    List<Part> parts = new ArrayList<>();
    double x = 0;
    for (int i = 0; i < shares.length; i++) {
      double width = shares[i] / 100 * WIDTH;
      parts.add(
          new Part(x, width, i, phrase("%s %s", NAMES.get(i), Quantity.text(shares[i], "%"))));
      x += width;
    }
    return new DayPicture(parts, Quantity.text(life.showHours(), "h"));
  }
}
