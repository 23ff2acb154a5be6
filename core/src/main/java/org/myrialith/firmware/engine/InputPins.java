package org.myrialith.firmware.engine;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.Map;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.InputState;
import org.myrialith.cue.table.KeptRecord;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.SourceText;

/** The C that reads the inputs of cues. */
public record InputPins(FirmwareWork work) {
  /** An 8-bit controller measures at this clock at most for all its bits (data sheets). */
  private static final int MEASURING_HERTZ = 200_000;

  /** Until a wire of a grid has followed its row, by the pull-up inside (us). */
  private static final int GRID_MICROS = 5;

  /** Half a clock of a register (us). */
  private static final int CLOCK_MICROS = 1;

  private List<InputState> senses() {
    return work.cues().map(CueTable::senses).orElse(List.of());
  }

  /** Returns whether any of them is a voltage. */
  public static boolean measures(FirmwareWork work) {
    return new InputPins(work)
        .senses().stream().anyMatch(sense -> sense.sort() == InputState.Sort.ANALOGUE);
  }

  private boolean portable() {
    return work.controller().portable();
  }

  /** Returns the function that reads them; nothing without inputs. */
  public String source() {
    return keeps() + serial() + clockChip() + reads();
  }

  /** The chip that keeps the time. */
  private String clockChip() {
    List<String> pins = work.cues().map(CueTable::chip).orElse(List.of());
    if (pins.isEmpty()) {
      return "";
    }
    String wires = SourceText.read(dialect().file("clock_wires.c"));
    String wired = dialect().pins(wires, pins.get(0), pins.get(1));
    return SourceText.read("clock_chip.c").replace("@WIRES@\n", wired) + "\n";
  }

  private Dialect dialect() {
    return Dialect.of(work.controller());
  }

  /** The memory that keeps values. */
  private String keeps() {
    return keeps(work) ? SourceText.read(dialect().file("keep.c")) + "\n" : "";
  }

  private String serial() {
    return listens(work) ? SourceText.read(dialect().file("serial.c")) + "\n" : "";
  }

  /** Returns whether values are kept while power is off. */
  public static boolean keeps(FirmwareWork work) {
    return work.cues().map(cues -> !cues.kept().isEmpty()).orElse(false);
  }

  /** Returns whether messages are read. */
  public static boolean listens(FirmwareWork work) {
    return work.cues().map(CueTable::reads).orElse(false);
  }

  private String reads() {
    if (senses().isEmpty()) {
      return "";
    }
    StringBuilder cases = new StringBuilder();
    int pad = 0;
    for (int s = 0; s < senses().size(); s++) {
      InputState sense = senses().get(s);
      if (sense.wired() == InputState.Wired.TOUCH) {
        cases.append(
            phrase(
                "    case %d:\n      return touched(%s, pad_rest[%d]);\n",
                s, filled(sense), pad++));
        continue;
      }
      if (sense.sort() == InputState.Sort.SERIAL) {
        continue;
      }
      cases.append(phrase("    case %d:\n      return %s;\n", s, reading(sense, s)));
    }
    String touch =
        pad > 0
            ? SourceText.read(dialect().file("touch.c"))
                + phrase("\nstatic uint8_t pad_rest[%d];\n\n", pad)
            : "";
    return touch
        + chains()
        + grids()
        + (measures(work) && !portable() ? SourceText.read("measure.c") + "\n" : "")
        + "uint8_t board_input(uint8_t number) {\n  switch (number) {\n"
        + cases
        + "    default:\n      return 0;\n  }\n}\n\n";
  }

  /** A chain of parallel-in registers for each input that is one. */
  private String chains() {
    StringBuilder text = new StringBuilder();
    for (Map.Entry<String, Integer> chain : EngineMemory.chains(cues()).entrySet()) {
      int first = first(chain.getKey());
      List<String> pins = senses().get(first).pins();
      text.append(
          placed("register_in.c", first)
              .replace("@BYTES@", Integer.toString(chain.getValue()))
              .replace("@LOADLOW@", dialect().set(pins.get(2), false))
              .replace("@LOADHIGH@", dialect().set(pins.get(2), true))
              .replace("@DATAHIGH@", dialect().high(pins.get(0)))
              .replace("@CLOCKHIGH@", dialect().set(pins.get(1), true))
              .replace("@CLOCKLOW@", dialect().set(pins.get(1), false)));
    }
    return text.toString();
  }

  private String grids() {
    StringBuilder text = new StringBuilder();
    for (int s = 0; s < senses().size(); s++) {
      InputState sense = senses().get(s);
      if (sense.wired() == InputState.Wired.CROSSED) {
        String row = sense.pins().get(0);
        text.append(
            placed("grid_in.c", s)
                .replace("@ROWLOW@", dialect().output(row, false))
                .replace("@ROWFREE@", dialect().release(row))
                .replace("@COLUMNHIGH@", dialect().high(sense.pins().get(1))));
      }
    }
    return text.toString();
  }

