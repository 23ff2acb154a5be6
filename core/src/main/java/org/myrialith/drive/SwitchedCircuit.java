package org.myrialith.drive;

import org.myrialith.brief.Brief;
import org.myrialith.layout.Layout;

/** A circuit whose outputs are on or off. */
public sealed interface SwitchedCircuit extends Circuit
    permits DirectPins, ShiftRegisters, Expanders, DisplayDrivers {
  /** Returns how the LEDs hang on its outputs. */
  Hookup hookup();

  /** Returns the circuit with LEDs that hang another way. */
  SwitchedCircuit with(Hookup other);

  @Override
  SwitchedPlan plan(Layout layout, Brief brief);

  @Override
  default Circuit withChannelCurrent(double milliamps) {
    return with(hookup().withMilliamps(milliamps));
  }
}
