package org.myrialith.firmware.plan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.firmware.pack.Savings;
import org.myrialith.frames.Frame;
import org.myrialith.parts.Controller;
import org.myrialith.parts.SerialMemory;

/** Whether firmware has room in flash and RAM, and what would have. */
record MemoryFindings(FirmwarePlan plan) {
  /**
   * Returns the judgements.
   *
   * @param smallest class that would do, below that of the controller
   * @param smaller ways to frames that take less flash
   */
  List<Finding> all(Optional<Controller> smallest, Savings smaller) {
    List<Finding> findings = new ArrayList<>();
    findings.add(
        fits(
            new Takes("flash-fits", "Flash", plan.flashBytes(), controller().flashBytes()),
            plan.flash(),
            (forFlash() + " " + smaller.untried()).strip(),
            smaller.ways()));
    findings.add(
        fits(
            new Takes("ram-fits", "RAM", plan.ramWithStackBytes(), controller().ramBytes()),
            plan.ram(),
            "Use fewer pixels, or a controller class with more RAM.",
            List.of()));
    smallest.ifPresent(c -> findings.add(smaller(c)));
    return List.copyOf(findings);
  }

  private Controller controller() {
    return plan.work().controller();
  }

  /** What is taken of a memory (bytes). */
  private record Takes(String key, String what, int takes, int has) {
    Verdict verdict() {
      return takes > has
          ? Verdict.BREAKS
          : takes > FirmwarePlan.ROOMY_SHARE * has ? Verdict.TIGHT : Verdict.HOLDS;
    }
  }

  private Finding fits(Takes memory, Calculation number, String advice, List<Remedy> remedies) {
    Finding finding =
        Finding.of(
                Step.FIRMWARE,
                memory.key(),
                memory.verdict(),
                phrase(
                    "%s: %s of %s.",
                    memory.what(),
                    Quantity.number(memory.takes()),
                    Quantity.text(memory.has(), "bytes")))
            .restingOn(number);
    return memory.verdict() == Verdict.HOLDS
        ? finding
        : finding
            .advising(advice)
            .mendedBy(
                Stream.concat(remedies.stream(), larger().map(MemoryFindings::use).stream())
                    .toList());
  }

  private String forFlash() {
    return "Use fewer frames or fewer different colours, effects computed on the controller, or a controller class with more flash."
        + beside();
  }

  /** What memory beside the controller would hold the frames; its program is another one. */
  private String beside() {
    int longest = plan.packed().data().mapToInt(data -> data.length).max().orElse(0);
    int shortest =
        plan.work().kept().stream()
            .flatMap(clip -> clip.clip().frames().stream())
            .mapToInt(Frame::holdMillis)
            .min()
            .orElse(0);
    int bytes = plan.packed().bytes();
    return SerialMemory.holding(bytes, longest, shortest / 1000.0)
        .map(
            memory ->
                phrase(
                    " In external memory the %s of frames fit into %s: the longest is read in %s of %s, with %d pins. This firmware does not read it: that takes a program of your own.",
                    Quantity.text(bytes, "bytes"),
                    memory.title(),
                    Quantity.text(longest * memory.byteSeconds(), "s"),
                    Quantity.text(shortest / 1000.0, "s"),
                    memory.pins()))
        .orElse(" No common external memory delivers them in time.");
  }

  /** The smallest of the same sort that has room. */
  private Optional<Controller> larger() {
    return Controller.CLASSES.stream()
        .filter(c -> c.portable() == controller().portable())
        .filter(plan::wouldDo)
        .min(Comparator.comparingInt(Controller::flashBytes));
  }

  private static Finding smaller(Controller smallest) {
    return Finding.of(
            Step.FIRMWARE,
            "smaller-class",
            Verdict.HOLDS,
            phrase("The smallest class that fits: %s.", smallest.title()))
        .mendedBy(List.of(use(smallest)));
  }

  private static Remedy use(Controller controller) {
    return new Remedy("Use the " + controller.title(), new Change.UseController(controller.key()));
  }
}
