package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.parts.PreferredValues;

/**
 * The resistor before one LED or several in series: {@code R = (V − Vf − V lost) ÷ I − R inside},
 * the next value of a series that is no less, and what flows then. Forward volts are taken as
 * constant, which holds near the current that they are given for (common practice).
 *
 * @param volts that they hang on
 * @param forwardVolts of all of them together, typical
 * @param spreadVolts that these may be off by, either way
 * @param lostVolts in the switch besides what its ohms lose
 * @param insideOhms of the switch
 * @param wantedAmps through them
 * @param alike equal resistors that the current goes through, one after the other
 * @param leastOhms that each of them is no smaller than, as it serves others too
 */
public record SeriesResistor(
    double volts,
    double forwardVolts,
    double spreadVolts,
    double lostVolts,
    double insideOhms,
    double wantedAmps,
    PreferredValues values,
    int alike,
    double leastOhms)
    implements LoadModel {
  /** Packages by what they may turn into heat (W), those that a hand solders kindly first. */
  private static final List<Package> PACKAGES =
      List.of(
          new Package("0805 (125 mW)", 0.125),
          new Package("1206, or quarter-watt through-hole (250 mW)", 0.25),
          new Package("half-watt through-hole", 0.5),
          new Package("one-watt through-hole", 1),
          new Package("two-watt through-hole", 2));

  /** No more than this share of what a package is rated for (common practice). */
  private static final double SHARE = 0.7;

  /** One resistor, of the value that the current asks for. */
  public SeriesResistor(
      double volts,
      double forwardVolts,
      double spreadVolts,
      double lostVolts,
      double insideOhms,
      double wantedAmps,
      PreferredValues values) {
    this(volts, forwardVolts, spreadVolts, lostVolts, insideOhms, wantedAmps, values, 1, 0);
  }

  @Override
  public SeriesResistor through(int equal, double least) {
    return new SeriesResistor(
        volts, forwardVolts, spreadVolts, lostVolts, insideOhms, wantedAmps, values, equal, least);
  }

  private record Package(String name, double watts) {}

  @Override
  public double leastVolts() {
    return forwardVolts + lostVolts;
  }

  @Override
  public boolean lights() {
    return volts - lostVolts > forwardVolts;
  }

  /** Returns the resistor that would give just the wanted current (ohm); below 0 when none does. */
  public double exactOhms() {
    return ((volts - lostVolts - forwardVolts) / wantedAmps - insideOhms) / alike;
  }

  /** Returns the resistor to take (ohm): no less than the exact one. */
  public double ohms() {
    return Math.max(leastOhms, values.atLeast(exactOhms()));
  }

  /** Returns the nearest value of the series (ohm), below or above. */
  public double nearestOhms() {
    return values.nearest(exactOhms());
  }

  private double amps(double forward) {
    return Math.max(0, (volts - lostVolts - forward) / (alike * ohms() + insideOhms));
  }

  @Override
  public double amps() {
    return amps(forwardVolts);
  }

  @Override
  public double shareAt(double less) {
    double drives = volts - lostVolts - forwardVolts;
    return drives <= 0 ? 0 : Math.max(0, drives - less) / drives;
  }

  /** Returns what flows with LEDs at the upper end of the spread (A). */
  public double leastAmps() {
    return amps(forwardVolts + spreadVolts);
  }

  @Override
  public double mostAmps() {
    return amps(Math.max(0, forwardVolts - spreadVolts));
  }

  /** Returns the heat of the resistor at most (W). */
  public double watts() {
    return mostAmps() * mostAmps() * ohms();
  }

  /** Returns whether any usual package stands its heat. */
  public boolean cool() {
    return watts() <= SHARE * PACKAGES.get(PACKAGES.size() - 1).watts();
  }

  /** Returns the smallest package that stays cool enough and that a hand can solder. */
  public String packageName() {
    return PACKAGES.stream()
        .filter(p -> watts() <= SHARE * p.watts())
        .map(Package::name)
        .findFirst()
        .orElse("no common size: use a constant-current driver");
  }

  @Override
  public String part() {
    return ohms() >= 1e6
        ? Quantity.number(ohms() / 1e6) + " Mohm"
        : ohms() >= 1e3
            ? Quantity.number(ohms() / 1e3) + " kohm"
            : Quantity.number(ohms()) + " ohm";
  }

  private String formula() {
    String value = phrase("next %s value(", values.name());
    String exact =
        "((supply − forward voltage − switch drop) ÷ wanted current − output resistance) ÷ resistors in series";
    return leastOhms > 0
        ? phrase("largest of(least, %s%s))", value, exact)
        : phrase("%s%s)", value, exact);
  }

  @Override
  public Calculation calculation(String key, String name) {
    return new Calculation(
        key,
        name,
        ohms(),
        "ohm",
        formula(),
        List.of(
            given("supply", volts, "V"),
            given("forward voltage", forwardVolts, "V"),
            given("switch drop", lostVolts, "V"),
            given("wanted current", wantedAmps, "A"),
            given("output resistance", insideOhms, "ohm"),
            given("resistors in series", alike, ""),
            given("least", leastOhms, "ohm"),
            given("exact", exactOhms(), "ohm"),
            given("nearest standard value", nearestOhms(), "ohm"),
            given("typical current", amps(), "A"),
            given("at the highest forward voltage", leastAmps(), "A"),
            given("at the lowest forward voltage", mostAmps(), "A"),
            given("highest dissipation", watts(), "W")),
        Source.COMMON_PRACTICE);
  }

  @Override
  public LoadModel byTurns(double duty, double rowOhms) {
    return new MultiplexedLoad(this, duty, rowOhms);
  }
}
