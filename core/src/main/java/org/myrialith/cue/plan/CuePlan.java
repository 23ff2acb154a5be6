package org.myrialith.cue.plan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.myrialith.circuit.Wiring;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Readout;
import org.myrialith.cue.Scene;
import org.myrialith.cue.table.BeyondFixture;
import org.myrialith.cue.table.CueCompiler;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.Problem;
import org.myrialith.cue.table.Ticks;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Programme;
import org.myrialith.frames.flash.FlashCheck;
import org.myrialith.frames.flash.ViewingDistance;
import org.myrialith.input.InputList;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.KeptMemory;
import org.myrialith.parts.Timekeeping;

/**
 * A sheet of cues worked out.
 *
 * @param table what engine and firmware obey; has no limiter yet
 * @param problems by the identifier of the cue or readout that they are about; the engine can't
 *     obey while there are any
 * @param lit all that is ever lit, for what the limiter has to reckon with
 * @param memory that keeps values while power is off; empty where there is none
 * @param own what the controller counts its seconds by
 * @param from where it is seen from
 * @param offs readouts of which not all is seen
 */
public record CuePlan(
    CueSheet sheet,
    CueTable table,
    List<Problem> problems,
    List<ClipLevels> lit,
    Optional<KeptMemory> memory,
    Timekeeping own,
    ViewingDistance from,
    List<BeyondFixture> offs) {

  /**
   * Works a sheet out.
   *
   * @param scenes of the sheet, with their frames
   * @param levels of a clip on each wire that its fixture is on
   */
  public static CuePlan of(
      CueSheet sheet,
      List<Scene> scenes,
      Layout layout,
      InputList inputs,
      Programme programme,
      Wiring wiring,
      Ticks ticks,
      Controller controller,
      ViewingDistance from,
      Function<Clip, List<ClipLevels>> levels) {
    CueCompiler compiler =
        new CueCompiler(sheet, scenes, layout, inputs, programme, controller, levels);
    CueTable table = compiler.table(wiring, ticks);
    List<ClipLevels> lit = new ArrayList<>(table.clips());
    lit.addAll(compiler.solids());
    return new CuePlan(
        sheet,
        table,
        List.copyOf(compiler.problems()),
        List.copyOf(lit),
        controller.keptMemory(),
        controller.timekeeping(),
        from.reaching(FlashCheck.brightest(lit)),
        List.copyOf(compiler.offs()));
  }

  /** Returns whether engine and firmware can obey it. */
  public boolean sound() {
    return problems.isEmpty() && !table.targets().isEmpty();
  }

  /** Returns the table, where it can be obeyed. */
  public Optional<CueTable> obeyed() {
    return sound() ? Optional.of(table) : Optional.empty();
  }

  /** Returns what is judged. */
  public List<Finding> findings() {
    if (problems.isEmpty() && table.targets().isEmpty()) {
      return List.of(
          Finding.of(Step.CUES, "nothing-lit", Verdict.OPEN, "No scene lights anything yet.")
              .advising("Draw frames of a scene, or show a value."));
    }
    if (!sound()) {
      return troubles();
    }
    return new CueFindings(sheet, table, lit, memory, own, from, offs).all();
  }

  /** Returns what can't be obeyed, each cue and readout once. */
  private List<Finding> troubles() {
    Map<String, List<String>> all = new LinkedHashMap<>();
    problems.forEach(
        p -> all.computeIfAbsent(p.about(), id -> new ArrayList<>()).add(p.sentence()));
    List<Finding> findings = new ArrayList<>();
    all.forEach(
        (id, sentences) ->
            findings.add(
                Finding.of(
                        Step.CUES,
                        "can-not-" + id,
                        Verdict.BREAKS,
                        phrase("%s %s.", named(id), String.join("; ", sentences)))
                    .advising("Correct this cue: no firmware is exported until then.")));
    return findings;
  }

  private String named(String id) {
    return sheet
        .cue(id)
        .map(Cue::name)
        .orElseGet(
            () ->
                sheet.scenes().stream()
                    .filter(s -> s.readouts().stream().map(Readout::id).anyMatch(id::equals))
                    .map(s -> "A value in " + s.name())
                    .findFirst()
                    .orElse(id));
  }
}
