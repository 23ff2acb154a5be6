package org.myrialith.build;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a drive method is recommended for, what makers ask for most first (common practice). */
public enum Merit {
  JOINTS(DriveMethodColumn.JOINTS, "fewest solder joints"),
  COST(DriveMethodColumn.COST, "cheapest"),
  BRIGHTNESS(DriveMethodColumn.BRIGHTNESS, "brightest"),
  DEPTH(DriveMethodColumn.DEPTH, "finest dimming"),
  PINS(DriveMethodColumn.PINS, "fewest pins"),
  SHARE(DriveMethodColumn.SHARE, "least CPU load");

  private final DriveMethodColumn column;
  private final String title;

  Merit(DriveMethodColumn column, String title) {
    this.column = column;
    this.title = title;
  }

  /** Returns it in words, such as "fewest solder joints". */
  public String title() {
    return title;
  }

  /**
   * A drive method with what it is the best at.
   *
   * @param merits at least one
   */
  public record Recommended(DriveMethod way, List<Merit> merits) {}

  /**
   * Returns the ways that are the best at something, by merit, at most so many. Among equals the
   * one with fewer joints is taken; a merit by which all are alike recommends none.
   */
  static List<Recommended> of(List<DriveMethod> ways, int most) {
    List<DriveMethod> working = ways.stream().filter(DriveMethod::buildable).toList();
    Map<DriveMethod, List<Merit>> best = new LinkedHashMap<>();
    for (Merit merit : values()) {
      merit
          .winner(working)
          .ifPresent(way -> best.computeIfAbsent(way, w -> new ArrayList<>()).add(merit));
    }
    return best.entrySet().stream()
        .limit(most)
        .map(e -> new Recommended(e.getKey(), List.copyOf(e.getValue())))
        .toList();
  }

  private Optional<DriveMethod> winner(List<DriveMethod> working) {
    List<DriveMethod> known =
        working.stream().filter(way -> !Double.isNaN(column.figure(way))).toList();
    DoubleSummaryStatistics figures =
        known.stream().mapToDouble(column::figure).summaryStatistics();
    boolean differ = figures.getMax() > figures.getMin();
    return differ || known.size() == 1
        ? known.stream()
            .min(
                column
                    .best()
                    .thenComparing(Comparator.comparingDouble(DriveMethodColumn.JOINTS::figure)))
        : Optional.empty();
  }
}
