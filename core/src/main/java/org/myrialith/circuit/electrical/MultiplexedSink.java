package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Calculation.given;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.Calculation;

/**
 * What lights only while its row has its turn, on an output that keeps its current.
 *
 * @param kept with what flows in its turn
 * @param duty share of the time that it is lit at full level
 */
public record MultiplexedSink(ConstantCurrentSink kept, double duty) implements LoadModel {
  @Override
  public double volts() {
    return kept.volts();
  }

  @Override
  public double leastVolts() {
    return kept.leastVolts();
  }

  @Override
  public boolean lights() {
    return kept.lights();
  }

  /** Returns the mean over the turns (A). */
  @Override
  public double amps() {
    return kept.amps() * duty;
  }

  @Override
  public double mostAmps() {
    return kept.mostAmps();
  }

  @Override
  public String part() {
    return kept.part();
  }

  @Override
  public Calculation calculation(String key, String name) {
    Calculation own = kept.calculation(key, name);
    List<Calculation.Given> all = new ArrayList<>(own.given());
    all.add(given("duty cycle", duty * 100, "%"));
    all.add(given("mean", amps(), "A"));
    return new Calculation(key, name, own.value(), own.unit(), own.formula(), all, own.source());
  }

  @Override
  public boolean keeps() {
    return true;
  }

  @Override
  public boolean pulsed() {
    return true;
  }
}
