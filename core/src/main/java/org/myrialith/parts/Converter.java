package org.myrialith.parts;

import java.util.Objects;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;
import org.myrialith.schema.Types;

/**
 * What makes a rail of another.
 *
 * @param name unique in the tree
 * @param from name of what feeds it
 * @param volts that it gives (V); 0 for those that it gets
 * @param amps that it gives at most (A)
 * @param percent of the watts that it is fed with that come out, where watts pass through, when
 *     little is drawn
 * @param fullPercent the same at the most that it gives; 0 for as much
 * @param dropVolts that it needs more than it gives (V)
 * @param idleMilliamps that it takes for itself (mA)
 * @param kelvinPerWatt that it gets warmer for each watt that it loses
 */
public record Converter(
    String name,
    ConverterSort sort,
    String from,
    double volts,
    double amps,
    double percent,
    double fullPercent,
    double dropVolts,
    double idleMilliamps,
    double kelvinPerWatt) {
  /** Allowed volts. */
  public static final Bounds VOLTS = Bounds.measure(0, 60, "V");

  /** Allowed current. */
  public static final Bounds AMPS = Bounds.measure(0.001, 400, "A");

  /** Allowed efficiency. */
  public static final Bounds PERCENT = Bounds.measure(1, 100, "%");

  /** Allowed efficiency at the most, 0 for as when little is drawn. */
  public static final Bounds FULL_PERCENT = Bounds.measure(0, 100, "%");

  /** Allowed drop-out. */
  public static final Bounds DROP = Bounds.measure(0, 10, "V");

  /** Allowed current of its own. */
  public static final Bounds IDLE = Bounds.measure(0, 500, "mA");

  /** Allowed thermal resistance. */
  public static final Bounds KELVIN = Bounds.measure(0, 500, "K/W");

  /** How it stands in the format. */
  public static final Description<Converter> DESCRIPTION =
      Description.of(
          Converter.class,
          Field.named("name", "Name"),
          Field.of(
              "sort",
              "Type",
              Types.Choice.of(ConverterSort.values(), ConverterSort::key, ConverterSort::title)),
          Field.named("from", "Supplied from"),
          Field.measure("volts", "Output voltage", VOLTS),
          Field.measure("amps", "maximum output current", AMPS),
          Field.measure("percent", "Efficiency, typical", PERCENT).or(88.0),
          Field.measure("fullPercent", "Efficiency at full load", FULL_PERCENT)
              .or(0.0)
              .explained("0 = as typical"),
          Field.measure("dropVolts", "Dropout voltage", DROP).or(0.0),
          Field.measure("idleMilliamps", "Quiescent current", IDLE).or(0.0),
          Field.measure("kelvinPerWatt", "Thermal resistance", KELVIN).or(0.0));

  public Converter {
    name = TextRules.name("name", name);
    Objects.requireNonNull(sort, "sort");
    from = TextRules.name("from", from);
    VOLTS.require("volts", volts);
    AMPS.require("amps", amps);
    PERCENT.require("percent", percent);
    FULL_PERCENT.require("fullPercent", fullPercent);
    DROP.require("dropVolts", dropVolts);
    IDLE.require("idleMilliamps", idleMilliamps);
    KELVIN.require("kelvinPerWatt", kelvinPerWatt);
    if (!sort.passes() && !(volts >= 1)) {
      throw new InputException("volts", volts, "a number from 1 to 60 V for " + sort.title());
    }
  }

  /** One that loses as much of little as of much. */
  public Converter(
      String name,
      ConverterSort sort,
      String from,
      double volts,
      double amps,
      double percent,
      double dropVolts,
      double idleMilliamps,
      double kelvinPerWatt) {
    this(name, sort, from, volts, amps, percent, 0, dropVolts, idleMilliamps, kelvinPerWatt);
  }

  /**
   * Returns what comes out of the watts that it is fed with when it gives a current (%): straight
   * from little to its most, as what its coil and switches lose grows with the current; beyond its
   * most as there.
   */
  public double percentAt(double giving) {
    double full = fullPercent > 0 ? fullPercent : percent;
    return percent + (full - percent) * Math.min(1, Math.max(0, giving) / amps);
  }

  /** Returns it fed from something else. */
  Converter from(String other) {
    return new Converter(
        name,
        sort,
        other,
        volts,
        amps,
        percent,
        fullPercent,
        dropVolts,
        idleMilliamps,
        kelvinPerWatt);
  }
}
