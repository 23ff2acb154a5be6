package org.myrialith.power.supply;

import java.util.HashMap;
import java.util.Map;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Wiring;
import org.myrialith.frames.TransmittedFrames;
import org.myrialith.power.PowerPlan;

/**
 * What circuits draw from rails of their own over the show, by their identifiers.
 *
 * @param mean over the show (A)
 * @param peak in the moment that draws most watts from all rails together (A)
 * @param lightsAmps that the other lights, and what hangs with them, draw in that moment (A)
 */
public record SeparateRails(Map<String, Double> mean, Map<String, Double> peak, double lightsAmps) {
  public SeparateRails {
    mean = Map.copyOf(mean);
    peak = Map.copyOf(peak);
  }

  /** Works it out in one walk; of a show too long for that, each circuit at its most at once. */
  static SeparateRails of(PowerPlan power, double lightsVolts) {
    Wiring wiring = power.load().wiring();
    Walk walk = new Walk(power, lightsVolts);
    boolean any = wiring.plans().stream().anyMatch(CircuitPlan::ownRail);
    if (any && power.show().count() > 0) {
      power.show().walk(walk::moment);
    }
    return walk.result(any && power.show().count() > 0);
  }

  /** Mutable, lives within one walk. */
  private static final class Walk {
    private final PowerPlan power;
    private final double lightsVolts;
    private final Map<String, Double> charge = new HashMap<>();
    private final Map<String, Double> greatest = new HashMap<>();
    private Map<String, Double> peak = Map.of();
    private double mostWatts = -1;
    private double lightsAmps;
    private long millis;

    Walk(PowerPlan power, double lightsVolts) {
      this.power = power;
      this.lightsVolts = lightsVolts;
    }

    void moment(long index, long start, int hold, int[] frames) {
      long[][] sums = TransmittedFrames.sums(power.load().wiring(), power.levels(), frames);
      double lights = power.course().at(power, index, start, frames);
      double watts = lightsVolts * lights;
      Map<String, Double> here = new HashMap<>();
      for (int c = 0; c < sums.length; c++) {
        CircuitPlan plan = power.load().wiring().plans().get(c);
        if (plan.ownRail()) {
          double amps = plan.railDarkAmps() + plan.railLitAmps(sums[c]);
          here.put(plan.circuit().id(), amps);
          charge.merge(plan.circuit().id(), amps * hold, Double::sum);
          greatest.merge(plan.circuit().id(), amps, Math::max);
          watts += plan.railVolts() * amps;
        }
      }
      millis += hold;
      if (watts > mostWatts) {
        mostWatts = watts;
        peak = here;
        lightsAmps = lights;
      }
    }

    SeparateRails result(boolean plays) {
      if (!plays) {
        Map<String, Double> dark = new HashMap<>();
        power.load().wiring().plans().stream()
            .filter(CircuitPlan::ownRail)
            .forEach(p -> dark.put(p.circuit().id(), p.railDarkAmps()));
        return new SeparateRails(dark, dark, power.peakAmps());
      }
      charge.replaceAll((id, all) -> all / millis);
      return power.show().whole()
          ? new SeparateRails(charge, peak, lightsAmps)
          : new SeparateRails(charge, greatest, power.peakAmps());
    }
  }
}
