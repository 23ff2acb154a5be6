package org.myrialith.cue.table;

import static org.myrialith.finding.Phrase.phrase;

import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Readout;
import org.myrialith.cue.Scene;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Fixture;

/**
 * A readout of which not all lies on its fixture.
 *
 * @param all characters, digits or bits that it has
 * @param lost those that are not seen at all
 * @param cut those of which a part is seen
 * @param better what would have all of it seen; empty for nothing of its kind
 */
public record BeyondFixture(
    Readout readout, Fixture fixture, int all, int lost, int cut, String better) {
  /** A number of which a digit is missing reads as another. */
  public Finding finding(CueSheet sheet) {
    String scene =
        sheet.scenes().stream()
            .filter(one -> one.readouts().contains(readout))
            .map(Scene::name)
            .findFirst()
            .orElse("");
    String says =
        phrase(
            "%s in %s: %s of %s (%d × %d cells).",
            readout.text(),
            scene,
            parts(),
            fixture.name(),
            fixture.seenColumns(),
            fixture.seenRows());
    return Finding.of(
            Step.CUES, "off-" + readout.id(), lost > 0 ? Verdict.BREAKS : Verdict.TIGHT, says)
        .advising(
            better.isEmpty()
                ? "Show it shorter, at another place, as a bar or in bits, or use a larger fixture."
                : better);
  }

  private String parts() {
    String word =
        switch (readout.form()) {
          case TEXT -> "characters";
          case BAR, POINTER -> "lights";
          default -> "digits or bits";
        };
    if (lost == 0) {
      return phrase("%d of %d %s %s cut off at the edge", cut, all, word, cut == 1 ? "is" : "are");
    }
    String beyond =
        phrase("%d of %d %s %s beyond the edge", lost, all, word, lost == 1 ? "lies" : "lie");
    return cut == 0
        ? beyond
        : beyond + phrase(", %d %s cut off at the edge", cut, cut == 1 ? "is" : "are");
  }
}
