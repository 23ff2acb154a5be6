package org.myrialith.web.frames;

import java.util.List;
import java.util.function.IntUnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.layout.Pose;

/** Places of lights as the easel reads them. */
final class PlacesText {
  private PlacesText() {}

  /**
   * Returns a number, x, y downwards and z towards the viewer of each, in tenths of a millimetre;
   * empty for what is flat.
   *
   * @param numberOf the number of each of them
   */
  static String inSpace(List<Pose> poses, IntUnaryOperator numberOf) {
    if (poses.stream().mapToLong(pose -> tenths(pose.zMm())).distinct().count() < 2) {
      return "";
    }
    return IntStream.range(0, poses.size())
        .mapToObj(
            i ->
                Stream.of(
                        numberOf.applyAsInt(i),
                        tenths(poses.get(i).xMm()),
                        tenths(poses.get(i).yMm()),
                        tenths(poses.get(i).zMm()))
                    .map(String::valueOf)
                    .collect(Collectors.joining(",")))
        .collect(Collectors.joining(" "));
  }

  private static long tenths(double mm) {
    return Math.round(10 * mm);
  }
}
