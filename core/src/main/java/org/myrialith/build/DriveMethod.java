package org.myrialith.build;

import java.util.Optional;

/**
 * One way to drive fixtures.
 *
 * @param key as a circuit is begun with; empty for one that is only counted here
 * @param whyNot why it can't work as things are; empty when it can
 */
public record DriveMethod(String key, String title, Optional<String> whyNot, Numbers numbers) {

  /**
   * What it takes and gives.
   *
   * @param pins of the controller
   * @param chips beside it
   * @param spare outputs left over
   * @param resistors in all
   * @param switches transistors, MOSFETs, arrays
   * @param wires from the controller to the modules, plus and ground among them
   * @param addresses of a bus that it takes
   * @param bits of a frame on the wire
   * @param busSeconds that it takes
   * @param depth of a level (bits)
   * @param share of the controller's time at {@link DriveMethodTable#FRAMES_A_SECOND}
   * @param ramBytes of the buffer
   * @param flashBytes of what sends it
   * @param joints soldered by hand: leads of parts and lights, ends of wires
   * @param cost of the parts beside controller and lights
   * @param brightness mean against static drive
   */
  public record Numbers(
      int pins,
      int chips,
      int spare,
      int resistors,
      int switches,
      int wires,
      int addresses,
      long bits,
      double busSeconds,
      int depth,
      double share,
      int ramBytes,
      int flashBytes,
      int joints,
      double cost,
      double brightness) {
    /** Returns the highest refresh that the wire allows (Hz); infinite where nothing is sent. */
    public double refreshHz() {
      return 1 / busSeconds;
    }
  }

  /** Returns whether it drives lights of that sort at all. */
  public boolean fits() {
    return numbers.pins() > 0;
  }

  /** Returns whether a circuit can be made of it. */
  public boolean buildable() {
    return !key.isEmpty() && whyNot.isEmpty();
  }
}
