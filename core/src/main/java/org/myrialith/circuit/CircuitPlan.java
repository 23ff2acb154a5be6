package org.myrialith.circuit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PartSort;

/**
 * What a circuit sends and what that takes. Channels stand in the order of the wire: fixture after
 * fixture, unit after unit.
 */
public interface CircuitPlan {
  /** Returns the circuit. */
  Circuit circuit();

  /** Returns what it is planned for. */
  Brief brief();

  /** Returns what it has of its fixtures, in the order of the wire. */
  List<FixtureRange> sections();

  /** Returns its fixtures in the order of the wire, each once. */
  default List<Fixture> fixtures() {
    Map<String, Fixture> all = new LinkedHashMap<>();
    sections().forEach(s -> all.putIfAbsent(s.fixture().id(), s.fixture()));
    return List.copyOf(all.values());
  }

  /** Returns what each section takes of the wire, in their order. */
  List<ChannelRange> stretches();

  /** Returns whether white gives what red, green and blue share, and they only the rest. */
  default boolean whiteTakesOver() {
    return stretches().stream()
        .flatMap(s -> s.shows().stream())
        .anyMatch(s -> s.asks() == ChannelSource.WHITE);
  }

  /** Returns the depth of a level: 1 bit for on or off, else 8 to 16. */
  int levelBits();

  /** Returns whether it can be dimmed: by levels, and so by a limiter. */
  default boolean dims() {
    return levelBits() > 1;
  }

  /** Returns the highest level. */
  default int fullLevel() {
    return (1 << levelBits()) - 1;
  }

  /** Returns the number of emitters. */
  default int emitters() {
    return sections().stream().mapToInt(FixtureRange::count).sum();
  }

  /** Returns the number of emitters that may light. */
  default int litEmitters() {
    return emitters() - sections().stream().mapToInt(FixtureRange::dark).sum();
  }

  /** Returns the number of channels. */
  default int channels() {
    return stretches().stream().mapToInt(ChannelRange::channels).sum();
  }

  /** Returns the bytes of a buffer that holds what it sends for a frame. */
  default int bufferBytes() {
    return channels() * (levelBits() > 8 ? 2 : 1);
  }

  /** Returns the bytes of what lights up as one in a range, where it has levels. */
  default int unitBytes(ChannelRange range) {
    return range.channelsPerUnit() * (levelBits() > Byte.SIZE ? 2 : 1);
  }

  /** Returns what that buffer holds for levels of all its channels. */
  default byte[] buffer(Levels levels) {
    return levels.toBytes();
  }

  /** Returns the volts of a rail that its lights have for themselves; 0 for none (V). */
  default double railVolts() {
    return 0;
  }

  /** Returns whether its lights hang on another rail than that of the gadget's lights. */
  default boolean ownRail() {
    return railVolts() > 0;
  }

  /** Returns what its lights take from a rail of their own at their most; 0 for none (A). */
  default double railAmps() {
    return 0;
  }

  /** Returns what a dark circuit takes from a rail of its own; 0 for none (A). */
  default double railDarkAmps() {
    return 0;
  }

  /**
   * Returns what levels add to that, from a rail of its own (A).
   *
   * @param sums of the levels, by group
   */
  default double railLitAmps(long[] sums) {
    return 0;
  }

  /**
   * Returns how much more its lamps take when all of them begin cold, on a rail of their own (A).
   */
  default double railInrushAmps() {
    return 0;
  }

  /** Returns whether a limiter dims it: by levels, and for the supply that it is of. */
  default boolean limited() {
    return dims() && !ownRail();
  }

  /**
   * Returns what is left of its current when its lights hang on other volts (0 to 1; above for
   * more). Pixels keep theirs themselves.
   *
   * @param less so much less than it was planned for (V)
   */
  default double shareAt(double less) {
    return 1;
  }

  /** Returns the same of its light. */
  default double lightAt(double less) {
    return shareAt(less);
  }

