package org.myrialith.firmware;

import java.util.List;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.parts.Controller;

/**
 * What firmware can be built for: the board file, the compiler's name of the core, the size of the
 * code and the cycles that the player takes. Apart from the data of the controller.
 *
 * <p>Sizes were read from the size tool on builds of this player (GCC 5.4 for 8-bit AVR, -Os),
 * cycles from free-running players on a simulated controller; tests hold both to fresh builds.
 */
enum FirmwareTarget {
  /** 8-bit AVR with a multiplier and a 16-bit timer. */
  AVR8_32K(
      Controller.AVR8_32K,
      "atmega328p",
      4,
      new Size(1018, 1070, 1052, 167, 460, 110),
      new Cycles(310, 66, 150, 12.7, List.of(56.0, 59.0, 60.6, 52.0), 40, 20, 85, 850, 156, 70)),
  /** 8-bit AVR without a multiplier, with an 8-bit timer. */
  AVR8_8K(
      Controller.AVR8_8K,
      "attiny85",
      64,
      new Size(928, 982, 1000, 166, 446, 110),
      new Cycles(360, 66, 150, 12.7, List.of(56.0, 59.0, 60.6, 52.0), 40, 20, 184, 1100, 156, 70));

  /** From one look at the timer to the next, and on to the data (s). */
  private static final double LOOK_SECONDS = 10e-6;

  private static final double CYCLE_SECONDS = 1.0 / Controller.CLOCK_HZ;

  /**
   * Flash of the program (bytes).
   *
   * @param raw with raw frames
   * @param palette with frames by palette
   * @param runs with frames by run lengths
   * @param severalClips more for more than one clip
   * @param limiter more for the limiter
   * @param line more for each further line
   */
  private record Size(int raw, int palette, int runs, int severalClips, int limiter, int line) {}

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
   * @param sendLine for each line that is sent, beside its bits
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
      double sendLine) {}

  private final Controller controller;
  private final String core;
  private final int tickMicros;
  private final Size size;
  private final Cycles cycles;

  FirmwareTarget(Controller controller, String core, int tickMicros, Size size, Cycles cycles) {
    this.controller = controller;
    this.core = core;
    this.tickMicros = tickMicros;
    this.size = size;
    this.cycles = cycles;
  }

  static FirmwareTarget of(Controller controller) {
    for (FirmwareTarget target : values()) {
      if (target.controller == controller) {
        return target;
      }
    }
    throw new IllegalStateException("no target for " + controller);
  }

  /** Returns the compiler's name of the core, an argument of tools only. */
  String core() {
    return core;
  }

  /** Returns the time of one tick of its timer (µs). */
  int tickMicros() {
    return tickMicros;
  }

  /** Returns the flash that player, board file and C start-up take, without the tables. */
  int codeBytes(Packing packing, boolean limiter, boolean severalClips, int lines) {
    int player =
        switch (packing) {
          case RAW -> size.raw;
          case PALETTE -> size.palette;
          case RUNS -> size.runs;
        };
    return player
        + (severalClips ? size.severalClips : 0)
        + (limiter ? size.limiter : 0)
        + (lines - 1) * size.line;
  }

  /** Returns the RAM that the board file and the player's counters take (bytes). */
  int counterBytes(boolean limiter) {
    // time left of the show 4, time passed 4, gap left 2, last look at the timer 2 or 1
    return (tickMicros == 4 ? 12 : 11) + (limiter ? 1 : 0);
  }

  /**
   * Returns the time that all lines take to be sent (s): the bits, and the way into and out of it.
   */
  double sendSeconds(List<CircuitPlan> lines) {
    double data = lines.stream().mapToDouble(CircuitPlan::dataSeconds).sum();
    return data + lines.size() * cycles.sendLine * CYCLE_SECONDS;
  }

  /** Returns the time until the gap after a frame is seen to be over (s): whole ticks, one more. */
  double gapSeconds(List<CircuitPlan> lines) {
    int micros = gapMicros(lines);
    return (Math.ceil((double) micros / tickMicros) + 1) * tickMicros * 1e-6 + LOOK_SECONDS;
  }

  /** Returns the longest gap that a line needs (µs). */
  static int gapMicros(List<CircuitPlan> lines) {
    return lines.stream()
        .mapToInt(p -> ((OneWirePixels) p.circuit()).latchGapMicros())
        .max()
        .orElse(0);
  }

  /**
   * Returns the cycles of composing a frame of a clip.
   *
   * @param indexBits of a pixel by palette
   */
  double unpackCycles(Packing packing, int indexBits, int pixels, int dataBytes) {
    return cycles.unpack
        + switch (packing) {
          case RAW -> dataBytes * cycles.rawByte;
          case PALETTE ->
              pixels * cycles.palettePixel.get(Integer.numberOfTrailingZeros(indexBits));
          case RUNS -> dataBytes / 4 * cycles.run + pixels * cycles.runPixel;
        };
  }

  /** Returns the cycles of a step that do not depend on what is composed. */
  double stepCycles(int clips, boolean limiter) {
    return cycles.step + clips * (cycles.clip + (limiter ? cycles.limitedClip : 0));
  }

  /** Returns the cycles of scaling all levels. */
  double scaleCycles(int levels) {
    return cycles.dimming + levels * cycles.scaledLevel;
  }

  static double seconds(double cycles) {
    return cycles * CYCLE_SECONDS;
  }
}
