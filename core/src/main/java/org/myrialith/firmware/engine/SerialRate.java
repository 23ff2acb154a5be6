package org.myrialith.firmware.engine;

import java.util.stream.IntStream;
import org.myrialith.firmware.driver.LineDrivers;
import org.myrialith.firmware.player.FirmwareWork;

/**
 * How quickly messages may come in, so that none of their letters is lost while lines are sent with
 * interrupts off.
 */
record SerialRate(FirmwareWork work) {
  /** Usual rates, the quickest first (baud). */
  private static final int[] RATES = {9600, 4800, 2400, 1200, 600, 300};

  /** Letters that the port keeps by itself (data sheets). */
  private static final int KEPT = 2;

  /** With start and stop. */
  private static final int BITS = 10;

  int baud() {
    if (work.controller().portable()) {
      return RATES[0]; // what the environment receives waits in its own memory
    }
    double deaf = LineDrivers.seconds(work.drivers(), work.controller());
    return IntStream.of(RATES)
        .filter(rate -> KEPT * BITS / (double) rate >= deaf)
        .findFirst()
        .orElse(RATES[RATES.length - 1]);
  }

  /** What the port divides the clock by, less one, at double speed (data sheets). */
  int divider() {
    return (int) Math.round(work.controller().clockHz() / 8.0 / baud()) - 1;
  }
}
