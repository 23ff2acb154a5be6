package org.myrialith.firmware.player;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Source;
import org.myrialith.firmware.driver.LineDrivers;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.target.FirmwareTarget;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.HoldCheck;
import org.myrialith.frames.Limiter;
import org.myrialith.frames.Show;
import org.myrialith.frames.TransmittedFrames;

/**
 * What the player takes from one moment to the next: it sends the frame, then composes the next one
 * while the pixels take theirs. Only clips that show another frame are composed, unless the limiter
 * dims this frame or dimmed the last one.
 */
public final class FrameTiming {
  /** Times that differ by less are one. */
  private static final double ALIKE = 1e-9;

  private final FirmwareWork work;
  private final FirmwareTarget target;
  private final double sendSeconds;
  private final double gapSeconds;
  private final double[][] unpack;
  private final double scaling;
  private final double frameSeconds;
  private final double askingSeconds;

  public FrameTiming(FirmwareWork work, PackedClips packed) {
    this(work, packed, 0);
  }

  /**
   * Works it out with something else to do between two frames.
   *
   * @param askingSeconds that it takes (s)
   */
  public FrameTiming(FirmwareWork work, PackedClips packed, double askingSeconds) {
    this.askingSeconds = askingSeconds;
    this.work = work;
    this.target = work.target();
    this.sendSeconds = LineDrivers.seconds(work.drivers(), work.controller());
    this.gapSeconds = work.gapSeconds();
    this.frameSeconds =
        work.lines().stream().mapToDouble(CircuitPlan::frameSeconds).max().orElse(0);
    List<ClipLevels> clips = work.sent().clips();
    boolean banked = new FramesHeader(work, packed).banked();
    this.unpack = new double[clips.size()][];
    this.scaling =
        target.scaleCycles(
            work.lines().stream()
                .filter(CircuitPlan::limited)
                .mapToInt(CircuitPlan::channels)
                .sum());
    for (int c = 0; c < unpack.length; c++) {
      unpack[c] = work.composing(clips.get(c), packed, banked);
    }
  }

  private double seconds(double composing) {
    TransmittedFrames sent = work.sent();
    double step = target.stepCycles(sent.clips().size(), sent.limiter().isPresent());
    double takes =
        sendSeconds
            + Math.max(
                gapSeconds,
                (askingSeconds + FirmwareTarget.seconds(step + composing, work.controller()))
                    / work.leftShare());
    return Math.max(takes, frameSeconds);
  }

  /** Returns whether the player keeps up with every moment of the show. */
  public HoldCheck holds() {
    Walk walk = new Walk();
    work.sent().show().walk(walk);
    walk.end();
    return new HoldCheck(walk.late, walk.worst, walk.firstHold, working(walk.worst));
  }

  /** Returns the time from each moment to the next (s), the last one to the first. */
  public List<Double> steps() {
    Walk walk = new Walk();
    work.sent().show().walk(walk);
    walk.end();
    return walk.all;
  }

  /** What the longest frame waits for: a circuit's own time, the gap, or what is composed. */
  private String formula(double worst) {
    if (!composes(worst)) {
      return "largest of(sending all lines + gap, slowest circuit)";
    }
    return askingSeconds > 0
        ? "sending all lines + (checking all cues + composing) ÷ time left by interrupts"
        : "sending all lines + composing ÷ time left by interrupts";
  }

  /** Whether composing takes longer than gap and circuits want. */
  private boolean composes(double worst) {
    return worst > Math.max(sendSeconds + gapSeconds, frameSeconds) * (1 + ALIKE);
  }

  private List<Calculation> working(double worst) {
    List<Calculation.Given> given = new ArrayList<>();
    given.add(Calculation.given("sending all lines", sendSeconds, "s"));
    given.add(Calculation.given("gap", gapSeconds, "s"));
    if (askingSeconds > 0) {
      given.add(Calculation.given("checking all cues", askingSeconds, "s"));
    }
    if (composes(worst)) {
      double left = work.leftShare();
      given.add(Calculation.given("composing", (worst - sendSeconds) * left - askingSeconds, "s"));
      given.add(Calculation.given("time left by interrupts", 100 * left, "%"));
    }
    given.add(Calculation.given("slowest circuit", frameSeconds, "s"));
    return List.of(
        new Calculation(
            "player-time",
            "Longest frame of the player",
            worst,
            "s",
            formula(worst),
            given,
            Source.partClass(
                work.controller().portable()
                    ? "cycles of the 8-bit player, which a 32-bit core does not exceed; setting a pin takes longer or shorter by board"
                    : "cycles of the player, measured on a simulated controller")));
  }

  /** Looks at each moment with the one before it. Mutable, lives within one walk. */
  private final class Walk implements Show.Visitor {
    private long late;
    private double worst;
    private int firstHold;
    private int[] last;
    private int lastHold;
    private boolean lastLimited;
    private int[] first;
    private final List<Double> all = new ArrayList<>();

    @Override
    public void moment(long index, long start, int hold, int[] frames) {
      boolean limited = limited(frames);
      if (last == null) {
        first = frames.clone();
        last = frames.clone();
      } else {
        step(composing(frames, limited));
        System.arraycopy(frames, 0, last, 0, frames.length);
      }
      lastHold = hold;
      lastLimited = limited;
    }

    /** From the last moment to the first, where everything starts again. */
    void end() {
      if (last != null) {
        double everything = limited(first) ? scaling : 0;
        for (int c = 0; c < first.length; c++) {
          everything += unpack[c][first[c]];
        }
        step(everything);
      }
    }

    private boolean limited(int[] frames) {
      return work.sent().limiter().isPresent() && work.sent().factor(frames) != Limiter.WHOLE;
    }

    private double composing(int[] frames, boolean limited) {
      double cycles = limited ? scaling : 0;
      for (int c = 0; c < frames.length; c++) {
        boolean anew = limited || lastLimited || frames[c] != last[c];
        cycles += anew ? unpack[c][frames[c]] : 0;
      }
      return cycles;
    }

    private void step(double composing) {
      double takes = seconds(composing);
      worst = Math.max(worst, takes);
      if (all.size() < Show.MOST_LISTED) {
        all.add(takes);
      }
      if (takes > lastHold / 1000.0) {
        firstHold = late == 0 ? lastHold : firstHold;
        late++;
      }
    }
  }
}
