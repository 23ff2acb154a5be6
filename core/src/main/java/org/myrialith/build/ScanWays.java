package org.myrialith.build;

import java.util.List;
import java.util.Optional;

/**
 * Ways that share pins by turns, counted only: charlieplex of n pins for n(n − 1) lights, eight
 * rows scanned by registers.
 */
record ScanWays(int channels, int lightJoints) {
  private static final int ROWS = 8;
  private static final int REGISTER = 8;

  List<Way> all() {
    return List.of(charlieplex(), registers());
  }

  private Way way(String title, int pins, int chips, int resistors, int switches, double bright) {
    int wires = pins + 1;
    int leads = 2 * resistors + 16 * chips + 3 * switches;
    return new Way(
        "",
        title,
        Optional.of("counted here; planned slot by slot under Scan, which is to come"),
        new Way.Numbers(
            pins,
            chips,
            0,
            resistors,
            switches,
            wires,
            0,
            channels,
            Double.NaN,
            1,
            Double.NaN,
            (channels + 7) / 8,
            0,
            lightJoints + leads + 2 * wires,
            Double.NaN,
            bright));
  }

  private Way charlieplex() {
    int pins = 2;
    while (pins * (pins - 1) < channels) {
      pins++;
    }
    return way("charlieplex", pins, 0, pins, 0, 1.0 / pins);
  }

  private Way registers() {
    int rows = Math.min(ROWS, channels);
    int columns = (channels + rows - 1) / rows;
    int chips = (columns + REGISTER - 1) / REGISTER + (rows + REGISTER - 1) / REGISTER;
    return way("rows scanned by registers", 3, chips, columns, rows, 1.0 / rows);
  }
}
