package org.myrialith.firmware;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.myrialith.cue.Becomes;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Crossing;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Ended;
import org.myrialith.cue.Every;
import org.myrialith.cue.Idle;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Press;
import org.myrialith.cue.Readout;
import org.myrialith.cue.ReadoutForm;
import org.myrialith.cue.Received;
import org.myrialith.cue.Scene;
import org.myrialith.cue.Stay;
import org.myrialith.cue.Trigger;
import org.myrialith.cue.Turned;
import org.myrialith.cue.Variable;
import org.myrialith.effects.Recipe;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.edit.Characters;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.input.Input;
import org.myrialith.input.InputList;
import org.myrialith.input.InputSort;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.parts.Controller;
import org.myrialith.text.Fonts;

/** Cues by chance over a gadget that lights up in any way. */
final class CueGadgets {
  private static final int SCENES = 4;

  private final Gadget base;
  private final Random random;

  private CueGadgets(Gadget base, long seed) {
    this.base = base;
    this.random = new Random(seed);
  }

  static Gadget by(Gadget base, long seed) {
    return new CueGadgets(base, seed).made();
  }

  private Gadget made() {
    List<Scene> scenes = new ArrayList<>();
    for (int s = 1; s <= SCENES; s++) {
      scenes.add(scene(s));
    }
    // the first is on the easel
    Scene first = scenes.get(0);
    scenes.set(0, first.with(List.of(), List.of(), List.of()));
    List<Variable> variables =
        List.of(
            new Variable("score", -20, 120, 3, false, keeps(), serial().isPresent()),
            new Variable("face", 1, 6, 1, true, keeps(), serial().isPresent()),
            new Variable("armed", 0, 1, 0, true));
    List<Cue> cues = new ArrayList<>();
    cues.add(Cue.showing("u1", "Rest", new PowerOn(), "s1").fading(120, 0));
    int most = serial().isPresent() ? 16 : 14;
    for (int c = 2; c <= most; c++) {
      cues.add(cue(c));
    }
    CueSheet sheet = new CueSheet(variables, scenes, "s1", cues, 1 + random.nextInt(999));
    return base.with(base.circuits().with(inputs()))
        .with(base.programme().playing(first.clips(), first.recipes(), List.of()))
        .with(sheet);
  }

  private boolean keeps() {
    return base.brief().controller().keptMemory().isPresent();
  }

  /** The pin that messages come in by. */
  private Optional<String> serial() {
    Controller controller = base.brief().controller();
    return controller.pins().stream()
        .filter(pin -> controller.otherUse(pin).orElse("").contains("serial in"))
        .findFirst();
  }

  /** On pins that nothing else has, as far as there are any. */
  private InputList inputs() {
    Controller controller = base.brief().controller();
    List<String> free = new ArrayList<>(controller.pins());
    base.circuits().circuits().forEach(circuit -> free.removeAll(circuit.pins()));
    List<String> analogue = new ArrayList<>(controller.analoguePins());
    analogue.retainAll(free);
    String light = analogue.isEmpty() ? free.get(free.size() - 1) : analogue.get(0);
    free.remove(light);
    List<String> pins = new ArrayList<>(free);
    while (pins.size() < 5) {
      pins.addAll(controller.pins());
    }
    List<Input> all = new ArrayList<>();
    serial()
        .ifPresent(
            pin -> {
              String other =
                  controller.pins().stream().filter(p -> !p.equals(pin)).findFirst().get();
              all.add(new Input("Serial", InputSort.SERIAL, other + " " + pin, 1, 1, 1, 1));
            });
    all.addAll(
        List.of(
            new Input("Button", InputSort.BUTTONS_UP, pins.get(0) + " " + pins.get(1), 2, 5, 4, 3),
            new Input("Switch", InputSort.BUTTONS_DOWN, pins.get(2), 1, 7, 8, 6),
            new Input("Knob", InputSort.KNOB, pins.get(3) + " " + pins.get(4), 1, 1, 1, 1),
            new Input("Light", InputSort.LIGHT, light, 1, 40, 1, 1)));
    if (random.nextBoolean()) {
      all.add(new Input("Time", InputSort.CLOCK_CHIP, pins.get(0) + " " + pins.get(1), 1, 1, 1, 1));
    }
    return new InputList(all);
  }

