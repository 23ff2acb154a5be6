package org.myrialith.circuit.output;

/** How what switches channels stands in what is sent. */
public enum Sending {
  /** A bit an output. */
  BITS,
  /** A level an output, the last output of the farthest chip first, the highest bit first. */
  WORDS,
  /** When an output goes on and when off: two bytes each, the low one first. */
  COUNTS,
  /** A byte a channel, in the order of the channels. */
  LEVELS
}
