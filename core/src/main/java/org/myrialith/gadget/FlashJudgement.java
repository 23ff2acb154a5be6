package org.myrialith.gadget;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.FlashCheck;

/**
 * The flash check of all clips.
 *
 * @param shares of cells that flash too often, by clip
 */
record FlashJudgement(Map<String, Double> shares, boolean safe, List<Finding> findings) {
  static FlashJudgement of(List<Clip> clips) {
    Map<String, Double> shares = new LinkedHashMap<>();
    List<Finding> findings = new ArrayList<>();
    for (Clip clip : clips) {
      FlashCheck check = FlashCheck.of(clip);
      shares.put(clip.id(), check.flashingShare());
      if (!check.safe()) {
        findings.add(finding(clip, check));
      }
    }
    return new FlashJudgement(shares, findings.isEmpty(), List.copyOf(findings));
  }

  private static Finding finding(Clip clip, FlashCheck check) {
    double percent = check.flashingShare() * 100;
    return Finding.of(
            Step.FRAMES,
            "flashes-" + clip.id(),
            Verdict.TIGHT,
            "%s flashes more than three times in a second over %s of its cells. That can bring on seizures; it does not start by itself here."
                .formatted(clip.name(), Quantity.text(percent, "%")))
        .advising("Hold its frames longer, or soften the changes of brightness.")
        .restingOn(
            new Reckoning(
                "flashing-" + clip.id(),
                "Cells that flash too often",
                percent,
                "%",
                "cells with more than 3 pairs of opposing luminance changes of 10 % or more in some second ÷ all cells",
                List.of(),
                Source.standard("WCAG 2.2, success criterion 2.3.1")));
  }
}
