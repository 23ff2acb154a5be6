package org.myrialith.layout.place;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.InputException;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LooseEmitters;
import org.myrialith.layout.Mount;
import org.myrialith.layout.Placement;
import org.myrialith.layout.Point;

/**
 * LooseEmitters emitters set one by one on the bench. How they are turned, mirrored and ordered is
 * worked into their own places first, so that setting one never shifts another.
 *
 * @param fixture of loose emitters
 */
public record HandPlacing(Fixture fixture) {
  public HandPlacing {
    if (!(fixture.shape() instanceof LooseEmitters)) {
      throw new InputException("fixture", fixture.name(), "loose emitters");
    }
  }

  /** Returns a fixture of one emitter at a place on the bench (mm). */
  public static Fixture first(String id, String name, Point at) {
    LooseEmitters.Single single = new LooseEmitters.Single(0, 0, 0, "");
    return Fixture.of(id, name, new LooseEmitters(List.of(single)), at.xMm(), at.yMm());
  }

  /** Returns the fixture with one more emitter at the end of its order, at a place on the bench. */
  public Fixture with(Point at) {
    List<LooseEmitters.Single> singles = levelled();
    singles.add(single(at, 0, ""));
    return of(singles);
  }

  /** Returns the fixture with the emitter nearest to one place moved to another, on the bench. */
  public Fixture moved(Point from, Point to) {
    List<LooseEmitters.Single> singles = levelled();
    Point own = own(from);
    int nearest = 0;
    for (int i = 1; i < singles.size(); i++) {
      if (distance(singles.get(i), own) < distance(singles.get(nearest), own)) {
        nearest = i;
      }
    }
    LooseEmitters.Single old = singles.get(nearest);
    singles.set(nearest, single(to, old.zMm(), old.name()));
    return of(singles);
  }

  private static double distance(LooseEmitters.Single single, Point from) {
    return new Point(single.xMm(), single.yMm()).distanceTo(from);
  }

  private Point own(Point at) {
    return new Point(at.xMm() - fixture.mount().xMm(), at.yMm() - fixture.mount().yMm());
  }

  private LooseEmitters.Single single(Point at, double zMm, String name) {
    return new LooseEmitters.Single(own(at).xMm(), own(at).yMm(), zMm, name);
  }

  private List<LooseEmitters.Single> levelled() {
    List<LooseEmitters.Single> singles = new ArrayList<>();
    for (Placement placement : fixture.placements()) {
      Point at = new Point(placement.position().xMm(), placement.position().yMm());
      singles.add(single(at, placement.pose().zMm() - fixture.mount().zMm(), placement.part()));
    }
    return singles;
  }

  private Fixture of(List<LooseEmitters.Single> singles) {
    Mount mount = fixture.mount();
    return fixture
        .with(new LooseEmitters(singles))
        .with(
            new Mount(
                mount.xMm(),
                mount.yMm(),
                mount.zMm(),
                0,
                false,
                false,
                mount.dark(),
                mount.emitter()));
  }
}
