package org.myrialith.colour;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.StepPlan;
import org.myrialith.finding.Verdict;

/**
 * What the correction of colour has to say.
 *
 * @param settings curve and brightness limit
 * @param depths of what can be dimmed: bits of a level, and the circuits that have them
 * @param switches whether anything is driven that is only on or off
 */
public record ColourStep(
    ColourSettings settings, SortedMap<Integer, List<String>> depths, boolean switches)
    implements StepPlan {
  public ColourStep {
    depths = Collections.unmodifiableSortedMap(new TreeMap<>(depths));
  }

  private boolean dims() {
    return !depths.isEmpty();
  }

  @Override
  public Step step() {
    return Step.COLOUR;
  }

  @Override
  public String headline() {
    return dims() || !switches ? settings.brightnessPercent() + " %" : "on or off";
  }

  @Override
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    depths.forEach(
        (bits, circuits) -> {
          boolean alone = depths.size() == 1;
          String of = phrase("%s (%d-bit): ", String.join(", ", circuits), bits);
          findings.add(
              LevelTable.of(settings, bits)
                  .finding(
                      alone ? "levels-left" : "levels-left-" + bits,
                      alone && bits == Byte.SIZE ? "" : of));
        });
    if (switches) {
      findings.add(switched());
    }
    if (findings.isEmpty()) {
      findings.add(
          Finding.of(
                  Step.COLOUR,
                  "no-light",
                  Verdict.OPEN,
                  "Nothing is lit yet that could be corrected.")
              .advising("Add a fixture and connect it under Circuits."));
    }
    return List.copyOf(findings);
  }

  private Finding switched() {
    String says =
        phrase(
            "Outputs that only switch are on from requested value %d of 255; curve and brightness limit do not apply to them.",
            LevelTable.LIT_FROM);
    return settings.brightnessPercent() < 100
        ? Finding.of(Step.COLOUR, "on-or-off", Verdict.TIGHT, says)
            .advising(
                "The brightness limit does not dim it: resistors and the number of LEDs lit at once set its current.")
        : Finding.of(Step.COLOUR, "on-or-off", Verdict.HOLDS, says);
  }

  @Override
  public List<Calculation> calculations() {
    if (!dims() && !switches) {
      return LevelTable.of(settings).calculations();
    }
    return depths.keySet().stream()
        .flatMap(bits -> LevelTable.of(settings, bits).calculations().stream())
        .toList();
  }
}
