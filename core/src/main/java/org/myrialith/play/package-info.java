/**
 * Cues at work: a sheet of cues with its scenes and inputs as one table of numbers, judged, and the
 * engine that obeys it, tick by tick in whole numbers. The firmware has the same table and the same
 * engine in C.
 */
package org.myrialith.play;
