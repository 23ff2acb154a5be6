package org.myrialith.parts;

import io.soabase.recordbuilder.core.RecordBuilder;

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
 * @param settingVolts current times setting resistor where it keeps a current by itself (V), else 0
 */
@RecordBuilder
public record OutputStage(
    double sinkOhms,
    double sourceOhms,
    double planMilliamps,
    double mostMilliamps,
    double chipMilliamps,
    double mostVolts,
    double lostVolts,
    double settingVolts) {

  /** A stage that loses only what its ohms do. */
  public OutputStage(
      double sinkOhms,
      double sourceOhms,
      double planMilliamps,
      double mostMilliamps,
      double chipMilliamps,
      double mostVolts) {
    this(sinkOhms, sourceOhms, planMilliamps, mostMilliamps, chipMilliamps, mostVolts, 0, 0);
  }

  /** Returns the stage with volts lost besides. */
  public OutputStage losing(double volts) {
    return OutputStageBuilder.builder(this).lostVolts(volts).settingVolts(0).build();
  }

  /**
   * Returns the stage of outputs that keep a current by themselves: they sink, and lose what is
   * left.
   *
   * @param settingVolts current times setting resistor (V)
   */
  public static OutputStage keeping(
      double planMilliamps, double chipMilliamps, double mostVolts, double settingVolts) {
    return new OutputStage(
        0,
        Double.POSITIVE_INFINITY,
        planMilliamps,
        planMilliamps,
        chipMilliamps,
        mostVolts,
        0,
        settingVolts);
  }

  /** Returns the stage for what goes out of one output and into another. */
  public OutputStage both() {
    double ohms = sinkOhms + sourceOhms;
    return OutputStageBuilder.builder(this).sinkOhms(ohms).sourceOhms(ohms).settingVolts(0).build();
  }

  /** Returns whether it keeps a current by itself. */
  public boolean keeps() {
    return settingVolts > 0;
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
