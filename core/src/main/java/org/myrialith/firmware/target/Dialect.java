package org.myrialith.firmware.target;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.parts.Controller;
import org.myrialith.parts.TwoWireSpeed;

/** The C that a controller is spoken to with: its registers, or what its board brings. */
public enum Dialect {
  /** Registers and assembler of 8-bit AVR: cycles are counted. */
  AVR {
    @Override
    public String set(String pin, boolean high) {
      char port = pin.charAt(0);
      char bit = pin.charAt(1);
      return high
          ? phrase("PORT%c |= (1 << %c);", port, bit)
          : phrase("PORT%c &= (uint8_t) ~(1 << %c);", port, bit);
    }

    @Override
    public String output(String pin, boolean high) {
      return set(pin, high) + phrase("\n  DDR%c |= (1 << %c);", pin.charAt(0), pin.charAt(1));
    }

    @Override
    public String release(String pin) {
      char port = pin.charAt(0);
      return phrase("DDR%c = (uint8_t)(DDR%c & (uint8_t)~(1 << %c));", port, port, pin.charAt(1));
    }

    @Override
    public String high(String pin) {
      return phrase("((PIN%c >> %c) & 1)", pin.charAt(0), pin.charAt(1));
    }

    @Override
    public String waiting(int micros) {
      return phrase("_delay_us(%d);", micros);
    }

    @Override
    public String file(String name) {
      return name;
    }

    @Override
    public String pins(String source, String data, String clock) {
      return source
          .replace("@DATAPORT@", data.substring(0, 1))
          .replace("@DATABIT@", data.substring(1))
          .replace("@CLOCKPORT@", clock.substring(0, 1))
          .replace("@CLOCKBIT@", clock.substring(1));
    }

    /** Within reach of a short pointer, wherever the frames are. */
    @Override
    public String table() {
      return "__attribute__((section(\".progmem.gcc_tables\")))";
    }

    @Override
    public String twoWire(String data, String clock, TwoWireSpeed speed, boolean lowestFirst) {
      return pins(SourceText.read("two_wire.c"), data, clock)
          .replace("@LOW@", Integer.toString(speed.low()))
          .replace("@HIGH@", Integer.toString(speed.high()))
          .replace("@TURN@", lowestFirst ? "ror" : "rol")
          .replace("@FIRST@", lowestFirst ? "lowest" : "highest");
    }
  },
  /** Portable C over pins by their numbers. */
  PORTABLE {
    @Override
    public String set(String pin, boolean high) {
      return phrase("pin_set(%s, %d);", number(pin), high ? 1 : 0);
    }

    @Override
    public String output(String pin, boolean high) {
      return phrase("pin_out(%s, %d);", number(pin), high ? 1 : 0);
    }

    @Override
    public String release(String pin) {
      return phrase("pin_free(%s);", number(pin));
    }

    @Override
    public String high(String pin) {
      return phrase("pin_get(%s)", number(pin));
    }

    @Override
    public String waiting(int micros) {
      return phrase("wait_us(%d);", micros);
    }

    @Override
    public String file(String name) {
      return "portable/" + name;
    }

    @Override
    public String pins(String source, String data, String clock) {
      return source.replace("@DATA@", number(data)).replace("@CLOCK@", number(clock));
    }

    @Override
    public String table() {
      return "";
    }

    @Override
    public String twoWire(String data, String clock, TwoWireSpeed speed, boolean lowestFirst) {
      return pins(SourceText.read(file("two_wire.c")), data, clock)
          .replace("@LOW@", Integer.toString(speed.lowMicros()))
          .replace("@HIGH@", Integer.toString(speed.highMicros()))
          .replace("@MASK@", lowestFirst ? "0x01" : "0x80")
          .replace("@TURN@", lowestFirst ? ">>" : "<<")
          .replace("@FIRST@", lowestFirst ? "lowest" : "highest");
    }
  };

  public static Dialect of(Controller controller) {
    return controller.portable() ? PORTABLE : AVR;
  }

  /** The number of a pin that is called P and a number; a pin of another controller is none. */
  private static String number(String pin) {
    return pin.startsWith("P") ? pin.substring(1) : "0";
  }

  /** Returns the statement that sets an output. */
  public abstract String set(String pin, boolean high);

  /** Returns the statements that make a pin an output at a level. */
  public abstract String output(String pin, boolean high);

  /** Returns the statement that releases a pin: an input without a pull-up. */
  public abstract String release(String pin);

  /** Returns the expression that is 1 while a pin is high, else 0. */
  public abstract String high(String pin);

  /** Returns the statement that waits (us). */
  public abstract String waiting(int micros);

  /** Returns the name of the file in which it says what another dialect says in its own. */
  public abstract String file(String name);

  /** Returns C with the pins of data and clock in their places. */
  public abstract String pins(String source, String data, String clock);

  /** Returns what tells where a table stands. */
  public abstract String table();

  /** Returns the C of two open wires: start, a byte, stop, and rest. */
  public abstract String twoWire(
      String data, String clock, TwoWireSpeed speed, boolean lowestFirst);

  /** Returns the C that starts a line: its pins outputs, low. */
  public String low(List<String> pins) {
    StringBuilder text = new StringBuilder();
    pins.forEach(pin -> text.append("  ").append(output(pin, false)).append('\n'));
    return text.toString();
  }

  /**
   * Returns the C that shifts plain bytes out; {@code @LATCH@} stands where something may follow.
   */
  public String shiftOut(String data, String clock, String what, boolean turned) {
    if (this == AVR) {
      return ShiftOut.source(data, clock, what, turned);
    }
    return pins(
            SourceText.read(file("shift.c")) + SourceText.read(file("shift_out.c")), data, clock)
        .replace("@WHAT@", what)
        .replace("@TURN@", turned ? "0xff" : "0");
  }
}
