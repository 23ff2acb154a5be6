package org.myrialith.firmware;

import static org.myrialith.finding.Phrase.phrase;

import org.myrialith.play.CueTable;
import org.myrialith.play.Sense;

/** How what cues listen to is wired, in words. */
final class InputWiring {
  private InputWiring() {}

  static void tell(CueTable cues, StringBuilder out) {
    if (!cues.senses().isEmpty()) {
      out.append("\nInputs\n");
      cues.senses().forEach(sense -> out.append("  ").append(one(sense)).append('\n'));
    }
    if (cues.clock() >= 0) {
      out.append(
          "\nTime\n  The clock begins at noon of 1 January 2026 whenever power comes on, and is as right as the controller's:\n"
              + "  a crystal is off by some seconds a day, an oscillator without one by minutes.\n");
    }
  }

  private static String one(Sense sense) {
    String pin = String.join(" and ", sense.pins());
    return switch (sense.sort()) {
      case ANALOGUE ->
          phrase(
              "%s: the middle of a divider or knob from ground to the controller's supply, to pin %s; never above that supply.",
              sense.title(), pin);
      case ROTARY ->
          phrase(
              "%s: its two contacts to pins %s, what they share to ground; pull-ups are inside. Trade the two where it goes the wrong way.",
              sense.title(), pin);
      case ON_OFF ->
          sense.pressedLow()
              ? phrase("%s: from pin %s to ground; the pull-up is inside.", sense.title(), pin)
              : phrase(
                  "%s: from the controller's supply to pin %s, with 10 kohm from the pin to ground.",
                  sense.title(), pin);
    };
  }
}
