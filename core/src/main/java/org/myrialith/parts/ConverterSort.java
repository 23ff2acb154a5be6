package org.myrialith.parts;

import java.util.Locale;

/** What stands between a supply and a rail. */
public enum ConverterSort {
  LINEAR("linear regulator", 1.5, 5, 100, 0, 60),
  BUCK("step-down converter", 1.0, 2, 90, 84, 25),
  BOOST("step-up converter", 0, 3, 90, 80, 25),
  CHARGER("charge board", 0, 0.05, 100, 0, 0),
  SWITCH("enable switch", 0, 0, 100, 0, 0);

  private final String title;
  private final double dropVolts;
  private final double idleMilliamps;
  private final double percent;
  private final double fullPercent;
  private final double kelvinPerWatt;

  ConverterSort(
      String title,
      double dropVolts,
      double idleMilliamps,
      double percent,
      double fullPercent,
      double kelvinPerWatt) {
    this.title = title;
    this.dropVolts = dropVolts;
    this.idleMilliamps = idleMilliamps;
    this.percent = percent;
    this.fullPercent = fullPercent;
    this.kelvinPerWatt = kelvinPerWatt;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns whether it gives the volts that it is fed with. */
  public boolean passes() {
    return this == CHARGER || this == SWITCH;
  }

  /** Returns whether watts pass through it, not amperes. */
  public boolean converts() {
    return this == BUCK || this == BOOST;
  }

  /** Returns what its usual package gets warmer by for each watt (K/W), common practice. */
  public double kelvinPerWatt() {
    return kelvinPerWatt;
  }

  /** Returns one as it usually is (common practice). */
  public Converter usual(String name, String from, double volts, double amps) {
    return new Converter(
        name,
        this,
        from,
        passes() ? 0 : volts,
        amps,
        percent,
        fullPercent,
        dropVolts,
        idleMilliamps,
        kelvinPerWatt);
  }
}
