package org.myrialith.drive;

import java.util.List;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.Tint;

/**
 * The part of a wire that one fixture takes. A unit is what lights up as one: a pixel, or the LEDs
 * that hang on the same outputs.
 *
 * @param firstUnit units of the circuit before it
 * @param firstChannel channels of the circuit before it
 * @param units how many there are
 * @param shows what each channel of a unit shows
 * @param unitOf unit of each emitter in data order, -1 for one that is not driven; null where each
 *     emitter is a unit
 * @param groups which group of equal currents each channel is of; null where that is its position
 *     in the unit
 */
public record Stretch(
    Fixture fixture,
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
  public record Shows(Asks asks, Tint tint, String name) {}

  public Stretch {
    shows = List.copyOf(shows);
  }

  /** Returns a stretch in which each emitter is a unit, its channels grouped by position. */
  static Stretch ofPixels(Fixture fixture, int firstUnit, List<Shows> shows) {
    return new Stretch(
        fixture, firstUnit, firstUnit * shows.size(), fixture.count(), shows, null, null);
  }

  /** Returns it with all channels in the first group. */
  Stretch inOneGroup() {
    return new Stretch(fixture, firstUnit, firstChannel, units, shows, unitOf, new int[channels()]);
  }

  /** Returns the channels of a unit. */
  public int channelsPerUnit() {
    return shows.size();
  }

  /** Returns its channels in all. */
  public int channels() {
    return units * shows.size();
  }

  /** Returns the unit of an emitter by its place in data order, -1 when it is not driven. */
  public int unit(int emitter) {
    return unitOf == null ? emitter : unitOf[emitter];
  }

  /** Returns the group of a channel, counted within the stretch. */
  public int group(int channel) {
    return groups == null ? channel % shows.size() : groups[channel];
  }
}
