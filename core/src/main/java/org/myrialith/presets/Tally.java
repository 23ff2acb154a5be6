package org.myrialith.presets;

import org.myrialith.cue.Becomes;
import org.myrialith.cue.Clears;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Press;
import org.myrialith.cue.Readout;
import org.myrialith.cue.ReadoutForm;
import org.myrialith.cue.Stay;
import org.myrialith.effects.Sparkle;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.SegmentDigits;

/** Counts presses. */
final class Tally {
  private static final int COLOUR = 0x60ff90;

  private Tally() {}

  static Gadget staged(Staging stage) {
    String button = stage.button("Count");
    Fixture fixture = stage.fixture();
    boolean digits = fixture.shape() instanceof SegmentDigits;
    int places = digits ? ((SegmentDigits) fixture.shape()).digits() : fixture.seenColumns() / 4;
    boolean letters =
        digits
            || fixture.shape() instanceof Panel
                && fixture.seenRows() >= 5
                && fixture.seenColumns() >= 7;
    int shown = Math.min(3, Math.max(1, places));
    int most = !letters ? 10 : shown == 1 ? 9 : shown == 2 ? 99 : 999;
    stage.keptValue("count", 0, most, 0, true);
    stage.keptValue("tens", 0, 10, 0, false);
    Readout readout =
        letters
            ? new Readout(
                "r1",
                fixture.id(),
                ReadoutForm.TEXT,
                "{count:" + shown + "}",
                "pebble-5",
                0,
                digits ? 0 : (fixture.seenRows() - 5) / 2,
                COLOUR,
                false,
                "")
            : new Readout(
                "r1",
                fixture.id(),
                ReadoutForm.BAR,
                "{count}",
                "pebble-5",
                0,
                0,
                COLOUR,
                false,
                "");
    String number = stage.values("Number", readout);
    String feast = stage.effect("Every tenth", new Sparkle(0xffe080, 0x000000, 40, 6, 3), 1);
    stage.add(stage.cue("Show the number", new PowerOn(), number));
    stage.add(
        stage
            .cue("Count on", new Press(button, 1, Press.How.SHORT), "")
            .then("count + 1, tens + 1")
            .at(0, Clears.NOTHING));
    stage.add(
        stage
            .cue("From nought again", new Press(button, 1, Press.How.LONG), "")
            .then("count = 0, tens = 0")
            .at(0, Clears.NOTHING));
    stage.add(
        stage
            .cue("Celebrate", new Becomes("tens = 10"), feast)
            .then("tens = 0")
            .at(2, Clears.SAME)
            .fading(0, 400)
            .staying(Stay.ONCE, 1000));
    return stage.done();
  }
}
