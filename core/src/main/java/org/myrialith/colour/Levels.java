package org.myrialith.colour;

import java.util.Arrays;

/**
 * What a driver is sent: one level (0 to 255) per channel, in the order of the wire. Immutable.
 * Never an asked colour.
 */
public final class Levels {
  private final byte[] wire;
  private final long sum;

  private Levels(byte[] wire) {
    this.wire = wire;
    long total = 0;
    for (byte level : wire) {
      total += level & 0xff;
    }
    this.sum = total;
  }

  /** Returns levels from wire bytes; the array is copied. */
  public static Levels of(byte[] wire) {
    return new Levels(wire.clone());
  }

  /** Returns the number of channels. */
  public int size() {
    return wire.length;
  }

  /** Returns one level, 0 to 255. */
  public int at(int channel) {
    return wire[channel] & 0xff;
  }

  /** Returns the sum of all levels. */
  public long sum() {
    return sum;
  }

  /** Returns a copy of the wire bytes. */
  public byte[] toBytes() {
    return wire.clone();
  }

  /** Copies the wire bytes into {@code target} from {@code offset} on. */
  public void copyTo(byte[] target, int offset) {
    System.arraycopy(wire, 0, target, offset, wire.length);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Levels that && Arrays.equals(wire, that.wire);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(wire);
  }

  @Override
  public String toString() {
    return wire.length + " levels, sum " + sum;
  }
}
