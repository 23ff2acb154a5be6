/**
 * Frames as bytes in flash: raw, by palette, by runs, by what changes, by a dictionary, or as a
 * stream of codes; and the cycles of unpacking each.
 *
 * <p>The dictionary makes rules for pairs of symbols (byte-pair encoding, Gage 1994).
 */
package org.myrialith.firmware.pack;
