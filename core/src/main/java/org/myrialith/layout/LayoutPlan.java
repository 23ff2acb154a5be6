package org.myrialith.layout;

import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;

/**
 * Every emitter of a gadget with its place and order.
 *
 * @param fixtures as given
 * @param emitters fixture after fixture, each in data order
 * @param chained the same emitters in the order of the data chain; those in no circuit are left out
 */
public record LayoutPlan(List<Fixture> fixtures, List<Emitter> emitters, List<Emitter> chained) {

  /** The box round all emitter centres (mm). */
  public record Box(double leftMm, double topMm, double widthMm, double heightMm) {}

  /**
   * Works the layout out.
   *
   * @param fixtures of the gadget
   * @param chainOrder identifiers of fixtures in the order the data runs; unknown ones count for
   *     nothing
   */
  public static LayoutPlan of(List<Fixture> fixtures, List<String> chainOrder) {
    Map<String, Integer> firstInChain = new HashMap<>();
    int next = 0;
    for (String id : chainOrder) {
      for (Fixture fixture : fixtures) {
        if (fixture.id().equals(id)) {
          firstInChain.put(id, next);
          next += fixture.count();
        }
      }
    }
    List<Emitter> emitters = new ArrayList<>();
    Emitter[] chained = new Emitter[next];
    for (int f = 0; f < fixtures.size(); f++) {
      Fixture fixture = fixtures.get(f);
      Integer first = firstInChain.get(fixture.id());
      for (int i = 0; i < fixture.count(); i++) {
        Emitter emitter = new Emitter(f, i, fixture.place(i), first == null ? -1 : first + i);
        emitters.add(emitter);
        if (first != null) {
          chained[first + i] = emitter;
        }
      }
    }
    return new LayoutPlan(List.copyOf(fixtures), List.copyOf(emitters), List.of(chained));
  }

  /** Returns the box round all centres; all zero when there is nothing. */
  public Box box() {
    if (emitters.isEmpty()) {
      return new Box(0, 0, 0, 0);
    }
    double left = Double.POSITIVE_INFINITY;
    double top = left;
    double right = Double.NEGATIVE_INFINITY;
    double bottom = right;
    for (Emitter emitter : emitters) {
      left = Math.min(left, emitter.place().xMm());
      right = Math.max(right, emitter.place().xMm());
      top = Math.min(top, emitter.place().yMm());
      bottom = Math.max(bottom, emitter.place().yMm());
    }
    return new Box(left, top, right - left, bottom - top);
  }

  /** Returns the numbers of the layout. */
  public List<Reckoning> reckonings() {
    Box box = box();
    List<Reckoning.Given> counts = new ArrayList<>();
    fixtures.forEach(f -> counts.add(given(f.name(), f.count(), "emitters")));
    List<Reckoning> numbers = new ArrayList<>();
    numbers.add(
        new Reckoning(
            "emitters",
            "Emitters in all",
            emitters.size(),
            "emitters",
            "sum over the fixtures",
            counts,
            Source.ARITHMETIC));
    numbers.add(
        new Reckoning(
            "width",
            "Width over the centres",
            box.widthMm(),
            "mm",
            "rightmost x − leftmost x",
            List.of(
                given("leftmost x", box.leftMm(), "mm"),
                given("rightmost x", box.leftMm() + box.widthMm(), "mm")),
            Source.ARITHMETIC));
    numbers.add(
        new Reckoning(
            "height",
            "Height over the centres",
            box.heightMm(),
            "mm",
            "lowest y − highest y",
            List.of(
                given("highest y", box.topMm(), "mm"),
                given("lowest y", box.topMm() + box.heightMm(), "mm")),
            Source.ARITHMETIC));
    for (Fixture fixture : fixtures) {
      if (fixture instanceof Strip strip) {
        numbers.add(cutLength(strip));
      } else if (fixture instanceof Ring ring) {
        ring.circles().stream()
            .filter(c -> c.count() > 1)
            .forEach(c -> numbers.add(spacing(ring, c)));
      }
    }
    return List.copyOf(numbers);
  }

