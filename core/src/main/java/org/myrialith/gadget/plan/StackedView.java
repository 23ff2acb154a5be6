package org.myrialith.gadget.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Show;
import org.myrialith.frames.edit.PlaceStroke;
import org.myrialith.frames.edit.Stroke;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.Pose;
import org.myrialith.layout.Position;

/**
 * All fixtures, or a group, in a moment of the show, as one picture to paint on: a place for each
 * cell that lights, in the order of fixtures and data.
 */
public final class StackedView {
  /** How long the first frame of a fixture is held that had none (ms). */
  private static final int FIRST_HOLD_MILLIS = 200;

  /** Stands for all fixtures. */
  public static final String ALL = "all";

  private final Gadget gadget;
  private final Map<String, Integer> frames;
  private final List<Spot> spots;

  /**
   * A cell of a fixture.
   *
   * @param xMm where it lights, {@code yMm}: down
   * @param pose where that is in space
   */
  public record Spot(String fixture, int cell, double xMm, double yMm, Pose pose) {}

  private StackedView(Gadget gadget, Map<String, Integer> frames, List<Spot> spots) {
    this.gadget = gadget;
    this.frames = frames;
    this.spots = List.copyOf(spots);
  }

  /**
   * Returns what is seen in a moment.
   *
   * @param moment of the show, from 0
   * @param over {@link #ALL}, or the identifier of a group
   * @throws InputException for no such moment or group
   */
  public static StackedView of(GadgetPlan plan, int moment, String over) {
    List<Show.Moment> moments = plan.show().moments();
    if (moment < 0 || moment >= Math.max(1, moments.size())) {
      throw new InputException(
          "moment", moment + 1, "a whole number from 1 to " + Math.max(1, moments.size()));
    }
    Map<String, Integer> frames = new HashMap<>();
    for (int c = 0; c < plan.levels().size() && !moments.isEmpty(); c++) {
      frames.put(plan.levels().get(c).clip().fixture(), moments.get(moment).frames().get(c));
    }
    return new StackedView(plan.gadget(), frames, spots(plan, over));
  }

  private static List<Spot> spots(GadgetPlan plan, String over) {
    List<Fixture> fixtures = plan.layout().fixtures();
    Set<String> seen = new TreeSet<>();
    List<Spot> all = new ArrayList<>();
    for (Emitter emitter : plan.layout().emitters()) {
      Fixture fixture = fixtures.get(emitter.fixture());
      Position at = emitter.position();
      int cell = at.row() * fixture.seenColumns() + at.column();
      boolean own = over.equals(ALL) || has(plan.gadget(), over, fixture.id(), emitter.index());
      if (own && !emitter.dark() && seen.add(fixture.id() + " " + cell)) {
        all.add(new Spot(fixture.id(), cell, at.xMm(), at.yMm(), emitter.pose()));
      }
    }
    return all;
  }

  private static boolean has(Gadget gadget, String group, String fixture, int index) {
    Group found =
        gadget.layout().groups().stream()
            .filter(g -> g.id().equals(group))
            .findFirst()
            .orElseThrow(() -> new InputException("over", group, "all, or the id of a group"));
    return found.members().stream()
        .anyMatch(m -> m.fixture().equals(fixture) && m.from() <= index && index <= m.to());
  }

  /** Returns its places. */
  public List<Spot> spots() {
    return spots;
  }

  private Picture picture(String fixture) {
    Fixture on = gadget.fixture(fixture).orElseThrow();
    return gadget
        .clipOn(fixture)
        .map(clip -> clip.frames().get(frame(fixture)).picture())
        .orElseGet(() -> Picture.dark(on.seenColumns(), on.seenRows()));
  }

  /** A fixture that hangs on no wire shows its first frame. */
  private int frame(String fixture) {
    return frames.getOrDefault(fixture, 0);
  }

  /** Returns the colours of its places: red, green, blue. */
  public byte[] rgb() {
    byte[] rgb = new byte[3 * spots.size()];
    Map<String, Picture> pictures = new HashMap<>();
    for (int i = 0; i < spots.size(); i++) {
      Spot spot = spots.get(i);
      Picture picture = pictures.computeIfAbsent(spot.fixture, this::picture);
      for (int channel = 0; channel < 3; channel++) {
        rgb[3 * i + channel] = (byte) picture.value(spot.cell, channel);
      }
    }
    return rgb;
  }

  /**
   * Returns the gadget after a stroke on its places, each on the frame that its fixture shows in
   * the moment; a fixture without frames gets its first.
   *
   * @throws InputException for a place that is not there
   */
  public Gadget painted(PlaceStroke stroke) {
    Map<String, Map<Integer, Integer>> cells = new LinkedHashMap<>();
    stroke
        .on(lights())
        .forEach(
            (place, colour) -> {
              Spot spot = spots.get(place);
              cells
                  .computeIfAbsent(spot.fixture, fixture -> new TreeMap<>())
                  .put(spot.cell, colour);
            });
    Gadget with = gadget;
    for (Map.Entry<String, Map<Integer, Integer>> one : cells.entrySet()) {
      with = with.with(painted(with, one.getKey(), one.getValue()));
    }
    return with;
  }

  private PlaceStroke.Lights lights() {
    byte[] rgb = rgb();
    return new PlaceStroke.Lights(
        spots.stream().mapToDouble(Spot::xMm).toArray(),
        spots.stream().mapToDouble(Spot::yMm).toArray(),
        IntStream.range(0, spots.size())
            .map(i -> (rgb[3 * i] & 255) << 16 | (rgb[3 * i + 1] & 255) << 8 | rgb[3 * i + 2] & 255)
            .toArray());
  }

  private Clip painted(Gadget with, String fixture, Map<Integer, Integer> cells) {
    Picture old = picture(fixture);
    byte[] rgb = old.rgb().clone();
    cells.forEach(
        (cell, colour) -> {
          rgb[3 * cell] = (byte) (colour >> 16);
          rgb[3 * cell + 1] = (byte) (colour >> 8);
          rgb[3 * cell + 2] = (byte) (int) colour;
        });
    Picture fresh = Picture.of(old.columns(), old.rows(), rgb);
    return with.clipOn(fixture)
        .map(clip -> clip.withFrame(frame(fixture), held(clip, fresh, fixture)))
        .orElseGet(
            () ->
                new Clip(
                    with.freeId("k"),
                    with.fixture(fixture).orElseThrow().name(),
                    fixture,
                    List.of(new Frame(fresh, FIRST_HOLD_MILLIS))));
  }

  private Frame held(Clip clip, Picture picture, String fixture) {
    return new Frame(picture, clip.frames().get(frame(fixture)).holdMillis());
  }

  /** Returns all of its places, by their numbers. */
  public List<Integer> all() {
    return IntStream.range(0, spots.size()).boxed().toList();
  }

  /** Returns the gadget with places painted, and nothing between them. */
  public Gadget painted(List<Integer> places, int colour) {
    return painted(new PlaceStroke(Stroke.Tool.PENCIL, places, colour, 1, Stroke.Mirror.NONE));
  }
}
