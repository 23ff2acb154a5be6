package org.myrialith.firmware;

import java.util.List;
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
    int channels = clip.plan().channelsPerEmitter();
    return clip.perFrame().stream().map(levels -> new Packing.Frame(levels, channels));
  }

  /** Returns how each of them is sent. */
  List<LineDriver> drivers() {
    return lines().stream().map(LineDriver::of).toList();
  }

  /** Returns whether all lines have as many channels an emitter. */
  boolean alike() {
    return lines().stream().mapToInt(CircuitPlan::channelsPerEmitter).distinct().count() == 1;
  }

  /** Returns the most channels that an emitter of any line has. */
  int mostChannels() {
    return lines().stream().mapToInt(CircuitPlan::channelsPerEmitter).max().orElse(1);
  }

  /** Returns whether all have three channels, for which the player is written out. */
  boolean threes() {
    return alike() && mostChannels() == 3;
  }

  /** Returns the target that builds for this controller. */
  FirmwareTarget target() {
    return FirmwareTarget.of(controller);
  }

  /** Returns where the levels of a line begin in the player's buffer (bytes). */
  int firstByte(int circuit) {
    return sent.wiring().plans().subList(0, circuit).stream()
        .mapToInt(CircuitPlan::bufferBytes)
        .sum();
  }
}
