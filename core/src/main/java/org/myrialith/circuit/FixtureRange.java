package org.myrialith.circuit;

import static org.myrialith.finding.Phrase.phrase;

import java.util.BitSet;
import java.util.stream.IntStream;
import org.myrialith.layout.Fixture;

/**
 * The emitters of a fixture that hang on one wire, one after the other.
 *
 * @param from first index in data order
 * @param count how many there are, 0 where a fixture got too small for its run
 */
public record FixtureRange(Fixture fixture, int from, int count) {
  /** Returns all of a fixture. */
  static FixtureRange all(Fixture fixture) {
    return new FixtureRange(fixture, 0, fixture.count());
  }

  /** Returns whether it is all of the fixture. */
  public boolean whole() {
    return count == fixture.count();
  }

  /** Returns whether an emitter of the fixture is in it, by its index in data order. */
  public boolean has(int emitter) {
    return emitter >= from && emitter < from + count;
  }

  /**
   * Returns the things that are on or off by themselves: what is wired together counts where its
   * first emitter is.
   */
  public int switched() {
    if (whole()) {
      return fixture.shape().switched();
    }
    // they are numbered in the order of the data
    int[] switches = fixture.switches();
    int before = IntStream.range(0, from).map(i -> switches[i] + 1).max().orElse(0);
    int until = IntStream.range(0, from + count).map(i -> switches[i] + 1).max().orElse(0);
    return until - before;
  }

  /** Returns an emitter that is wired together with one that is not in it, -1 for none. */
  public int cut() {
    if (whole()) {
      return -1;
    }
    int[] switches = fixture.switches();
    BitSet outside = new BitSet();
    IntStream.range(0, switches.length).filter(i -> !has(i)).forEach(i -> outside.set(switches[i]));
    return IntStream.range(from, from + count)
        .filter(i -> outside.get(switches[i]))
        .findFirst()
        .orElse(-1);
  }

  /** Returns how many of its emitters are never lit. */
  int dark() {
    return (int) fixture.mount().dark().stream().filter(this::has).count();
  }

  /** Returns what it is called: the name of the fixture, with the indices where it is a part. */
  public String name() {
    return whole() ? fixture.name() : phrase("%s (%s)", fixture.name(), indices());
  }

  /** Returns its emitters in words, such as "LEDs 0 to 63". */
  public String indices() {
    return count == 1 ? phrase("LED %d", from) : phrase("LEDs %d to %d", from, from + count - 1);
  }
}
