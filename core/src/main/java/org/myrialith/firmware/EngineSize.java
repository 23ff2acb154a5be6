package org.myrialith.firmware;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.myrialith.parts.Controller;
import org.myrialith.play.CueTable;
import org.myrialith.play.Row;
import org.myrialith.play.Sense;
import org.myrialith.play.Value;

/**
 * Flash of the engine of cues, by what it has to do: read from the size tool on hundreds of builds
 * with cues by chance (GCC 5.4 for 8-bit AVR, GCC 12 for a small 32-bit core, -Os).
 */
final class EngineSize {
  /** Flash that the way to frames in several arrays takes, and each of them (bytes). */
  private static final int BANKED = 80;

  private static final int BANK = 14;

  private EngineSize() {}

  /** What takes flash of its own: bytes of an 8-bit core, of a 32-bit core. */
  private enum Piece {
    /** Pixels of other numbers of channels. */
    APART(84, 95),
    /** All is only on or off. */
    BITS(103, 98),
    /** Some is. */
    BOTH(400, 257),
    LIMITER(420, 98),
    /** The limiter on several lines. */
    LIMITED_LINES(132, 265),
    /** The limiter of levels of two bytes. */
    DEEP_LIMITER(57, 123),
    FADES(1150, 590),
    /** Levels laid over others. */
    MIXING(179, 100),
    /** Levels of two bytes. */
    DEEP_MIXING(97, 89),
    SENSES(643, 483),
    EACH_SENSE(14, 14),
    ANALOGUE(255, 181),
    ROTARY(284, 226),
    TOUCH(72, 72),
    /** A chain of parallel-in registers. */
    CHAIN(110, 110),
    /** A contact of a grid. */
    CROSSING(24, 24),
    CHANCE(296, 58),
    EVERY(252, 114),
    VALUES(1150, 690),
    CLOCK(529, 420),
    CLOCK_CHIP(900, 720),
    KEPT(630, 500),
    /** Lines of text. */
    TEXT(417, 203),
    /** Those that are waited for. */
    MESSAGES(22, 25),
    /** Those that set values. */
    TOLD(196, 180),
    READOUTS(1135, 902),
    /** Where some is only on or off and some not. */
    READOUT_BITS(194, 231),
    /** Hours of half a day. */
    TWELVES(45, 30),
    /** Frames by a dictionary. */
    CODES(190, 130),
    /** And those laid over others. */
    CODES_MIXED(120, 90),
    /** Rules of more than two bytes. */
    LONG_RULES(40, 30),
    /** Another order than that of the wire. */
    ORDERED(60, 70),
    /** A second way to unpack frames, and choosing. */
    ANOTHER_WAY(100, 80),
    /** And that of those laid over others. */
    ANOTHER_WAY_MIXED(130, 100);

    private final int small;
    private final int large;

    Piece(int small, int large) {
      this.small = small;
      this.large = large;
    }
  }

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
  static int codeBytes(FirmwareWork work, PackedClips packed) {
    FramesHeader frames = new FramesHeader(work, packed);
    int banks = frames.bankCount();
    int lines = work.drivers().stream().mapToInt(LineDriver::codeBytes).sum();
    List<Piece> pieces = new ArrayList<>();
    painting(work, pieces);
    packed
        .byDictionary()
        .flatMap(Packing.Packed::dictionary)
        .ifPresent(d -> unpacking(work, d, frames.ordered(), pieces));
    add(pieces, packed.several(), Piece.ANOTHER_WAY);
    add(pieces, packed.several() && work.cues().orElseThrow().fades(), Piece.ANOTHER_WAY_MIXED);
    asking(work.cues().orElseThrow(), pieces);
    boolean portable = work.controller().portable();
    return bare(work.controller())
        + lines
        + (banks > 1 ? BANKED + banks * BANK : 0)
        + pieces.stream().mapToInt(piece -> portable ? piece.large : piece.small).sum();
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
    add(pieces, has(cues, Sense.Sort.ANALOGUE), Piece.ANALOGUE);
    add(pieces, has(cues, Sense.Sort.ROTARY), Piece.ROTARY);
    add(pieces, EngineMemory.pads(cues) > 0, Piece.TOUCH);
    pieces.addAll(Collections.nCopies(EngineMemory.chains(cues).size(), Piece.CHAIN));
    pieces.addAll(Collections.nCopies(EngineMemory.crossings(cues), Piece.CROSSING));
    add(pieces, cues.chance(), Piece.CHANCE);
    add(pieces, cues.rows().stream().anyMatch(r -> r.kind() == Row.Kind.EVERY), Piece.EVERY);
    add(pieces, !cues.values().isEmpty(), Piece.VALUES);
    add(pieces, cues.clock() >= 0, Piece.CLOCK);
    add(pieces, !cues.chip().isEmpty(), Piece.CLOCK_CHIP);
    add(pieces, !cues.kept().isEmpty(), Piece.KEPT);
    add(pieces, cues.reads(), Piece.TEXT);
    add(pieces, cues.reads() && !cues.messages().isEmpty(), Piece.MESSAGES);
    add(pieces, cues.values().stream().anyMatch(Value::told), Piece.TOLD);
  }

  private static boolean has(CueTable cues, Sense.Sort sort) {
    return cues.senses().stream().anyMatch(sense -> sense.sort() == sort);
  }
}
