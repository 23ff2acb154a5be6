package org.myrialith.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.myrialith.parts.EmitterClass.Die;

/**
 * The classes that come along. Forward volts by colour, currents, intensities and packages are the
 * usual ones of each class (common practice); a data sheet of the part in hand goes before them.
 */
public final class EmitterClasses {
  private static final Die RED = new Die("red", 2.0, 20, 100, 200);
  private static final Die ORANGE = new Die("orange", 2.1, 20, 100, 300);
  private static final Die AMBER = new Die("amber", 2.1, 20, 100, 200);
  private static final Die YELLOW = new Die("yellow", 2.1, 20, 100, 200);
  private static final Die GREEN = new Die("green", 3.1, 20, 100, 800);
  private static final Die BLUE = new Die("blue", 3.2, 20, 100, 250);
  private static final Die WARM_WHITE = new Die("warm white", 3.1, 20, 100, 1500);
  private static final Die NEUTRAL_WHITE = new Die("neutral white", 3.2, 20, 100, 1800);
  private static final Die COOL_WHITE = new Die("cool white", 3.2, 20, 100, 2000);

  /** All classes, in the order of the list that makers choose from. */
  public static final List<EmitterClass> ALL = all();

  private EmitterClasses() {}

  private static List<EmitterClass> all() {
    List<EmitterClass> all = new ArrayList<>();
    all.add(pixel("one-wire-rgb", "One-wire RGB pixel, 5 V", EmitterKind.ONE_WIRE_RGB));
    all.add(pixel("one-wire-rgbw", "One-wire RGBW pixel, 5 V", EmitterKind.ONE_WIRE_RGBW));
    all.add(pixel("clocked-rgb", "Clocked RGB pixel, 5 V", EmitterKind.CLOCKED_RGB));
    all.add(pixel("clocked-rgbw", "Clocked RGBW pixel, 5 V", EmitterKind.CLOCKED_RGBW));
    for (Die die :
        List.of(RED, ORANGE, AMBER, YELLOW, GREEN, BLUE, WARM_WHITE, NEUTRAL_WHITE, COOL_WHITE)) {
      String word = die.colour().replace(' ', '-');
      all.add(
          new EmitterClass(
              "single-" + word,
              "Single " + die.colour() + ", 5 mm round",
              EmitterKind.SINGLE,
              List.of(die),
              30,
              5,
              5));
    }
    all.add(
        new EmitterClass(
            "small-red",
            "Single red, 0805",
            EmitterKind.SINGLE,
            List.of(new Die("red", 2.0, 20, 60, 50)),
            120,
            2,
            1.25));
    all.add(
        new EmitterClass(
            "two-colour",
            "Two-colour red and green, 5 mm round",
            EmitterKind.TWO_COLOUR,
            List.of(RED, GREEN),
            60,
            5,
            5));
    all.add(
        new EmitterClass(
            "rgb-pins",
            "RGB with separate pins, 5 mm round",
            EmitterKind.RGB_PINS,
            List.of(RED, GREEN, BLUE),
            60,
            5,
            5));
    all.add(
        new EmitterClass(
            "rgbw-pins",
            "RGBW with separate pins, 5 x 5 mm",
            EmitterKind.RGBW_PINS,
            List.of(RED, GREEN, BLUE, WARM_WHITE),
            120,
            5,
            5));
    all.add(
        new EmitterClass(
            "filament",
            "Filament, warm white, 3 V, 38 mm",
            EmitterKind.FILAMENT,
            List.of(new Die("warm white", 3.0, 100, 150, 3000)),
            360,
            38,
            1.2));
    all.add(
        new EmitterClass(
            "high-power",
            "High-power white, 1 W on a star",
            EmitterKind.HIGH_POWER,
            List.of(new Die("cool white", 3.2, 350, 1000, 30_000)),
            120,
            20,
            20));
    all.add(
        new EmitterClass(
            "lamp",
            "Incandescent lamp, 6 V",
            EmitterKind.LAMP,
            List.of(new Die("warm white", 6, 150, 150, 1000)),
            300,
            9,
            9));
    return List.copyOf(all);
  }

  private static EmitterClass pixel(String id, String name, EmitterKind kind) {
    // a pixel's dies sit behind its own chip: what it takes is the supply's voltage
    List<Die> dies = new ArrayList<>();
    dies.add(new Die("red", 5, 20, 20, 400));
    dies.add(new Die("green", 5, 20, 20, 700));
    dies.add(new Die("blue", 5, 20, 20, 250));
    if (kind.dies() == 4) {
      dies.add(new Die("warm white", 5, 20, 20, 1500));
    }
    return new EmitterClass(id, name, kind, dies, 120, 5, 5);
  }

  /** Returns their identifiers, parted by commas. */
  public static String ids() {
    return String.join(", ", ALL.stream().map(EmitterClass::id).toList());
  }

  /** Returns the class of that identifier among those that come along. */
  public static Optional<EmitterClass> of(String id) {
    return ALL.stream().filter(c -> c.id().equals(id)).findFirst();
  }
}
