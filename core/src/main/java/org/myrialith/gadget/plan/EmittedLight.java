package org.myrialith.gadget.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Levels;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.Tint;

/** What the emitters look like on a screen in a moment. */
final class EmittedLight {
  private EmittedLight() {}

  static byte[] of(GadgetPlan plan, int moment) {
    return moment >= plan.show().moments().size()
        ? new byte[plan.layout().emitters().size() * 3]
        : of(plan, plan.sent().levels(moment));
  }

  /** By the levels that each circuit is sent. */
  static byte[] of(GadgetPlan plan, List<Levels> levels) {
    byte[] rgb = new byte[plan.layout().emitters().size() * 3];
    Map<String, Integer> firsts = new HashMap<>();
    int first = 0;
    for (Fixture fixture : plan.layout().fixtures()) {
      firsts.put(fixture.id(), first);
      first += fixture.count();
    }
    for (int c = 0; c < levels.size(); c++) {
      CircuitPlan driver = plan.wiring().plans().get(c);
      for (ChannelRange stretch : driver.stretches()) {
        int at = 3 * firsts.get(stretch.fixture().id());
        light(rgb, at, levels.get(c), driver.fullLevel(), stretch);
      }
    }
    return rgb;
  }

  private static void light(byte[] rgb, int first, Levels levels, int full, ChannelRange stretch) {
    int channels = stretch.channelsPerUnit();
    for (int emitter = 0; emitter < stretch.fixture().count(); emitter++) {
      int unit = stretch.unit(emitter);
      if (unit >= 0) {
        double[] light = new double[3];
        for (int position = 0; position < channels; position++) {
          int level = levels.at(stretch.firstChannel() + unit * channels + position);
          // a white die is taken as bright as the three together
          Tint tint = stretch.shows().get(position).tint();
          light[0] += level * tint.red();
          light[1] += level * tint.green();
          light[2] += level * tint.blue();
        }
        for (int colour = 0; colour < light.length; colour++) {
          rgb[first + emitter * 3 + colour] =
              (byte) LevelTable.screenValue(Math.min(full, light[colour]), full);
        }
      }
    }
  }
}
