package org.myrialith.presets;

import java.util.List;
import org.myrialith.cue.Becomes;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Press;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.text.Caption;
import org.myrialith.text.Fonts;

/** A button goes from message to message. */
final class MessageSign {
  private static final List<String> MESSAGES = List.of("Open", "Back at 2", "Closed");
  private static final int[] COLOURS = {0x50ff60, 0xffc040, 0xff4030};

  private MessageSign() {}

  static Gadget staged(Staging stage) {
    String button = stage.button("Message");
    stage.keptValue("message", 1, MESSAGES.size(), 1, true);
    stage.add(
        stage
            .cue("Next message", new Press(button, 1, Press.How.SHORT), "")
            .then("message + 1")
            .at(0, Clears.NOTHING));
    for (int m = 1; m <= MESSAGES.size(); m++) {
      String text = MESSAGES.get(m - 1);
      String scene = stage.text(text, caption(stage.fixture(), text, COLOURS[m - 1]));
      stage.add(stage.cue(text, new Becomes("message = " + m), scene));
    }
    return stage.done();
  }

  private static Caption caption(Fixture fixture, String text, int colour) {
    String font = fixture.seenRows() >= 8 ? Fonts.USUAL : "pebble-5";
    return new Caption(
        fixture.id(), text, font, Caption.Way.SCROLLS, colour, 0x000000, 0, 12, 2000);
  }
}
