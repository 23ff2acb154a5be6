package org.myrialith.layout;

import org.myrialith.finding.Bounds;

/** Something a maker mounts as one piece. Immutable. */
public sealed interface Fixture permits Panel, Strip, Ring {
  /** Allowed coordinate (mm). */
  Bounds PLACE = Bounds.measure(-10_000, 10_000, "mm");

  /** Most emitters of one fixture. */
  int MOST_EMITTERS = 8192;

  /** Returns the identifier, unique in the gadget. */
  String id();

  /** Returns what the maker calls it. */
  String name();

  /** Returns the number of emitters, at least 1. */
  int count();

  /** Returns the columns of a picture on this fixture, as the viewer sees it. */
  int seenColumns();

  /** Returns the rows of a picture on this fixture, as the viewer sees it. */
  int seenRows();

  /** Returns the place of the emitter with that index in data order, 0 to {@code count() - 1}. */
  Place place(int index);

  /** Drawn for a fixture of a single emitter (mm): a usual pitch (common practice). */
  double LONE_PITCH_MM = 10;

  /** Returns the least distance of neighbours (mm), above 0. */
  double pitchMm();

  /** Returns this fixture shifted by (mm). */
  Fixture movedBy(double dxMm, double dyMm);

  /** Returns a copy with another identifier and name. */
  Fixture renamed(String newId, String newName);

  /** Returns a few words that describe it, such as "16 × 8 panel". */
  String describe();

  /**
   * Where one emitter sits.
   *
   * @param xMm to the right
   * @param yMm down
   * @param column of the fixture's picture, 0 at the left
   * @param row of the fixture's picture, 0 at the top
   */
  record Place(double xMm, double yMm, int column, int row) {}
}
