package org.myrialith.parts;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * A maker's own class of controller: one that comes along, with what is different about the board
 * in hand. Core, clock and levels are those of the class that it is based on.
 *
 * @param name unique among the maker's own
 * @param base class that it is based on
 * @param pins that may be used, with blanks or commas between; empty for all of the class
 * @param ramBytes 0 for that of the class
 * @param flashBytes 0 for that of the class
 * @param planMilliamps of a pin for good, 0 for that of the class (mA)
 * @param mostMilliamps of a pin at the very most, 0 for that of the class (mA)
 * @param chipMilliamps of all pins together, 0 for that of the class (mA)
 */
public record OwnController(
    String name,
    Controller base,
    String pins,
    int ramBytes,
    int flashBytes,
    double planMilliamps,
    double mostMilliamps,
    double chipMilliamps) {
  private static final Bounds RAM = Bounds.count(0, 16_000_000, "bytes");
  private static final Bounds FLASH = Bounds.count(0, 256_000_000, "bytes");
  private static final Bounds CURRENT = Bounds.measure(0, 2000, "mA");

  /** How it stands in the format. */
  public static final Description<OwnController> DESCRIPTION =
      Description.of(
          OwnController.class,
          Field.named("name", "Name").or("My board"),
          Field.of(
                  "base",
                  "Based on",
                  Types.Choice.of(
                      Controller.CLASSES.toArray(Controller[]::new),
                      Controller::key,
                      Controller::title))
              .or(Controller.AVR8_32K),
          Field.words("pins", "Pins", Types.Words.Rule.ANY).or(""),
          Field.count("ramBytes", "RAM", RAM).or(0),
          Field.count("flashBytes", "Flash", FLASH).or(0),
          Field.measure("planMilliamps", "Current per pin", CURRENT).or(0.0),
          Field.measure("mostMilliamps", "maximum output current", CURRENT).or(0.0),
          Field.measure("chipMilliamps", "Current of all pins", CURRENT).or(0.0));

  public OwnController {
    name = TextRules.name("name", name);
    Objects.requireNonNull(base, "base");
    if (Controller.of(name).isPresent()) {
      throw new InputException("name", name, "another name than those of the classes");
    }
    List<String> named = named(pins);
    for (String pin : named) {
      if (!base.pins().contains(pin)) {
        throw new InputException(
            "pins", pin, "pins of the class: " + String.join(" ", base.pins()));
      }
    }
    if (new HashSet<>(named).size() != named.size()) {
      throw new InputException("pins", pins, "each pin once");
    }
    RAM.require("ramBytes", ramBytes);
    FLASH.require("flashBytes", flashBytes);
    CURRENT.require("planMilliamps", planMilliamps);
    CURRENT.require("mostMilliamps", mostMilliamps);
    CURRENT.require("chipMilliamps", chipMilliamps);
  }

  private static List<String> named(String pins) {
    return Arrays.stream(pins.strip().split("[\\s,;]+")).filter(pin -> !pin.isEmpty()).toList();
  }

  /** Returns the class that it makes. */
  public Controller controller() {
    return base.on(name, named(pins), ramBytes, flashBytes, stage());
  }

  private OutputStage stage() {
    OutputStage of = base.stage();
    double most = mostMilliamps > 0 ? mostMilliamps : of.mostMilliamps();
    double plan = planMilliamps > 0 ? planMilliamps : of.planMilliamps();
    return new OutputStage(
        of.sinkOhms(),
        of.sourceOhms(),
        Math.min(plan, most),
        most,
        chipMilliamps > 0 ? chipMilliamps : of.chipMilliamps(),
        of.mostVolts());
  }
}
