package org.myrialith.firmware;

import org.myrialith.frames.ClipLevels;

/** Cycles of effects that the controller works out. */
final class EffectTime {
  private EffectTime() {}

  /** Returns the cycles of a frame of a program, at most. */
  static double cycles(FirmwareTarget target, ClipLevels program) {
    return 1000;
  }
}
