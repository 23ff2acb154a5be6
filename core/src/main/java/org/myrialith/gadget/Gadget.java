package org.myrialith.gadget;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import org.myrialith.colour.ColourSettings;
import org.myrialith.drive.Circuit;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.finding.Text;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.Site;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClasses;
import org.myrialith.parts.EmitterKind;
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
 * @param site where it is looked at from and what it is built with
 * @param groups of emitters across fixtures
 * @param emitters classes of emitters with data of the maker's own; those that come along need not
 *     be named
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
    List<Clip> clips,
    Site site,
    List<Group> groups,
    List<EmitterClass> emitters) {

  /** Most emitters of a gadget. */
  public static final int MOST_EMITTERS = 10_000;

  /** Most fixtures of a gadget. */
  public static final int MOST_FIXTURES = 64;

  /** Most classes of emitters of a gadget's own. */
  public static final int MOST_CLASSES = 64;

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
    Objects.requireNonNull(site, "site");
    groups = List.copyOf(groups);
    emitters = List.copyOf(emitters);
    new Bonds(fixtures).hold(circuits, clips, groups, emitters);
  }

  /** Makes a gadget with nothing said about its site, without groups and classes of its own. */
  public Gadget(
      String title,
      String notes,
      Controller controller,
      Optional<Supply> supply,
      List<Fixture> fixtures,
      List<Circuit> circuits,
      ColourSettings colour,
      PowerSettings power,
      List<Clip> clips) {
    this(
        title,
        notes,
        controller,
        supply,
        fixtures,
        circuits,
        colour,
        power,
        clips,
        Site.USUAL,
        List.of(),
        List.of());
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

  /**
   * Returns the class of a fixture's emitters: the gadget's own goes before one that comes along.
   */
  public EmitterClass emitterOf(Fixture fixture) {
    String id = fixture.mount().emitter();
    return emitters.stream()
        .filter(e -> e.id().equals(id))
        .findFirst()
        .or(() -> EmitterClasses.of(id))
        .orElseThrow();
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
    Set<String> taken = new HashSet<>();
    fixtures.forEach(f -> taken.add(f.id()));
    clips.forEach(c -> taken.add(c.id()));
    groups.forEach(g -> taken.add(g.id()));
    emitters.forEach(e -> taken.add(e.id()));
    int number = 1;
    while (taken.contains(prefix + number)) {
      number++;
    }
    return prefix + number;
  }

  /** The parts while some of them are replaced. Mutable, lives within one call. */
  private static final class Draft {
    private String title;
    private String notes;
    private Controller controller;
    private Optional<Supply> supply;
    private List<Fixture> fixtures;
    private List<Circuit> circuits;
    private ColourSettings colour;
    private PowerSettings power;
    private List<Clip> clips;
    private Site site;
    private List<Group> groups;
    private List<EmitterClass> emitters;
  }

  private Gadget with(Consumer<Draft> change) {
    Draft d = new Draft();
    d.title = title;
    d.notes = notes;
    d.controller = controller;
    d.supply = supply;
    d.fixtures = fixtures;
    d.circuits = circuits;
    d.colour = colour;
    d.power = power;
    d.clips = clips;
    d.site = site;
    d.groups = groups;
    d.emitters = emitters;
    change.accept(d);
    return new Gadget(
        d.title,
        d.notes,
        d.controller,
        d.supply,
        d.fixtures,
        d.circuits,
        d.colour,
        d.power,
        d.clips,
        d.site,
        d.groups,
        d.emitters);
  }

  /** Returns the gadget with another title and notes. */
  public Gadget withWords(String newTitle, String newNotes) {
    return with(
        d -> {
          d.title = newTitle;
          d.notes = newNotes;
        });
  }

  /** Returns the gadget with another controller. */
  public Gadget withController(Controller other) {
    return with(d -> d.controller = other);
  }

  /** Returns the gadget with another supply. */
  public Gadget withSupply(Optional<Supply> other) {
    return with(d -> d.supply = other);
  }

  /** Returns the gadget with other colour settings. */
  public Gadget withColour(ColourSettings other) {
    return with(d -> d.colour = other);
  }

  /** Returns the gadget with other power settings. */
  public Gadget withPower(PowerSettings other) {
    return with(d -> d.power = other);
  }

  /** Returns the gadget with another data line. */
  public Gadget withChain(OneWirePixels other) {
    return with(d -> d.circuits = List.of(other));
  }

  private Gadget with(List<Fixture> newFixtures, List<Circuit> newCircuits, List<Clip> newClips) {
    return with(
        d -> {
          d.fixtures = newFixtures;
          d.circuits = newCircuits;
          d.clips = newClips;
          d.groups = groups.stream().flatMap(g -> within(g, newFixtures).stream()).toList();
        });
  }

  /** What is left of a group when fixtures went or shrank; nothing when no member is left. */
  private static Optional<Group> within(Group group, List<Fixture> fixtures) {
    List<Group.Member> left = new ArrayList<>();
    for (Group.Member member : group.members()) {
      fixtures.stream()
          .filter(f -> f.id().equals(member.fixture()) && member.from() < f.count())
          .findFirst()
          .ifPresent(
              f ->
                  left.add(
                      new Group.Member(
                          f.id(), member.from(), Math.min(member.to(), f.count() - 1))));
    }
    return left.isEmpty()
        ? Optional.empty()
        : Optional.of(new Group(group.id(), group.name(), left));
  }

  /** Returns the gadget with another site. */
  public Gadget withSite(Site other) {
    return with(d -> d.site = other);
  }

  /**
   * Returns the gadget with a group, in place of the one of the same identifier if there is one.
   */
  public Gadget withGroup(Group group) {
    return withGroups(put(groups, group, Group::id));
  }

  /** Returns the gadget without a group. */
  public Gadget withoutGroup(String id) {
    return withGroups(groups.stream().filter(g -> !g.id().equals(id)).toList());
  }

  private Gadget withGroups(List<Group> other) {
    return with(d -> d.groups = other);
  }

  /** Returns the gadget with a class of its own, in place of the one of the same identifier. */
  public Gadget withEmitter(EmitterClass emitter) {
    return with(d -> d.emitters = put(emitters, emitter, EmitterClass::id));
  }

  private static <T> List<T> put(List<T> all, T one, Function<T, String> key) {
    List<T> result = new ArrayList<>(all);
    int at = all.stream().map(key).toList().indexOf(key.apply(one));
    if (at >= 0) {
      result.set(at, one);
    } else {
      result.add(one);
    }
    return result;
  }

  /** Returns the gadget with several fixtures, each as by {@link #withFixture}. */
  public Gadget withFixtures(List<Fixture> several) {
    Gadget gadget = this;
    for (Fixture fixture : several) {
      gadget = gadget.withFixture(fixture);
    }
    return gadget;
  }

  /**
   * Returns the gadget with a fixture: in place of the one of the same identifier, else added and
   * put at the end of the data line when it is made of one-wire RGB pixels. Pictures of its clip
   * are cut or filled up with dark cells when its size changed.
   */
  public Gadget withFixture(Fixture fixture) {
    List<Fixture> all = new ArrayList<>(fixtures);
    List<Circuit> lines = circuits;
    int at = indexOf(fixture.id());
    if (at >= 0) {
      all.set(at, fixture);
    } else {
      all.add(fixture);
      if (emitterOf(fixture).kind() == EmitterKind.ONE_WIRE_RGB) {
        lines = circuits.stream().map(line -> line.withAtEnd(fixture.id())).toList();
      }
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
        circuits.stream().map(line -> line.without(id)).toList(),
        clips.stream().filter(c -> !c.fixture().equals(id)).toList());
  }

  /** Returns the gadget with a clip, in place of the one on the same fixture if there is one. */
  public Gadget withClip(Clip clip) {
    return with(fixtures, circuits, put(clips, clip, Clip::fixture));
  }

  /** Returns the gadget without a clip. */
  public Gadget withoutClip(String id) {
    return with(fixtures, circuits, clips.stream().filter(c -> !c.id().equals(id)).toList());
  }
}
