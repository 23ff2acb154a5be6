package org.myrialith.firmware.pack;

/**
 * Cycles of putting the next frame of a stream together, at most, read from free-running players on
 * simulated 8-bit controllers; a 32-bit core takes no more.
 *
 * @param frame of each frame
 * @param bit of each bit of codes, {@code code}: of each of them
 * @param rule of each rule that is followed, {@code longRule}: more of one beyond two bytes
 * @param unit of what a symbol stands for, {@code level}: of each byte of it
 * @param dark of each byte that is made dark first, {@code moved}: that moves first
 */
record StreamCycles(
    double frame,
    double bit,
    double code,
    double rule,
    double longRule,
    double unit,
    double level,
    double dark,
    double moved) {
  /** Those of the 8-bit classes with a multiplier. */
  static final StreamCycles USUAL = new StreamCycles(330, 21, 17, 9, 18, 51, 24, 6.4, 7);

  static final StreamCycles SMALL = new StreamCycles(700, 16, 79, 70, 18, 13, 37.5, 9.7, 9.4);

  /** Returns the cycles of a frame. */
  double of(FrameStream stream, FrameStream.Work work, FrameStream.Base base, boolean longRules) {
    double bytes = (double) work.units() * stream.unitBytes();
    return frame
        + work.bits() * bit
        + work.codes() * code
        + work.rules() * (rule + (longRules ? longRule : 0))
        + work.units() * unit
        + bytes * level
        + switch (base) {
          case DARK -> bytes * dark;
          case BEFORE -> 0;
          case MOVED_ON, MOVED_BACK -> bytes * moved;
        };
  }
}
