package org.myrialith.power;

import static org.myrialith.finding.Calculation.given;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.myrialith.colour.Lightness;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Source;
import org.myrialith.frames.Show;

/** What is told of the current over a show beside its peak. */
record CurrentCalculations(PowerPlan plan) {
  private static final double MOST_OF_THE_TIME = 0.95;
  private static final double JOULES_A_WATT_HOUR = 3600;

  private Show show() {
    return plan.show();
  }

  List<Calculation> all() {
    List<Calculation> all = new ArrayList<>();
    all.add(mean());
    if (show().listed()) {
      all.add(mostOfTheTime());
    }
    plan.supply().ifPresent(supply -> all.add(energy(supply.volts())));
    return all;
  }

  Calculation mean() {
    return new Calculation(
        "mean",
        "Mean current of the show",
        plan.meanAmps(),
        "A",
        Calculation.FOUND_BY
            + "adding current × hold over all moments, divided by the length of the show",
        List.of(
            given("moments", show().count(), ""),
            given("length of the show", show().lengthMillis() / 1000.0, "s")),
        Source.ARITHMETIC);
  }

  /** The current that is not exceeded for all but a twentieth of the time. */
  double ampsMostOfTheTime() {
    List<Show.Moment> moments = show().moments();
    List<Integer> byAmps =
        IntStream.range(0, moments.size())
            .boxed()
            .sorted(Comparator.comparingDouble(plan::sentAmps))
            .toList();
    double left = MOST_OF_THE_TIME * show().lengthMillis();
    for (int moment : byAmps) {
      left -= moments.get(moment).holdMillis();
      if (left <= 1e-9) {
        return plan.sentAmps(moment);
      }
    }
    return plan.peakAmps();
  }

  private Calculation mostOfTheTime() {
    return new Calculation(
        "current-95",
        "Not exceeded for 95 % of the time",
        ampsMostOfTheTime(),
        "A",
        Calculation.FOUND_BY
            + "sorting the currents of the moments by size, each for as long as it lasts",
        List.of(given("moments", show().count(), ""), given("peak", plan.peakAmps(), "A")),
        Source.ARITHMETIC);
  }

  private Calculation energy(double volts) {
    double seconds = show().lengthMillis() / 1000.0;
    return new Calculation(
        "energy",
        "Energy of one run of the show",
        volts * plan.meanAmps() * seconds / JOULES_A_WATT_HOUR * 1000,
        "mWh",
        "voltage × mean current × length ÷ 3600 s/h",
        List.of(
            given("voltage", volts, "V"),
            given("mean current", plan.meanAmps(), "A"),
            given("length", seconds, "s")),
        Source.ARITHMETIC);
  }

  /**
   * Returns how light what a limiter dims most is seen, of 100: what is left of its current beyond
   * a dark gadget, as CIE 1976 lightness; empty where that moment is not listed.
   */
  OptionalDouble dimmedLightness() {
    long at = plan.course().peakAsked().index();
    if (at < 0 || at >= show().moments().size()) {
      return OptionalDouble.empty();
    }
    double dark = plan.load().darkAmps();
    double asked = plan.askedAmps((int) at) - dark;
    return asked <= 0
        ? OptionalDouble.empty()
        : OptionalDouble.of(Lightness.of((plan.sentAmps((int) at) - dark) / asked));
  }
}
