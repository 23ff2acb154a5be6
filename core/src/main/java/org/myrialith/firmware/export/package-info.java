/**
 * Files to take away: board file, bit map, bring-up, sketch folders, waveform, words for README.
 */
package org.myrialith.firmware.export;
