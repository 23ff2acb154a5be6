package org.myrialith.firmware;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Sent;
import org.myrialith.parts.Controller;
import org.myrialith.play.CueTable;
import org.myrialith.play.Target;

/**
 * What firmware is made from.
 *
 * @param sent what goes down the wires: of the show, or of the scene that is on the easel
 * @param cues what is shown when, in place of the show
 */
public record FirmwareWork(Controller controller, Sent sent, Optional<CueTable> cues) {
  /** A show that plays over and over. */
  public FirmwareWork(Controller controller, Sent sent) {
    this(controller, sent, Optional.empty());
  }

  /** Returns the clips that are packed: those of the show, or of all scenes. */
  List<ClipLevels> clips() {
    return cues.map(CueTable::clips).orElseGet(sent::clips);
  }

  /** Returns those of them that are kept as frames. */
  List<ClipLevels> kept() {
    return clips().stream().filter(clip -> clip.computed().isEmpty()).toList();
  }

  /** Returns those of them that the controller works out. */
  List<ClipLevels> programs() {
    return clips().stream().filter(clip -> clip.computed().isPresent()).toList();
  }

  /** Returns whether any clip of levels is kept as frames. */
  boolean keepsLevels() {
    return kept().stream().anyMatch(clip -> clip.plan().dims());
  }

  /** Returns what of the wires is ever lit by frames or values. */
  private Stream<Target> lit() {
    return cues.map(table -> table.targets().stream())
        .orElseGet(
            () -> sent.clips().stream().map(c -> new Target(c.circuit(), c.plan(), c.stretch())));
  }

  /** Returns the circuits that have something to send, in their order. */
  List<CircuitPlan> lines() {
    return sent.wiring().plans().stream().filter(p -> p.emitters() > 0).toList();
  }

  /** Returns the bytes of what lights up as one in a clip of levels: one or two a channel. */
  static int unitBytes(ClipLevels clip) {
    return unitBytes(new Target(clip.circuit(), clip.plan(), clip.stretch()));
  }

  /** Returns the same of what is painted by itself. */
  static int unitBytes(Target target) {
    return target.stretch().channelsPerUnit() * (target.plan().levelBits() > 8 ? 2 : 1);
  }

  /** Returns the frames of a clip as they are packed. */
  static Stream<Packing.Frame> frames(ClipLevels clip) {
    int channels = clip.stretch().channelsPerUnit();
    Order order = Order.of(clip);
    return clip.perFrame().stream()
        .map(
            levels ->
                clip.plan().dims()
                    ? new Packing.Frame(levels, channels, order)
                    : Packing.Frame.ofBits(levels));
  }

  /**
   * Returns the cycles of composing each frame of a clip, at most.
   *
   * @param banked whether frames lie beyond what a short pointer reaches
   */
  double[] composing(ClipLevels clip, Packing.Packed packed, boolean banked) {
    if (clip.computed().isPresent()) {
      return EffectTime.cycles(target(), clip, EffectTime.passMask(target(), programs()));
    }
    return frames(clip)
        .mapToDouble(frame -> target().unpackCycles(packed, frame, threes(), banked))
        .toArray();
  }

  /** Returns how each of them is sent. */
  List<LineDriver> drivers() {
    return lines().stream().map(LineDriver::of).toList();
  }

  /** Returns whether any line has something to do for each turn of its grey scale. */
  boolean turns() {
    return drivers().stream().anyMatch(d -> !d.everyTurn().isEmpty());
  }

  /** Returns the share of the time that interrupts leave. */
  double leftShare() {
    return Math.max(0.05, 1 - lines().stream().mapToDouble(CircuitPlan::interruptShare).sum());
  }

  /** Returns whether all lines can be sent at the clock of the controller. */
  boolean timed() {
    return !controller.slow() || lines().stream().allMatch(CircuitPlan::anyClock);
  }

  /** Returns whether an interrupt gives rows their turns. */
  boolean scans() {
    return !controller.portable() && drivers().stream().anyMatch(ScanDriver.class::isInstance);
  }

  /** Returns the time of a turn of lights where that is the player's clock too (µs). */
  OptionalInt clockMicros() {
    return drivers().stream()
        .filter(ScanDriver.class::isInstance)
        .map(driver -> ((ScanDriver) driver).clockMicros())
        .filter(OptionalInt::isPresent)
        .findFirst()
        .orElse(OptionalInt.empty());
  }

  /** Returns whether anything that plays has levels. */
  boolean dims() {
    return lit().anyMatch(target -> target.plan().dims());
  }

  /** Returns whether anything that plays is only on or off. */
  boolean switches() {
    return lit().anyMatch(target -> !target.plan().dims());
  }

  private IntStream unitBytes() {
    return lit().filter(target -> target.plan().dims()).mapToInt(FirmwareWork::unitBytes);
  }

  /** Returns whether all clips of levels have as many bytes a unit. */
  boolean alike() {
    return unitBytes().distinct().count() <= 1;
  }

  /** Returns the most bytes that a unit of any clip has. */
  int mostBytes() {
    return unitBytes().max().orElse(1);
  }

  /** Returns whether all have three bytes, for which the player is written out. */
  boolean threes() {
    return alike() && mostBytes() == 3;
  }

  /** Returns the most groups of channels that a line of levels has. */
  int mostGroups() {
    return lines().stream().filter(CircuitPlan::dims).mapToInt(CircuitPlan::groups).max().orElse(1);
  }

  /** Returns whether any line has levels of more than a byte. */
  boolean deep() {
    return lines().stream().anyMatch(line -> line.levelBits() > 8);
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
