package org.myrialith.firmware;

import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.parts.RegisterClass;

/**
 * What a bit in a chip's output latch does to the LED there, by the function table of its class.
 *
 * <ul>
 *   <li>8-bit register, HC and HCT: bit 1, output high; bit 0, output low. From plus to the output
 *       an LED is lit by 0, from the output to ground by 1. Before a low-side switch (NPN,
 *       Darlington, N-channel MOSFET), which conducts when driven high, it is lit by 1.
 *   <li>8-bit register with power outputs, open drain: bit 1 turns the transistor on, so the output
 *       sinks; bit 0 leaves it open. From plus to the output an LED is lit by 1. A switch behind it
 *       is held high by a pull-up while the output is open, so it conducts with 0.
 *   <li>Constant-current sinks: bit 1 sinks the set current, bit 0 is open: lit by 1.
 * </ul>
 */
final class LatchBit {
  private LatchBit() {}

  /** Whether an LED is lit by a 0. */
  static boolean zeroLights(RegisterClass sort, OutputWiring hookup) {
    boolean behindSwitch = hookup.through() != SwitchType.NONE;
    boolean fromPlus = hookup.side() == Side.TO_SUPPLY;
    return switch (sort) {
      case HC, HCT -> fromPlus && !behindSwitch;
      case POWER -> behindSwitch;
      case SINK, GREY_12, GREY_16, GREY_24 -> false;
    };
  }
}
