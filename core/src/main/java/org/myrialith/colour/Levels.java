package org.myrialith.colour;

import java.io.ByteArrayOutputStream;
import java.util.Arrays;
import java.util.List;

/**
 * What a driver is sent: one level per channel, in the order of the wire, of a depth of 8 to 16
 * bits. Immutable. Never an asked colour.
 */
public final class Levels {
  private final byte[] wire;
  private final int bytesEach;
  private int hash; // 0 until it was asked for: a frame is looked up in many tables

  private Levels(byte[] wire, int bytesEach) {
    this.wire = wire;
    this.bytesEach = bytesEach;
  }

  /** Returns levels of 8 bits from wire bytes; the array is copied. */
  public static Levels of(byte[] wire) {
    return new Levels(wire.clone(), 1);
  }

  /**
   * Returns levels of any depth.
   *
   * @param bits depth of a level, 8 to 16
   */
  public static Levels of(int bits, int[] levels) {
    int each = bits > 8 ? 2 : 1;
    byte[] wire = new byte[levels.length * each];
    for (int i = 0; i < levels.length; i++) {
      if (each == 2) {
        wire[2 * i] = (byte) (levels[i] >> 8);
      }
      wire[each * i + each - 1] = (byte) levels[i];
    }
    return new Levels(wire, each);
  }

  /** Returns levels one after the other, all of one depth. */
  public static Levels joined(List<Levels> all) {
    ByteArrayOutputStream wire = new ByteArrayOutputStream();
    all.forEach(levels -> wire.writeBytes(levels.wire));
    return new Levels(wire.toByteArray(), all.get(0).bytesEach);
  }

  /** Returns the bytes of a level: one up to 8 bits, two beyond. */
  public int bytesEach() {
    return bytesEach;
  }

  /** Returns the number of channels. */
  public int size() {
    return wire.length / bytesEach;
  }

  /** Returns one level. */
  public int at(int channel) {
    return bytesEach == 1
        ? wire[channel] & 0xff
        : (wire[2 * channel] & 0xff) << 8 | wire[2 * channel + 1] & 0xff;
  }

  /** Returns the sums of the levels by their position among the channels of an emitter. */
  public long[] sums(int channelsPerEmitter) {
    long[] sums = new long[channelsPerEmitter];
    int size = size();
    for (int i = 0, position = 0; i < size; i++) {
      sums[position] += at(i);
      position = position + 1 == channelsPerEmitter ? 0 : position + 1;
    }
    return sums;
  }

  /** Returns the sum of all levels. */
  public long sum() {
    return sums(1)[0];
  }

  /** Returns a copy of the bytes: one a level up to 8 bits, two beyond, the high one first. */
  public byte[] toBytes() {
    return wire.clone();
  }

  /** Copies the bytes into {@code target}, {@code offset} channels from its start. */
  public void copyTo(byte[] target, int offset) {
    System.arraycopy(wire, 0, target, offset * bytesEach, wire.length);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Levels that
        && bytesEach == that.bytesEach
        && Arrays.equals(wire, that.wire);
  }

  @Override
  public int hashCode() {
    if (hash == 0) {
      hash = Arrays.hashCode(wire);
    }
    return hash;
  }

  @Override
  public String toString() {
    return size() + " levels, sum " + sum();
  }
}
