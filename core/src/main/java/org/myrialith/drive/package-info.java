/**
 * How emitters are driven: circuits with their data time, refresh and memory.
 *
 * <p>Fixtures in chain order come in; a {@link org.myrialith.drive.ChainPlan} goes out. Timing of
 * one-wire pixels of the 800 kHz class: 1.25 µs a bit, 24 bits a pixel (common practice for the
 * class).
 */
package org.myrialith.drive;