  private Scene scene(int number) {
    List<Clip> clips = new ArrayList<>();
    List<Readout> readouts = new ArrayList<>();
    List<Recipe> recipes = new ArrayList<>();
    for (Fixture fixture : base.fixtures()) {
      String id = "k" + number + fixture.id();
      Optional<Recipe> own = base.programme().recipeOn(fixture.id()).filter(Recipe::computed);
      if (own.isPresent() && random.nextInt(3) > 0) {
        Recipe one =
            own.get().with(1 + random.nextInt(4), 17 + random.nextInt(90), own.get().layers());
        recipes.add(one);
        clips.add(new Clip(id, "Effect", fixture.id(), number % 3 == 1, base.baked(one)));
      } else if (random.nextInt(4) > 0) {
        int frames = 1 + random.nextInt(4);
        int hold = 17 + random.nextInt(90);
        List<Frame> made = SwitchedGadgets.frames(fixture, frames, hold, random.nextLong());
        Random apart = new Random(31L * number + fixture.id().hashCode());
        boolean through = number % 3 > 0 && apart.nextBoolean();
        clips.add(
            new Clip(id, "Clip", fixture.id(), through, through ? withHoles(made, apart) : made));
      }
      if (random.nextInt(3) == 0) {
        readouts.add(readout("r" + number + fixture.id(), fixture.id()));
      }
    }
    return new Scene("s" + number, "Scene " + number, clips, recipes, List.of(), readouts);
  }

  /** The same frames with about half of their cells dark. */
  private static List<Frame> withHoles(List<Frame> frames, Random random) {
    return frames.stream()
        .map(
            frame -> {
              byte[] rgb = frame.picture().rgb();
              for (int cell = 0; cell < rgb.length; cell += 3) {
                if (random.nextBoolean()) {
                  Arrays.fill(rgb, cell, cell + 3, (byte) 0);
                }
              }
              Picture seen = frame.picture();
              return new Frame(Picture.of(seen.columns(), seen.rows(), rgb), frame.holdMillis());
            })
        .toList();
  }

  private Readout readout(String id, String fixture) {
    String[] texts = {
      "{score:3}",
      "{hour:2}{minute:02}",
      "{face}",
      "{second:02} {score}",
      "{hour:12}{second:02}",
      "{year:last2}{score:tens}",
      "{hour+5:02}{score-3:2}",
      "{second:12}{second:ap}"
    };
    String[] whole = {"{score}", "{face} {hour}", "{minute}", "{second} {score}", "{minute+30}"};
    ReadoutForm form = ReadoutForm.values()[random.nextInt(ReadoutForm.values().length)];
    if (base.fixture(fixture).orElseThrow().shape() instanceof SegmentDigits digits
        && Characters.segments(digits.style(), Map.of(), '0').isEmpty()) {
      form = ReadoutForm.BITS; // of its own segments no figures are made
    }
    boolean one = form == ReadoutForm.BAR || form == ReadoutForm.POINTER;
    String[] single = {"{score}", "{face}", "{second}", "{second-15}"};
    boolean bits = form == ReadoutForm.BINARY || form == ReadoutForm.BINARY_DOWN;
    int able = texts.length - (form == ReadoutForm.TEXT ? 0 : 1); // A and P are no digits
    String text =
        one
            ? single[random.nextInt(3)]
            : bits ? whole[random.nextInt(whole.length)] : texts[random.nextInt(able)];
    String blinks = random.nextInt(3) == 0 ? "armed = 1" : "";
    return new Readout(
        id,
        fixture,
        form,
        text,
        Fonts.USUAL,
        random.nextInt(3) - 1,
        0,
        random.nextInt(0x1000000) | 0x404040,
        random.nextBoolean(),
        blinks);
  }

