/**
 * Currents and levels: what stands between a supply and an output (a resistor, a constant-current
 * sink, a filament), transistors and their losses, logic levels and what shifts them, the rise of a
 * loaded bus.
 *
 * <p>Sources: JESD7A for inputs of the HC family, UM10204 for the I2C bus, IEC 60063 for resistors;
 * else data of the part classes and common practice, as each class says.
 */
package org.myrialith.circuit.electrical;
