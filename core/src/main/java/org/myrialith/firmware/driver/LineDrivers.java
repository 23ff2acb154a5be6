package org.myrialith.firmware.driver;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.chip.display.DisplayPlan;
import org.myrialith.circuit.chip.expander.ExpanderPlan;
import org.myrialith.circuit.chip.register.RegisterPlan;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.circuit.pin.PinPlan;
import org.myrialith.circuit.pixel.ClockedPlan;
import org.myrialith.circuit.pixel.OneWirePlan;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.scan.PolledScanDriver;
import org.myrialith.firmware.scan.ScanDriver;
import org.myrialith.firmware.target.FirmwareTarget;
import org.myrialith.parts.Controller;

/** The driver of each kind of circuit. A new kind is named here. */
public final class LineDrivers {
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
  public static LineDriver of(CircuitPlan plan) {
    return ALL.stream()
        .flatMap(entry -> entry.of(plan).stream())
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("no driver for " + plan.circuit().name()));
  }

  /**
   * Returns the time that all lines take to be sent (s): the bits, and the way into and out of it.
   */
  public static double seconds(List<LineDriver> lines, Controller on) {
    return lines.stream()
        .mapToDouble(
            line -> line.plan().dataSeconds() + FirmwareTarget.seconds(line.sendCycles(), on))
        .sum();
  }
}