  private Cue cue(int number) {
    Trigger when = trigger(number);
    String[] onlys = {"", "", "score < 60", "armed = 1", "face <> 3 and score > 1"};
    String[] thens = {
      "",
      "score + 7",
      "score - 3, armed + 1",
      "face = any",
      "face + 1",
      "score = face",
      "minute + 1",
      "hour - 5, second = 58"
    };
    int scene = random.nextInt(SCENES + 1);
    Stay stay = Stay.values()[random.nextInt(4)];
    if (stay == Stay.WHILE && !when.lasts() || stay == Stay.ONCE) {
      stay = Stay.TIMED;
    }
    return new Cue(
        "u" + number,
        "Cue " + number,
        when,
        onlys[random.nextInt(onlys.length)],
        thens[random.nextInt(thens.length)],
        scene == 0 ? "" : "s" + scene,
        random.nextInt(4),
        Clears.values()[random.nextInt(4)],
        random.nextInt(3) == 0 ? random.nextInt(400) : 0,
        random.nextInt(3) == 0 ? random.nextInt(400) : 0,
        stay,
        100 + random.nextInt(900));
  }

  private Trigger trigger(int number) {
    return switch (number) {
      case 2 -> new Press("Button", 1, Press.How.SHORT);
      case 3 -> new Press("Button", 1, Press.How.DOUBLE);
      case 4 -> new Press("Button", 1, Press.How.LONG);
      case 5 -> new Press("Button", 2, Press.How.DOWN);
      case 6 -> new Press("Switch", 1, Press.How.AGAIN);
      case 7 -> new Press("Button", 2, Press.How.UP);
      case 8 -> new Turned("Knob", 1, true, 4);
      case 9 -> new Turned("Knob", 1, false, 2);
      case 10 -> new Crossing("Light", 1, random.nextBoolean(), 40, 10);
      case 11 -> new Becomes("score > 20 and armed = 1");
      case 12 -> new Ended("u5");
      case 13 -> new Idle(1);
      case 15 -> new Received("Serial", "next page");
      case 16 -> new Received("Serial", "go");
      default -> new Every(300, 900);
    };
  }

  /** In place of an input: a letter comes in. */
  static final int LETTER = 60;

  private static final String[] LINES = {
    "go\n",
    "next page\r\n",
    "face=3\n",
    "score=-200\n",
    "face=99\r",
    "score=0042\n",
    "nonsense\n",
    "go \n",
    "gogo\n",
    "score=\n",
    "score=-\n",
    "score=12345\n",
    "score=1a\n",
    "armed=1\n",
    "=5\n",
    "score\n",
    "a line that is longer than any that is listened to\n",
    "\n\n",
    "go"
  };

  /** Looks that a maker's hands could give: lines of time, input and reading. */
  static List<int[]> script(int millis, long seed) {
    Random random = new Random(seed);
    List<int[]> all = new ArrayList<>();
    int[] pins = {0, 1, 3, 2};
    int turned = 0;
    int at = 50;
    int[] down = new int[3];
    while (at < millis) {
      switch (random.nextInt(7)) {
        case 6 -> {
          String line = LINES[random.nextInt(LINES.length)];
          for (char letter : line.toCharArray()) {
            all.add(new int[] {at, LETTER, letter});
            at += random.nextInt(2);
          }
        }
        case 0, 1, 2 -> {
          int button = random.nextInt(3);
          down[button] ^= 1;
          for (int bounce = random.nextInt(3); bounce > 0; bounce--) {
            all.add(new int[] {at, button, down[button]});
            at += 1 + random.nextInt(3);
            all.add(new int[] {at, button, down[button] ^ 1});
            at += 1 + random.nextInt(3);
          }
          all.add(new int[] {at, button, down[button]});
        }
        case 3, 4 -> {
          int way = random.nextBoolean() ? 1 : 3;
          for (int edge = random.nextInt(10); edge > 0; edge--) {
            turned = (turned + way) % 4;
            at += 1 + random.nextInt(6);
            all.add(new int[] {at, 3, pins[turned]});
          }
        }
        default -> all.add(new int[] {at, 4, random.nextInt(256)});
      }
      at += 1 + random.nextInt(random.nextInt(3) == 0 ? 900 : 200);
    }
    return all;
  }
}
