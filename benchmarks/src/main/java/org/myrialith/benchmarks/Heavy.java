package org.myrialith.benchmarks;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.cue.Becomes;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Press;
import org.myrialith.cue.Scene;
import org.myrialith.cue.Stay;
import org.myrialith.cue.Variable;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Plasma;
import org.myrialith.effects.Recipe;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Programme;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.input.Input;
import org.myrialith.input.InputList;
import org.myrialith.input.InputSort;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Conductor;
import org.myrialith.parts.Controller;
import org.myrialith.voltagedrop.Feed;
import org.myrialith.voltagedrop.RailSettings;

/** Gadgets that ask for much of the plan, each in another place. */
final class Heavy {
  private Heavy() {}

  private static Panel panel(int columns, int rows) {
    return new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, false, true, 0);
  }

  /** A wall of noise whose chain is fed at its beginning: every moment leaves other volts. */
  static Gadget fedWall(int frames) {
    Gadget wall = Walls.playing(128, 64, frames);
    Feed feed = new Feed(0, Conductor.MM2_2_5, 500);
    RailSettings rail = new RailSettings("c1", Conductor.TRACK_70, false, 0, 40, List.of(feed));
    return wall.with(wall.power().with(rail));
  }

  /** Noise that fits no memory: ways to less are searched for. */
  static Gadget tooMuch(int frames) {
    Gadget wall = Walls.playing(32, 32, frames);
    return wall.with(wall.brief().withController(Controller.AVR8_32K));
  }

  /** Sixty clips whose holds have nothing in common: moments without end. */
  static Gadget coprime(int clips) {
    Random random = new Random(5);
    Gadget gadget = Gadget.blank("Coprime");
    List<String> ids = new ArrayList<>();
    List<Clip> all = new ArrayList<>();
    int hold = 17;
    for (int c = 1; c <= clips; c++) {
      Fixture one = Fixture.of("f" + c, "P" + c, panel(8, 1), 0, 20 * c);
      gadget = gadget.with(one);
      ids.add(one.id());
      List<Frame> frames = new ArrayList<>();
      for (int f = 0; f < 3; f++) {
        byte[] rgb = new byte[24];
        random.nextBytes(rgb);
        frames.add(new Frame(Picture.of(8, 1, rgb), hold));
      }
      all.add(new Clip("k" + c, "C" + c, one.id(), frames));
      hold = nextPrime(hold);
    }
    return gadget.with(OneWirePixels.usual("c1", ids)).with(new Programme(all));
  }

  private static int nextPrime(int after) {
    return BigInteger.valueOf(after).nextProbablePrime().intValue();
  }

  /** As many frames of an effect, worked out by the controller. */
  static Gadget computed(int frames) {
    Fixture wall = Fixture.of("f1", "Wall", panel(64, 32), 0, 0);
    Recipe recipe =
        new Recipe("f1", frames, 40, List.of(new Layer(new Plasma(3, 100, 1), Blend.OVER, 100)));
    return Gadget.blank("Computed")
        .with(wall)
        .with(OneWirePixels.usual("c1", List.of("f1")))
        .made(recipe, false)
        .computing();
  }

  /** As many cues as there may be, on as many buttons as there are pins. */
  static Gadget cues(int cues, int buttons, int pixels) {
    Fixture strip = Fixture.of("f1", "Strip", panel(pixels, 1), 0, 0);
    Gadget gadget = Gadget.blank("Cues").with(strip).with(OneWirePixels.usual("c1", List.of("f1")));
    gadget = gadget.with(gadget.brief().withController(Controller.AVR8_256K));
    List<String> pins = new ArrayList<>(gadget.brief().controller().pins());
    gadget.circuits().circuits().forEach(circuit -> pins.removeAll(circuit.pins()));
    List<Input> inputs = new ArrayList<>();
    for (int b = 0; b < buttons; b++) {
      inputs.add(new Input("B" + b, InputSort.BUTTONS_UP, pins.get(b), 1, 5, 4, 3));
    }
    List<Scene> scenes = new ArrayList<>(List.of(Scene.empty("s0", "Easel")));
    for (int s = 1; s <= 8; s++) {
      byte[] rgb = new byte[3 * pixels];
      new Random(s).nextBytes(rgb);
      Frame frame = new Frame(Picture.of(pixels, 1, rgb), 100);
      scenes.add(
          Scene.empty("s" + s, "S" + s)
              .with(List.of(new Clip("k" + s, "K", "f1", List.of(frame))), List.of(), List.of()));
    }
    List<Cue> all = new ArrayList<>(List.of(Cue.showing("u0", "Rest", new PowerOn(), "s1")));
    for (int c = 1; c < cues; c++) {
      String scene = "s" + (1 + c % 8);
      all.add(
          c % 3 == 0
              ? Cue.showing("u" + c, "C" + c, new Becomes("score = " + c % 20), scene)
                  .at(c % 5, Clears.SAME)
                  .staying(Stay.TIMED, 300)
              : Cue.showing(
                      "u" + c, "C" + c, new Press("B" + c % buttons, 1, Press.How.DOWN), scene)
                  .then("score + 1")
                  .at(c % 5, Clears.LOWER)
                  .fading(100, 200)
                  .staying(Stay.TIMED, 500));
    }
    CueSheet sheet =
        new CueSheet(List.of(new Variable("score", 0, 30, 0, true)), scenes, "s0", all, 1);
    return gadget.with(gadget.circuits().with(new InputList(inputs))).with(sheet);
  }
}
