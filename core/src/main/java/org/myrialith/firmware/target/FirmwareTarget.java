package org.myrialith.firmware.target;

import java.util.List;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.parts.Controller;

/**
 * What firmware can be built for: the board file, the compiler's name of the core and what the
 * player takes of it. Apart from the data of the controller.
 */
public enum FirmwareTarget {
  /** 8-bit AVR with a multiplier and a 16-bit timer. */
  AVR8_32K(Controller.AVR8_32K, "atmega328p", 4, PlayerCycles.USUAL, 1183),
  /** 8-bit AVR without a multiplier, with an 8-bit timer. */
  AVR8_8K(Controller.AVR8_8K, "attiny85", 64, PlayerCycles.SMALL, 1094),
  /** 8-bit AVR with more flash than a pointer reaches; a call takes longer. */
  AVR8_256K(Controller.AVR8_256K, "atmega2560", 4, PlayerCycles.FAR, 1199),
  /** 32-bit cores: portable C beside what the board's own environment takes. */
  ARM32_SMALL(Controller.ARM32_SMALL, "Serial1"),
  ARM32_TWO_CORES(Controller.ARM32_TWO_CORES, "Serial1"),
  RADIO32(Controller.RADIO32, "Serial2");

  /** Cycles of a bit that goes to its place. */
  public static final double PLACED_BIT = 57.5;

  private final Controller controller;
  private final String core;
  private final int tickMicros;
  private final PlayerCycles cycles;
  private final int effectBytes;
  private final String port;

  FirmwareTarget(
      Controller controller, String core, int tickMicros, PlayerCycles cycles, int effectBytes) {
    this(controller, core, tickMicros, cycles, effectBytes, "");
  }

  /** A 32-bit class: portable C, sizes and cycles of the smallest core that it is built for. */
  FirmwareTarget(Controller controller, String port) {
    this(controller, "cortex-m0plus", 1, PlayerCycles.USUAL, 593, port);
  }

  FirmwareTarget(
      Controller controller,
      String core,
      int tickMicros,
      PlayerCycles cycles,
      int effectBytes,
      String port) {
    this.controller = controller;
    this.core = core;
    this.tickMicros = tickMicros;
    this.cycles = cycles;
    this.effectBytes = effectBytes;
    this.port = port;
  }

  public static FirmwareTarget of(Controller controller) {
    for (FirmwareTarget target : values()) {
      if (target.controller.key().equals(controller.key())) {
        return target;
      }
    }
    throw new IllegalStateException("no target for " + controller);
  }

  /** Returns whether it is driven by portable C. */
  public boolean portable() {
    return controller.portable();
  }

  /** Returns what the player takes of it. */
  public PlayerCycles cycles() {
    return cycles;
  }

  /** Returns the compiler's name of the core, an argument of tools only. */
  public String core() {
    return core;
  }

  /** Returns the flash of what computes effects, without any of them (bytes). */
  public int effectBytes() {
    return effectBytes;
  }

  /** Returns what the board's environment calls the first port that is not that of the cable. */
  public String port() {
    return port;
  }

  /** Returns whether its clock of the player is a timer of 8 bits. */
  public boolean smallTimer() {
    return tickMicros == 64;
  }

  /** Returns the number of the timer that the player takes. */
  public String timer() {
    return tickMicros == 4 ? "1" : "0";
  }

  /** Returns the time of one tick of its timer at the clock of a controller (µs). */
  public int tickMicros(Controller on) {
    return tickMicros * (controller.clockHz() / on.clockHz());
  }

  /** Returns the RAM that the board file and the player's counters take (bytes). */
  public int counterBytes(boolean limiter) {
    // time left of the show 4, time passed 4, gap left 2, last look at the timer 2 or 1
    return (smallTimer() ? 11 : 12) + (limiter ? 1 : 0);
  }

  /** Returns the RAM in which codes of a dictionary are read (bytes): where, byte, bits left. */
  public int codeCounterBytes(boolean banked) {
    return 2 + (banked || controller.portable() ? 4 : 2);
  }

  /**
   * Returns the RAM of what waits of a stream from frame to frame (bytes).
   *
   * @param deepest symbols that wait
   * @param several whether others are read in between
   */
  public int streamBytes(int deepest, boolean several, boolean banked) {
    int waiting = 2 * deepest;
    if (!controller.portable()) {
      return waiting + 1 + (several ? 2 + (banked ? 4 : 2) : 0);
    }
    // places of two and four bytes begin at such
    return several ? (4 + 3 + 1 + waiting + 3) / 4 * 4 : 2 + waiting;
  }

  /** Returns the longest gap that a line needs (µs). */
  public static int gapMicros(List<CircuitPlan> lines) {
    return (int)
        Math.ceil(
            lines.stream().mapToDouble(CircuitPlan::latchSeconds).max().orElse(0) * 1e6 - 1e-9);
  }

  /** Returns the cycles of a step that do not depend on what is composed. */
  public double stepCycles(int clips, boolean limiter) {
    return cycles.step() + clips * (cycles.clip() + (limiter ? cycles.limitedClip() : 0));
  }

  /** Returns the time of composing a frame of all that a circuit has, from a raw picture (s). */
  public double composeSeconds(CircuitPlan plan) {
    int channels = plan.channels();
    boolean threes = plan.stretches().stream().allMatch(s -> s.channelsPerUnit() == 3);
    double each =
        plan.dims()
            ? (plan.levelBits() > 8 ? 2 : 1) * (cycles.rawByte() + (threes ? 0 : cycles.level()))
            : PLACED_BIT;
    return seconds(
        stepCycles(1, false) + cycles.unpack() + channels * each, plan.brief().controller());
  }

  /** Returns the cycles of scaling all levels. */
  public double scaleCycles(int levels) {
    return cycles.dimming() + levels * cycles.scaledLevel();
  }

  /** Returns the time of cycles of a controller (s). */
  public static double seconds(double cycles, Controller on) {
    return cycles / on.clockHz();
  }
}
