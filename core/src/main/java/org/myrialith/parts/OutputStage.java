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
 * @param lostVolts besides what its ohms lose (V)
 */
public record OutputStage(
    double sinkOhms,
    double sourceOhms,
    double planMilliamps,
    double mostMilliamps,
    double chipMilliamps,
    double mostVolts,
    double lostVolts) {

  /** A stage that loses only what its ohms do. */
  public OutputStage(
      double sinkOhms,
      double sourceOhms,
      double planMilliamps,
      double mostMilliamps,
      double chipMilliamps,
      double mostVolts) {
    this(sinkOhms, sourceOhms, planMilliamps, mostMilliamps, chipMilliamps, mostVolts, 0);
  }

  /** Returns the stage with volts lost besides. */
  public OutputStage losing(double volts) {
    return new OutputStage(
        sinkOhms, sourceOhms, planMilliamps, mostMilliamps, chipMilliamps, mostVolts, volts);
  }

  /**
   * Returns the stage of outputs that keep a current by themselves: they sink, and lose what is
   * left.
   */
  public static OutputStage keeping(double planMilliamps, double chipMilliamps, double mostVolts) {
    return new OutputStage(
        0, Double.POSITIVE_INFINITY, planMilliamps, planMilliamps, chipMilliamps, mostVolts);
  }

  /** Returns whether it keeps a current by itself. */
  public boolean keeps() {
    return sinkOhms == 0 && lostVolts == 0;
  }

  /** Returns whether it can pull what hangs on it to ground. */
  public boolean sinks() {
    return Double.isFinite(sinkOhms);
  }

  /** Returns whether it can feed what hangs on it from the supply. */
  public boolean sources() {
    return Double.isFinite(sourceOhms);
  }
}
