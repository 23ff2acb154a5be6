package org.myrialith.layout;

/**
 * One lit place.
 *
 * @param fixture position of its fixture in the gadget's list
 * @param index in the fixture, in data order
 * @param placement where it sits, which cell of the fixture's picture it shows, what it is a part
 *     of
 * @param dark whether it stays in the chain but is never lit
 */
public record Emitter(int fixture, int index, Placement placement, boolean dark) {
  /** Returns where it sits, flat. */
  public Position position() {
    return placement.position();
  }

  /** Returns where it sits in space. */
  public Pose pose() {
    return placement.pose();
  }
}
