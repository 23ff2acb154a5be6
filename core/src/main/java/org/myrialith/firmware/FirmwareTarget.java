package org.myrialith.firmware;

import java.util.List;
import java.util.Locale;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.frames.ClipLevels;
import org.myrialith.parts.Controller;

/**
 * What firmware can be built for: the board file, the compiler's name of the core and the cycles
 * that the player takes. Apart from the data of the controller.
 *
 * <p>Cycles were read from free-running players on a simulated controller; tests hold them to fresh
 * builds. Sizes are in {@link CodeSizes}.
 */
enum FirmwareTarget {
  /** 8-bit AVR with a multiplier and a 16-bit timer. */
  AVR8_32K(Controller.AVR8_32K, "atmega328p", 4, Cycles.USUAL),
  /** 8-bit AVR without a multiplier, with an 8-bit timer. */
  AVR8_8K(
      Controller.AVR8_8K,
      "attiny85",
      64,
      new Cycles(
          360,
          66,
          150,
          12.7,
          List.of(56.0, 59.0, 60.6, 52.0),
          40,
          20,
          184,
          1100,
          156,
          14,
          Codes.SMALL)),
  /** 8-bit AVR with more flash than a pointer reaches; a call takes longer. */
  AVR8_256K(Controller.AVR8_256K, "atmega2560", 4, Cycles.USUAL),
  /** 32-bit cores: portable C beside what the board's own environment takes. */
  ARM32_SMALL(Controller.ARM32_SMALL, "cortex-m0plus", 1, Cycles.USUAL),
  ARM32_TWO_CORES(Controller.ARM32_TWO_CORES, "cortex-m0plus", 1, Cycles.USUAL),
  RADIO32(Controller.RADIO32, "cortex-m0plus", 1, Cycles.USUAL);

  /** From one look at the timer to the next, and on to the data (s). */
  private static final double LOOK_SECONDS = 10e-6;

  /** Cycles more for each byte of frames that a short pointer does not reach. */
  private static final double FAR_BYTE = 4;

  /** Cycles of choosing it. */
  private static final double CHOOSING = 60;

  /** Cycles of pixels that stay and pixels that follow, and of each of the latter. */
  private static final double CHANGE = 50;

  private static final double CHANGED_PIXEL = 52;

  /** Cycles of a bit that goes to its place. */
  private static final double PLACED_BIT = 57.5;

  /**
   * Cycles of the player between two frames, without sending; at most.
   *
   * @param step once
   * @param clip for each clip that there is
   * @param unpack for each clip that is composed
   * @param rawByte for each byte of a raw frame
   * @param palettePixel for each pixel by palette, of 1, 2, 4 and 8 bits
   * @param run for each run
   * @param runPixel for each pixel of a run
   * @param scaledLevel for each level that the limiter scales
   * @param dimming once when it does
   * @param limitedClip for each clip when there is a limiter
   * @param level for each level that is unpacked where pixels have not just three channels
   * @param codes for frames by a dictionary
   */
  private record Cycles(
      double step,
      double clip,
      double unpack,
      double rawByte,
      List<Double> palettePixel,
      double run,
      double runPixel,
      double scaledLevel,
      double dimming,
      double limitedClip,
      double level,
      Codes codes) {
    /** Those of the 8-bit classes with a multiplier; a 32-bit core takes no more. */
    static final Cycles USUAL =
        new Cycles(
            310,
            66,
            150,
            12.7,
            List.of(56.0, 59.0, 60.6, 52.0),
            40,
            20,
            85,
            850,
            156,
            9,
            Codes.USUAL);
  }

  /**
   * Cycles of frames by a dictionary.
   *
   * @param bit for each bit of codes, {@code code}: for each of them
   * @param pixel for each pixel
   * @param longRule for each rule of more than two bytes
   * @param level for each level where pixels have not just three channels
   */
  private record Codes(double bit, double code, double pixel, double longRule, double level) {
    static final Codes USUAL = new Codes(15.5, 19, 137, 25, 2.5);
    static final Codes SMALL = new Codes(15.5, 19, 178, 25, 2.5);

    double of(Packing.Packed packed, Packing.Frame frame, boolean threes) {
      Dictionary dictionary = packed.dictionary().orElseThrow();
      int codes = dictionary.codes().get(frame);
      int rules = frame.pixels() - codes; // each makes two symbols of one
      return packed.data().get(frame).length * 8 * bit
          + codes * code
          + frame.pixels() * pixel
          + (dictionary.ruleBytes() > 2 ? rules * longRule : 0)
          + (threes ? 0 : frame.pixels() * frame.width() * level);
    }
  }

