package org.myrialith.effects;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Pose;

/**
 * Where the cells of a fixture's picture light.
 *
 * @param columns of the picture
 * @param rows of the picture
 * @param places of the cells row by row; null where nothing lights
 * @param count of all that light in their order
 * @param width extents in the parts of the places
 */
public record Places(
    int columns, int rows, List<Place> places, int count, int width, int height, int depth) {
  /** Parts of the longest side. */
  public static final int SIDE = 1023;

  /** Returns those of a fixture. */
  public static Places of(Fixture fixture, List<Emitter> emitters) {
    return of(fixture, emitters, emitters);
  }

  /**
   * Returns those of a fixture among all that something is spread over: extents and order are of
   * them all, and what is not among them does not light.
   *
   * @param emitters of the fixture
   * @param all in their order
   */
  public static Places of(Fixture fixture, List<Emitter> emitters, List<Emitter> all) {
    int columns = fixture.seenColumns();
    Place[] cells = new Place[columns * fixture.seenRows()];
    Box box = Box.of(all);
    Map<Emitter, Integer> order = new HashMap<>();
    all.forEach(emitter -> order.putIfAbsent(emitter, order.size()));
    for (Emitter emitter : emitters) {
      int cell = emitter.position().row() * columns + emitter.position().column();
      if (cells[cell] == null && !emitter.dark() && order.containsKey(emitter)) {
        cells[cell] = box.place(emitter, order.get(emitter));
      }
    }
    return new Places(
        columns,
        fixture.seenRows(),
        new ArrayList<>(Arrays.asList(cells)),
        all.size(),
        box.parts(box.right - box.left),
        box.parts(box.bottom - box.top),
        box.parts(box.near - box.far));
  }

  /** Extents (mm). */
  private record Box(
      double left, double right, double top, double bottom, double far, double near) {
    static Box of(List<Emitter> emitters) {
      double[] most = {
        Double.MAX_VALUE,
        -Double.MAX_VALUE,
        Double.MAX_VALUE,
        -Double.MAX_VALUE,
        Double.MAX_VALUE,
        -Double.MAX_VALUE
      };
      for (Emitter emitter : emitters) {
        Pose pose = emitter.pose();
        double[] at = {pose.xMm(), pose.yMm(), pose.zMm()};
        for (int axis = 0; axis < at.length; axis++) {
          most[2 * axis] = Math.min(most[2 * axis], at[axis]);
          most[2 * axis + 1] = Math.max(most[2 * axis + 1], at[axis]);
        }
      }
      return new Box(most[0], most[1], most[2], most[3], most[4], most[5]);
    }

    int parts(double mm) {
      double longest = Math.max(Math.max(right - left, bottom - top), near - far);
      return longest <= 0 ? 0 : (int) Math.round(mm / longest * SIDE);
    }

    Place place(Emitter emitter, int index) {
      Pose pose = emitter.pose();
      return new Place(
          index, parts(pose.xMm() - left), parts(pose.yMm() - top), parts(pose.zMm() - far));
    }
  }
}
