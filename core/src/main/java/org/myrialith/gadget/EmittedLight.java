package org.myrialith.gadget;

import java.util.List;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Levels;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.Wiring;

/** What the emitters look like on a screen in a moment. */
final class EmittedLight {
  private EmittedLight() {}

  static byte[] of(GadgetPlan plan, int moment) {
    List<Wiring.Spot> spots = plan.spots();
    byte[] rgb = new byte[spots.size() * 3];
    if (moment >= plan.show().moments().size()) {
      return rgb;
    }
    List<Levels> levels = plan.sent().levels(moment);
    List<CircuitPlan> circuits = plan.wiring().plans();
    for (int i = 0; i < spots.size(); i++) {
      Wiring.Spot spot = spots.get(i);
      if (spot.wired()) {
        light(rgb, i * 3, levels.get(spot.circuit()), circuits.get(spot.circuit()), spot.emitter());
      }
    }
    return rgb;
  }

  private static void light(byte[] rgb, int at, Levels levels, CircuitPlan circuit, int emitter) {
    int channels = circuit.channelsPerEmitter();
    int[] light = new int[CircuitPlan.WHITE + 1];
    for (int position = 0; position < channels; position++) {
      light[circuit.askedChannel(position)] = levels.at(emitter * channels + position);
    }
    for (int asked = 0; asked < CircuitPlan.WHITE; asked++) {
      // a white die is taken as bright as the three together
      int level = Math.min(circuit.fullLevel(), light[asked] + light[CircuitPlan.WHITE]);
      rgb[at + asked] = (byte) LevelTable.screenValue(level, circuit.fullLevel());
    }
  }
}
