package org.myrialith.firmware.engine;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import org.myrialith.cue.Firing;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.InputState;
import org.myrialith.cue.table.Value;
import org.myrialith.firmware.pack.Dictionary;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.pack.Packing;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.firmware.player.FramesHeader;
import org.myrialith.firmware.target.CodeBill;

/** What the engine of cues is made of, by what it has to do; its sizes are in {@code CodeSizes}. */
public final class EngineSize {
  private EngineSize() {}

  /** What takes flash of its own: bytes of an 8-bit core, of a 32-bit core. */
  private enum Piece {
    /** Pixels of other numbers of channels. */
    APART,
    /** All is only on or off. */
    BITS,
    /** Some is. */
    BOTH,
    LIMITER,
    /** The limiter on several lines. */
    LIMITED_LINES,
    /** The limiter of levels of two bytes. */
    DEEP_LIMITER,
    FADES,
    /** Levels laid over others. */
    MIXING,
    /** Levels of two bytes. */
    DEEP_MIXING,
    SENSES,
    EACH_SENSE,
    ANALOGUE,
    ROTARY,
    TOUCH,
    /** A chain of parallel-in registers. */
    CHAIN,
    /** A contact of a grid. */
    CROSSING,
    CHANCE,
    EVERY,
    VALUES,
    CLOCK,
    CLOCK_CHIP,
    KEPT,
    /** Lines of text. */
    TEXT,
    /** Those that are waited for. */
    MESSAGES,
    /** Those that set values. */
    TOLD,
    READOUTS,
    /** Where some is only on or off and some not. */
    READOUT_BITS,
    /** Hours of half a day. */
    TWELVES,
    /** What is added to values before they are shown. */
    OFFSETS,
    /** Dark pixels that show what lies beneath. */
    SEE_THROUGH,
    /** Frames by a dictionary. */
    CODES,
    /** And those laid over others. */
    CODES_MIXED,
    /** Rules of more than two bytes. */
    LONG_RULES,
    /** Another order than that of the wire. */
    ORDERED,
    /** A second way to unpack frames, and choosing. */
    ANOTHER_WAY,
    /** And that of those laid over others. */
    ANOTHER_WAY_MIXED;

    /** Returns the name under which its size is in the table. */
    String piece() {
      return "cues: " + name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
  }

  /** Returns a bill of all code. */
  public static CodeBill code(FirmwareWork work, PackedClips packed) {
    FramesHeader frames = new FramesHeader(work, packed);
    int banks = frames.bankCount();
    CodeBill bill = new CodeBill().add("cues");
    work.drivers().forEach(driver -> driver.code(bill));
    List<Piece> pieces = new ArrayList<>();
    painting(work, pieces);
    packed
        .byDictionary()
        .flatMap(Packing.Packed::dictionary)
        .ifPresent(d -> unpacking(work, d, frames.ordered(), pieces));
    add(pieces, packed.several(), Piece.ANOTHER_WAY);
    add(pieces, packed.several() && work.cues().orElseThrow().fades(), Piece.ANOTHER_WAY_MIXED);
    asking(work.cues().orElseThrow(), pieces);
    pieces.forEach(piece -> bill.add(piece.piece()));
    return bill.addIf(banks > 1, "banked frames").add("bank of frames", banks > 1 ? banks : 0);
  }

  private static void add(List<Piece> pieces, boolean there, Piece piece) {
    if (there) {
      pieces.add(piece);
    }
  }

  private static void painting(FirmwareWork work, List<Piece> pieces) {
    CueTable cues = work.cues().orElseThrow();
    boolean mixed = work.switches() && work.dims();
    boolean limited = work.sent().limiter().isPresent();
    add(pieces, work.dims() && !work.alike(), Piece.APART);
    add(pieces, mixed, Piece.BOTH);
    add(pieces, work.switches() && !mixed, Piece.BITS);
    add(pieces, limited, Piece.LIMITER);
    add(pieces, limited && work.lines().size() > 1, Piece.LIMITED_LINES);
    add(pieces, limited && work.deep(), Piece.DEEP_LIMITER);
    add(pieces, cues.fades(), Piece.FADES);
    add(pieces, cues.fades() && work.dims(), Piece.MIXING);
    add(pieces, cues.fades() && EngineMemory.deepTargets(cues), Piece.DEEP_MIXING);
    add(pieces, !cues.readouts().isEmpty(), Piece.READOUTS);
    add(pieces, !cues.readouts().isEmpty() && mixed, Piece.READOUT_BITS);
    add(pieces, ReadoutTables.twelves(cues), Piece.TWELVES);
    add(pieces, ReadoutTables.offsets(cues), Piece.OFFSETS);
    add(pieces, CuesHeader.seesThrough(cues), Piece.SEE_THROUGH);
  }

  private static void unpacking(
      FirmwareWork work, Dictionary dictionary, boolean ordered, List<Piece> pieces) {
    boolean mixed = work.cues().orElseThrow().fades();
    add(pieces, true, Piece.CODES);
    add(pieces, mixed, Piece.CODES_MIXED);
    add(pieces, dictionary.ruleBytes() > 2, Piece.LONG_RULES);
    add(pieces, ordered, Piece.ORDERED);
    add(pieces, ordered && mixed, Piece.ORDERED); // it is unpacked in two ways
  }

  private static void asking(CueTable cues, List<Piece> pieces) {
    add(pieces, !cues.senses().isEmpty(), Piece.SENSES);
    pieces.addAll(Collections.nCopies(cues.senses().size(), Piece.EACH_SENSE));
    add(pieces, has(cues, InputState.Sort.ANALOGUE), Piece.ANALOGUE);
    add(pieces, has(cues, InputState.Sort.ROTARY), Piece.ROTARY);
    add(pieces, EngineMemory.pads(cues) > 0, Piece.TOUCH);
    pieces.addAll(Collections.nCopies(EngineMemory.chains(cues).size(), Piece.CHAIN));
    pieces.addAll(Collections.nCopies(EngineMemory.crossings(cues), Piece.CROSSING));
    add(pieces, cues.chance(), Piece.CHANCE);
    add(pieces, cues.rows().stream().anyMatch(r -> r.kind() == Firing.By.EVERY), Piece.EVERY);
    add(pieces, !cues.values().isEmpty(), Piece.VALUES);
    add(pieces, cues.clock() >= 0, Piece.CLOCK);
    add(pieces, !cues.chip().isEmpty(), Piece.CLOCK_CHIP);
    add(pieces, !cues.kept().isEmpty(), Piece.KEPT);
    add(pieces, cues.reads(), Piece.TEXT);
    add(pieces, cues.reads() && !cues.messages().isEmpty(), Piece.MESSAGES);
    add(pieces, cues.values().stream().anyMatch(Value::told), Piece.TOLD);
  }

  private static boolean has(CueTable cues, InputState.Sort sort) {
    return cues.senses().stream().anyMatch(sense -> sense.sort() == sort);
  }
}