  private final Controller controller;
  private final String core;
  private final int tickMicros;
  private final Cycles cycles;

  FirmwareTarget(Controller controller, String core, int tickMicros, Cycles cycles) {
    this.controller = controller;
    this.core = core;
    this.tickMicros = tickMicros;
    this.cycles = cycles;
  }

  static FirmwareTarget of(Controller controller) {
    for (FirmwareTarget target : values()) {
      if (target.controller.key().equals(controller.key())) {
        return target;
      }
    }
    throw new IllegalStateException("no target for " + controller);
  }

  /** Returns whether its cores multiply by themselves. */
  boolean multiplies() {
    return this != AVR8_8K;
  }

  /** Returns the compiler's name of the core, an argument of tools only. */
  String core() {
    return core;
  }

  /** Returns the number of the timer that the player takes. */
  String timer() {
    return tickMicros == 4 ? "1" : "0";
  }

  /** Returns the time of one tick of its timer at the clock of a controller (µs). */
  int tickMicros(Controller on) {
    return tickMicros * (controller.clockHz() / on.clockHz());
  }

  /** Returns a bill of player, board file and C start-up, without the tables. */
  CodeBill code(PackedClips packed, boolean limiter, boolean severalClips, FirmwareWork work) {
    CodeBill bill = new CodeBill();
    boolean levels = !work.switches() || work.dims();
    bill.add("player").addIf(!levels, "bits alone").addIf(levels && work.switches(), "bits beside");
    if (levels) {
      packed.packings().forEach(packing -> bill.add(piece(packing)));
      bill.add("another packing", packed.parts().size() - 1);
      packed.byDictionary().ifPresent(p -> ways(packed, work, bill));
      packed.asStreams().ifPresent(p -> streams(new StreamTables(work, packed), p, bill));
    }
    FramesHeader frames = new FramesHeader(work, packed);
    bill.addIf(frames.evenHolds(), "one hold a clip").addIf(frames.shortOffsets(), "short offsets");
    work.drivers().forEach(driver -> driver.code(bill));
    int banks = new FramesHeader(work, packed).bankCount();
    return bill.addIf(banks > 1, "banked frames")
        .add("bank of frames", banks > 1 ? banks : 0)
        .addIf(severalClips, "several clips")
        .addIf(limiter, "limiter")
        .addIf(limiter && work.switches(), "limiter beside bits")
        .addIf(limiter && work.deep() && work.lines().size() > 1, "limiter of two depths");
  }

  private static String piece(Packing packing) {
    return "frames by " + packing.name().toLowerCase(Locale.ROOT);
  }

  /** What streams lie on, and what tells them apart. */
  private static void streams(StreamTables streams, Packing.Packed part, CodeBill bill) {
    FrameStream stream = part.stream().orElseThrow();
    stream.bases().forEach(base -> bill.add("stream on " + piece(base)));
    bill.addIf(part.dictionary().orElseThrow().ruleBytes() > 2, "long rules")
        .addIf(stream.unitBytes() > 1, "stream of pixels")
        .addIf(streams.clips().size() > 1, "several streams");
  }

