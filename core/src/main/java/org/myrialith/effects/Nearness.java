package org.myrialith.effects;

/** How near two places are. */
final class Nearness {
  private Nearness() {}

  /** Returns 255 at one place, less by the square of the way, 0 from the reach on. */
  static int of(int dx, int dy, int dz, int reach) {
    int square = dx * dx + dy * dy + dz * dz;
    int most = reach * reach;
    return square >= most ? 0 : Waves.FULL - square * Waves.FULL / most;
  }
}
