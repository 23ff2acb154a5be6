package org.myrialith.drive;

import java.util.List;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Reckoning;
import org.myrialith.layout.Fixture;

/**
 * What a circuit sends and what that takes. Channels stand in the order of the wire: fixture after
 * fixture, emitter after emitter, each with the same number of channels.
 */
public interface CircuitPlan {
  /** The asked channel of a white die: a picture has none of its own. */
  int WHITE = 3;

  /** Returns the circuit. */
  Circuit circuit();

  /** Returns its fixtures in the order of the wire. */
  List<Fixture> fixtures();

  /** Returns the channels that an emitter has on the wire. */
  int channelsPerEmitter();

  /**
   * Returns which asked channel (0 red, 1 green, 2 blue, {@link #WHITE}) a channel of an emitter
   * shows.
   *
   * @param position among the channels of an emitter, from 0
   */
  int askedChannel(int position);

  /** Returns whether white gives what red, green and blue share, and they only the rest. */
  default boolean whiteTakesOver() {
    return false;
  }

  /**
   * Returns how many channels of an emitter can be at their full level at once, whatever is asked.
   */
  default int fullChannels() {
    return channelsPerEmitter();
  }

  /** Returns the depth of a level, 8 to 16 bits. */
  int levelBits();

  /** Returns the highest level. */
  default int fullLevel() {
    return (1 << levelBits()) - 1;
  }

  /** Returns the number of emitters. */
  default int emitters() {
    return fixtures().stream().mapToInt(Fixture::count).sum();
  }

  /** Returns the number of emitters that may light. */
  default int litEmitters() {
    return emitters() - fixtures().stream().mapToInt(f -> f.mount().dark().size()).sum();
  }

  /** Returns the number of channels. */
  default int channels() {
    return emitters() * channelsPerEmitter();
  }

  /** Returns the bytes of a buffer that holds what it sends for a frame. */
  default int bufferBytes() {
    return channels() * (levelBits() > 8 ? 2 : 1);
  }

  /** Returns where a fixture begins on the wire (emitters), -1 when it is not in this circuit. */
  default int firstEmitter(String fixture) {
    int first = 0;
    for (Fixture each : fixtures()) {
      if (each.id().equals(fixture)) {
        return first;
      }
      first += each.count();
    }
    return -1;
  }

  /** Returns the current of a dark circuit (A). */
  double darkAmps();

  /**
   * Returns the current that levels add to a dark circuit (A).
   *
   * @param sums of the levels, by position among the channels of an emitter
   */
  double litAmps(long[] sums);

  /** Returns the current of a channel at full level (mA). */
  double channelMilliamps();

  /** Returns the time the data of a frame takes on the wire (s). */
  double dataSeconds();

  /** Returns the pause that must follow a frame (s). */
  double latchSeconds();

  /** Returns the time from one frame to the next at the fastest, as the wire allows (s). */
  default double frameSeconds() {
    return dataSeconds() + latchSeconds();
  }

  /** Returns the highest refresh that the wire allows (Hz). */
  default double refreshHz() {
    return 1 / frameSeconds();
  }

  /** Returns its judgements. */
  List<Finding> findings();

  /** Returns its numbers. */
  List<Reckoning> reckonings();
}
