package org.myrialith.circuit.multiplex;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * How lights are to have their turns.
 *
 * @param refreshHz wanted turns of all rows a second
 * @param depth bits of a level, 1 for on or off
 * @param blankMicros that all rows stay off between two slots at least (µs)
 * @param interruptCycles of an interrupt of the maker's own firmware; 0 for that of the export
 */
@RecordBuilder
public record Scan(
    double refreshHz,
    int depth,
    double blankMicros,
    ScanMethod method,
    RowOrder order,
    int interruptCycles) {
  /** Allowed refresh. */
  public static final Bounds REFRESH = Bounds.measure(20, 10_000, "Hz");

  /** Allowed depth. */
  public static final Bounds DEPTH = Bounds.count(1, 8, "bits");

  /** Allowed blanking. */
  public static final Bounds BLANK = Bounds.measure(0, 40, "µs");

  /** Allowed cost of an interrupt. */
  public static final Bounds CYCLES = Bounds.count(0, 4000, "cycles");

  /** Steady for moving eyes, 16 levels. */
  public static final Scan USUAL = of(200, 4, 4);

  /** How it stands in the format. */
  public static final Description<Scan> DESCRIPTION =
      Description.of(
          Scan.class,
          Field.measure("refreshHz", "Refresh rate", REFRESH).or(200.0),
          Field.count("depth", "Depth", DEPTH).or(4),
          Field.measure("blankMicros", "Blanking", BLANK)
              .or(4.0)
              .explained("everything off while the columns change (dead time)"),
          Field.of(
                  "method",
                  "Dimming",
                  Types.Choice.of(ScanMethod.values(), ScanMethod::key, ScanMethod::title))
              .or(ScanMethod.BIT_ANGLE),
          Field.of(
                  "order",
                  "Row order",
                  Types.Choice.of(RowOrder.values(), RowOrder::key, RowOrder::title))
              .or(RowOrder.IN_TURN),
          Field.count("interruptCycles", "Interrupt length", CYCLES)
              .or(0)
              .explained("cycles of your own firmware; 0 = the exported one"));

  public Scan {
    REFRESH.require("refreshHz", refreshHz);
    DEPTH.require("depth", depth);
    BLANK.require("blankMicros", blankMicros);
    Objects.requireNonNull(method, "method");
    Objects.requireNonNull(order, "order");
    CYCLES.require("interruptCycles", interruptCycles);
  }

  /** Returns one by bit-angle, rows one after the other. */
  public static Scan of(double refreshHz, int depth, double blankMicros) {
    return new Scan(refreshHz, depth, blankMicros, ScanMethod.BIT_ANGLE, RowOrder.IN_TURN, 0);
  }

  /** Returns it with another refresh. */
  public Scan at(double hertz) {
    return ScanBuilder.builder(this).refreshHz(hertz).build();
  }

  /** Returns it with another depth. */
  public Scan deep(int bits) {
    return ScanBuilder.builder(this).depth(bits).build();
  }

  /** Returns it blanked for another time (µs). */
  public Scan blanked(double micros) {
    return ScanBuilder.builder(this).blankMicros(micros).build();
  }

  /** Returns it with levels made another way. */
  public Scan by(ScanMethod other) {
    return ScanBuilder.builder(this).method(other).build();
  }

  /** Returns it with rows in another order. */
  public Scan in(RowOrder other) {
    return ScanBuilder.builder(this).order(other).build();
  }

  /** Returns it for an interrupt that takes so many cycles; 0 for that of the export. */
  public Scan taking(int cycles) {
    return ScanBuilder.builder(this).interruptCycles(cycles).build();
  }
}
