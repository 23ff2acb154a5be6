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
      "\nTime\n  The clock chip keeps it, by its own cell while power is off: data to pin %s, clock to pin %s, a resistor of 4.7 kohm from each to its supply.\n"
          + "  It is read when power comes on and every 5 s; what cues set is set there. One that has no time yet begins at noon of 1 January 2026.\n"
          + "  A coin cell must not be in reach of children: swallowed, it burns within hours.\n";

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
          "\nTime\n  The clock begins at noon of 1 January 2026 whenever power comes on, and is as right as the controller's:\n"
              + "  a crystal is off by some seconds a day, an oscillator without one by minutes.\n");
    }
  }

  private static String kept(KeptRecord record) {
    return phrase(
        "\nKept while power is off\n  %s, %s after they changed. The memory stands %d writings in turn.\n",
        String.join(", ", record.values().stream().map(Value::name).toList()),
        Quantity.text(Variable.KEPT_MILLIS * 1e-3, "s"),
        record.writes());
  }

  private static String one(FirmwareWork work, InputState sense) {
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
      case SERIAL ->
          phrase(
              "%s: the sender's output to pin %s, grounds joined; %d baud, 8 bits, no parity, each line ended. A sender of 5 V wants a divider before a controller of 3.3 V.",
              sense.title(), sense.pins().get(0), new SerialRate(work).baud());
      case ON_OFF ->
          switch (sense.wired()) {
            case LOW ->
                phrase("%s: from pin %s to ground; the pull-up is inside.", sense.title(), pin);
            case HIGH ->
                phrase(
                    "%s: from the controller's supply to pin %s, with 10 kohm from the pin to ground.",
                    sense.title(), pin);
            case DRIVEN ->
                phrase(
                    "%s: its output to pin %s, its ground to that of the controller, its supply as its data sheet says. The output must not be higher than the controller's supply; of a motion sensor it is steady about a minute after power comes on.",
                    sense.title(), pin);
            case CROSSED ->
                phrase(
                    "%s: a contact between row pin %s and column pin %s; the pull-up is inside. With more than two closed at once, a diode in each (cathode to its row) keeps others from being seen.",
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
                    "%s: the pad to pin %s by 1 kohm, and 1 Mohm from the pin to the controller's supply. Nobody touches it while power comes on: that is what it is compared with.",
                    sense.title(), pin);
          };
    };
  }
}
