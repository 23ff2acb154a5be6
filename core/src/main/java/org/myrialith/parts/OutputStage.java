package org.myrialith.parts;

/**
 * What an output of a chip or controller gives.
 *
 * @param sinkOhms between output and ground when low (ohm); infinite when it can't sink
 * @param sourceOhms between supply and output when high (ohm); infinite when it can't source
 * @param planMilliamps that an output may carry for good (mA)
 * @param mostMilliamps at the very most (mA)
 * @param chipMilliamps all outputs of a chip together, through its supply pins (mA)
 * @param mostVolts that what it switches may hang on (V)
 */
public record OutputStage(
    double sinkOhms,
    double sourceOhms,
    double planMilliamps,
    double mostMilliamps,
    double chipMilliamps,
    double mostVolts) {

  /** Returns whether it can pull what hangs on it to ground. */
  public boolean sinks() {
    return Double.isFinite(sinkOhms);
  }

  /** Returns whether it can feed what hangs on it from the supply. */
  public boolean sources() {
    return Double.isFinite(sourceOhms);
  }
}
