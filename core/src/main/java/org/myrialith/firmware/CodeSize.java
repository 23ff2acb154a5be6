package org.myrialith.firmware;

import org.myrialith.parts.Controller;

/**
 * Flash that player, board file and C start-up take, without the tables.
 *
 * <p>Read once from the size tool on builds of this player (GCC 5.4 for 8-bit AVR, -Os); a test
 * holds the estimate to a fresh build within 5 %. The compiler's own choices move it by some tens
 * of bytes.
 */
final class CodeSize {
  private static final int SECOND_CLIP = 118;
  private static final int LIMITER = 165;

  /** Shorter vectors and calls of the class with 8 KB. */
  private static final int SMALL_CORE_SAVES = 38;

  private CodeSize() {}

  static int bytes(Controller controller, Packing packing, boolean limiter, boolean severalClips) {
    int player =
        switch (packing) {
          case RAW -> 945;
          case PALETTE -> 1045;
          case RUNS -> 992;
        };
    return player
        + (severalClips ? SECOND_CLIP : 0)
        + (limiter ? LIMITER : 0)
        - (controller == Controller.AVR8_8K ? SMALL_CORE_SAVES : 0);
  }
}
