package org.myrialith.firmware.driver;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.circuit.chip.display.DisplayClass;
import org.myrialith.circuit.chip.display.DisplayDrivers;
import org.myrialith.circuit.chip.display.DisplayPlan;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Quantity;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.line.TwoWire;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.ShiftOut;
import org.myrialith.firmware.target.SourceText;
import org.myrialith.formats.ValueChangeDump;
import org.myrialith.parts.TwoWireSpeed;

/** Tells display-driver chips all their digits. */
record DisplayDriver(DisplayPlan plan) implements LineDriver {
  private static final int WRITE = 0x40;
  private static final int FIRST_DIGIT = 0xc0;
  private static final int ON = 0x88;

  private DisplayDrivers circuit() {
    return plan.circuit();
  }

  private boolean bus() {
    return circuit().sort() == DisplayClass.I2C;
  }

  private boolean chained() {
    return circuit().sort().chained();
  }

  @Override
  public String title() {
    return phrase("display drivers on %s", String.join(", ", circuit().pins()));
  }

  @Override
  public String source() {
    if (bus()) {
      return dialect().twoWire(circuit().dataPin(), circuit().clockPin(), circuit().speed(), false)
          + SourceText.read("i2c_display.c")
              .replace("@ADDRESS@", Integer.toString(circuit().firstAddress()))
              .replace("@CHIPS@", Integer.toString(plan.map().chips()))
              .replace("@STEP@", Integer.toString(circuit().brightness()));
    }
    if (!chained()) {
      return dialect()
              .twoWire(circuit().dataPin(), circuit().clockPin(), TwoWireSpeed.DISPLAY, true)
          + SourceText.read("two_wire_display.c")
              .replace("@ON@", phrase("0x%x", ON + circuit().brightness()));
    }
    String shift =
        dialect() == Dialect.AVR
            ? SourceText.read("three_wire_shift.c")
            : SourceText.read(dialect().file("shift.c"));
    return dialect()
        .pins(shift + SourceText.read("three_wire.c"), circuit().dataPin(), circuit().clockPin())
        .replace("@LOADUP@", dialect().set(circuit().loadPin(), true))
        .replace("@LOADDOWN@", dialect().set(circuit().loadPin(), false))
        .replace("@CHIPS@", Integer.toString(plan.map().chips()))
        .replace("@STEP@", Integer.toString(circuit().brightness()))
        .replace("@PINS@\n", dialect().low(circuit().pins()));
  }

  /** Its C starts it. */
  @Override
  public String start() {
    return "";
  }

  @Override
  public int sendCount() {
    return bus() ? plan.map().chips() : plan.bufferBytes();
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return switch (circuit().sort()) {
      case THREE_WIRE ->
          bill.add("display driver three wires")
              .addIf(plan.map().chips() > 1, "several three-wire drivers");
      case I2C ->
          bill.add("display driver I2C").addIf(plan.map().chips() > 1, "several I2C drivers");
      case TWO_WIRE -> bill.add("display driver two wires");
    };
  }

  @Override
  public double sendCycles() {
    TwoWireSpeed speed = circuit().speed();
    return chained() ? 60 : 60 + 3 * speed.low();
  }

  @Override
  public List<String> wires() {
    return chained() ? List.of("DATA", "CLOCK", "LOAD") : List.of("DATA", "CLOCK");
  }

  @Override
  public String rests() {
    return chained() ? "000" : "11";
  }

  private double bitNanos(TwoWireSpeed speed) {
    return speed.bitSeconds(plan.brief().controller()) * 1e9;
  }

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    byte[] buffer = plan.buffer(levels);
    if (bus()) {
      TwoWire wire = new TwoWire(dump, first, bitNanos(circuit().speed()), false, start);
      for (int chip = 0; chip < plan.map().chips(); chip++) {
        int[] bytes = new int[DisplayPlan.I2C_BYTES];
        bytes[0] = circuit().firstAddress() + chip << 1;
        for (int i = 2; i < bytes.length; i++) {
          bytes[i] = buffer[chip * (bytes.length - 2) + i - 2] & 0xff;
        }
        wire.write(bytes);
      }
      return wire.end();
    }
    if (!chained()) {
      TwoWire wire = new TwoWire(dump, first, bitNanos(TwoWireSpeed.DISPLAY), true, start);
      int[] digits = new int[1 + buffer.length];
      digits[0] = FIRST_DIGIT;
      for (int i = 0; i < buffer.length; i++) {
        digits[1 + i] = buffer[i] & 0xff;
      }
      wire.write(WRITE);
      wire.write(digits);
      wire.write(ON + circuit().brightness());
      return wire.end();
    }
    ShiftOut out = new ShiftOut(dump, first, start, plan.brief().controller());
    for (int digit = 1; digit <= circuit().sort().digits(); digit++) {
      for (int chip = plan.map().chips() - 1; chip >= 0; chip--) {
        out.send(digit);
        out.send(buffer[chip * circuit().sort().digits() + digit - 1] & 0xff);
      }
      dump.set(first + 2, out.time(8), true);
      dump.set(first + 2, out.time(10), false);
      out.pause((int) DisplayPlan.TURN_CYCLES);
    }
    return out.time(0);
  }

  @Override
  public List<String> wiring() {
    String setting =
        plan.calculations().stream()
            .filter(n -> n.key().startsWith("setting-resistor"))
            .findFirst()
            .map(
                n ->
                    phrase(
                        "; its setting resistor, %s, to its plus", Quantity.text(n.value(), "ohm")))
            .orElse("");
    if (bus()) {
      return List.of(
          phrase(
              "Data: pin %s, clock: pin %s to all drivers; %s from each of the two lines to plus of the drivers, once.",
              circuit().dataPin(),
              circuit().clockPin(),
              Quantity.text(circuit().pullUpOhms(), "ohm")),
          phrase(
              "Address pins: first driver 0x%x, each further driver the next address. Each driver: ground to ground, plus to plus of %s, 100 nF and 10 uF across them. Output 3.12 is row 12 of the third common; commons are cathodes.",
              circuit().firstAddress(), plan.brief().controllerNode()));
    }
    return List.of(
        chained()
            ? phrase(
                "Data: pin %s to data-in of driver 1, data-out of each to data-in of the next; clock: pin %s and load: pin %s to all.",
                circuit().dataPin(), circuit().clockPin(), circuit().loadPin())
            : phrase(
                "Data: pin %s, clock: pin %s to the driver; 10 kohm from each of the two lines to plus of the driver.",
                circuit().dataPin(), circuit().clockPin()),
        phrase(
            "Each driver: ground to ground, plus to plus of %s, 100 nF and 10 uF across them%s. Output 3c is segment c of its third digit, p the point; %s.",
            plan.brief().controllerNode(),
            setting,
            chained() ? "digit lines are common cathodes" : "digit lines are common anodes"));
  }
}
