package org.myrialith.circuit.multiplex;

import java.util.List;
import java.util.OptionalInt;
import org.myrialith.parts.Controller;

/** What the slots of lights that have their turns are counted by. */
public enum ScanClock {
  /** An interrupt of timer 2 of the 8-bit classes. */
  TIMER_2(List.of(1, 8, 32, 64, 128, 256, 1024), 256),
  /** The same of timer 0, where there is no other. */
  TIMER_0(List.of(1, 8, 64, 256, 1024), 256),
  /** Whole microseconds of the board's clock, looked at while the player waits. */
  POLLED(List.of(Controller.CLOCK_HZ / 1_000_000), 60_000);

  private final List<Integer> prescales;
  private final int mostTicks;

  ScanClock(List<Integer> prescales, int mostTicks) {
    this.prescales = prescales;
    this.mostTicks = mostTicks;
  }

  /** Returns the one of a controller. */
  public static ScanClock of(Controller controller) {
    OptionalInt timer = controller.scanTimer();
    return timer.isEmpty() ? POLLED : timer.getAsInt() == 0 ? TIMER_0 : TIMER_2;
  }

  /** Returns what its clock can be divided by for ticks; of those that are looked at, 16 MHz. */
  List<Integer> prescales() {
    return prescales;
  }

  /** Returns the ticks that a slot lasts at most. */
  public int mostTicks() {
    return mostTicks;
  }
}
