package org.myrialith.firmware.player;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.Target;
import org.myrialith.firmware.driver.LineDrivers;
import org.myrialith.firmware.effect.EffectParts;
import org.myrialith.firmware.effect.EffectTime;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.pack.PackingChoice;
import org.myrialith.firmware.pack.UnpackTime;
import org.myrialith.firmware.scan.ScanDriver;
import org.myrialith.firmware.target.FirmwareTarget;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.TransmittedFrames;
import org.myrialith.parts.Controller;

/**
 * What firmware is made from.
 *
 * @param sent what goes down the wires: of the show, or of the scene that is on the easel
 * @param cues what is shown when, in place of the show
 */
public record FirmwareWork(Controller controller, TransmittedFrames sent, Optional<CueTable> cues) {
  /** A show that plays over and over. */
  public FirmwareWork(Controller controller, TransmittedFrames sent) {
    this(controller, sent, Optional.empty());
  }

  /** Returns the clips that are packed: those of the show, or of all scenes. */
  public List<ClipLevels> clips() {
    return cues.map(CueTable::clips).orElseGet(sent::clips);
  }

  /** Of each byte of a frame that is laid light by light, at most. */
  private static final double LIFTED_CYCLES = 34;

  /** More are kept as frames: their numbers are bytes. */
  private static final int MOST_PROGRAMS = 250;

  /** Places of pixels that a table holds: of 4 bytes each, within reach of a short pointer. */
  private static final int MOST_PLACES = 8000;

  private static final int MOST_PLACES_PORTABLE = 60_000;

  /** Returns those of them that are kept as frames. */
  public List<ClipLevels> kept() {
    Set<ClipLevels> programs = Collections.newSetFromMap(new IdentityHashMap<>());
    programs.addAll(programs());
    return clips().stream().filter(clip -> !programs.contains(clip)).toList();
  }

  /** Returns those of them that the controller works out, as far as its tables hold them. */
  public List<ClipLevels> programs() {
    List<ClipLevels> all = new ArrayList<>();
    Set<String> sites = new HashSet<>();
    int places = 0;
    for (ClipLevels clip : clips()) {
      if (clip.computed().isEmpty() || all.size() == MOST_PROGRAMS) {
        continue;
      }
      String site =
          clip.circuit()
              + " "
              + clip.stretch().firstChannel()
              + " "
              + clip.computed().orElseThrow().recipe().over();
      int more = sites.contains(site) ? 0 : clip.cells().length;
      if (places + more <= (controller.portable() ? MOST_PLACES_PORTABLE : MOST_PLACES)) {
        places += more;
        sites.add(site);
        all.add(clip);
      }
    }
    return all;
  }

  /**
   * Returns the ways that those can be packed: beside cues and the limiter no frame rests on that
   * before it.
   */
  public PackingChoice packing() {
    return new PackingChoice(kept(), cues.isEmpty() && sent.limiter().isEmpty());
  }

  /** Returns whether any clip of levels is kept as frames. */
  public boolean keepsLevels() {
    return kept().stream().anyMatch(clip -> clip.plan().dims());
  }

  /** Returns what of the wires is ever lit by frames or values. */
  private Stream<Target> lit() {
    return cues.map(table -> table.targets().stream())
        .orElseGet(
            () -> sent.clips().stream().map(c -> new Target(c.circuit(), c.plan(), c.stretch())));
  }

  /** Returns the circuits that have something to send, in their order. */
  public List<CircuitPlan> lines() {
    return sent.wiring().plans().stream().filter(p -> p.emitters() > 0).toList();
  }

  /** Returns how many different frames are kept. */
  public long differentFrames() {
    return kept().stream().flatMap(PackedClips::framesOf).distinct().count();
  }

