package org.myrialith.presets;

import java.util.Locale;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Crossing;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Press;
import org.myrialith.cue.Stay;
import org.myrialith.effects.Arrows;
import org.myrialith.effects.Breathing;
import org.myrialith.gadget.model.Gadget;

/** Arrows at a press, for somebody who rides home in the dark. */
final class WornArrows {
  private static final int TURN_MILLIS = 8000;

  private WornArrows() {}

  static Gadget staged(Staging stage) {
    String dark = stage.picture("Daylight", (x, y) -> 0x000000);
    String glow = stage.effect("Glow", new Breathing(0xff1808, 30, 1), 3);
    String left = stage.effect("To the left", new Arrows(0xffa000, 0x000000, 180, 50, 1), 1);
    String right = stage.effect("To the right", new Arrows(0xffa000, 0x000000, 0, 50, 1), 1);
    String sensor = stage.sensor("Light");
    stage.add(stage.cue("By day", new PowerOn(), dark));
    stage.add(
        stage
            .cue("In the dark", new Crossing(sensor, 1, false, 35, 8), glow)
            .at(2, Clears.NOTHING)
            .fading(1500, 1500)
            .staying(Stay.WHILE, 1000));
    turn(stage, "Left", left);
    turn(stage, "Right", right);
    return stage.done();
  }

  /** A short press for one turn, a long one ends it. */
  private static void turn(Staging stage, String name, String scene) {
    String button = stage.button(name);
    stage.add(
        stage
            .cue(name, new Press(button, 1, Press.How.DOWN), scene)
            .at(5, Clears.SAME)
            .staying(Stay.TIMED, TURN_MILLIS));
    stage.add(
        stage
            .cue(
                "End of " + name.toLowerCase(Locale.ROOT), new Press(button, 1, Press.How.LONG), "")
            .at(5, Clears.SAME));
  }
}
