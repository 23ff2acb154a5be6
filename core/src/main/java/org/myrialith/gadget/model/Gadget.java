package org.myrialith.gadget.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitPins;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.FixtureRun;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Scene;
import org.myrialith.effects.Progress;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.InputException;
import org.myrialith.flicker.ScanSettings;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Programme;
import org.myrialith.frames.Spread;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.Layout;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Site;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterClass;
import org.myrialith.power.PowerSettings;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Part;

/**
 * All that the maker said, as they meet it. Immutable; an edit returns another gadget. Each group
 * checks itself; here is checked what goes from one to another.
 *
 * @param brief what it is for
 * @param layout what lights up
 * @param circuits how it is driven
 * @param colour how asked colours are corrected
 * @param power how the current is planned
 * @param programme what plays
 * @param cues when it plays
 */
@RecordBuilder
public record Gadget(
    Brief brief,
    Layout layout,
    Circuits circuits,
    ColourSettings colour,
    PowerSettings power,
    ScanSettings scan,
    Programme programme,
    CueSheet cues) {

  /** Identifier of the data line that a new gadget gets. */
  public static final String FIRST_CIRCUIT = "c1";

  /** How it stands in the format: the groups' fields side by side. */
  public static final Description<Gadget> DESCRIPTION =
      Description.of(
          Gadget.class,
          Part.of("brief", Brief.DESCRIPTION),
          Part.of("layout", Layout.DESCRIPTION),
          Part.of("circuits", CircuitKinds.DESCRIPTION),
          Field.of("colour", "Colour", ColourSettings.DESCRIPTION).or(ColourSettings.USUAL),
          Field.of("power", "Power", PowerSettings.DESCRIPTION).or(PowerSettings.USUAL),
          Field.of("scan", "Flicker", ScanSettings.DESCRIPTION).or(ScanSettings.USUAL),
          Part.of("programme", Programme.DESCRIPTION),
          Field.of("cues", "Cues", CueSheet.DESCRIPTION).or(CueSheet.NONE));

  public Gadget {
    Objects.requireNonNull(brief, "brief");
    Objects.requireNonNull(layout, "layout");
    Objects.requireNonNull(circuits, "circuits");
    Objects.requireNonNull(colour, "colour");
    Objects.requireNonNull(power, "power");
    Objects.requireNonNull(scan, "scan");
    Objects.requireNonNull(programme, "programme");
    Objects.requireNonNull(cues, "cues");
    circuits.requireFixtures(layout);
    programme.requireFixtures(layout);
    cues.requireFixtures(layout);
  }

  /** A gadget that is looked at as usual, and of which nothing moves. */
  public Gadget(
      Brief brief,
      Layout layout,
      Circuits circuits,
      ColourSettings colour,
      PowerSettings power,
      Programme programme) {
    this(brief, layout, circuits, colour, power, ScanSettings.USUAL, programme, CueSheet.NONE);
  }

  /** Returns the gadget looked at otherwise, or moved. */
  public Gadget with(ScanSettings other) {
    return GadgetBuilder.builder(this).scan(other).build();
  }

  /** Returns a gadget with nothing in it but an empty data line. */
  public static Gadget blank(String title) {
    return new Gadget(
        new Brief(title, "", Controller.AVR8_32K, Optional.empty()),
        Layout.EMPTY,
        new Circuits(List.of(OneWirePixels.usual(FIRST_CIRCUIT, List.of()))),
        ColourSettings.USUAL,
        PowerSettings.USUAL,
        Programme.EMPTY);
  }

  /** Returns its title. */
  public String title() {
    return brief.title();
  }

  /** Returns its fixtures in the order they were added. */
  public List<Fixture> fixtures() {
    return layout.fixtures();
  }

  /** Returns the fixture of that identifier. */
  public Optional<Fixture> fixture(String id) {
    return layout.fixture(id);
  }

  /** Returns its clips. */
  public List<Clip> clips() {
    return programme.clips();
  }

  /** Returns the clip on a fixture. */
  public Optional<Clip> clipOn(String fixture) {
    return programme.clipOn(fixture);
  }

  /**
   * Returns an identifier that nothing in the gadget has: the prefix and the lowest free number.
   */
  public String freeId(String prefix) {
    Set<String> taken = new HashSet<>();
    layout.fixtures().forEach(f -> taken.add(f.id()));
    layout.groups().forEach(g -> taken.add(g.id()));
    layout.emitters().forEach(e -> taken.add(e.id()));
    programme.clips().forEach(c -> taken.add(c.id()));
    cues.scenes().forEach(s -> s.clips().forEach(c -> taken.add(c.id())));
    circuits.circuits().forEach(c -> taken.add(c.id()));
    int number = 1;
    while (taken.contains(prefix + number)) {
      number++;
    }
    return prefix + number;
  }

  /** Returns the gadget with another brief. */
  public Gadget with(Brief other) {
    return GadgetBuilder.builder(this).brief(other).build();
  }

  /** Returns the gadget with another layout, whose fixtures are those of this one. */
  public Gadget with(Layout other) {
    return GadgetBuilder.builder(this).layout(other).build();
  }

  /** Returns the gadget with other circuits; how a chain is fed goes with it. */
  public Gadget with(Circuits other) {
    PowerSettings fed = power.of(other.circuits().stream().map(Circuit::id).toList());
    return GadgetBuilder.builder(this).circuits(other).power(fed).build();
  }

  /** Returns the gadget with a circuit, in place of the one of the same identifier. */
  public Gadget with(Circuit circuit) {
    return with(circuits.with(circuit));
  }

  /** Returns the gadget with other colour settings. */
  public Gadget with(ColourSettings other) {
    return GadgetBuilder.builder(this).colour(other).build();
  }

  /** Returns the gadget with other power settings. */
  public Gadget with(PowerSettings other) {
    return GadgetBuilder.builder(this).power(other).build();
  }

  /** Returns the gadget with another programme. */
  public Gadget with(Programme other) {
    return GadgetBuilder.builder(this).programme(other).build();
  }

  /** Returns the gadget with other cues. */
  public Gadget with(CueSheet other) {
    return GadgetBuilder.builder(this).cues(other).build();
  }

  /** Returns a scene with its frames, wherever they stand. */
  public Optional<Scene> scene(String id) {
    return cues.scene(id)
        .map(
            scene ->
                id.equals(cues.open())
                    ? scene.with(programme.clips(), programme.recipes(), programme.captions())
                    : scene);
  }

  /** Returns all scenes with their frames. */
  public List<Scene> scenes() {
    return cues.scenes().stream().map(s -> scene(s.id()).orElseThrow()).toList();
  }

  /**
   * Returns the gadget with a scene on the easel: its frames in the programme, those of the one
   * that was there in its scene.
   *
   * @throws InputException if there is no such scene
   */
  public Gadget opened(String id) {
    Scene wanted =
        scene(id)
            .orElseThrow(() -> new InputException("scene", id, "the id of a scene of this gadget"));
    List<Scene> all =
        scenes().stream()
            .map(s -> s.id().equals(id) ? s.with(List.of(), List.of(), List.of()) : s)
            .toList();
    return with(programme.playing(wanted.clips(), wanted.recipes(), wanted.captions()))
        .with(cues.withScenes(all, id));
  }

  /** Returns the gadget as if nothing but a scene played, over and over. */
  public Gadget playing(Scene scene) {
    return with(CueSheet.NONE)
        .with(programme.playing(scene.clips(), scene.recipes(), scene.captions()));
  }

  /** Returns the gadget with another site. */
  public Gadget with(Site other) {
    return with(layout.withSite(other));
  }

  /** Returns the gadget with a group, in place of the one of the same identifier. */
  public Gadget with(Group group) {
    return with(layout.withGroups(put(layout.groups(), group, Group::id)));
  }

  /** Returns the gadget without a group. */
  public Gadget withoutGroup(String id) {
    return with(
        layout.withGroups(layout.groups().stream().filter(g -> !g.id().equals(id)).toList()));
  }

  /** Returns the gadget with a class of its own, in place of the one of the same identifier. */
  public Gadget with(EmitterClass emitter) {
    return with(layout.withEmitters(put(layout.emitters(), emitter, EmitterClass::id)));
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

  /** Returns the gadget with several fixtures, each as by {@link #with(Fixture)}. */
  public Gadget withFixtures(List<Fixture> several) {
    Gadget gadget = this;
    for (Fixture fixture : several) {
      gadget = gadget.with(fixture);
    }
    return gadget;
  }

  /**
   * Returns the gadget with a fixture: in place of the one of the same identifier, else added and
   * put at the end of the first circuit that can drive its emitters, or of a new one when there is
   * none. Pictures of its clip are cut or filled up with dark cells when its size changed.
   */
  public Gadget with(Fixture fixture) {
    boolean there = layout.fixture(fixture.id()).isPresent();
    Layout grown = layout.withFixtures(put(layout.fixtures(), fixture, Fixture::id));
    Circuits driven =
        there
            ? circuits
            : circuits
                .fitting(grown.emitterOf(fixture).kind())
                .map(c -> circuits.withAtEnd(FixtureRun.all(fixture.id()), c.id(), grown))
                .orElse(circuits);
    UnaryOperator<Clip> fit = c -> c.fixture().equals(fixture.id()) ? fitted(c, fixture) : c;
    List<Clip> fitted = programme.clips().stream().map(fit).toList();
    CueSheet fittedCues = cues.withClips(fit);
    Gadget placed =
        GadgetBuilder.builder(this)
            .layout(grown)
            .circuits(driven)
            .programme(programme.with(fitted))
            .cues(fittedCues)
            .build();
    return there ? placed : placed.driving(fixture);
  }

  /** A fixture that no circuit took gets one of its own, when there is a way to drive it. */
  private Gadget driving(Fixture fixture) {
    if (circuits.of(fixture).isPresent() || circuits.circuits().size() >= Circuits.MOST) {
      return this;
    }
    return CircuitKinds.onlyStart(layout.emitterOf(fixture).kind())
        .map(start -> with(start, fixture.id()))
        .orElse(this);
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

  /** Returns the gadget without a fixture, its place in a circuit and its clip. */
  public Gadget withoutFixture(String id) {
    return GadgetBuilder.builder(this)
        .layout(
            layout.withFixtures(
                layout.fixtures().stream().filter(f -> !f.id().equals(id)).toList()))
        .circuits(circuits.without(id))
        .programme(programme.without(id))
        .cues(cues.without(id))
        .build();
  }

  /** Returns the gadget with a circuit to begin with; its identifier is {@code freeId("c")}. */
  public Gadget with(CircuitStart start) {
    return with(start.beside(circuits, brief.controller(), freeId("c")));
  }

  /** Returns the gadget with a circuit to begin with, and a fixture, or a run, moved to it. */
  public Gadget with(CircuitStart start, String fixture) {
    String id = freeId("c");
    Circuits left = circuits.without(FixtureRun.of(fixture), layout);
    Circuit fresh = start.beside(left, brief.controller(), id, layout, List.of(fixture));
    return with(left.with(fresh)).withPins(id);
  }

  /**
   * Returns the gadget with fixtures, or runs of them, on a circuit of their own, one way, and why.
   * Circuits that drove nothing else go.
   */
  public Gadget drivenBy(CircuitStart start, List<String> fixtures, String why) {
    Circuits left = circuits.clearedOf(fixtures.stream().map(FixtureRun::of).toList(), layout);
    Gadget cleared = with(left);
    String id = cleared.freeId("c");
    Circuit fresh = start.beside(left, brief.controller(), id, layout, fixtures);
    return cleared.with(left.with(fresh).because(id, why)).withPins(id);
  }

  /** Returns the gadget with a circuit of pins on as many free ones as it has channels. */
  public Gadget withPins(String circuit) {
    Circuit found = circuits.circuit(circuit).orElse(null);
    return found == null ? this : with(CircuitPins.enough(found, circuits, layout, brief));
  }

  /** Returns the gadget with a clip, in place of the one on the same fixture if there is one. */
  public Gadget with(Clip clip) {
    return with(programme.with(put(clips(), clip, Clip::fixture)));
  }

  /** Frames that play together, and what they are made of. */
  public record Shown(List<Clip> clips, List<Recipe> recipes) {}

  /** Returns the gadget with what is on the easel changed, and what each scene keeps. */
  public Gadget showing(UnaryOperator<Shown> change) {
    Shown own = change.apply(new Shown(clips(), programme.recipes()));
    List<Scene> scenes = new ArrayList<>();
    for (Scene scene : cues.scenes()) {
      Shown kept = change.apply(new Shown(scene.clips(), scene.recipes()));
      scenes.add(scene.with(kept.clips(), kept.recipes(), scene.captions()));
    }
    return with(programme.playing(own.clips(), own.recipes(), programme.captions()))
        .with(cues.withScenes(scenes, cues.open()));
  }

  /** Returns the gadget with all effects worked out by the controller that it can work out. */
  public Gadget computing() {
    return showing(
        shown ->
            new Shown(
                shown.clips(),
                shown.recipes().stream().map(r -> r.computed(computes(r))).toList()));
  }

  /**
   * Returns whether a controller can work effects out: layers that are everywhere, and what grows
   * only where its frames come one after the other, which cues do not promise.
   */
  public boolean computes(Recipe recipe) {
    return !recipe.parted() && !(recipe.grows() && cues.used());
  }

  private static boolean kept(Clip clip, List<Recipe> recipes) {
    return recipes.stream()
        .noneMatch(recipe -> recipe.fixture().equals(clip.fixture()) && recipe.computed());
  }

  /** Returns the clips on the easel and those of scenes, but for what controllers work out. */
  public Stream<Clip> keptClips() {
    return Stream.concat(
        clips().stream().filter(clip -> kept(clip, programme.recipes())),
        cues.scenes().stream()
            .flatMap(s -> s.clips().stream().filter(clip -> kept(clip, s.recipes()))));
  }

  /** Returns the gadget with all of them changed. */
  public Gadget withKeptClips(UnaryOperator<Clip> change) {
    return showing(
        shown ->
            new Shown(
                shown.clips().stream()
                    .map(clip -> kept(clip, shown.recipes()) ? change.apply(clip) : clip)
                    .toList(),
                shown.recipes()));
  }

  private Spread spread() {
    return new Spread(layout, LayoutPlan.of(fixtures()));
  }

  /**
   * Returns the frames that effects make on all that they are spread over, by fixtures, their own
   * first.
   */
  public Map<String, List<Frame>> bakedOver(Recipe recipe) {
    return bakedOver(recipe, Progress.UNSEEN);
  }

  Map<String, List<Frame>> bakedOver(Recipe recipe, Progress progress) {
    Spread spread = spread();
    Map<String, List<Frame>> all = new LinkedHashMap<>();
    for (String fixture : spread.fixtures(recipe)) {
      all.put(fixture, spread.frames(recipe.on(fixture), progress));
    }
    return all;
  }

  /**
   * Returns a gadget with frames as the clip of a fixture.
   *
   * @param append whether they go behind those that are there
   */
  public Gadget with(String fixture, List<Frame> made, boolean append) {
    Clip old = clipOn(fixture).orElse(null);
    if (old == null) {
      return with(new Clip(freeId("k"), fixture(fixture).orElseThrow().name(), fixture, made));
    }
    List<Frame> frames = new ArrayList<>(append ? old.frames() : List.of());
    frames.addAll(made);
    return with(old.withFrames(frames));
  }

  /**
   * Returns a gadget with the frames of effects on all that they are spread over; each fixture
   * remembers what its frames are made of.
   *
   * @param append whether they go behind those that are there
   */
  public Gadget made(Recipe recipe, boolean append) {
    return made(recipe, append, Progress.UNSEEN);
  }

  /** The same, with somebody who looks how far it is, fixture after fixture. */
  public Gadget made(Recipe recipe, boolean append, Progress progress) {
    Gadget with = this;
    for (Map.Entry<String, List<Frame>> one : bakedOver(recipe, progress).entrySet()) {
      with = with.with(one.getKey(), one.getValue(), append);
      with = with.with(with.programme.with(recipe.on(one.getKey())));
    }
    return with;
  }

  /** Returns the frames that effects make on their fixture. */
  public List<Frame> baked(Recipe recipe) {
    return spread().frames(recipe);
  }

  /** Returns the characters of all its texts, as code points. */
  public Set<Integer> letters() {
    return Stream.concat(
            programme.captions().stream(),
            cues.scenes().stream().flatMap(scene -> scene.captions().stream()))
        .flatMap(caption -> caption.text().codePoints().boxed())
        .collect(Collectors.toSet());
  }

  /** Returns the gadget without a clip. */
  public Gadget withoutClip(String id) {
    return with(programme.with(clips().stream().filter(c -> !c.id().equals(id)).toList()));
  }
}
