package org.myrialith.firmware.target;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;

/**
 * Cycles of the player between two frames, without sending; at most. Read from free-running players
 * on a simulated controller; tests hold them to fresh builds.
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
 * @param codedPixel for each pixel by a dictionary
 * @param multiplies whether the core multiplies by itself
 * @param calls of effects, against those of a core whose calls are short
 */
@RecordBuilder
public record PlayerCycles(
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
    double codedPixel,
    boolean multiplies,
    double calls) {
  /** More of each call of a core with more flash than a pointer reaches. */
  private static final double FAR_CALLS = 1.035;

  /** Those of the 8-bit classes with a multiplier; a 32-bit core takes no more. */
  static final PlayerCycles USUAL =
      new PlayerCycles(
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
          137,
          true,
          1);

  /** Those of the class without one. */
  static final PlayerCycles SMALL =
      PlayerCyclesBuilder.builder(USUAL)
          .step(360)
          .scaledLevel(184)
          .dimming(1100)
          .level(14)
          .codedPixel(178)
          .multiplies(false)
          .build();

  /** Those of the class whose calls are longer. */
  static final PlayerCycles FAR = PlayerCyclesBuilder.builder(USUAL).calls(FAR_CALLS).build();
}