  /**
   * Returns the cycles of composing each frame of a clip, at most.
   *
   * @param banked whether frames lie beyond what a short pointer reaches
   */
  public double[] composing(ClipLevels clip, PackedClips packed, boolean banked) {
    boolean lifted = clip.clip().seeThrough() && clip.plan().dims();
    double more = lifted ? LIFTED_CYCLES * clip.stretch().units() * clip.unitBytes() : 0;
    return Arrays.stream(unpacking(clip, packed, banked)).map(cycles -> cycles + more).toArray();
  }

  private double[] unpacking(ClipLevels clip, PackedClips packed, boolean banked) {
    if (programs().stream().anyMatch(program -> program == clip)) {
      return EffectTime.cycles(
          target(),
          clip,
          EffectTime.passMask(target(), programs()),
          new EffectParts(programs()).blends());
    }
    double choosing = packed.several() ? UnpackTime.CHOOSING : 0;
    UnpackTime time = new UnpackTime(target().cycles());
    if (packed.streams(clip)) {
      return Arrays.stream(time.ofStream(packed, clip, banked)).map(c -> c + choosing).toArray();
    }
    return packed
        .frames(clip)
        .mapToDouble(frame -> time.of(packed.of().get(clip), frame, threes(), banked) + choosing)
        .toArray();
  }

  /** Returns how each of them is sent. */
  public List<LineDriver> drivers() {
    return lines().stream().map(LineDrivers::of).toList();
  }

  /** Returns whether any line has something to do for each turn of its grey scale. */
  public boolean turns() {
    return drivers().stream().anyMatch(d -> !d.everyTurn().isEmpty());
  }

  /** Returns the share of the time that interrupts leave. */
  double leftShare() {
    return Math.max(0.05, 1 - lines().stream().mapToDouble(CircuitPlan::interruptShare).sum());
  }

  /** Returns whether all lines can be sent at the clock of the controller. */
  public boolean timed() {
    return !controller.slow()
        || lines().stream().allMatch(line -> line.sendsAt(controller.clockHz()));
  }

  /** Returns whether an interrupt gives rows their turns. */
  public boolean scans() {
    return !controller.portable() && drivers().stream().anyMatch(ScanDriver.class::isInstance);
  }

  /** Returns the time of a turn of lights where that is the player's clock too (µs). */
  public OptionalInt clockMicros() {
    return drivers().stream()
        .filter(ScanDriver.class::isInstance)
        .map(driver -> ((ScanDriver) driver).clockMicros())
        .filter(OptionalInt::isPresent)
        .findFirst()
        .orElse(OptionalInt.empty());
  }

  /** Returns whether anything that plays has levels. */
  public boolean dims() {
    return lit().anyMatch(target -> target.plan().dims());
  }

  /** Returns whether anything that plays is only on or off. */
  public boolean switches() {
    return lit().anyMatch(target -> !target.plan().dims());
  }

  private IntStream unitBytes() {
    return lit().filter(target -> target.plan().dims()).mapToInt(Target::unitBytes);
  }

  /** Returns whether all clips of levels have as many bytes a unit. */
  public boolean alike() {
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
  public boolean deep() {
    return lines().stream().anyMatch(line -> line.levelBits() > 8);
  }

  /** Returns the target that builds for this controller. */
  public FirmwareTarget target() {
    return FirmwareTarget.of(controller);
  }

  /** Returns where what a line sends begins in the player's buffer (bytes). */
  public int firstByte(int circuit) {
    return sent.wiring().plans().subList(0, circuit).stream()
        .mapToInt(CircuitPlan::bufferBytes)
        .sum();
  }

  /** From one look at the timer to the next, and on to the data (s). */
  private static final double LOOK_SECONDS = 10e-6;

  /** Returns the time until the gap after a frame is seen to be over (s): whole ticks, one more. */
  double gapSeconds() {
    int micros = FirmwareTarget.gapMicros(lines());
    int tick = clockMicros().orElse(target().tickMicros(controller));
    return (Math.ceil((double) micros / tick) + 1) * tick * 1e-6 + LOOK_SECONDS;
  }
}
