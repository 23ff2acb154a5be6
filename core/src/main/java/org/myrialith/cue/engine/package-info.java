/**
 * The engine that obeys the table of a sheet of cues, tick by tick in whole numbers. The firmware
 * has the same engine in C.
 */
package org.myrialith.cue.engine;
