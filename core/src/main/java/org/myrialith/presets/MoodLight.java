package org.myrialith.presets;

import org.myrialith.cue.Becomes;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Press;
import org.myrialith.effects.Breathing;
import org.myrialith.effects.Candle;
import org.myrialith.effects.Effect;
import org.myrialith.effects.Rainbow;
import org.myrialith.effects.Wave;
import org.myrialith.gadget.model.Gadget;

/** A button goes from mood to mood. */
final class MoodLight {
  private static final int FADE = 800;

  private MoodLight() {}

  static Gadget staged(Staging stage) {
    String button = stage.button("Button");
    stage.keptValue("mood", 1, 4, 1, true);
    stage.keptValue("lit", 0, 1, 1, true);
    stage.add(
        stage
            .cue("Next mood", new Press(button, 1, Press.How.SHORT), "")
            .onlyIf("lit = 1")
            .then("mood + 1")
            .at(0, Clears.NOTHING));
    stage.add(
        stage
            .cue("Out or on", new Press(button, 1, Press.How.LONG), "")
            .then("lit + 1")
            .at(0, Clears.NOTHING));
    mood(stage, 1, "Candle light", new Candle(0xff8a30, 40, 6, 1));
    mood(stage, 2, "Tide", new Wave(0x0090c0, 0x001828, 1, 0, 1));
    mood(stage, 3, "Rainbow", new Rainbow(1, 0, 70, 1));
    mood(stage, 4, "Dusk", new Breathing(0xb04080, 15, 1));
    stage.add(stage.cue("Dark", new Becomes("lit = 0"), "").at(0, Clears.ALL));
    return stage.done();
  }

  private static void mood(Staging stage, int number, String name, Effect effect) {
    String scene = stage.effect(name, effect, 4);
    String when = "lit = 1 and mood = " + number;
    stage.add(stage.cue(name, new Becomes(when), scene).fading(FADE, FADE));
  }
}
