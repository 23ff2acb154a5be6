package org.myrialith.presets;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Cue;
import org.myrialith.cue.Idle;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Press;
import org.myrialith.cue.Readout;
import org.myrialith.cue.ReadoutForm;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.SegmentDigits;

/**
 * Shows the time, and lets it be set by one button: held, it begins with the hours; pressed, they
 * go on by one, held, one after the other; pressed twice, the minutes come, then the time again.
 */
final class SetClock {
  private static final int COLOUR = 0xffb040;

  /** Columns of a digit of the small font, with the gap behind it. */
  private static final int DIGIT = 4;

  /** Digits from which seconds have room. */
  private static final int SIX = 6;

  private SetClock() {}

  static Gadget staged(Staging stage) {
    String button = stage.button("Set");
    stage.value("set", 0, 2, true);
    Fixture fixture = stage.fixture();
    boolean digits = fixture.shape() instanceof SegmentDigits;
    int row = digits ? 0 : (fixture.seenRows() - 5) / 2;
    int column = digits ? 0 : (fixture.seenColumns() - 17) / 2;
    int second = digits ? 2 : 2 * DIGIT + 2;
    boolean colon = !digits || colonAfter(fixture, 2);
    String hours = colon ? "{hour:2}:" : "{hour:2}";
    boolean seconds = fixture.shape() instanceof SegmentDigits six && six.digits() >= SIX;
    String minutes = seconds && colonAfter(fixture, 4) ? "{minute:02}:" : "{minute:02}";
    List<Readout> shown = new ArrayList<>();
    shown.add(
        new Readout(
            "r1",
            fixture.id(),
            ReadoutForm.TEXT,
            hours,
            "pebble-5",
            column,
            row,
            COLOUR,
            true,
            "set = 1"));
    shown.add(
        new Readout(
            "r2",
            fixture.id(),
            ReadoutForm.TEXT,
            minutes,
            "pebble-5",
            column + second,
            row,
            COLOUR,
            seconds,
            "set = 2"));
    if (seconds) {
      shown.add(
          new Readout(
              "r3",
              fixture.id(),
              ReadoutForm.TEXT,
              "{second:02}",
              "pebble-5",
              4,
              row,
              COLOUR,
              false,
              ""));
    }
    String time = stage.values("Time", shown.toArray(Readout[]::new));
    stage.add(stage.cue("Show the time", new PowerOn(), time));
    // asked before a long press begins to set: that press is not one that is held for the hours
    stage.add(plain(stage, "Hours on while held", Press.How.AGAIN, "set = 1", "hour + 1"));
    stage.add(
        plain(
            stage, "Minutes on while held", Press.How.AGAIN, "set = 2", "minute + 1, second = 0"));
    stage.add(plain(stage, "To set, hours first", Press.How.LONG, "set = 0", "set = 1"));
    stage.add(plain(stage, "Hour on", Press.How.SHORT, "set = 1", "hour + 1"));
    stage.add(plain(stage, "Minute on", Press.How.SHORT, "set = 2", "minute + 1, second = 0"));
    stage.add(plain(stage, "To the minutes, then done", Press.How.DOUBLE, "set > 0", "set + 1"));
    stage.add(
        stage.cue("Enough of setting", new Idle(20), "").then("set = 0").at(0, Clears.NOTHING));
    return stage.done();
  }

  private static boolean colonAfter(Fixture fixture, int digit) {
    return fixture.shape() instanceof SegmentDigits digits && digits.colonsAfter().contains(digit);
  }

  private static Cue plain(Staging stage, String name, Press.How how, String only, String then) {
    return stage
        .cue(name, new Press("Set", 1, how), "")
        .onlyIf(only)
        .then(then)
        .at(0, Clears.NOTHING);
  }
}