  /**
   * Returns how much less it draws than {@link #litAmps} says, as lights that are lit together
   * share what lets their current through (A).
   *
   * @param levels of what its wire has from a channel on
   * @param first that channel
   */
  default double sharedAmps(Levels levels, int first) {
    return 0;
  }

  /** Returns whether it draws more for a part of a frame than on the mean of it. */
  default boolean surges() {
    return false;
  }

  /**
   * Returns how much more than on the mean it draws for a part of a frame (A): while a row has its
   * turn, or while filaments are cold.
   *
   * @param levels of the frame
   */
  default double surgeAmps(Levels levels) {
    return 0;
  }

  /**
   * Returns whether it can be sent at a clock of an 8-bit controller: what is not timed by it, or
   * has cycles enough for its times.
   *
   * @param hertz of the clock (Hz)
   */
  default boolean sendsAt(int hertz) {
    return hertz >= Controller.CLOCK_HZ;
  }

  /** Returns what each pixel draws, of circuits that are a chain of pixels. */
  default Optional<ChainLoad> chain() {
    return Optional.empty();
  }

  /** Returns what a dark circuit takes from the supply of the gadget (A). */
  double darkAmps();

  /** Returns how many groups of channels with equal currents it has. */
  int groups();

  /**
   * Returns what levels add to that (A).
   *
   * @param sums of the levels, by group
   */
  double litAmps(long[] sums);

  /**
   * Returns the most that can light up at once adds to it (A).
   *
   * @param share of the full level that it lights up with, without meaning where it can't be dimmed
   */
  double mostLitAmps(double share);

  /** Returns the current of a channel at full level, the largest where they differ (mA). */
  double channelMilliamps();

  /**
   * Returns what its currents are worked out from.
   *
   * @param of what tells it from other circuits, such as " of Strip line"; may be empty
   */
  CurrentTerm litTerm(long[] sums, String of);

  /** Returns what it draws with everything at a share of its full level, as a term. */
  CurrentTerm fullTerm(double share, String of);

  /** Returns what it draws dark, as a term. */
  CurrentTerm idleTerm(String of);

  /** Returns the time the data of a frame takes on the wire (s). */
  double dataSeconds();

  /** Returns the pause that must follow a frame (s). */
  double latchSeconds();

  /** Returns the time from one frame to the next at the fastest, as the wire allows (s). */
  default double frameSeconds() {
    return dataSeconds() + latchSeconds();
  }

  /** Returns the share of the controller's time that an interrupt of its own takes. */
  default double interruptShare() {
    return 0;
  }

  /** Returns the highest refresh that the wire allows (Hz). */
  default double refreshHz() {
    return 1 / frameSeconds();
  }

  /** Returns notes on its class beside its form, with the figures that it is planned with. */
  String about();

  /** Returns the parts that it takes beside controller and lights, without its level shifter. */
  default Map<PartSort, Integer> parts() {
    return Map.of(PartSort.RESISTOR, circuit().pins().size());
  }

  /** Returns the pins of the controller that its channels want, named or not. */
  default int wantedPins() {
    return circuit().pins().size();
  }

  /** Returns the chips that it takes beside the controller. */
  default int chips() {
    return 0;
  }

  /** Returns whether each of its chips has an address on a bus. */
  default boolean addressed() {
    return false;
  }

  /** Returns the outputs of its chips that switch nothing. */
  default int spareOutputs() {
    return 0;
  }

  /** Returns whether its lights have leads that are soldered, as pixels have not. */
  default boolean soldersLights() {
    return false;
  }

  /** Returns the wires to so many fixtures: its signals with plus and ground to each. */
  default int wires(int fixtures) {
    return fixtures * (circuit().pins().size() + 2);
  }

  /** Returns the bits that are sent for a frame. */
  default long frameBits() {
    return (long) channels() * levelBits();
  }

  /** Returns the share of the time that a light may be lit (0 to 1). */
  default double duty() {
    return 1;
  }

  /** Returns its judgements. */
  List<Finding> findings();

  /** Returns its numbers. */
  List<Calculation> calculations();
}
