package org.myrialith.firmware.driver;

import java.util.List;
import org.myrialith.circuit.pixel.BitRate;
import org.myrialith.circuit.pixel.OneWirePlan;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.SourceText;
import org.myrialith.formats.ValueChangeDump;

/** Sends one-wire pixels, a bit in a fixed number of cycles. */
record OneWireDriver(OneWirePlan plan) implements LineDriver {
  /** Two cycles of waiting. */
  private static final String WAIT = "      \"rjmp .+0              \\n\\t\"\n";

  private static final int WAIT_BYTES = 2;

  private static int words(int cycles) {
    return cycles / 2 + cycles % 2;
  }

  private int hertz() {
    return plan.brief().controller().clockHz();
  }

  private double nanosACycle() {
    return 1e9 / hertz();
  }

  private boolean slow() {
    return hertz() == BitRate.SLOW_HZ;
  }

  private int zero() {
    return rate().zeroCycles(hertz());
  }

  private int one() {
    return rate().oneCycles(hertz());
  }

  private int bitCycles() {
    return (int) Math.round(rate().bitNanos() / nanosACycle());
  }

  private BitRate rate() {
    return plan.circuit().rate();
  }

  @Override
  public String title() {
    return "one-wire pixels on " + plan.circuit().dataPin();
  }

  /** Pairs of cycles that this rate waits longer than the fastest: before, between, after. */
  private int[] waits() {
    BitRate fast = BitRate.KHZ_800;
    int before = zero() - fast.zeroCycles(hertz());
    int between = one() - fast.oneCycles(hertz()) - before;
    int bit = (int) Math.round((rate().bitNanos() - fast.bitNanos()) / nanosACycle());
    return new int[] {before / 2, between / 2, (bit - before - between) / 2};
  }

  /** A bit is four bits of SPI then: high for one or two of them. */
  @Override
  public boolean bySpi() {
    return dialect() == Dialect.PORTABLE;
  }

  @Override
  public String source() {
    if (bySpi()) {
      return SourceText.read(dialect().file("one_wire.c"))
          .replace("@HERTZ@", Long.toString(Math.round(4e9 / rate().bitNanos())));
    }
    String pin = plan.circuit().dataPin();
    if (slow()) {
      return SourceText.read("one_wire_slow.c")
          .replace("@CYCLES@", Integer.toString(bitCycles()))
          .replace("@ZERO@", Integer.toString(zero()))
          .replace("@ONE@", Integer.toString(one()))
          .replace("@BITS@\n", unrolled())
          .replace("@PORT@", pin.substring(0, 1))
          .replace("@BIT@", pin.substring(1));
    }
    int[] waits = waits();
    return SourceText.read("one_wire.c")
        .replace("@CYCLES@", Integer.toString(bitCycles()))
        .replace("@ZERO@", Integer.toString(zero()))
        .replace("@ONE@", Integer.toString(one()))
        .replace("@BEFORE@\n", WAIT.repeat(waits[0]))
        .replace("@BETWEEN@\n", WAIT.repeat(waits[1]))
        .replace("@AFTER@\n", WAIT.repeat(waits[2]))
        .replace("@PORT@", pin.substring(0, 1))
        .replace("@BIT@", pin.substring(1));
  }

  private static String line(String instruction) {
    return "      \"" + instruction + " \\n\\t\"\n";
  }

  /** So many cycles of waiting, in as few words. */
  private static String rest(int cycles) {
    return WAIT.repeat(cycles / 2) + line("nop").repeat(cycles % 2);
  }

  /**
   * The bits of a byte from the highest down. From the rise: the output falls for a 0 as a skip
   * decides, and for a 1 later; what is left of both times waits or does what is due. No
   * instruction between counting and branching touches the flags.
   */
  private String unrolled() {
    StringBuilder text = new StringBuilder();
    int high = one() - zero() - 1;
    int low = bitCycles() - one() - 1;
    for (int bit = Byte.SIZE - 1; bit >= 0; bit--) {
      text.append(line("out  %[port], %[hi]"));
      text.append(rest(zero() - 2));
      text.append(line("sbrs %[byte], " + bit));
      text.append(line("out  %[port], %[lo]"));
      text.append(
          switch (bit) {
            case 1 -> line("sbiw %[count], 1") + rest(high - 2);
            case 0 -> line("mov  %[byte], %[next]") + rest(high - 1);
            default -> rest(high);
          });
      text.append(line("out  %[port], %[lo]"));
      text.append(
          switch (bit) {
            case 1 -> line("ld   %[next], %a[at]+") + rest(low - 2);
            case 0 -> rest(low - 3) + line("breq 2f") + line("rjmp 1b");
            default -> rest(low);
          });
    }
    return text.toString();
  }

  @Override
  public String start() {
    return bySpi() ? "" : LineDriver.super.start();
  }

  @Override
  public CodeBill code(CodeBill bill) {
    if (bySpi()) {
      return bill.add("one-wire pixels by SPI");
    }
    if (slow()) {
      // instructions of a bit, its waits in pairs of cycles, and what comes before and after
      int high = one() - zero() - 1;
      int low = bitCycles() - one() - 1;
      int words = 4 + words(zero() - 2) + words(high) + words(low);
      return bill.add("one-wire pixels slow").exactly(WAIT_BYTES * Byte.SIZE * words);
    }
    int[] waits = waits();
    return bill.add("one-wire pixels")
        .exactly(WAIT_BYTES * (2 * waits[0] + 3 * waits[1] + 2 * waits[2]));
  }

  @Override
  public double sendCycles() {
    return 70;
  }

  @Override
  public List<String> wires() {
    return List.of("DATA");
  }

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    long at = start;
    for (int channel = 0; channel < levels.size(); channel++) {
      for (int bit = 7; bit >= 0; bit--) {
        boolean one = (levels.at(channel) >> bit & 1) == 1;
        dump.set(first, at, true);
        dump.set(first, at + Math.round(highNanos(one)), false);
        at += rate().bitNanos();
      }
    }
    return at;
  }

  private double highNanos(boolean one) {
    if (bySpi()) {
      return rate().bitNanos() / 4.0 * (one ? 2 : 1);
    }
    return (one ? one() : zero()) * nanosACycle();
  }

  @Override
  public List<String> wiring() {
    return List.of(
        (bySpi() ? "Data: SPI data out of the board, usually pin " : "Data: pin ")
            + plan.circuit().dataPin()
            + " of the controller through 330 ohm to data-in of the first pixel; keep it short.");
  }
}
