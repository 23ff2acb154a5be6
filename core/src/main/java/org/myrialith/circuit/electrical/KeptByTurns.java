package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.Reckoning;

/**
 * What lights only while its row has its turn, on an output that keeps its current.
 *
 * @param kept with what flows in its turn
 * @param duty share of the time that it is lit at full level
 */
public record KeptByTurns(ConstantCurrent kept, double duty) implements Path {
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
  public Reckoning reckoning(String key, String name) {
    Reckoning own = kept.reckoning(key, name);
    List<Reckoning.Given> all = new ArrayList<>(own.given());
    all.add(given("duty", duty * 100, "%"));
    all.add(given("mean", amps(), "A"));
    return new Reckoning(key, name, own.value(), own.unit(), own.formula(), all, own.source());
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
