package org.myrialith.gadget;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.myrialith.colour.ColourSettings;
import org.myrialith.drive.Circuit;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Text;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;

/**
 * All that the maker said. Immutable; an edit returns another gadget.
 *
 * @param title one line
 * @param notes any length up to {@link Text#NOTES}
 * @param supply what feeds it, if said
 * @param fixtures in the order they were added
 * @param circuits at most one in this version; each fixture in one at most
 * @param clips at most one a fixture, of the fixture's size
 */
public record Gadget(
    String title,
    String notes,
    Controller controller,
    Optional<Supply> supply,
    List<Fixture> fixtures,
    List<Circuit> circuits,
    ColourSettings colour,
    PowerSettings power,
    List<Clip> clips) {

  /** Most emitters of a gadget. */
  public static final int MOST_EMITTERS = 10_000;

  /** Most fixtures of a gadget. */
  public static final int MOST_FIXTURES = 64;

  /** Identifier of the data line that a new gadget gets. */
  public static final String FIRST_CIRCUIT = "c1";

  public Gadget {
    title = Text.name("title", title);
    notes = Text.notes("notes", notes);
    Objects.requireNonNull(controller, "controller");
    Objects.requireNonNull(supply, "supply");
    Objects.requireNonNull(colour, "colour");
    Objects.requireNonNull(power, "power");
    fixtures = List.copyOf(fixtures);
    circuits = List.copyOf(circuits);
    clips = List.copyOf(clips);
    requireFixtures(fixtures);
    requireCircuits(circuits, fixtures);
    requireClips(clips, fixtures);
  }

  private static void requireFixtures(List<Fixture> fixtures) {
    requireUnique("fixtures", fixtures, Fixture::id);
    if (fixtures.size() > MOST_FIXTURES) {
      throw new InputException(
          "fixtures", fixtures.size() + " fixtures", "at most " + MOST_FIXTURES);
    }
    int emitters = fixtures.stream().mapToInt(Fixture::count).sum();
    if (emitters > MOST_EMITTERS) {
      throw new InputException(
          "fixtures", emitters + " emitters", "at most " + MOST_EMITTERS + " emitters in a gadget");
    }
  }

  private static void requireCircuits(List<Circuit> circuits, List<Fixture> fixtures) {
    if (circuits.size() > 1) {
      throw new InputException(
          "circuits", circuits.size() + " circuits", "one data line in this version");
    }
    for (int c = 0; c < circuits.size(); c++) {
      for (String id : circuits.get(c).fixtures()) {
        if (fixtures.stream().noneMatch(f -> f.id().equals(id))) {
          throw new InputException(
              "circuits[" + c + "].fixtures", id, "the id of a fixture of this gadget");
        }
      }
    }
  }

  private static void requireClips(List<Clip> clips, List<Fixture> fixtures) {
    requireUnique("clips", clips, Clip::id);
    requireUnique("clips", clips, Clip::fixture);
    for (int i = 0; i < clips.size(); i++) {
      Clip clip = clips.get(i);
      Fixture fixture =
          fixtures.stream().filter(f -> f.id().equals(clip.fixture())).findFirst().orElse(null);
      if (fixture == null) {
        throw new InputException(
            "clips[" + i + "].fixture", clip.fixture(), "the id of a fixture of this gadget");
      }
      Picture picture = clip.frames().get(0).picture();
      if (picture.columns() != fixture.seenColumns() || picture.rows() != fixture.seenRows()) {
        throw new InputException(
            "clips[" + i + "].frames",
            picture.columns() + " × " + picture.rows(),
            "the size of its fixture, " + fixture.seenColumns() + " × " + fixture.seenRows());
      }
    }
  }

  private static <T> void requireUnique(String field, List<T> all, Function<T, String> key) {
    Set<String> seen = new HashSet<>();
    for (int i = 0; i < all.size(); i++) {
      if (!seen.add(key.apply(all.get(i)))) {
        throw new InputException(
            field + "[" + i + "]", key.apply(all.get(i)), "each id and each fixture once");
      }
    }
  }

  /** Returns a gadget with nothing in it but an empty data line. */
  public static Gadget blank(String title) {
    return new Gadget(
        title,
        "",
        Controller.AVR8_32K,
        Optional.empty(),
        List.of(),
        List.of(OneWirePixels.usual(FIRST_CIRCUIT, List.of())),
        ColourSettings.USUAL,
        PowerSettings.USUAL,
        List.of());
  }

  /** Returns the data line, if there is one. */
  public Optional<OneWirePixels> chain() {
    return circuits.stream().map(OneWirePixels.class::cast).findFirst();
  }

  /** Returns the fixture of that identifier. */
  public Optional<Fixture> fixture(String id) {
    return fixtures.stream().filter(f -> f.id().equals(id)).findFirst();
  }

  /** Returns the clip of that identifier. */
  public Optional<Clip> clip(String id) {
    return clips.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  /** Returns the clip on a fixture. */
  public Optional<Clip> clipOn(String fixture) {
    return clips.stream().filter(c -> c.fixture().equals(fixture)).findFirst();
  }

  /**
   * Returns an identifier that nothing in the gadget has: the prefix and the lowest free number.
   */
  public String freeId(String prefix) {
    int number = 1;
    while (fixture(prefix + number).isPresent() || clip(prefix + number).isPresent()) {
      number++;
    }
    return prefix + number;
  }

  /** Returns the gadget with another title and notes. */
  public Gadget withWords(String newTitle, String newNotes) {
    return new Gadget(
        newTitle, newNotes, controller, supply, fixtures, circuits, colour, power, clips);
  }

  /** Returns the gadget with another controller. */
  public Gadget withController(Controller other) {
    return new Gadget(title, notes, other, supply, fixtures, circuits, colour, power, clips);
  }

  /** Returns the gadget with another supply. */
  public Gadget withSupply(Optional<Supply> other) {
    return new Gadget(title, notes, controller, other, fixtures, circuits, colour, power, clips);
  }

  /** Returns the gadget with other colour settings. */
  public Gadget withColour(ColourSettings other) {
    return new Gadget(title, notes, controller, supply, fixtures, circuits, other, power, clips);
  }

  /** Returns the gadget with other power settings. */
  public Gadget withPower(PowerSettings other) {
    return new Gadget(title, notes, controller, supply, fixtures, circuits, colour, other, clips);
  }

  /** Returns the gadget with another data line. */
  public Gadget withChain(OneWirePixels other) {
    return new Gadget(
        title, notes, controller, supply, fixtures, List.of(other), colour, power, clips);
  }

  private Gadget with(List<Fixture> newFixtures, List<Circuit> newCircuits, List<Clip> newClips) {
    return new Gadget(
        title, notes, controller, supply, newFixtures, newCircuits, colour, power, newClips);
  }

  /**
   * Returns the gadget with a fixture: in place of the one of the same identifier, else added and
   * put at the end of the data line. Pictures of its clip are cut or filled up with dark cells when
   * its size changed.
   */
  public Gadget withFixture(Fixture fixture) {
    List<Fixture> all = new ArrayList<>(fixtures);
    List<Circuit> lines = circuits;
    int at = indexOf(fixture.id());
    if (at >= 0) {
      all.set(at, fixture);
    } else {
      all.add(fixture);
      lines = circuits.stream().map(line -> appended(line, fixture.id())).toList();
    }
    return with(
        all,
        lines,
        clips.stream()
            .map(c -> c.fixture().equals(fixture.id()) ? fitted(c, fixture) : c)
            .toList());
  }

  private int indexOf(String fixture) {
    return fixtures.stream().map(Fixture::id).toList().indexOf(fixture);
  }

  private static Circuit appended(Circuit line, String fixture) {
    List<String> ids = new ArrayList<>(line.fixtures());
    ids.add(fixture);
    return line.withFixtures(ids);
  }

  private static Clip fitted(Clip clip, Fixture fixture) {
    return clip.withFrames(
        clip.frames().stream()
            .map(
                f ->
                    new Frame(
                        f.picture().resized(fixture.seenColumns(), fixture.seenRows()),
                        f.holdMillis()))
            .toList());
  }

  /** Returns the gadget without a fixture, its place in the data line and its clip. */
  public Gadget withoutFixture(String id) {
    return with(
        fixtures.stream().filter(f -> !f.id().equals(id)).toList(),
        circuits.stream()
            .map(
                line ->
                    line.withFixtures(line.fixtures().stream().filter(f -> !f.equals(id)).toList()))
            .toList(),
        clips.stream().filter(c -> !c.fixture().equals(id)).toList());
  }

  /** Returns the gadget with a clip, in place of the one on the same fixture if there is one. */
  public Gadget withClip(Clip clip) {
    List<Clip> all = new ArrayList<>(clips);
    int at = clips.stream().map(Clip::fixture).toList().indexOf(clip.fixture());
    if (at >= 0) {
      all.set(at, clip);
    } else {
      all.add(clip);
    }
    return with(fixtures, circuits, all);
  }

  /** Returns the gadget without a clip. */
  public Gadget withoutClip(String id) {
    return with(fixtures, circuits, clips.stream().filter(c -> !c.id().equals(id)).toList());
  }
}
