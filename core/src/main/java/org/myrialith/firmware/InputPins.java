package org.myrialith.firmware;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.play.CueTable;
import org.myrialith.play.Sense;

/** The C that reads the inputs of cues. */
record InputPins(FirmwareWork work) {
  /** An 8-bit controller measures at this clock at most for all its bits (data sheets). */
  private static final int MEASURING_HERTZ = 200_000;

  private List<Sense> senses() {
    return work.cues().map(CueTable::senses).orElse(List.of());
  }

  /** Returns whether any of them is a voltage. */
  static boolean measures(FirmwareWork work) {
    return new InputPins(work)
        .senses().stream().anyMatch(sense -> sense.sort() == Sense.Sort.ANALOGUE);
  }

  private boolean portable() {
    return work.controller().portable();
  }

  /** Returns the function that reads them; nothing without inputs. */
  String source() {
    if (senses().isEmpty()) {
      return "";
    }
    StringBuilder cases = new StringBuilder();
    for (int s = 0; s < senses().size(); s++) {
      cases.append(phrase("    case %d:\n      return %s;\n", s, reading(senses().get(s))));
    }
    return (measures(work) && !portable() ? SourceText.read("measure.c") + "\n" : "")
        + "uint8_t board_input(uint8_t number) {\n  switch (number) {\n"
        + cases
        + "    default:\n      return 0;\n  }\n}\n\n";
  }

  private String reading(Sense sense) {
    return switch (sense.sort()) {
      case ON_OFF ->
          sense.pressedLow() ? "!" + high(sense.pins().get(0)) : high(sense.pins().get(0));
      case ROTARY ->
          phrase("(uint8_t)(%s + 2 * %s)", high(sense.pins().get(0)), high(sense.pins().get(1)));
      case ANALOGUE ->
          portable()
              ? phrase("pin_measure(%s)", sense.pins().get(0).substring(1))
              : phrase("measured(%d)", channel(sense.pins().get(0)));
    };
  }

  private String high(String pin) {
    return portable()
        ? phrase("pin_get(%s)", pin.substring(1))
        : phrase("((PIN%c >> %c) & 1)", pin.charAt(0), pin.charAt(1));
  }

  /** The number of a pin among those that measure (data sheets of the 8-bit classes). */
  private int channel(String pin) {
    return switch (pin) {
      case "B2" -> 1;
      case "B3" -> 3;
      case "B4" -> 2;
      default -> pin.charAt(1) - '0';
    };
  }

  /** Returns the statements that make their pins inputs. */
  String start() {
    StringBuilder text = new StringBuilder();
    for (Sense sense : senses()) {
      boolean up = sense.pressedLow() || sense.sort() == Sense.Sort.ROTARY;
      for (String pin : sense.pins()) {
        text.append(portable() ? listen(pin, up, sense) : up ? pullUp(pin) : "");
      }
    }
    if (measures(work) && !portable()) {
      int steps = 1;
      while (work.controller().clockHz() >> steps > MEASURING_HERTZ) {
        steps++;
      }
      text.append(phrase("  ADCSRA = (1 << ADEN) | %d;\n", steps));
    }
    return text.toString();
  }

  private static String listen(String pin, boolean up, Sense sense) {
    return sense.sort() == Sense.Sort.ANALOGUE
        ? ""
        : phrase("  pin_listen(%s, %d);\n", pin.substring(1), up ? 1 : 0);
  }

  private static String pullUp(String pin) {
    return phrase("  PORT%c |= (1 << %c);\n", pin.charAt(0), pin.charAt(1));
  }
}
