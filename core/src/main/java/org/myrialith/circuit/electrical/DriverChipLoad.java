package org.myrialith.circuit.electrical;

import static org.myrialith.finding.Calculation.given;

import java.util.List;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Source;

/**
 * A segment that a driver chip feeds by turns.
 *
 * @param volts of the chip's supply
 * @param forwardVolts of the LEDs of the segment
 * @param peakAmps while it is its turn
 * @param duty share of the time
 */
public record DriverChipLoad(double volts, double forwardVolts, double peakAmps, double duty)
    implements LoadModel {
  /** What the chip's outputs want to themselves (V), common practice. */
  private static final double HEADROOM = 1;

  @Override
  public double leastVolts() {
    return forwardVolts + HEADROOM;
  }

  @Override
  public boolean lights() {
    return volts >= leastVolts();
  }

  /** Returns the mean over the turns (A). */
  @Override
  public double amps() {
    return lights() ? peakAmps * duty : 0;
  }

  @Override
  public double mostAmps() {
    return peakAmps;
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
        "peak current × duty cycle",
        List.of(
            given("peak current", peakAmps, "A"),
            given("duty cycle", duty * 100, "%"),
            given("supply", volts, "V"),
            given("forward voltage", forwardVolts, "V")),
        Source.partClass("display driver: multiplexed digits, dimmed by pulse width"));
  }

  @Override
  public boolean pulsed() {
    return true;
  }
}
