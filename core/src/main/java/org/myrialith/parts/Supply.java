package org.myrialith.parts;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * What feeds the gadget.
 *
 * @param name what the maker calls it, or the class
 * @param volts nominal voltage (V)
 * @param amps rated current (A)
 * @param kind what it is
 * @param milliampHours of cells (mAh); 0 for what their class holds
 */
public record Supply(
    String name, double volts, double amps, SupplyKind kind, double milliampHours) {
  /** Allowed voltage (V). */
  public static final Bounds VOLTS = Bounds.measure(1, 60, "V");

  /** Allowed capacity. */
  public static final Bounds CAPACITY = Bounds.measure(0, 1_000_000, "mAh");

  /** Allowed rated current (A). */
  public static final Bounds AMPS = Bounds.measure(0.001, 400, "A");

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

  /** Classes beside those of 5 V: ports by their kinds, adapters, cells. */
  public static final List<Supply> OTHERS =
      List.of(
          new Supply("Type C port, 3 A", 5, 3),
          new Supply("12 V adapter, 2 A", 12, 2),
          new Supply("12 V adapter, 5 A", 12, 5),
          new Supply("24 V enclosed supply, 6 A", 24, 6),
          new Supply("Bench supply, 5 V, 3 A", 5, 3),
          new Supply("Computer supply, 5 V rail, 20 A", 5, 20, SupplyKind.COMPUTER, 0),
          new Supply("Power bank, 2 A", 5, 2, SupplyKind.BANK, 0),
          new Supply("Lithium cell", 3.7, 2, SupplyKind.LITHIUM, 2000),
          new Supply("3 AA alkaline", 4.5, 0.8, SupplyKind.ALKALINE_AA, 0),
          new Supply("4 AA rechargeable", 4.8, 2, SupplyKind.NIMH_AA, 0),
          new Supply("3 AAA alkaline", 4.5, 0.4, SupplyKind.ALKALINE_AAA, 0),
          new Supply("4 AAA rechargeable", 4.8, 1, SupplyKind.NIMH_AAA, 0),
          new Supply("9 V block", 9, 0.2, SupplyKind.BLOCK_9V, 0),
          new Supply("Coin cell", 3, 0.005, SupplyKind.COIN, 0));

  /** How it stands in the format. */
  public static final Description<Supply> DESCRIPTION =
      Description.of(
          Supply.class,
          Field.named("name", "Power source"),
          Field.measure("volts", "Voltage", VOLTS),
          Field.measure("amps", "Rated current", AMPS),
          Field.of(
                  "kind",
                  "Kind",
                  Types.Choice.of(SupplyKind.values(), SupplyKind::key, SupplyKind::title))
              .or(SupplyKind.PLAIN),
          Field.measure("milliampHours", "Battery capacity", CAPACITY)
              .or(0.0)
              .explained("of cells; 0 = typical for its type"));

  public Supply {
    name = TextRules.name("name", name);
    VOLTS.require("volts", volts);
    AMPS.require("amps", amps);
    Objects.requireNonNull(kind, "kind");
    CAPACITY.require("milliampHours", milliampHours);
  }

  /** What does not run empty. */
  public Supply(String name, double volts, double amps) {
    this(name, volts, amps, SupplyKind.PLAIN, 0);
  }

  /** Returns all classes, those of 5 V first. */
  public static List<Supply> all() {
    return Stream.concat(CLASSES.stream(), OTHERS.stream()).toList();
  }

  /** Returns the cells that stand in a row; 1 for what has none. */
  public int cells() {
    return kind.runsEmpty() && kind != SupplyKind.BANK
        ? Math.max(1, (int) Math.round(volts / kind.cell().volts()))
        : 1;
  }

  /** Returns what its cells hold at a small load (mAh): as marked, or that of their class. */
  public double capacity() {
    return milliampHours > 0 ? milliampHours : kind.cell().byLoad()[0][1];
  }

  /**
   * Returns the most that its cells give for a moment (A): lithium cells twice their capacity an
   * hour, unless their label says more; a bank what it is rated for; others that of their class.
   */
  public double mostCellAmps() {
    return switch (kind) {
      case LITHIUM -> 2 * capacity() * 1e-3;
      case BANK -> amps;
      default -> kind.cell().mostAmps();
    };
  }

  /**
   * Returns the capacity of cells that hold an energy (mAh): at the nominal voltage, that of the
   * cells inside for a bank, whose label says so (common practice).
   *
   * @param wattHours marked (Wh)
   */
  public double capacityOf(double wattHours) {
    return 1e3 * wattHours / (kind == SupplyKind.BANK ? kind.cell().volts() : volts);
  }

  /** Returns it with cells of another capacity (mAh). */
  public Supply holding(double other) {
    return new Supply(name, volts, amps, kind, other);
  }

  /** Returns what it has inside (ohm). */
  public double ohms() {
    return kind.runsEmpty() && kind != SupplyKind.BANK ? cells() * kind.cell().ohms() : 0;
  }

  /** Returns the weakest class rated for at least {@code amps} (A). */
  public static Optional<Supply> weakestFor(double amps) {
    return CLASSES.stream().filter(supply -> supply.amps() >= amps).findFirst();
  }
}
