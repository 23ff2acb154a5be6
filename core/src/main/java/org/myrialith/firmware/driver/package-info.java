/**
 * The drivers of all circuits that are not multiplexed, and the list of all drivers.
 *
 * <p>One-wire pixels of the 800 kHz class: 0.375 µs high for a 0, 0.8125 µs for a 1, 1.25 µs a bit.
 */
package org.myrialith.firmware.driver;