  private static String piece(FrameStream.Base base) {
    return base.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  /** Longer rules, and another order than that of the wire. */
  private static void ways(PackedClips packed, FirmwareWork work, CodeBill bill) {
    Dictionary dictionary = packed.byDictionary().flatMap(Packing.Packed::dictionary).orElseThrow();
    bill.addIf(dictionary.ruleBytes() > 2, "long rules")
        .addIf(new FramesHeader(work, packed).ordered(), "frames in an order");
  }

  /** Returns the RAM that the board file and the player's counters take (bytes). */
  int counterBytes(boolean limiter) {
    // time left of the show 4, time passed 4, gap left 2, last look at the timer 2 or 1
    return (tickMicros == 64 ? 11 : 12) + (limiter ? 1 : 0);
  }

  /** Returns the RAM in which codes of a dictionary are read (bytes): where, byte, bits left. */
  int codeCounterBytes(boolean banked) {
    return 2 + (banked || controller.portable() ? 4 : 2);
  }

  /**
   * Returns the RAM of what waits of a stream from frame to frame (bytes).
   *
   * @param deepest symbols that wait
   * @param several whether others are read in between
   */
  int streamBytes(int deepest, boolean several, boolean banked) {
    int waiting = 2 * deepest;
    if (!controller.portable()) {
      return waiting + 1 + (several ? 2 + (banked ? 4 : 2) : 0);
    }
    // places of two and four bytes begin at such
    return several ? (4 + 3 + 1 + waiting + 3) / 4 * 4 : 2 + waiting;
  }

  /**
   * Returns the time that all lines take to be sent (s): the bits, and the way into and out of it.
   */
  static double sendSeconds(List<LineDriver> lines, Controller on) {
    return lines.stream()
        .mapToDouble(line -> line.plan().dataSeconds() + seconds(line.sendCycles(), on))
        .sum();
  }

  /** Returns the time until the gap after a frame is seen to be over (s): whole ticks, one more. */
  double gapSeconds(FirmwareWork work) {
    int micros = gapMicros(work.lines());
    int tick = work.clockMicros().orElse(tickMicros(work.controller()));
    return (Math.ceil((double) micros / tick) + 1) * tick * 1e-6 + LOOK_SECONDS;
  }

  /** Returns the longest gap that a line needs (µs). */
  static int gapMicros(List<CircuitPlan> lines) {
    return (int)
        Math.ceil(
            lines.stream().mapToDouble(CircuitPlan::latchSeconds).max().orElse(0) * 1e6 - 1e-9);
  }

  /**
   * Returns the cycles of composing a frame of a clip.
   *
   * @param threes whether all pixels have three channels
   * @param banked whether frames lie beyond what a short pointer reaches
   */
  double unpackCycles(Packing.Packed packed, Packing.Frame frame, boolean threes, boolean banked) {
    int pixels = frame.pixels();
    int dataBytes = packed.data().get(frame).length;
    if (frame.bits()) {
      return cycles.unpack + (banked ? dataBytes * FAR_BYTE : 0) + pixels * PLACED_BIT;
    }
    double loops = threes ? 0 : (double) pixels * frame.width() * cycles.level;
    return cycles.unpack
        + loops
        + (banked ? dataBytes * FAR_BYTE : 0)
        + switch (packed.packing()) {
          case RAW -> dataBytes * cycles.rawByte;
          case PALETTE ->
              pixels * cycles.palettePixel.get(Integer.numberOfTrailingZeros(packed.indexBits()));
          case RUNS -> dataBytes / (1 + frame.width()) * cycles.run + pixels * cycles.runPixel;
          case DICTIONARY -> cycles.codes.of(packed, frame, threes);
          case STREAM -> throw new IllegalStateException("frames of a stream follow each other");
          case CHANGES -> {
            int changes = Packing.changes(packed.data().get(frame));
            yield changes * CHANGE + (dataBytes - 2 * changes) * CHANGED_PIXEL;
          }
        };
  }

  /** Returns the cycles of composing each frame of a clip that is a stream. */
  double[] streamCycles(PackedClips packed, ClipLevels clip, boolean banked) {
    Packing.Packed part = packed.of().get(clip);
    Packing.Frame row = packed.frames(clip).findFirst().orElseThrow();
    FrameStream stream = part.stream().orElseThrow();
    StreamCycles each = multiplies() ? StreamCycles.USUAL : StreamCycles.SMALL;
    boolean longRules = part.dictionary().orElseThrow().ruleBytes() > 2;
    double[] all = new double[stream.works(row).size()];
    for (int f = 0; f < all.length; f++) {
      FrameStream.Work work = stream.works(row).get(f);
      FrameStream.Base base = f == 0 ? FrameStream.Base.DARK : stream.on().get(row);
      all[f] =
          cycles.unpack
              + each.of(stream, work, base, longRules)
              + (banked ? work.bits() / 8.0 * FAR_BYTE : 0);
    }
    return all;
  }

  /** Returns the cycles of choosing among several ways to unpack a frame. */
  double choosingCycles() {
    return CHOOSING;
  }

  /** Returns the cycles of a step that do not depend on what is composed. */
  double stepCycles(int clips, boolean limiter) {
    return cycles.step + clips * (cycles.clip + (limiter ? cycles.limitedClip : 0));
  }

  /** Returns the time of composing a frame of all that a circuit has, from a raw picture (s). */
  double composeSeconds(CircuitPlan plan) {
    int channels = plan.channels();
    boolean threes = plan.stretches().stream().allMatch(s -> s.channelsPerUnit() == 3);
    double each =
        plan.dims()
            ? (plan.levelBits() > 8 ? 2 : 1) * (cycles.rawByte + (threes ? 0 : cycles.level))
            : PLACED_BIT;
    return seconds(
        stepCycles(1, false) + cycles.unpack + channels * each, plan.brief().controller());
  }

  /** Returns the cycles of scaling all levels. */
  double scaleCycles(int levels) {
    return cycles.dimming + levels * cycles.scaledLevel;
  }

  /** Returns the time of cycles of a controller (s). */
  static double seconds(double cycles, Controller on) {
    return cycles / on.clockHz();
  }
}
