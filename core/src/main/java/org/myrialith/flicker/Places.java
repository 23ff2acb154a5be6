package org.myrialith.flicker;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.LayoutPlan;

/**
 * Where the lights of a circuit are.
 *
 * @param lights in the order of its fixtures; several where one channel has several LEDs
 */
public record Places(List<Light> lights) {
  /**
   * One LED.
   *
   * @param channel of the circuit
   * @param xMm to the right
   * @param yMm down
   */
  public record Light(int channel, double xMm, double yMm) {}

  public Places {
    lights = List.copyOf(lights);
  }

  /** Finds them. */
  public static Places of(LayoutPlan layout, CircuitPlan plan) {
    List<Light> all = new ArrayList<>();
    for (ChannelRange stretch : plan.stretches()) {
      List<Emitter> emitters = layout.emittersOf(stretch.fixture());
      for (int i = 0; i < emitters.size(); i++) {
        int unit = stretch.unit(i);
        for (int die = 0; unit >= 0 && die < stretch.channelsPerUnit(); die++) {
          all.add(
              new Light(
                  stretch.firstChannel() + unit * stretch.channelsPerUnit() + die,
                  emitters.get(i).position().xMm(),
                  emitters.get(i).position().yMm()));
        }
      }
    }
    return new Places(all);
  }

  /** Returns the share of the height above each channel, 0 for the topmost and 1 for the lowest. */
  public double[] down(int channels) {
    double top = lights.stream().mapToDouble(Light::yMm).min().orElse(0);
    double height = lights.stream().mapToDouble(Light::yMm).max().orElse(0) - top;
    double[] down = new double[channels];
    for (Light light : lights) {
      down[light.channel()] = height > 0 ? (light.yMm() - top) / height : 0;
    }
    return down;
  }

  /** Returns how near the nearest two lights are (mm); 0 when there are not two. */
  public double pitchMm() {
    double nearest = Double.MAX_VALUE;
    int most = Math.min(lights.size(), 400);
    for (int a = 0; a < most; a++) {
      for (int b = a + 1; b < most; b++) {
        double apart =
            Math.hypot(
                lights.get(a).xMm() - lights.get(b).xMm(),
                lights.get(a).yMm() - lights.get(b).yMm());
        nearest = apart > 1e-6 ? Math.min(nearest, apart) : nearest;
      }
    }
    return nearest == Double.MAX_VALUE ? 0 : nearest;
  }
}
