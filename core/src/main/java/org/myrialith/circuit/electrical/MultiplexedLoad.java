package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Calculation.given;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Source;

/**
 * What lights only while its row has its turn, behind the resistor of its column.
 *
 * @param resistor with what flows in its turn
 * @param duty share of the time that it is lit at full level
 * @param rowOhms of what lets the current of the whole row through, which all its lights share
 */
public record MultiplexedLoad(SeriesResistor resistor, double duty, double rowOhms)
    implements LoadModel {
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
  public Calculation calculation(String key, String name) {
    Calculation own = resistor.calculation(key, name);
    List<Calculation.Given> all = new ArrayList<>(own.given());
    all.add(given("duty cycle", duty * 100, "%"));
    all.add(given("mean", amps(), "A"));
    return new Calculation(
        key, name, own.value(), own.unit(), own.formula(), all, Source.COMMON_PRACTICE);
  }

  @Override
  public double rowAmps(int together) {
    return amps(together);
  }
}
