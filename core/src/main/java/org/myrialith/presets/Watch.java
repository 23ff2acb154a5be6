package org.myrialith.presets;

import org.myrialith.cue.Clears;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Press;
import org.myrialith.cue.Stay;
import org.myrialith.effects.Breathing;
import org.myrialith.effects.Effect;
import org.myrialith.effects.Wave;
import org.myrialith.gadget.model.Gadget;

/** Of several things the most urgent is shown. */
final class Watch {
  private Watch() {}

  static Gadget staged(Staging stage) {
    String well = stage.effect("All is well", new Breathing(0x30c060, 20, 1), 5);
    stage.add(stage.cue("All is well", new PowerOn(), well).fading(500, 500));
    state(stage, "Visitor", 3, new Wave(0x4090ff, 0x000818, 1, 0, 2), 2);
    state(stage, "Dry", 5, new Breathing(0xffb020, 10, 1), 2);
    state(stage, "Leak", 8, new Breathing(0xff2010, 5, 2), 2);
    return stage.done();
  }

  private static void state(Staging stage, String name, int priority, Effect effect, int seconds) {
    String contact = stage.button(name);
    String scene = stage.effect(name, effect, seconds);
    stage.add(
        stage
            .cue(name, new Press(contact, 1, Press.How.DOWN), scene)
            .at(priority, Clears.NOTHING)
            .fading(200, 400)
            .staying(Stay.WHILE, 1000));
  }
}
