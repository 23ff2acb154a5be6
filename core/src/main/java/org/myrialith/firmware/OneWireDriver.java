package org.myrialith.firmware;

import java.util.List;
import org.myrialith.colour.Levels;
import org.myrialith.drive.BitRate;
import org.myrialith.drive.OneWirePlan;
import org.myrialith.formats.ValueChangeDump;
import org.myrialith.parts.Controller;

/** Sends one-wire pixels, a bit in a fixed number of cycles. */
record OneWireDriver(OneWirePlan plan) implements LineDriver {
  private static final int CODE_BYTES = 110;

  /** Two cycles of waiting. */
  private static final String WAIT = "      \"rjmp .+0              \\n\\t\"\n";

  private static final int WAIT_BYTES = 2;
  private static final double NANOS_A_CYCLE = 1e9 / Controller.CLOCK_HZ;

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
    int before = rate().zeroCycles() - fast.zeroCycles();
    int between = rate().oneCycles() - fast.oneCycles() - before;
    int bit = (int) Math.round((rate().bitNanos() - fast.bitNanos()) / NANOS_A_CYCLE);
    return new int[] {before / 2, between / 2, (bit - before - between) / 2};
  }

  /** By SPI a bit is four of its bits: high for one or two of them. */
  private boolean bySpi() {
    return dialect() == Dialect.PORTABLE;
  }

  @Override
  public String source() {
    if (bySpi()) {
      return SourceText.read(dialect().file("one_wire.c"))
          .replace("@HERTZ@", Long.toString(Math.round(4e9 / rate().bitNanos())));
    }
    String pin = plan.circuit().dataPin();
    int[] waits = waits();
    return SourceText.read("one_wire.c")
        .replace("@CYCLES@", Long.toString(Math.round(rate().bitNanos() / NANOS_A_CYCLE)))
        .replace("@ZERO@", Integer.toString(rate().zeroCycles()))
        .replace("@ONE@", Integer.toString(rate().oneCycles()))
        .replace("@BEFORE@\n", WAIT.repeat(waits[0]))
        .replace("@BETWEEN@\n", WAIT.repeat(waits[1]))
        .replace("@AFTER@\n", WAIT.repeat(waits[2]))
        .replace("@PORT@", pin.substring(0, 1))
        .replace("@BIT@", pin.substring(1));
  }

  @Override
  public String start() {
    return bySpi() ? "" : LineDriver.super.start();
  }

  @Override
  public int codeBytes() {
    if (bySpi()) {
      return 60;
    }
    int[] waits = waits();
    return CODE_BYTES + WAIT_BYTES * (2 * waits[0] + 3 * waits[1] + 2 * waits[2]);
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
    return (one ? rate().oneCycles() : rate().zeroCycles()) * NANOS_A_CYCLE;
  }

  @Override
  public List<String> wiring() {
    return List.of(
        (bySpi() ? "Data: SPI data out of the board, usually pin " : "Data: pin ")
            + plan.circuit().dataPin()
            + " of the controller through 330 ohm to data-in of the first pixel; keep it short.");
  }
}
