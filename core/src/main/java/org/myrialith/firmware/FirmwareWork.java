package org.myrialith.firmware;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Sent;
import org.myrialith.parts.Controller;

/**
 * What firmware is made from.
 *
 * @param sent what goes down the wires
 */
public record FirmwareWork(Controller controller, Sent sent) {
  /** Returns the circuits that have something to send, in their order. */
  List<CircuitPlan> lines() {
    return sent.wiring().plans().stream().filter(p -> p.emitters() > 0).toList();
  }

  /** Returns the frames of a clip as they are packed. */
  static Stream<Packing.Frame> frames(ClipLevels clip) {
    int channels = clip.stretch().channelsPerUnit();
    return clip.perFrame().stream()
        .map(
            levels ->
                clip.plan().dims()
                    ? new Packing.Frame(levels, channels)
                    : Packing.Frame.ofBits(levels));
  }

  /** Returns how each of them is sent. */
  List<LineDriver> drivers() {
    return lines().stream().map(LineDriver::of).toList();
  }

  /** Returns whether anything that plays has levels. */
  boolean dims() {
    return sent.clips().stream().anyMatch(c -> c.plan().dims());
  }

  /** Returns whether anything that plays is only on or off. */
  boolean switches() {
    return sent.clips().stream().anyMatch(c -> !c.plan().dims());
  }

  /** Channels of a pixel of each line that has levels. */
  private IntStream channels() {
    return lines().stream().filter(CircuitPlan::dims).mapToInt(CircuitPlan::groups);
  }

  /** Returns whether all lines of levels have as many channels a pixel. */
  boolean alike() {
    return channels().distinct().count() <= 1;
  }

  /** Returns the most channels that a pixel of any line has. */
  int mostChannels() {
    return channels().max().orElse(1);
  }

  /** Returns whether all have three channels, for which the player is written out. */
  boolean threes() {
    return alike() && mostChannels() == 3;
  }

  /** Returns the target that builds for this controller. */
  FirmwareTarget target() {
    return FirmwareTarget.of(controller);
  }

  /** Returns where what a line sends begins in the player's buffer (bytes). */
  int firstByte(int circuit) {
    return sent.wiring().plans().subList(0, circuit).stream()
        .mapToInt(CircuitPlan::bufferBytes)
        .sum();
  }
}
