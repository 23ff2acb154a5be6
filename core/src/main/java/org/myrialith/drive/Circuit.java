package org.myrialith.drive;

import java.util.List;

/** What drives a group of fixtures, in order, one way. Immutable. */
public sealed interface Circuit permits OneWirePixels {
  /** Returns the identifier, unique in the gadget. */
  String id();

  /** Returns what the maker calls it. */
  String name();

  /** Returns the identifiers of its fixtures in the order the data runs. */
  List<String> fixtures();

  /** Returns the circuit with other fixtures. */
  Circuit withFixtures(List<String> ids);

  /** Returns the circuit with a fixture at its end, moved there if it was in it. */
  Circuit withAtEnd(String fixture);

  /** Returns the circuit without a fixture. */
  Circuit without(String fixture);
}
