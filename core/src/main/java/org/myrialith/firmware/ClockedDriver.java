package org.myrialith.firmware;

import java.util.List;
import org.myrialith.colour.Levels;
import org.myrialith.drive.ClockedPixels;
import org.myrialith.drive.ClockedPlan;
import org.myrialith.formats.ValueChangeDump;
import org.myrialith.parts.Controller;

/** Sends clocked pixels. */
record ClockedDriver(ClockedPlan plan) implements LineDriver {
  private static final int DATA = 0;
  private static final int CLOCK = 1;
  private static final double NANOS_A_CYCLE = 1e9 / Controller.CLOCK_HZ;

  /** Cycles from the start of a bit to the rise of its clock, to its fall, and to the next bit. */
  private static final int RISE = 5;

  private static final int FALL = 8;
  private static final int BIT = 13;

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
    String send = SourceText.read(headed() ? "clocked.c" : "clocked_pause.c");
    return (send + SourceText.read("clocked_start.c"))
        .replace("@DATAPORT@", data.substring(0, 1))
        .replace("@DATABIT@", data.substring(1))
        .replace("@CLOCKPORT@", clock.substring(0, 1))
        .replace("@CLOCKBIT@", clock.substring(1))
        .replace("@HEAD@", "0x" + Integer.toHexString(head()))
        .replace("@START@", Integer.toString(ClockedPlan.ZERO_BYTES))
        .replace("@END@", Integer.toString(plan.endBytes()));
  }

  @Override
  public int sendCount() {
    return headed() ? plan.emitters() : plan.channels();
  }

  @Override
  public int codeBytes() {
    return headed() ? 150 : 62;
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
    Bits bits = new Bits(dump, first, start);
    bits.zeros(headed() ? ClockedPlan.ZERO_BYTES : 0);
    for (int channel = 0; channel < levels.size(); channel++) {
      if (headed() && channel % plan.channelsPerEmitter() == 0) {
        bits.send(head());
      }
      bits.send(levels.at(channel));
    }
    bits.zeros(headed() ? plan.endBytes() : 0);
    return bits.time(0);
  }

  /** Bytes on the two wires, one after the other. Mutable, lives within one frame. */
  private static final class Bits {
    private final ValueChangeDump dump;
    private final int first;
    private final long start;
    private long cycles;

    Bits(ValueChangeDump dump, int first, long start) {
      this.dump = dump;
      this.first = first;
      this.start = start;
    }

    long time(int further) {
      return start + Math.round((cycles + further) * NANOS_A_CYCLE);
    }

    void zeros(int count) {
      for (int i = 0; i < count; i++) {
        send(0);
      }
    }

    void send(int value) {
      for (int bit = 7; bit >= 0; bit--) {
        int at = (7 - bit) * BIT;
        dump.set(first + DATA, time(at), (value >> bit & 1) == 1);
        dump.set(first + CLOCK, time(at + RISE), true);
        dump.set(first + CLOCK, time(at + FALL), false);
      }
      cycles += ClockedPlan.BYTE_CYCLES;
    }
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
