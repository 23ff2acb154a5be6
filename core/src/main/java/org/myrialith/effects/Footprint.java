package org.myrialith.effects;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Set;

/**
 * What the C of an effect is made of and takes of a controller that computes it.
 *
 * <p>Flash was read from the size tool on hundreds of builds with effects by chance (GCC 5.4 for
 * 8-bit AVR, GCC 12 for a small 32-bit core, -Os), spread over the parts by least squares; cycles
 * are those of this code on simulated 8-bit cores, at most. A 32-bit core takes no more.
 *
 * @param smallBytes flash of its own code on an 8-bit core (bytes)
 * @param largeBytes the same on a 32-bit core (bytes)
 * @param parts what it shares with other effects
 * @param reads what it asks of a pixel or its fixture
 * @param shares whether something of a frame is the same for all of its pixels
 * @param quick cycles on a core with a multiplier
 * @param slow cycles on one without
 */
@RecordBuilder
public record Footprint(
    int smallBytes,
    int largeBytes,
    Set<Part> parts,
    Set<Variable> reads,
    boolean shares,
    Cost quick,
    Cost slow) {
  public Footprint {
    parts = Set.copyOf(parts);
    reads = Set.copyOf(reads);
  }

  /** Returns that of code by itself, to which parts and the like are added. */
  static Footprint of(int smallBytes, int largeBytes, Cost quick, Cost slow) {
    return new Footprint(smallBytes, largeBytes, Set.of(), Set.of(), false, quick, slow);
  }

  Footprint with(Part... some) {
    return FootprintBuilder.builder(this).parts(Set.copyOf(List.of(some))).build();
  }

  Footprint reading(Variable... some) {
    return FootprintBuilder.builder(this).reads(Set.copyOf(List.of(some))).build();
  }

  Footprint sharing() {
    return FootprintBuilder.builder(this).shares(true).build();
  }

  /** Returns the flash of its own code (bytes). */
  public int bytes(boolean portable) {
    return portable ? largeBytes : smallBytes;
  }

  /** Returns its cycles. */
  public Cost cost(boolean multiplies) {
    return multiplies ? quick : slow;
  }

  /**
   * Cycles of an effect.
   *
   * @param begin once a frame, {@code beginEach} for each thing that moves or strikes, or for each
   *     cell that begins
   * @param pixel for each pixel
   * @param glance for each thing that moves, at each pixel
   * @param look where it is worked out how far it is, {@code close} where it is near enough; of
   *     cells for each of a generation, and for each row
   */
  public record Cost(
      double begin, double beginEach, double pixel, double glance, double look, double close) {
    static Cost of(double begin, double pixel) {
      return new Cost(begin, 0, pixel, 0, 0, 0);
    }
  }

  /** What several effects have in common. */
  public enum Part {
    SHARES(49, 98),
    WAVES(7, 0),
    /** The table of a cosine. */
    TABLED(0, 0),
    SINES(172, 75),
    DIRECTIONS(287, 52),
    PHASES(0, 0),
    CHANCES(220, 14),
    /** Numbers below another. */
    PICKS(119, 129),
    COURSES(318, 53),
    WAYS(217, 161),
    HUES(145, 113),
    FALLING(360, 142),
    NEARNESS(318, 207);

    private final int small;
    private final int large;

    Part(int small, int large) {
      this.small = small;
      this.large = large;
    }

    /** Returns the flash of its code (bytes). */
    public int bytes(boolean portable) {
      return portable ? large : small;
    }
  }

  /** What is kept of a pixel or of its fixture, two bytes each. */
  public enum Variable {
    X,
    Y,
    Z,
    INDEX,
    WIDTH,
    HEIGHT,
    DEPTH,
    /** Of the picture. */
    CELL
  }
}
