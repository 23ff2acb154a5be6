package org.myrialith.circuit;

import java.util.List;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.Tint;

/**
 * The part of a wire that a fixture, or a run of it, takes. A unit is what lights up as one: a
 * pixel, or the LEDs that hang on the same outputs.
 *
 * @param firstUnit units of the circuit before it
 * @param firstChannel channels of the circuit before it
 * @param units how many there are
 * @param shows what each channel of a unit shows
 * @param unitOf unit of each emitter of the fixture in data order, -1 for one that is not of it;
 *     null where each emitter of the section is a unit
 * @param groups which group of equal currents each channel is of; null where that is its position
 *     in the unit
 */
public record ChannelRange(
    FixtureRange section,
    int firstUnit,
    int firstChannel,
    int units,
    List<Shows> shows,
    int[] unitOf,
    int[] groups) {

  /**
   * What a channel shows.
   *
   * @param name of its colour
   */
  public record Shows(ChannelSource asks, Tint tint, String name) {}

  public ChannelRange {
    shows = List.copyOf(shows);
  }

  /** Returns a stretch in which each emitter is a unit, its channels grouped by position. */
  public static ChannelRange ofPixels(FixtureRange section, int firstUnit, List<Shows> shows) {
    return new ChannelRange(
        section, firstUnit, firstUnit * shows.size(), section.count(), shows, null, null);
  }

  /** Returns the fixture that it is of. */
  public Fixture fixture() {
    return section.fixture();
  }

  /** Returns it with all channels in the first group. */
  public ChannelRange inOneGroup() {
    return new ChannelRange(
        section, firstUnit, firstChannel, units, shows, unitOf, new int[channels()]);
  }

  /** Returns the channels of a unit. */
  public int channelsPerUnit() {
    return shows.size();
  }

  /** Returns its channels in all. */
  public int channels() {
    return units * shows.size();
  }

  /** Returns the unit of an emitter of the fixture by its index, -1 when it is not of this. */
  public int unit(int emitter) {
    if (unitOf != null) {
      return unitOf[emitter];
    }
    return section.has(emitter) ? emitter - section.from() : -1;
  }

  /** Returns the group of a channel, counted within the stretch. */
  public int group(int channel) {
    return groups == null ? channel % shows.size() : groups[channel];
  }
}
