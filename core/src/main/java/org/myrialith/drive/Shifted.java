package org.myrialith.drive;

/** A circuit in whose lines a level shifter may stand. */
public interface Shifted {
  /** Returns what stands in its lines between controller and first chip. */
  LevelShift shift();
}
