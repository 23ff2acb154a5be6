package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Calculation.given;

import java.util.List;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Source;
import org.myrialith.parts.PreferredValues;

/**
 * LEDs on an output that keeps their current by itself: {@code I = constant ÷ R}, one setting
 * resistor a chip. The output wants 0.4 to 0.8 V to itself; what is left of the supply becomes heat
 * in the chip (data of the class, from memory).
 *
 * @param volts that they hang on
 * @param forwardVolts of all of them together, typical
 * @param spreadVolts that these may be off by, either way
 * @param wantedAmps through them
 * @param settingVolts current times setting resistor (V): 15 × 1.25 V for the common class
 */
public record ConstantCurrentSink(
    double volts,
    double forwardVolts,
    double spreadVolts,
    double wantedAmps,
    PreferredValues values,
    double settingVolts)
    implements LoadModel {
  /** What an output wants to itself (V). */
  static final double HEADROOM = 0.8;

  /** Returns the setting resistor to take (ohm): no less than the exact one. */
  public double settingOhms() {
    return values.atLeast(settingVolts / wantedAmps);
  }

  @Override
  public double leastVolts() {
    return forwardVolts + spreadVolts + HEADROOM;
  }

  @Override
  public boolean lights() {
    return volts - HEADROOM >= forwardVolts + spreadVolts;
  }

  @Override
  public double amps() {
    return lights() ? settingVolts / settingOhms() : 0;
  }

  @Override
  public double mostAmps() {
    return amps();
  }

  /** Returns the heat in the chip for each output, with LEDs at the lower end of the spread (W). */
  public double watts() {
    return amps() * (volts - forwardVolts + spreadVolts);
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
        lights()
            ? "setting constant ÷ setting resistor; as long as the headroom (supply − forward voltage) is 0.8 V or more"
            : "0: headroom (supply − forward voltage − its tolerance) is below 0.8 V",
        List.of(
            given("wanted", wantedAmps, "A"),
            given("setting constant", settingVolts, "V"),
            given("setting resistor", settingOhms(), "ohm"),
            given("supply", volts, "V"),
            given("forward voltage", forwardVolts, "V"),
            given("tolerance, either way", spreadVolts, "V"),
            given("dissipation of an output", watts(), "W")),
        Source.partClass(
            "output current = setting current × 15 at 1.25 V, × 31.5 at 1.24 V, × 41 at 1.21 V, by class"));
  }

  @Override
  public boolean keeps() {
    return true;
  }

  @Override
  public LoadModel byTurns(double duty, double rowOhms) {
    return new MultiplexedSink(this, duty);
  }
}
