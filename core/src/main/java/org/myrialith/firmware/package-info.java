/**
 * What the maker takes away: levels per frame, chain and limiter come in; packed frames, C sources,
 * a waveform and memory use go out.
 *
 * <p>The player is portable C99; the board file's timing follows the 800 kHz class of one-wire
 * pixels: 0.375 µs high for a 0, 0.8125 µs for a 1, 1.25 µs a bit.
 */
package org.myrialith.firmware;
