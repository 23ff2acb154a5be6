package org.myrialith.web.circuits;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.myrialith.build.DriveMethod;
import org.myrialith.build.DriveMethodColumn;
import org.myrialith.build.Merit;

/**
 * A drive method as a small drawing: the controller with its pins at the left, chips in the middle,
 * wires to the LEDs at the right; all cards of a page have one scale.
 *
 * @param merits what it is the best at, kept as the reason when it is chosen
 * @param facts the figures in words
 * @param pins lines between controller and chips, as a path
 * @param chips squares, as a path
 * @param wires lines to the LEDs, as a path
 */
public record MethodPicture(
    String key,
    String title,
    String merits,
    List<WaysView.Cell> facts,
    String pins,
    String chips,
    String wires) {
  /** Room for lines from top to bottom, and for chips, in the units of the drawing. */
  private static final double HIGH = 64;

  private static final double MIDDLE = 36;
  private static final double WIDEST = 3;

  /** Of its room a chip fills so much, either way. */
  private static final double CHIP_SHARE = 0.8;

  private static final double CHIPS = 84;
  private static final double LARGEST_CHIP = 14;
  private static final double CONTROLLER_END = 30;
  private static final double CHIPS_BEGIN = 48;
  private static final double LIGHTS_BEGIN = 176;

  static List<MethodPicture> of(List<Merit.Recommended> best, String currency) {
    int lines =
        best.stream()
            .mapToInt(r -> Math.max(r.way().numbers().pins(), r.way().numbers().wires()))
            .max()
            .orElse(1);
    double apart = Math.min(WIDEST, HIGH / Math.max(1, lines));
    int chips = best.stream().mapToInt(r -> r.way().numbers().chips()).max().orElse(1);
    double side = Math.min(LARGEST_CHIP, Math.sqrt(CHIPS * HIGH / Math.max(1, chips)) * CHIP_SHARE);
    return best.stream().map(r -> one(r, apart, side, currency)).toList();
  }

  private static MethodPicture one(
      Merit.Recommended best, double apart, double side, String currency) {
    DriveMethod way = best.way();
    DriveMethod.Numbers numbers = way.numbers();
    String merits = best.merits().stream().map(Merit::title).collect(Collectors.joining(", "));
    double end = numbers.chips() == 0 ? LIGHTS_BEGIN : CHIPS_BEGIN;
    return new MethodPicture(
        way.key(),
        way.title(),
        merits,
        facts(way, currency),
        lines(numbers.pins(), CONTROLLER_END, end, apart),
        squares(numbers.chips(), side),
        numbers.chips() == 0
            ? ""
            : lines(numbers.wires(), CHIPS_BEGIN + CHIPS, LIGHTS_BEGIN, apart));
  }

  private static List<WaysView.Cell> facts(DriveMethod way, String currency) {
    List<WaysView.Cell> all = new ArrayList<>();
    for (DriveMethodColumn column :
        List.of(
            DriveMethodColumn.PINS,
            DriveMethodColumn.CHIPS,
            DriveMethodColumn.JOINTS,
            DriveMethodColumn.COST,
            DriveMethodColumn.DEPTH,
            DriveMethodColumn.SHARE)) {
      all.add(WaysView.cell(column, way, currency, false));
    }
    return all;
  }

  private static String lines(int count, double from, double to, double apart) {
    StringBuilder path = new StringBuilder();
    for (int i = 0; i < count; i++) {
      double y = MIDDLE + (i - (count - 1) / 2.0) * apart;
      path.append(phrase("M%.1f %.1fH%.1f", from, y, to));
    }
    return path.toString();
  }

  private static String squares(int count, double side) {
    double room = side / CHIP_SHARE;
    int high = Math.max(1, (int) Math.min(count, Math.floor(HIGH / room)));
    StringBuilder path = new StringBuilder();
    for (int i = 0; i < count; i++) {
      double x = CHIPS_BEGIN + 4 + i / high * room;
      double y = MIDDLE + (i % high - (high - 1) / 2.0) * room - side / 2;
      path.append(phrase("M%.1f %.1fh%.1fv%.1fh-%.1fz", x, y, side, side, side));
    }
    return path.toString();
  }
}
