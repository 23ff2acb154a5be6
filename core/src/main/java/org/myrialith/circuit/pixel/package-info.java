/**
 * Pixels that keep their own levels, in a chain: one wire, or data and clock.
 *
 * <p>Bit times are those of the part classes; a plan gives data time, latch, currents and the logic
 * level that the first pixel sees.
 */
package org.myrialith.circuit.pixel;
