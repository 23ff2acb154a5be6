package org.myrialith.firmware.driver;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.chip.register.RegisterPlan;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.ShiftOut;
import org.myrialith.formats.ValueChangeDump;

/** Shifts a frame into registers and latches it. */
record RegisterDriver(RegisterPlan plan) implements LineDriver {
  /** Cycles from the last bit to the rise of the latch, and from there to its fall. */
  private static final int TO_LATCH = 8;

  private static final int LATCHED = 2;

  private ShiftRegisters circuit() {
    return plan.circuit();
  }

  private boolean inverted() {
    return plan.lowLights();
  }

  @Override
  public String title() {
    return phrase(
        "shift registers on %s (data), %s (clock) and %s (latch)",
        circuit().dataPin(), circuit().clockPin(), circuit().latchPin());
  }

  @Override
  public String source() {
    String what =
        inverted()
            ? "a set bit lights, and goes out low; then the latch"
            : "a set bit lights, and goes out high; then the latch";
    return dialect()
        .shiftOut(circuit().dataPin(), circuit().clockPin(), what, inverted())
        .replace(
            "@LATCH@",
            "  "
                + latch(true)
                + "\n  "
                + latch(false)
                + (circuit().held() ? "\n  " + blank(false) : ""));
  }

  /** Output enable stays high until a frame is latched. */
  @Override
  public String start() {
    if (!circuit().held()) {
      return LineDriver.super.start();
    }
    return "static void start_line_@N@(void) {\n  "
        + dialect().output(circuit().blankPin(), true)
        + "\n"
        + dialect().low(circuit().pins().subList(0, 3))
        + "}\n\n";
  }

  @Override
  public String rests() {
    return circuit().held() ? "0001" : "000";
  }

  private String blank(boolean high) {
    return dialect().set(circuit().blankPin(), high);
  }

  private String latch(boolean high) {
    return dialect().set(circuit().latchPin(), high);
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add("registers");
  }

  @Override
  public double sendCycles() {
    return 90;
  }

  @Override
  public List<String> wires() {
    return circuit().held()
        ? List.of("DATA", "CLOCK", "LATCH", "BLANK")
        : List.of("DATA", "CLOCK", "LATCH");
  }

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    ShiftOut out = new ShiftOut(dump, first, start, plan.brief().controller());
    for (byte one : plan.buffer(levels)) {
      out.send(inverted() ? ~one & 0xff : one & 0xff);
    }
    dump.set(first + 2, out.time(TO_LATCH), true);
    dump.set(first + 2, out.time(TO_LATCH + LATCHED), false);
    if (circuit().held()) {
      dump.set(first + 3, out.time(TO_LATCH + 2 * LATCHED), false);
    }
    return out.time(TO_LATCH + LATCHED);
  }

  @Override
  public List<String> wiring() {
    List<String> steps = new ArrayList<>();
    steps.add(
        phrase(
            "Data: pin %s of the controller to the serial input of chip 1.", circuit().dataPin()));
    steps.add(
        phrase(
            "Clock: pin %s through 100 ohm to the shift clock of all chips; latch: pin %s through 100 ohm to the storage clock of all.",
            circuit().clockPin(), circuit().latchPin()));
    if (circuit().held()) {
      steps.add(
          phrase(
              "Output enable of all chips to pin %s, with 10 kohm to plus of the chips: all outputs stay off until the first frame.",
              circuit().blankPin()));
    }
    steps.add(
        phrase(
            circuit().held()
                ? "Each chip: ground to ground, plus and clear to plus of %s, 100 nF across them; its serial output to the serial input of the next."
                : "Each chip: ground and output enable to ground, plus and clear to plus of %s, 100 nF across them; its serial output to the serial input of the next.",
            plan.brief().controllerNode()));
    if (plan.oneSinks() && plan.lowLights()) {
      steps.add(
          phrase(
              "Each output is open-drain: a pull-up from it to plus of %s turns its transistor on, a 1 in the register turns it off.",
              plan.brief().controllerNode()));
    }
    return steps;
  }
}
