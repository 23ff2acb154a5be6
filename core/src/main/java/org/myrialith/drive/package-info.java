/**
 * How emitters are driven: pixels that keep their own levels, and outputs that are on or off, on
 * pins, registers, sinks, expanders, display drivers and through transistors.
 *
 * <p>Fixtures and a {@link org.myrialith.drive.Circuit} come in; a {@link
 * org.myrialith.drive.CircuitPlan} goes out: what stands where on the wire, time, memory, current,
 * judgements. Sources: I2C-bus specification UM10204, JESD7A for inputs of the HC family, IEC 60063
 * for resistors; all else are data of the part classes and common practice, as each class says.
 */
package org.myrialith.drive;
