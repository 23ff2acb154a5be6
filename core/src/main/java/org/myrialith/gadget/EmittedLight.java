package org.myrialith.gadget;

import java.util.List;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Levels;
import org.myrialith.drive.ColourOrder;
import org.myrialith.layout.Emitter;

/** What the emitters look like on a screen in a moment. */
final class EmittedLight {
  private EmittedLight() {}

  static byte[] of(GadgetPlan plan, int moment) {
    List<Emitter> emitters = plan.layout().emitters();
    byte[] rgb = new byte[emitters.size() * 3];
    if (plan.show().moments().isEmpty() || plan.sent().isEmpty()) {
      return rgb;
    }
    Levels levels = plan.sent().get().levels(moment);
    ColourOrder order = plan.gadget().chain().orElseThrow().colourOrder();
    for (int i = 0; i < emitters.size(); i++) {
      int chain = emitters.get(i).chain();
      for (int position = 0; chain >= 0 && position < 3; position++) {
        int level = levels.at(chain * 3 + position);
        rgb[i * 3 + order.channelAt(position)] = (byte) LevelTable.screenValue(level);
      }
    }
    return rgb;
  }
}
