package org.myrialith.power;

import java.util.Map;

/**
 * What a gadget with cues draws as they play a day while nobody touches it, values that it shows
 * among it; of a gadget without a clock, its first half minute after power on.
 *
 * @param meanAmps over all that was played, without what separate rails supply (A)
 * @param peakAmps most of it (A)
 * @param railMean what circuits draw from separate rails, by their identifiers (A)
 * @param railPeak most of it, each by itself (A)
 * @param samples times of the day that were played; 1 where there is no clock
 * @param seconds that were played in all
 */
public record DayCurrents(
    double meanAmps,
    double peakAmps,
    Map<String, Double> railMean,
    Map<String, Double> railPeak,
    int samples,
    double seconds) {
  public DayCurrents {
    railMean = Map.copyOf(railMean);
    railPeak = Map.copyOf(railPeak);
  }
}
