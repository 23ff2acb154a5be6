/**
 * Multiplexed lights, however they are wired: the order and time of the slots (plain PWM, bit-angle
 * modulation, several passes), what the interrupt takes, row currents, refresh and flicker.
 *
 * <p>Sources: IEEE 1789-2015 for flicker; cycles are counted from the exported interrupt.
 */
package org.myrialith.circuit.multiplex;
