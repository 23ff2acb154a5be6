package org.myrialith.firmware;

import java.util.stream.Stream;
import org.myrialith.cues.Received;
import org.myrialith.parts.Controller;
import org.myrialith.play.CueTable;
import org.myrialith.play.Row;
import org.myrialith.play.Sense;
import org.myrialith.play.Value;

/**
 * What the engine of cues takes, by what it has to do: read from the size tool on hundreds of
 * builds with cues by chance (GCC 5.4 for 8-bit AVR, GCC 12 for a small 32-bit core, -Os).
 *
 * @param apart more where pixels have other numbers of channels
 * @param bits more where all is only on or off
 * @param both more where some is
 * @param limiter more with the limiter
 * @param lines more with the limiter on several lines
 * @param deepLimiter more for a limiter of levels of two bytes
 * @param fades more for coming and going softly
 * @param mixing more for laying levels over others
 * @param deepMixing more for laying levels of two bytes
 * @param senses more for inputs
 * @param each more for each of them
 * @param readoutBits more for values where some is only on or off and some not
 * @param codes more for frames by a dictionary, {@code codesMixed}: and for laying those over
 *     others
 * @param longRules more for rules of more than two bytes
 * @param ordered more for another order than that of the wire
 * @param kept more for values that are kept while power is off
 * @param touch more for pads
 * @param text more for lines of text, {@code messages}: and for those that are waited for, {@code
 *     told}: and for those that set values
 */