  private static Reckoning spacing(Ring ring, Ring.Circle circle) {
    double step = ring.stepDegrees(circle);
    return new Reckoning(
        "spacing-%s-%d".formatted(ring.id(), ring.circles().indexOf(circle)),
        "Spacing on %s, radius %s".formatted(ring.name(), Quantity.text(circle.radiusMm(), "mm")),
        Math.toRadians(step) * circle.radiusMm(),
        "mm",
        "radius × angle between neighbours, in radians",
        List.of(
            given("radius", circle.radiusMm(), "mm"), given("angle between neighbours", step, "°")),
        Source.ARITHMETIC);
  }

  private static Reckoning cutLength(Strip strip) {
    return new Reckoning(
        "cut-" + strip.id(),
        "Cut length of " + strip.name(),
        strip.lengthMm(),
        "mm",
        "pixels × 1000 mm ÷ pixels per metre",
        List.of(
            given("pixels", strip.count(), ""),
            given("pixels per metre", strip.pixelsPerMetre(), "")),
        Source.ARITHMETIC);
  }

  /** Returns the judgements on the layout. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    if (fixtures.isEmpty()) {
      findings.add(
          Finding.of(Step.LAYOUT, "no-fixtures", Verdict.OPEN, "Nothing lights up yet.")
              .advising("Add a panel or a strip."));
    }
    for (Fixture fixture : fixtures) {
      if (fixture instanceof Strip strip && strip.lengthMm() > strip.pathMm() + strip.pitchMm()) {
        findings.add(tooLong(strip));
      }
    }
    overlap().ifPresent(findings::add);
    return List.copyOf(findings);
  }

  private static Finding tooLong(Strip strip) {
    double over = strip.lengthMm() - strip.pathMm();
    return new Finding(
        "strip-over-" + strip.id(),
        Step.LAYOUT,
        Verdict.TIGHT,
        "%s is %s longer than its path and goes on straight past the end."
            .formatted(strip.name(), Quantity.text(over, "mm")),
        "Lengthen the path, or take fewer pixels.",
        List.of(
            cutLength(strip),
            new Reckoning(
                "path-" + strip.id(),
                "Length of the path of " + strip.name(),
                strip.pathMm(),
                "mm",
                "sum of the legs",
                List.of(),
                Source.ARITHMETIC)),
        List.of());
  }

  /** Two centres nearer than this are one place (mm): no package of the class is smaller. */
  private static final double SAME_PLACE_MM = 0.5;

  private Optional<Finding> overlap() {
    Map<Long, List<Emitter>> cells = new HashMap<>();
    for (Emitter emitter : emitters) {
      Emitter near = nearIn(cells, emitter);
      if (near != null) {
        return Optional.of(samePlace(near, emitter));
      }
      cells.computeIfAbsent(cell(emitter, 0, 0), key -> new ArrayList<>(1)).add(emitter);
    }
    return Optional.empty();
  }

  private static Emitter nearIn(Map<Long, List<Emitter>> cells, Emitter emitter) {
    for (int dx = -1; dx <= 1; dx++) {
      for (int dy = -1; dy <= 1; dy++) {
        for (Emitter other : cells.getOrDefault(cell(emitter, dx, dy), List.of())) {
          double apart =
              Math.hypot(
                  other.place().xMm() - emitter.place().xMm(),
                  other.place().yMm() - emitter.place().yMm());
          if (apart < SAME_PLACE_MM) {
            return other;
          }
        }
      }
    }
    return null;
  }

  private static long cell(Emitter emitter, int dx, int dy) {
    long column = (long) Math.floor(emitter.place().xMm() / SAME_PLACE_MM) + dx;
    long row = (long) Math.floor(emitter.place().yMm() / SAME_PLACE_MM) + dy;
    return column << 32 ^ (row & 0xffff_ffffL);
  }

  private Finding samePlace(Emitter one, Emitter two) {
    return Finding.of(
            Step.LAYOUT,
            "same-place",
            Verdict.BREAKS,
            "Two emitters claim one place: %s index %d and %s index %d, at x %s, y %s."
                .formatted(
                    fixtures.get(one.fixture()).name(), one.index(),
                    fixtures.get(two.fixture()).name(), two.index(),
                    Quantity.text(two.place().xMm(), "mm"), Quantity.text(two.place().yMm(), "mm")))
        .advising("Move one of them.");
  }
}
