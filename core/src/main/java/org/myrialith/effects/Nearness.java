package org.myrialith.effects;

/** How near two places are. */
final class Nearness {
  private Nearness() {}

  /** Returns 255 at one place, less farther off, 0 from the reach on. */
  static int of(int dx, int dy, int dz, int reach) {
    if (Math.abs(dx) >= reach || Math.abs(dy) >= reach || Math.abs(dz) >= reach) {
      return 0;
    }
    int away = Waves.root(dx * dx + dy * dy + dz * dz);
    return away >= reach ? 0 : Waves.FULL - away * Waves.FULL / reach;
  }
}
