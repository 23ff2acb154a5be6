package org.myrialith.presets;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntBinaryOperator;
import java.util.stream.IntStream;
import org.myrialith.circuit.Circuits;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Readout;
import org.myrialith.cue.Scene;
import org.myrialith.cue.Trigger;
import org.myrialith.cue.Variable;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Effect;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Recipe;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.FrameSource;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.input.Input;
import org.myrialith.input.InputList;
import org.myrialith.input.InputSort;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.Controller;
import org.myrialith.text.Caption;
import org.myrialith.text.CaptionPlan;

/** Puts scenes, cues, values and inputs on a gadget. Mutable, lives for one machine. */
final class Staging {
  /**
   * Bytes that the frames of a scene may take, so that a few scenes fit into a small controller.
   */
  private static final int SCENE_BYTES = 3000;

  private final Gadget gadget;
  private final Fixture fixture;
  private final List<Scene> scenes = new ArrayList<>();
  private final List<Variable> variables = new ArrayList<>();
  private final List<Cue> cues = new ArrayList<>();
  private final List<Input> inputs;
  private int clips;

  /** Begins; what is there now stays as a scene of its own. */
  Staging(Gadget gadget, Fixture fixture) {
    this.gadget = gadget;
    this.fixture = fixture;
    this.inputs = new ArrayList<>(gadget.circuits().inputs().inputs());
  }

  Fixture fixture() {
    return fixture;
  }

  // inputs

  private Optional<String> freePin(boolean analogue) {
    Controller controller = gadget.brief().controller();
    Set<String> taken = new HashSet<>();
    gadget.circuits().circuits().forEach(circuit -> taken.addAll(circuit.pins()));
    inputs.forEach(input -> taken.addAll(input.pinNames()));
    // which pins measure is not known of all classes
    boolean known = analogue && !controller.analoguePins().isEmpty();
    List<String> pins = known ? controller.analoguePins() : controller.pins();
    return pins.stream()
        .filter(pin -> !taken.contains(pin))
        .min(Comparator.comparingInt(pin -> controller.otherUse(pin).isPresent() ? 1 : 0));
  }

  private String input(String name, InputSort sort, int every, int looks, int agreeing) {
    if (inputs.stream().noneMatch(input -> input.name().equals(name))) {
      String pin =
          freePin(sort == InputSort.LIGHT)
              .orElseThrow(
                  () ->
                      new InputException(
                          "start",
                          name,
                          "a gadget whose controller has a free pin for each input"));
      inputs.add(new Input(name, sort, pin, 1, every, looks, agreeing));
    }
    return name;
  }

  /** A button to ground, on the first pin that is free. */
  String button(String name) {
    return input(name, InputSort.BUTTONS_UP, 5, 4, 3);
  }

  /** A sensor on a pin that measures. */
  String sensor(String name) {
    return input(name, InputSort.LIGHT, 50, 1, 1);
  }

  // values

  void value(String name, int least, int most, boolean wraps) {
    value(name, least, most, least, wraps);
  }

  void value(String name, int least, int most, int start, boolean wraps) {
    variables.add(new Variable(name, least, most, start, wraps));
  }

  /** A value that is there again after power was off, where the controller has memory for it. */
  void keptValue(String name, int least, int most, int start, boolean wraps) {
    value(name, least, most, start, wraps);
    if (gadget.brief().controller().keptMemory().isPresent()) {
      variables.add(variables.remove(variables.size() - 1).keeping());
    }
  }

  // scenes

  private String keep(Scene scene) {
    scenes.add(scene);
    return scene.id();
  }

  private String freeScene() {
    return "s" + (scenes.size() + 1);
  }

  private Clip clip(String name, List<Frame> frames) {
    clips++;
    return new Clip("m" + clips, name, fixture.id(), frames);
  }

  /** A scene of an effect; as many frames as a small controller holds. */
  String effect(String name, Effect effect, int seconds) {
    int bytes = 3 * fixture.seenColumns() * fixture.seenRows();
    int frames = Math.max(6, Math.min(24, SCENE_BYTES / bytes));
    Recipe recipe =
        new Recipe(
            fixture.id(),
            frames,
            seconds * 1000 / frames,
            List.of(new Layer(effect, Blend.OVER, 100)));
    Scene scene = Scene.empty(freeScene(), name);
    return keep(scene.with(List.of(clip(name, gadget.baked(recipe))), List.of(recipe), List.of()));
  }

  /** A scene of one picture. */
  String picture(String name, IntBinaryOperator colour) {
    return pictures(name, 1000, 1, (column, row, frame) -> colour.applyAsInt(column, row));
  }

  /** The colour of a place in a frame. */
  interface Painted {
    int at(int column, int row, int frame);
  }

  /** A scene of several pictures, each held as long. */
  String pictures(String name, int millis, int count, Painted painted) {
    int columns = fixture.seenColumns();
    int rows = fixture.seenRows();
    List<Frame> frames =
        IntStream.range(0, count)
            .mapToObj(
                frame -> {
                  byte[] rgb = new byte[3 * columns * rows];
                  for (int cell = 0; cell < columns * rows; cell++) {
                    int one = painted.at(cell % columns, cell / columns, frame);
                    rgb[3 * cell] = (byte) (one >> 16);
                    rgb[3 * cell + 1] = (byte) (one >> 8);
                    rgb[3 * cell + 2] = (byte) one;
                  }
                  return new Frame(Picture.of(columns, rows, rgb), millis);
                })
            .toList();
    return keep(
        Scene.empty(freeScene(), name).with(List.of(clip(name, frames)), List.of(), List.of()));
  }

  /** A scene of a text. */
  String text(String name, Caption caption) {
    CaptionPlan plan =
        CaptionPlan.of(
            caption, gadget.programme().fonts(), fixture.seenColumns(), fixture.seenRows());
    return keep(
        Scene.empty(freeScene(), name)
            .with(List.of(clip(name, FrameSource.frames(plan))), List.of(), List.of(caption)));
  }

  /** A scene of nothing but values. */
  String values(String name, Readout... readouts) {
    return keep(Scene.empty(freeScene(), name).showing(List.of(readouts)));
  }

  // cues

  Cue cue(String name, Trigger when, String scene) {
    return Cue.showing("u" + (cues.size() + 1), name, when, scene);
  }

  /** Adds a cue behind those that are there; returns its identifier. */
  String add(Cue cue) {
    cues.add(cue);
    return cue.id();
  }

  /** The gadget with all of it; the first scene is on the easel, what was there is the last. */
  Gadget done() {
    List<Scene> all = new ArrayList<>();
    Scene first = scenes.get(0);
    all.add(first.with(List.of(), List.of(), List.of()));
    all.addAll(scenes.subList(1, scenes.size()));
    if (!gadget.clips().isEmpty()) {
      all.add(
          Scene.empty(freeScene(), "As it was")
              .with(gadget.clips(), gadget.programme().recipes(), gadget.programme().captions()));
    }
    Circuits listening = gadget.circuits().with(new InputList(inputs));
    return gadget
        .with(listening)
        .with(gadget.programme().playing(first.clips(), first.recipes(), first.captions()))
        .with(new CueSheet(variables, all, first.id(), cues, 1));
  }
}
