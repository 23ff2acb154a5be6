package org.myrialith.layout;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.InputException;

/**
 * Loose emitters set one by one on the bench. How they are turned, mirrored and ordered is worked
 * into their own places first, so that setting one never shifts another.
 *
 * @param fixture of loose emitters
 */
public record HandPlacing(Fixture fixture) {
  public HandPlacing {
    if (!(fixture.shape() instanceof Loose)) {
      throw new InputException("fixture", fixture.name(), "loose emitters");
    }
  }

  /** Returns a fixture of one emitter at a place on the bench (mm). */
  public static Fixture first(String id, String name, Point at) {
    Loose.Bead bead = new Loose.Bead(0, 0, 0, "");
    return Fixture.of(id, name, new Loose(List.of(bead)), at.xMm(), at.yMm());
  }

  /** Returns the fixture with one more emitter at the end of its order, at a place on the bench. */
  public Fixture with(Point at) {
    List<Loose.Bead> beads = levelled();
    beads.add(bead(at, 0, ""));
    return of(beads);
  }

  /** Returns the fixture with the emitter nearest to one place moved to another, on the bench. */
  public Fixture moved(Point from, Point to) {
    List<Loose.Bead> beads = levelled();
    Point own = own(from);
    int nearest = 0;
    for (int i = 1; i < beads.size(); i++) {
      if (distance(beads.get(i), own) < distance(beads.get(nearest), own)) {
        nearest = i;
      }
    }
    Loose.Bead old = beads.get(nearest);
    beads.set(nearest, bead(to, old.zMm(), old.name()));
    return of(beads);
  }

  private static double distance(Loose.Bead bead, Point from) {
    return new Point(bead.xMm(), bead.yMm()).distanceTo(from);
  }

  private Point own(Point at) {
    return new Point(at.xMm() - fixture.mount().xMm(), at.yMm() - fixture.mount().yMm());
  }

  private Loose.Bead bead(Point at, double zMm, String name) {
    return new Loose.Bead(own(at).xMm(), own(at).yMm(), zMm, name);
  }

  private List<Loose.Bead> levelled() {
    List<Loose.Bead> beads = new ArrayList<>();
    for (Seat seat : fixture.seats()) {
      Point at = new Point(seat.place().xMm(), seat.place().yMm());
      beads.add(bead(at, seat.spot().zMm() - fixture.mount().zMm(), seat.part()));
    }
    return beads;
  }

  private Fixture of(List<Loose.Bead> beads) {
    Mount mount = fixture.mount();
    return fixture
        .with(new Loose(beads))
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
