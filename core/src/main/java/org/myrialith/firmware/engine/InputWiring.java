package org.myrialith.firmware.engine;

import static org.myrialith.finding.Phrase.phrase;

import org.myrialith.cue.Variable;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.InputState;
import org.myrialith.cue.table.KeptRecord;
import org.myrialith.cue.table.Value;
import org.myrialith.finding.Quantity;
import org.myrialith.firmware.player.FirmwareWork;

/** How what cues listen to is wired, in words. */
public final class InputWiring {
  private static final String CHIP =
      "\nTime\n  A clock chip keeps it, on its own cell while power is off: data to pin %s, clock to pin %s, a 4.7 kohm resistor from each to its supply.\n"
          + "  It is read at power-on and every 5 s; time set by cues is written to it. A chip without time starts at noon of 1 January 2026.\n"
          + "  Keep coin cells out of reach of children: swallowed, one burns the gullet within hours.\n";

  private InputWiring() {}

  public static void tell(FirmwareWork work, CueTable cues, StringBuilder out) {
    if (!cues.senses().isEmpty()) {
      out.append("\nInputs\n");
      cues.senses().forEach(sense -> out.append("  ").append(one(work, sense)).append('\n'));
    }
    if (!cues.kept().isEmpty()) {
      work.controller()
          .keptMemory()
          .ifPresent(memory -> out.append(kept(KeptRecord.of(cues, memory))));
    }
    if (!cues.chip().isEmpty()) {
      out.append(phrase(CHIP, cues.chip().get(0), cues.chip().get(1)));
    } else if (cues.clock() >= 0) {
      out.append(
          "\nTime\n  The clock starts at noon of 1 January 2026 at each power-on, and is as accurate as the controller's own:\n"
              + "  a crystal is off by some seconds a day, an oscillator without one by minutes.\n");
    }
  }

  private static String kept(KeptRecord record) {
    return phrase(
        "\nKept without power\n  %s, %s after a change. The memory endures %d writes in turn.\n",
        String.join(", ", record.values().stream().map(Value::name).toList()),
        Quantity.text(Variable.KEPT_MILLIS * 1e-3, "s"),
        record.writes());
  }

  private static String one(FirmwareWork work, InputState sense) {
    String pin = String.join(" and ", sense.pins());
    return switch (sense.sort()) {
      case ANALOGUE ->
          phrase(
              "%s: the wiper of a divider or knob between ground and the controller's supply, to pin %s; never above that supply.",
              sense.title(), pin);
      case ROTARY ->
          phrase(
              "%s: its two contacts to pins %s, their common to ground; pull-ups are internal. Swap the two contacts if it counts the wrong way.",
              sense.title(), pin);
      case SERIAL ->
          phrase(
              "%s: the sender's output to pin %s, grounds joined; %d baud, 8 bits, no parity, a line end after each message. A 5 V sender needs a divider before a 3.3 V controller.",
              sense.title(), sense.pins().get(0), new SerialRate(work).baud());
      case ON_OFF ->
          switch (sense.wired()) {
            case LOW ->
                phrase("%s: from pin %s to ground; the pull-up is internal.", sense.title(), pin);
            case HIGH ->
                phrase(
                    "%s: from the controller's supply to pin %s, with 10 kohm from the pin to ground.",
                    sense.title(), pin);
            case DRIVEN ->
                phrase(
                    "%s: its output to pin %s, its ground to the controller's, its supply as its data sheet says. Its output must not exceed the controller's supply. A motion sensor settles about a minute after power-on.",
                    sense.title(), pin);
            case CROSSED ->
                phrase(
                    "%s: a contact between row pin %s and column pin %s; the pull-up is internal. With more than two closed at once, a diode in series with each (cathode to its row) prevents false presses.",
                    sense.title(), sense.pins().get(0), sense.pins().get(1));
            case REGISTER ->
                phrase(
                    "%s: from input %s of parallel-in register %d to ground, with 10 kohm from the input to the controller's supply. Register 1 is next to the controller: its serial output to pin %s, all clocks to pin %s, all loads (low takes the inputs) to pin %s, all clock inhibits to pin %s; the serial output of each next register to the serial input of the one before.",
                    sense.title(),
                    (char) ('A' + (sense.number() - 1) % 8),
                    (sense.number() + 7) / 8,
                    sense.pins().get(0),
                    sense.pins().get(1),
                    sense.pins().get(2),
                    sense.pins().get(3));
            case TOUCH ->
                phrase(
                    "%s: the pad to pin %s through 1 kohm, and 1 Mohm from the pin to the controller's supply. Do not touch it during power-on: it is calibrated then.",
                    sense.title(), pin);
          };
    };
  }
}
