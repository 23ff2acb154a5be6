package org.myrialith.web.cues;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.myrialith.cue.plan.CuesStep;
import org.myrialith.cue.plan.InputTrial;
import org.myrialith.cue.plan.SceneOverlap;
import org.myrialith.finding.Quantity;

/**
 * What scenes draw, alone and while one comes over another.
 *
 * @param names of the scenes, those first that draw most
 * @param rows of each scene with each
 * @param left scenes that draw less and are left out
 * @param tried what hands made it draw; empty where nothing could be tried
 */
record DrawnTable(List<String> names, List<Row> rows, int left, String tried) {
  /** More make a table that nobody reads. */
  private static final int MOST = 8;

  /** A scene with each. */
  record Row(String name, List<Cell> cells) {}

  /**
   * A current.
   *
   * @param over whether it is beyond the supply
   */
  record Cell(String amps, boolean over, boolean alone) {}

  /** Returns the table; empty where no cue shows a scene. */
  static Optional<DrawnTable> of(CuesStep step) {
    List<CuesStep.Draw> shown =
        step.draws().stream()
            .filter(CuesStep.Draw::shown)
            .sorted(Comparator.comparingDouble(CuesStep.Draw::amps).reversed())
            .toList();
    List<CuesStep.Draw> most = shown.subList(0, Math.min(MOST, shown.size()));
    List<Row> rows = new ArrayList<>();
    for (CuesStep.Draw one : most) {
      rows.add(
          new Row(
              one.name(), most.stream().map(other -> cell(step, one.id(), other.id())).toList()));
    }
    return shown.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new DrawnTable(
                most.stream().map(CuesStep.Draw::name).toList(),
                rows,
                shown.size() - most.size(),
                step.trial().flatMap(DrawnTable::tried).orElse("")));
  }

  private static Cell cell(CuesStep step, String one, String other) {
    boolean alone = one.equals(other);
    double amps =
        alone
            ? step.draws().stream().filter(d -> d.id().equals(one)).findFirst().orElseThrow().amps()
            : step.crossings().pairs().stream()
                .filter(pair -> pair.of(one, other))
                .findFirst()
                .map(SceneOverlap.Pair::amps)
                .orElseThrow();
    boolean over = step.givesAmps().filter(gives -> amps > gives).isPresent();
    return new Cell(Quantity.text(amps, "A"), over, alone);
  }

  private static Optional<String> tried(InputTrial trial) {
    return trial
        .most()
        .map(
            part ->
                "Inputs tried for "
                    + Quantity.text(trial.millis() / 1000.0, "s")
                    + ", every input: at most "
                    + Quantity.text(part.peakAmps(), "A")
                    + " was sent ("
                    + part.name()
                    + ").");
  }
}
