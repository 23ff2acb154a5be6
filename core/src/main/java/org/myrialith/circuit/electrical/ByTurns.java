package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;

/**
 * What lights only while its row has its turn, behind the resistor of its column.
 *
 * @param resistor with what flows in its turn
 * @param duty share of the time that it is lit at full level
 * @param rowOhms of what lets the current of the whole row through, which all its lights share
 */
public record ByTurns(SeriesResistor resistor, double duty, double rowOhms) implements Path {
  /** Returns what each of so many flows in its turn when they are lit together (A). */
  public double amps(int together) {
    double drives = resistor.volts() - resistor.lostVolts() - resistor.forwardVolts();
    double ohms =
        resistor.alike() * resistor.ohms() + resistor.insideOhms() + (together - 1) * rowOhms;
    return Math.max(0, drives / ohms);
  }

  @Override
  public double shareAt(double less) {
    return resistor.shareAt(less);
  }

  @Override
  public double volts() {
    return resistor.volts();
  }

  @Override
  public double leastVolts() {
    return resistor.leastVolts();
  }

  @Override
  public boolean lights() {
    return resistor.lights();
  }

  /** Returns the mean over the turns (A). */
  @Override
  public double amps() {
    return resistor.amps() * duty;
  }

  /** Returns what flows in its turn, at the lower end of the spread (A). */
  @Override
  public double mostAmps() {
    return resistor.mostAmps();
  }

  @Override
  public String part() {
    return resistor.part();
  }

  @Override
  public Reckoning reckoning(String key, String name) {
    Reckoning own = resistor.reckoning(key, name);
    List<Reckoning.Given> all = new ArrayList<>(own.given());
    all.add(given("duty", duty * 100, "%"));
    all.add(given("mean", amps(), "A"));
    return new Reckoning(
        key, name, own.value(), own.unit(), own.formula(), all, Source.COMMON_PRACTICE);
  }

  @Override
  public double rowAmps(int together) {
    return amps(together);
  }
}
