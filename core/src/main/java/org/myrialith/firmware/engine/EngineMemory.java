package org.myrialith.firmware.engine;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Stream;
import org.myrialith.cue.Firing;
import org.myrialith.cue.Received;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.InputState;
import org.myrialith.cue.table.Row;
import org.myrialith.firmware.player.FirmwareWork;

/** RAM of the engine of cues: that of the variables of its C, to the byte on 8-bit cores. */
public final class EngineMemory {
  private EngineMemory() {}

  private static Stream<Row> rows(CueTable cues, Firing.By kind) {
    return cues.rows().stream().filter(row -> row.kind() == kind);
  }

  /** Returns the bytes of each chain of parallel-in registers, by the name of its input. */
  static Map<String, Integer> chains(CueTable cues) {
    Map<String, Integer> bytes = new LinkedHashMap<>();
    for (InputState sense : cues.senses()) {
      if (sense.wired() == InputState.Wired.REGISTER) {
        bytes.merge(sense.name(), (sense.number() + 7) / 8, Math::max);
      }
    }
    return bytes;
  }

  /** Returns how many contacts are between a row and a column. */
  static int crossings(CueTable cues) {
    return (int) cues.senses().stream().filter(s -> s.wired() == InputState.Wired.CROSSED).count();
  }

  /** Returns how many pads are touched. */
  static int pads(CueTable cues) {
    return (int) cues.senses().stream().filter(s -> s.wired() == InputState.Wired.TOUCH).count();
  }

  /** Returns whether anything painted has levels of two bytes. */
  static boolean deepTargets(CueTable cues) {
    return cues.targets().stream().anyMatch(target -> target.plan().levelBits() > 8);
  }

  /** Returns the RAM of its variables beside the frame buffer (bytes). */
  public static int bytes(FirmwareWork work) {
    CueTable cues = work.cues().orElseThrow();
    int each = 7 + (cues.fades() ? 12 : 0);
    long counters = rows(cues, Firing.By.EVERY).count() + rows(cues, Firing.By.TURNED).count();
    return cues.rows().size() * each
        + 11 // how many are shown, now, idle, began, sent
        + 4 * (int) counters
        + 8 * cues.senses().size()
        + (cues.values().isEmpty() ? 0 : 2 * cues.values().size() + 8)
        + (cues.clock() < 0 ? 0 : cues.chip().isEmpty() ? 2 : 5)
        + (cues.chance() ? 4 : 0)
        + cues.targets().size()
        + 4 * work.clips().size()
        + 4 * cues.scenes().size()
        + (cues.readouts().isEmpty() ? 0 : 3)
        // what does not begin at 0 stands in pairs of bytes: a flag of each of these two
        + (cues.readouts().isEmpty() == cues.kept().isEmpty() ? 0 : 1)
        + (work.sent().limiter().isPresent() ? 1 : 0)
        + softly(work, cues)
        + through(work, cues)
        + outside(work, cues);
  }

  /** What is kept over power-off, lines of text, pads at rest. */
  private static int outside(FirmwareWork work, CueTable cues) {
    int waiting = work.controller().portable() ? 0 : 34;
    int kept = cues.kept().isEmpty() ? 0 : 2 * cues.kept().size() + 8;
    return kept
        + (cues.reads() ? Received.MOST_LETTERS + 2 + waiting : 0)
        + pads(cues)
        + chains(cues).values().stream().mapToInt(Integer::intValue).sum();
  }

  /** Frames whose dark pixels show what lies beneath, before they are laid. */
  private static int through(FirmwareWork work, CueTable cues) {
    if (!CuesHeader.seesThrough(cues)) {
      return 0;
    }
    return (work.dims() ? Math.max(1, CuesHeader.liftedBytes(cues)) : 0)
        + (work.switches() ? 1 : 0);
  }

  /** Time left to the next step of a fade, whether it is due, and what mixing keeps. */
  private static int softly(FirmwareWork work, CueTable cues) {
    if (!cues.fades()) {
      return 0;
    }
    return 3 + (work.dims() ? 2 : 0) + (deepTargets(cues) ? 4 : 0);
  }
}
