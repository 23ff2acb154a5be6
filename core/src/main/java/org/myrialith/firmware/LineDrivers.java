package org.myrialith.firmware;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.ClockedPlan;
import org.myrialith.drive.DisplayPlan;
import org.myrialith.drive.ExpanderPlan;
import org.myrialith.drive.OneWirePlan;
import org.myrialith.drive.PinPlan;
import org.myrialith.drive.RegisterPlan;
import org.myrialith.drive.ScannedPlan;
import org.myrialith.parts.Controller;

/** The driver of each kind of circuit. A new kind is named here. */
final class LineDrivers {
  private static final List<Entry<?>> ALL =
      List.of(
          new Entry<>(OneWirePlan.class, OneWireDriver::new),
          new Entry<>(ClockedPlan.class, ClockedDriver::new),
          new Entry<>(
              RegisterPlan.class, p -> p.dims() ? new GreyDriver(p) : new RegisterDriver(p)),
          new Entry<>(PinPlan.class, p -> p.dims() ? new TimerPinDriver(p) : new PinDriver(p)),
          new Entry<>(
              ScannedPlan.class, p -> p.polled() ? new PolledScanDriver(p) : new ScanDriver(p)),
          new Entry<>(ExpanderPlan.class, p -> p.dims() ? new PwmDriver(p) : new ExpanderDriver(p)),
          new Entry<>(DisplayPlan.class, DisplayDriver::new));

  private LineDrivers() {}

  private record Entry<P extends CircuitPlan>(Class<P> type, Function<P, LineDriver> made) {
    Optional<LineDriver> of(CircuitPlan plan) {
      return type.isInstance(plan) ? Optional.of(made.apply(type.cast(plan))) : Optional.empty();
    }
  }

  /** Returns the driver of a circuit. */
  static LineDriver of(CircuitPlan plan) {
    return ALL.stream()
        .flatMap(entry -> entry.of(plan).stream())
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("no driver for " + plan.circuit().name()));
  }

  /**
   * Returns the time that all lines take to be sent (s): the bits, and the way into and out of it.
   */
  static double seconds(List<LineDriver> lines, Controller on) {
    return lines.stream()
        .mapToDouble(
            line -> line.plan().dataSeconds() + FirmwareTarget.seconds(line.sendCycles(), on))
        .sum();
  }
}
