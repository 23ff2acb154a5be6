/**
 * What each way of sending a circuit says of itself: its C, flash, cycles, waveform and wiring
 * steps.
 */
package org.myrialith.firmware.line;
