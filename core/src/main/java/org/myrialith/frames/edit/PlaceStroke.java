package org.myrialith.frames.edit;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import org.myrialith.finding.InputException;

/**
 * One act on lights by where they are, as {@link Stroke} is one on the cells of a picture. What a
 * brush reaches, and who are neighbours, follows from how near the nearest light of each is.
 *
 * @param tool all but to move
 * @param places at least one, by their numbers; of what has a beginning and an end the first and
 *     the last count
 * @param colour 0xRRGGBB
 * @param size of the brush (1 to 9 lights wide)
 * @param mirror what is painted on the other side of the middle as well
 */
public record PlaceStroke(
    Stroke.Tool tool, List<Integer> places, int colour, int size, Stroke.Mirror mirror) {
  /** Neighbours are nearer than so many times the nearest: not those across a square. */
  private static final double NEIGHBOURS = 1.39;

  private static final double HAIR = 1e-6;

  public PlaceStroke {
    places = List.copyOf(places);
    if (places.isEmpty()) {
      throw new InputException("points", "none", "a place at least");
    }
    if (tool == Stroke.Tool.MOVE) {
      throw new InputException("tool", tool.key(), "all tools but move");
    }
    Stroke.SIZE.require("size", size);
  }

  /**
   * Lights as they are before.
   *
   * @param xMm and {@code yMm}: where each is
   * @param colours 0xRRGGBB of each
   */
  public record Lights(double[] xMm, double[] yMm, int[] colours) {
    int count() {
      return xMm.length;
    }

    double away(int one, int other) {
      return Math.hypot(xMm[one] - xMm[other], yMm[one] - yMm[other]);
    }

    /** Returns how near the nearest other light of each is (mm); 1 for one that is alone. */
    double[] nearest() {
      Integer[] order = IntStream.range(0, count()).boxed().toArray(Integer[]::new);
      Arrays.sort(order, (a, b) -> Double.compare(xMm[a], xMm[b]));
      double[] near = new double[count()];
      Arrays.fill(near, Double.MAX_VALUE);
      for (int a = 0; a < order.length; a++) {
        int one = order[a];
        for (int b = a + 1; b < order.length && xMm[order[b]] - xMm[one] <= near[one]; b++) {
          meet(one, order[b], near);
        }
        for (int b = a - 1; b >= 0 && xMm[one] - xMm[order[b]] <= near[one]; b--) {
          meet(one, order[b], near);
        }
      }
      return Arrays.stream(near).map(d -> d == Double.MAX_VALUE ? 1 : d).toArray();
    }

    /** What lies upon one another is no measure of reach. */
    private void meet(int one, int other, double[] near) {
      double away = away(one, other);
      if (away > HAIR) {
        near[one] = Math.min(near[one], away);
      }
    }

    private static double middle(double[] values) {
      return (Arrays.stream(values).min().orElse(0) + Arrays.stream(values).max().orElse(0)) / 2;
    }
  }

  /**
   * Returns the lights that change, with their colours.
   *
   * @throws InputException for a place that is not there
   */
  public Map<Integer, Integer> on(Lights lights) {
    for (int place : places) {
      if (place < 0 || place >= lights.count()) {
        throw new InputException("points", place, "a place from 0 to " + (lights.count() - 1));
      }
    }
    Map<Integer, Integer> painted = new LinkedHashMap<>();
    if (tool == Stroke.Tool.BLEND) {
      for (int light = 0; light < lights.count(); light++) {
        painted.put(light, blended(lights, light));
      }
      return painted;
    }
    double[] near = lights.nearest();
    for (int light : mirrored(touched(lights, near), lights, near)) {
      painted.put(light, colour);
    }
    return painted;
  }

  private int first() {
    return places.get(0);
  }

  private int last() {
    return places.get(places.size() - 1);
  }

  private Set<Integer> touched(Lights lights, double[] near) {
    Box box = Box.of(lights, first(), last());
    return switch (tool) {
      case PENCIL -> brushed(lights, near);
      case LINE -> those(lights, i -> fromLine(lights, i) <= near[i] * size / 2 - HAIR);
      case RECTANGLE -> those(lights, i -> box.inside(lights, i) >= -HAIR);
      case FRAME ->
          those(
              lights,
              i -> {
                double inside = box.inside(lights, i);
                return inside >= -HAIR && inside < near[i] * (size - 0.5);
              });
      case ELLIPSE -> those(lights, i -> box.oval(lights, i, near[i]));
      case FILL -> filled(lights, near);
      case REPLACE -> those(lights, i -> lights.colours[i] == lights.colours[first()]);
      default -> throw new IllegalStateException(tool.key());
    };
  }

  private static Set<Integer> those(Lights lights, IntPredicate which) {
    Set<Integer> all = new LinkedHashSet<>();
    IntStream.range(0, lights.count()).filter(which).forEach(all::add);
    return all;
  }

  private Set<Integer> brushed(Lights lights, double[] near) {
    Set<Integer> all = new LinkedHashSet<>(places);
    if (size > 1) {
      for (int place : places) {
        double reach = near[place] * (size - 1) / 2 + HAIR;
        all.addAll(those(lights, i -> lights.away(place, i) <= reach));
      }
    }
    return all;
  }

  /** How far a light is from the line between first and last (mm). */
  private double fromLine(Lights lights, int light) {
    double way = way(lights, light);
    double x = lights.xMm[first()] + way * (lights.xMm[last()] - lights.xMm[first()]);
    double y = lights.yMm[first()] + way * (lights.yMm[last()] - lights.yMm[first()]);
    return Math.hypot(lights.xMm[light] - x, lights.yMm[light] - y);
  }

  /** How far along that line it lies, 0 to 1. */
  private double way(Lights lights, int light) {
    double dx = lights.xMm[last()] - lights.xMm[first()];
    double dy = lights.yMm[last()] - lights.yMm[first()];
    double x = lights.xMm[light] - lights.xMm[first()];
    double y = lights.yMm[light] - lights.yMm[first()];
    double length = dx * dx + dy * dy;
    return length == 0 ? 0 : Math.max(0, Math.min(1, (x * dx + y * dy) / length));
  }

  /** What two lights enclose (mm). */
  private record Box(double left, double top, double right, double foot) {
    static Box of(Lights lights, int one, int other) {
      return new Box(
          Math.min(lights.xMm[one], lights.xMm[other]),
          Math.min(lights.yMm[one], lights.yMm[other]),
          Math.max(lights.xMm[one], lights.xMm[other]),
          Math.max(lights.yMm[one], lights.yMm[other]));
    }

    /** How far inside a light is; negative outside (mm). */
    double inside(Lights lights, int i) {
      return Math.min(
          Math.min(lights.xMm[i] - left, right - lights.xMm[i]),
          Math.min(lights.yMm[i] - top, foot - lights.yMm[i]));
    }

    /** Whether it lies in the ellipse whose sides are half a light beyond the outermost. */
    boolean oval(Lights lights, int i, double wide) {
      double x = (2 * lights.xMm[i] - left - right) / (right - left + wide);
      double y = (2 * lights.yMm[i] - top - foot) / (foot - top + wide);
      return x * x + y * y <= 1;
    }
  }

  private Set<Integer> filled(Lights lights, double[] near) {
    int old = lights.colours[first()];
    Set<Integer> filled = new LinkedHashSet<>(List.of(first()));
    Deque<Integer> open = new ArrayDeque<>(filled);
    Set<Integer> left = those(lights, i -> lights.colours[i] == old);
    left.remove(first());
    while (!open.isEmpty()) {
      int at = open.poll();
      left.removeIf(
          other -> {
            boolean beside = lights.away(at, other) <= NEIGHBOURS * Math.min(near[at], near[other]);
            if (beside) {
              filled.add(other);
              open.add(other);
            }
            return beside;
          });
    }
    return filled;
  }

  private int blended(Lights lights, int light) {
    int from = lights.colours[first()];
    double way = first() == last() ? 1 : way(lights, light);
    int blended = 0;
    for (int shift = 16; shift >= 0; shift -= 8) {
      blended |= PerceivedShade.between(from >> shift & 255, colour >> shift & 255, way) << shift;
    }
    return blended;
  }

  private Set<Integer> mirrored(Set<Integer> touched, Lights lights, double[] near) {
    Set<Integer> all = new LinkedHashSet<>(touched);
    if (mirror.across()) {
      double twice = 2 * Lights.middle(lights.xMm);
      List.copyOf(all)
          .forEach(i -> all.addAll(at(twice - lights.xMm[i], lights.yMm[i], lights, near[i])));
    }
    if (mirror.down()) {
      double twice = 2 * Lights.middle(lights.yMm);
      List.copyOf(all)
          .forEach(i -> all.addAll(at(lights.xMm[i], twice - lights.yMm[i], lights, near[i])));
    }
    return all;
  }

  /** What lies on the other side, nearer to its place than half a light. */
  private static Set<Integer> at(double x, double y, Lights lights, double wide) {
    return those(lights, i -> Math.hypot(lights.xMm[i] - x, lights.yMm[i] - y) < wide / 2);
  }
}