  private String placed(String file, int number) {
    int micros = file.startsWith("grid") ? GRID_MICROS : CLOCK_MICROS;
    return SourceText.read(file)
        .replace("@N@", Integer.toString(number))
        .replace("@WAIT@", dialect().waiting(micros));
  }

  private CueTable cues() {
    return work.cues().orElseThrow();
  }

  /** The first that is read by the input of a name: it has all of them taken. */
  private int first(String name) {
    int s = 0;
    while (!senses().get(s).name().equals(name)) {
      s++;
    }
    return s;
  }

  private String filled(InputState sense) {
    String pin = sense.pins().get(0);
    return portable()
        ? phrase("filled(%s)", pin.substring(1))
        : phrase("filled(&PORT%c, 1 << %c)", pin.charAt(0), pin.charAt(1));
  }

  private String reading(InputState sense, int number) {
    return switch (sense.sort()) {
      case SERIAL -> throw new IllegalArgumentException(sense.name());
      case ON_OFF -> onOff(sense, number);
      case ROTARY ->
          phrase("(uint8_t)(%s + 2 * %s)", high(sense.pins().get(0)), high(sense.pins().get(1)));
      case ANALOGUE ->
          portable()
              ? phrase("pin_measure(%s)", sense.pins().get(0).substring(1))
              : phrase("measured(%d)", channel(sense.pins().get(0)));
    };
  }

  private String onOff(InputState sense, int number) {
    return switch (sense.wired()) {
      case LOW -> "!" + high(sense.pins().get(0));
      case CROSSED -> phrase("crossed%d()", number);
      case REGISTER -> {
        int first = first(sense.name());
        yield phrase("contact%d(%d, %d)", first, sense.number() - 1, first == number ? 1 : 0);
      }
      case HIGH, DRIVEN, TOUCH -> high(sense.pins().get(0));
    };
  }

  private String high(String pin) {
    return dialect().high(pin);
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
  public String start() {
    StringBuilder text = new StringBuilder();
    int pad = 0;
    for (InputState sense : senses()) {
      if (sense.wired() == InputState.Wired.TOUCH) {
        text.append(phrase("  pad_rest[%d] = %s;\n", pad++, filled(sense)));
        continue;
      }
      if (sense.sort() == InputState.Sort.SERIAL) {
        text.append(port());
        continue;
      }
      if (sense.wired() == InputState.Wired.REGISTER) {
        text.append(first(sense.name()) == senses().indexOf(sense) ? chain(sense) : "");
        continue;
      }
      if (sense.wired() == InputState.Wired.CROSSED) {
        String column = sense.pins().get(1);
        text.append(portable() ? listen(sense.pins().get(0), false, sense) : "");
        text.append(portable() ? listen(column, true, sense) : pullUp(column));
        continue;
      }
      boolean up = sense.wired() == InputState.Wired.LOW || sense.sort() == InputState.Sort.ROTARY;
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
    if (keeps(work) && portable()) {
      KeptRecord record =
          KeptRecord.of(work.cues().orElseThrow(), work.controller().keptMemory().orElseThrow());
      text.append(phrase("  keep_begin(%d);\n", record.bytes() * record.slots()));
    }
    return text.toString();
  }

  /** Clock low, load high, clock enable low: nothing moves until it is asked. */
  private String chain(InputState sense) {
    List<String> pins = sense.pins();
    return (portable() ? listen(pins.get(0), false, sense) : "")
        + "  "
        + dialect().output(pins.get(1), false)
        + "\n  "
        + dialect().output(pins.get(2), true)
        + "\n  "
        + dialect().output(pins.get(3), false)
        + "\n";
  }

  /** The serial port, open for letters of 8 bits. */
  private String port() {
    SerialRate rate = new SerialRate(work);
    return portable()
        ? phrase("  serial_begin(%dul);\n", rate.baud())
        : phrase(
            "  UBRR0 = %du;\n  UCSR0A = (1 << U2X0);\n  UCSR0B = (1 << RXEN0) | (1 << RXCIE0);\n  sei();\n",
            rate.divider());
  }

  private static String listen(String pin, boolean up, InputState sense) {
    return sense.sort() == InputState.Sort.ANALOGUE
        ? ""
        : phrase("  pin_listen(%s, %d);\n", pin.substring(1), up ? 1 : 0);
  }

  private static String pullUp(String pin) {
    return phrase("  PORT%c |= (1 << %c);\n", pin.charAt(0), pin.charAt(1));
  }
}
