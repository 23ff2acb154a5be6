package org.myrialith.web.frames;

import java.util.List;
import java.util.function.IntFunction;
import java.util.function.IntToDoubleFunction;
import java.util.function.IntUnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
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
    return joined(
        poses.size(),
        i ->
            LongStream.of(
                numberOf.applyAsInt(i),
                tenths(poses.get(i).xMm()),
                tenths(poses.get(i).yMm()),
                tenths(poses.get(i).zMm())));
  }

  /** Returns a number, x and y downwards of each, in tenths of a millimetre. */
  static String flat(
      int count, IntUnaryOperator numberOf, IntToDoubleFunction xMm, IntToDoubleFunction yMm) {
    return joined(
        count,
        i ->
            LongStream.of(
                numberOf.applyAsInt(i),
                tenths(xMm.applyAsDouble(i)),
                tenths(yMm.applyAsDouble(i))));
  }

  private static String joined(int count, IntFunction<LongStream> numbers) {
    return IntStream.range(0, count)
        .mapToObj(i -> numbers.apply(i).mapToObj(String::valueOf).collect(Collectors.joining(",")))
        .collect(Collectors.joining(" "));
  }

  private static long tenths(double mm) {
    return Math.round(10 * mm);
  }
}
