package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Calculation.given;

import java.util.List;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Source;

/**
 * An incandescent lamp straight between a rail and a switch. Its current grows with the 0.55th
 * power of its volts; cold, it takes ten times as much for some 10 to 100 ms (both common
 * practice).
 *
 * @param volts that it hangs on
 * @param ratedVolts that it is made for
 * @param ratedAmps at those
 * @param lostVolts in the switch
 * @param insideOhms of the switch
 */
public record Filament(
    double volts, double ratedVolts, double ratedAmps, double lostVolts, double insideOhms)
    implements LoadModel {
  private static final double EXPONENT = 0.55;

  /** The light of a filament goes with this power of its volts (common practice). */
  private static final double LIGHT = 3.4;

  /** A cold lamp takes so many times its hot current. */
  static final double INRUSH = 10;

  /** Returns the volts across the lamp (V). */
  public double across() {
    return Math.max(0, volts - lostVolts - insideOhms * ratedAmps);
  }

  @Override
  public double shareAt(double less) {
    return Math.pow(left(less), EXPONENT);
  }

  @Override
  public double lightAt(double less) {
    return Math.pow(left(less), LIGHT);
  }

  private double left(double less) {
    return across() <= 0 ? 0 : Math.max(0, across() - less) / across();
  }

  @Override
  public double leastVolts() {
    return lostVolts;
  }

  @Override
  public boolean lights() {
    return across() > 0;
  }

  @Override
  public double amps() {
    return ratedAmps * Math.pow(across() / ratedVolts, EXPONENT);
  }

  @Override
  public double mostAmps() {
    return amps();
  }

  @Override
  public double inrushAmps() {
    return INRUSH * amps();
  }

  @Override
  public String part() {
    return "";
  }

  @Override
  public Calculation calculation(String key, String name) {
    return new Calculation(
        key,
        name,
        amps(),
        "A",
        "rated current × ((rail − switch drop) ÷ rated voltage)^0.55; ten times that when cold",
        List.of(
            given("rail", volts, "V"),
            given("switch drop", volts - across(), "V"),
            given("rated voltage", ratedVolts, "V"),
            given("rated current", ratedAmps, "A"),
            given("cold", inrushAmps(), "A")),
        Source.COMMON_PRACTICE);
  }
}
