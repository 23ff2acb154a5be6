package org.myrialith.firmware.driver;

import java.util.List;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.ClockedPlan;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.ShiftOut;
import org.myrialith.firmware.target.SourceText;
import org.myrialith.formats.ValueChangeDump;

/** Sends clocked pixels. */
record ClockedDriver(ClockedPlan plan) implements LineDriver {
  /** Three ones before the brightness field. */
  private static final int HEAD = 0xe0;

  private ClockedPixels circuit() {
    return plan.circuit();
  }

  private boolean headed() {
    return circuit().sort().headed();
  }

  private int head() {
    return HEAD | circuit().brightnessField();
  }

  @Override
  public String title() {
    return "clocked pixels on " + circuit().dataPin() + " (data) and " + circuit().clockPin();
  }

  @Override
  public String source() {
    String data = circuit().dataPin();
    String clock = circuit().clockPin();
    if (!headed()) {
      String what =
          "three levels a pixel and nothing else. The clock rests low, and the pause shows them";
      return dialect().shiftOut(data, clock, what, false).replace("@LATCH@\n", "");
    }
    String shift = dialect() == Dialect.AVR ? "" : SourceText.read(dialect().file("shift.c"));
    String read = shift + SourceText.read(dialect().file("clocked.c"));
    return dialect()
        .pins(read, data, clock)
        .replace("@HEAD@", "0x" + Integer.toHexString(head()))
        .replace("@START@", Integer.toString(ClockedPlan.ZERO_BYTES))
        .replace("@END@", Integer.toString(plan.endBytes()));
  }

  @Override
  public int sendCount() {
    return headed() ? plan.emitters() : plan.channels();
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add(headed() ? "clocked pixels headed" : "clocked pixels paused");
  }

  @Override
  public double sendCycles() {
    return 90;
  }

  @Override
  public List<String> wires() {
    return List.of("DATA", "CLOCK");
  }

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    ShiftOut bits = new ShiftOut(dump, first, start, plan.brief().controller());
    bits.zeros(headed() ? ClockedPlan.ZERO_BYTES : 0);
    for (int channel = 0; channel < levels.size(); channel++) {
      if (headed() && channel % plan.channelsPerPixel() == 0) {
        bits.send(head());
      }
      bits.send(levels.at(channel));
    }
    bits.zeros(headed() ? plan.endBytes() : 0);
    return bits.time(0);
  }

  @Override
  public String in() {
    return "data-in and clock-in";
  }

  @Override
  public String out() {
    return "data-out and clock-out";
  }

  @Override
  public List<String> wiring() {
    return List.of(
        "Data: pin "
            + circuit().dataPin()
            + " of the controller through 100 ohm to data-in of the first pixel.",
        "Clock: pin "
            + circuit().clockPin()
            + " of the controller through 100 ohm to clock-in of the first pixel; keep both short, beside their ground.");
  }
}