record EngineSize(
    int apart,
    int bits,
    int both,
    int limiter,
    int lines,
    int deepLimiter,
    int fades,
    int mixing,
    int deepMixing,
    int senses,
    int each,
    int analogue,
    int rotary,
    int chance,
    int every,
    int values,
    int clock,
    int readouts,
    int readoutBits,
    int codes,
    int codesMixed,
    int longRules,
    int ordered,
    int kept,
    int touch,
    int text,
    int messages,
    int told) {
  private static final EngineSize AVR =
      new EngineSize(
          84, 103, 400, 420, 132, 57, 957, 179, 97, 643, 14, 255, 284, 296, 252, 976, 529, 1135,
          194, 190, 120, 40, 60, 630, 72, 417, 22, 196);

  private static final EngineSize ARM =
      new EngineSize(
          95, 98, 257, 98, 265, 123, 500, 100, 89, 483, 14, 181, 226, 58, 114, 550, 420, 902, 231,
          130, 90, 30, 70, 500, 72, 203, 25, 180);

  /** Flash that the way to frames in several arrays takes, and each of them (bytes). */
  private static final int BANKED = 80;

  private static final int BANK = 14;

  /** The engine without anything of that, with board and start-up. */
  private static int bare(Controller controller) {
    if (controller.portable()) {
      return 1531;
    }
    return switch (controller.key()) {
      case "8bit-8k" -> 2562;
      case "8bit-256k" -> 2863;
      default -> 2723;
    };
  }

  /** Returns the flash of all code (bytes). */
  static int codeBytes(FirmwareWork work, Packing.Packed packed) {
    FramesHeader frames = new FramesHeader(work, packed);
    int banks = frames.bankCount();
    int lines = work.drivers().stream().mapToInt(LineDriver::codeBytes).sum();
    EngineSize size = work.controller().portable() ? ARM : AVR;
    return bare(work.controller())
        + lines
        + (banks > 1 ? BANKED + banks * BANK : 0)
        + size.painting(work)
        + packed.dictionary().map(d -> size.unpacking(work, d, frames.ordered())).orElse(0)
        + size.asking(work.cues().orElseThrow());
  }

  private int painting(FirmwareWork work) {
    CueTable cues = work.cues().orElseThrow();
    boolean mixed = work.switches() && work.dims();
    int painting = work.dims() && !work.alike() ? apart : 0;
    painting += mixed ? both : work.switches() ? bits : 0;
    if (work.sent().limiter().isPresent()) {
      painting += limiter + (work.lines().size() > 1 ? lines : 0) + (work.deep() ? deepLimiter : 0);
    }
    if (cues.fades()) {
      painting += fades + (work.dims() ? mixing : 0) + (deepTargets(cues) ? deepMixing : 0);
    }
    return painting + (cues.readouts().isEmpty() ? 0 : readouts + (mixed ? readoutBits : 0));
  }

  private int unpacking(FirmwareWork work, Dictionary dictionary, boolean other) {
    boolean mixed = work.cues().orElseThrow().fades();
    int rules = dictionary.ruleBytes() > 2 ? longRules : 0;
    return codes + rules + (mixed ? codesMixed : 0) + (other ? ordered * (mixed ? 2 : 1) : 0);
  }

  private static int pads(CueTable cues) {
    return (int) cues.senses().stream().filter(s -> s.wired() == Sense.Wired.TOUCH).count();
  }

  private int asking(CueTable cues) {
    int asking = cues.senses().isEmpty() ? 0 : senses + each * cues.senses().size();
    asking += has(cues, Sense.Sort.ANALOGUE) ? analogue : 0;
    asking += has(cues, Sense.Sort.ROTARY) ? rotary : 0;
    asking += cues.chance() ? chance : 0;
    asking += rows(cues, Row.Kind.EVERY).findAny().isPresent() ? every : 0;
    asking += cues.kept().isEmpty() ? 0 : kept;
    asking += pads(cues) > 0 ? touch : 0;
    asking += cues.reads() ? text + (cues.messages().isEmpty() ? 0 : messages) : 0;
    asking += cues.values().stream().anyMatch(Value::told) ? told : 0;
    return asking + (cues.values().isEmpty() ? 0 : values) + (cues.clock() < 0 ? 0 : clock);
  }

  static boolean has(CueTable cues, Sense.Sort sort) {
    return cues.senses().stream().anyMatch(sense -> sense.sort() == sort);
  }

  private static Stream<Row> rows(CueTable cues, Row.Kind kind) {
    return cues.rows().stream().filter(row -> row.kind() == kind);
  }

  static boolean deepTargets(CueTable cues) {
    return cues.targets().stream().anyMatch(target -> target.plan().levelBits() > 8);
  }

  /** Returns the RAM of its variables beside the frame buffer (bytes); those of the C. */
  static int ramBytes(FirmwareWork work) {
    CueTable cues = work.cues().orElseThrow();
    int each = 7 + (cues.fades() ? 10 : 0);
    long counters = rows(cues, Row.Kind.EVERY).count() + rows(cues, Row.Kind.TURNED).count();
    return cues.rows().size() * each
        + 11 // how many are shown, now, idle, began, sent
        + 4 * (int) counters
        + 8 * cues.senses().size()
        + (cues.values().isEmpty() ? 0 : 2 * cues.values().size() + 6)
        + (cues.clock() < 0 ? 0 : 2)
        + (cues.chance() ? 4 : 0)
        + cues.targets().size()
        + 4 * work.clips().size()
        + 4 * cues.scenes().size()
        + (cues.readouts().isEmpty() ? 0 : 3)
        // what does not begin at 0 stands in pairs of bytes: a flag of each of these two
        + (cues.readouts().isEmpty() == cues.kept().isEmpty() ? 0 : 1)
        + (work.sent().limiter().isPresent() ? 1 : 0)
        + softly(work, cues)
        + outside(work, cues);
  }

  /** What is kept over power-off, lines of text, pads at rest. */
  private static int outside(FirmwareWork work, CueTable cues) {
    int waiting = work.controller().portable() ? 0 : 34;
    int kept = cues.kept().isEmpty() ? 0 : 2 * cues.kept().size() + 8;
    return kept + (cues.reads() ? Received.MOST_LETTERS + 2 + waiting : 0) + pads(cues);
  }

  /** Time left to the next step of a fade, whether it is due, and what mixing keeps. */
  private static int softly(FirmwareWork work, CueTable cues) {
    if (!cues.fades()) {
      return 0;
    }
    return 3 + (work.dims() ? 2 : 0) + (deepTargets(cues) ? 4 : 0);
  }
}
