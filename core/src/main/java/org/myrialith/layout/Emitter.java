package org.myrialith.layout;

/**
 * One lit place.
 *
 * @param fixture position of its fixture in the gadget's list
 * @param index in the fixture, in data order
 * @param seat where it sits, which cell of the fixture's picture it shows, what it is a part of
 * @param dark whether it stays in the chain but is never lit
 * @param chain index in the data chain, -1 when its fixture is in no circuit
 */
public record Emitter(int fixture, int index, Seat seat, boolean dark, int chain) {
  /** Returns where it sits, flat. */
  public Place place() {
    return seat.place();
  }

  /** Returns where it sits in space. */
  public Spot spot() {
    return seat.spot();
  }
}
