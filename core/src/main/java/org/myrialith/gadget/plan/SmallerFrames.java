package org.myrialith.gadget.plan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.finding.Change;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Remedy;
import org.myrialith.firmware.pack.Savings;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.frames.Frame;
import org.myrialith.gadget.edit.AppliedChange;
import org.myrialith.gadget.model.Gadget;

/**
 * What would make frames fit that take too much flash: each way is tried, and offered with what it
 * takes where it leaves room.
 */
record SmallerFrames(Gadget gadget) {
  /** Cells of pictures that are tried: each way plans all of them once more. */
  private static final long MOST_CELLS = 40_000;

  /** The same of effects that the controller is to compute: their pictures need no packing. */
  private static final long MOST_COMPUTED = 400_000;

  private static final int[] COLOURS = {64, 16, 4};

  /** Returns the ways that leave room; of very many cells only what takes no trial of pictures. */
  Savings savings() {
    long cells =
        gadget
            .keptClips()
            .flatMap(clip -> clip.frames().stream())
            .map(Frame::picture)
            .distinct()
            .mapToLong(picture -> (long) picture.columns() * picture.rows())
            .sum();
    List<Remedy> all = new ArrayList<>();
    if (!gadget.programme().recipes().isEmpty() && cells <= MOST_COMPUTED) {
      tried("Compute the effects on the controller", new Change.ComputeEffects(), all);
    }
    if (cells > MOST_CELLS) {
      return new Savings(
          all,
          phrase(
              "Fewer colours and frames were not tried: the pictures have %s cells; at most %s are tried.",
              Quantity.number(cells), Quantity.number(MOST_CELLS)));
    }
    for (int colours : COLOURS) {
      if (tried(
          phrase("Use at most %d colours", colours), new Change.UseFewerColours(colours), all)) {
        break; // fewer would do as well, and show less
      }
    }
    tried("Remove every second frame and hold the others longer", new Change.HalveFrames(), all);
    return new Savings(all, "");
  }

  private boolean tried(String title, Change change, List<Remedy> into) {
    Optional<FirmwarePlan> there =
        GadgetPlan.of(change.accept(new AppliedChange(gadget)))
            .firmware()
            .filter(plan -> plan.roomy() && plan.holds().late() == 0);
    there.ifPresent(
        plan ->
            into.add(
                new Remedy(
                    phrase("%s: %s", title, Quantity.text(plan.flashBytes(), "bytes")), change)));
    return there.isPresent();
  }
}
