package org.myrialith.parts;

import java.util.List;
import java.util.Optional;
import org.myrialith.describe.Description;
import org.myrialith.describe.Field;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.TextRules;

/**
 * What feeds the gadget.
 *
 * @param name what the maker calls it, or the class
 * @param volts nominal voltage (V)
 * @param amps rated current (A)
 */
public record Supply(String name, double volts, double amps) {
  /** Allowed voltage: what a 5 V pixel takes (V). */
  public static final Bounds VOLTS = Bounds.measure(3.5, 5.5, "V");

  /** Allowed rated current (A). */
  public static final Bounds AMPS = Bounds.measure(0.05, 400, "A");

  /**
   * Classes of 5 V supply, weakest first. The ports are from USB 2.0 (500 mA), USB 3.2 (900 mA) and
   * BC 1.2 (1.5 A); the adapters are the usual ratings (common practice).
   */
  public static final List<Supply> CLASSES =
      List.of(
          new Supply("USB 2.0 port", 5, 0.5),
          new Supply("USB 3 port", 5, 0.9),
          new Supply("USB charging port", 5, 1.5),
          new Supply("5 V adapter, 2 A", 5, 2),
          new Supply("5 V adapter, 3 A", 5, 3),
          new Supply("5 V adapter, 4 A", 5, 4),
          new Supply("5 V enclosed supply, 6 A", 5, 6),
          new Supply("5 V enclosed supply, 8 A", 5, 8),
          new Supply("5 V enclosed supply, 10 A", 5, 10),
          new Supply("5 V enclosed supply, 20 A", 5, 20),
          new Supply("5 V enclosed supply, 40 A", 5, 40),
          new Supply("5 V enclosed supply, 60 A", 5, 60));

  /** How it stands in the format. */
  public static final Description<Supply> DESCRIPTION =
      Description.of(
          Supply.class,
          Field.named("name", "What feeds it?"),
          Field.measure("volts", "Voltage", VOLTS),
          Field.measure("amps", "Rated current", AMPS));

  public Supply {
    name = TextRules.name("name", name);
    VOLTS.require("volts", volts);
    AMPS.require("amps", amps);
  }

  /** Returns the weakest class rated for at least {@code amps} (A). */
  public static Optional<Supply> weakestFor(double amps) {
    return CLASSES.stream().filter(supply -> supply.amps() >= amps).findFirst();
  }
}
