package org.myrialith.circuit.pixel;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.ChainLoad;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.ChannelSource;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.CurrentTerm;
import org.myrialith.circuit.FixtureRange;
import org.myrialith.circuit.SeparateRail;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.circuit.electrical.LogicLevel;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Harm;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PixelClass;
import org.myrialith.parts.Tint;

/**
 * A chain of pixels that keep their own levels: what all classes of them have in common of time,
 * memory, current and logic level.
 */
sealed interface PixelChainPlan extends CircuitPlan permits OneWirePlan, ClockedPlan {
  /** Bits of a level. */
  int BITS = 8;

  /** Below this refresh a fade is seen to step (common practice: film rate). */
  double SMOOTH_HZ = 25;

  double MILLI = 1e-3;

  /** Rails that differ by less are one (V). */
  double SAME_VOLTS = 0.5;

  /** Lost in a silicon diode (V), common practice. */
  double DIODE_VOLTS = 0.7;

  /** Returns the class of its pixels. */
  PixelClass pixel();

  /** Returns the order of the channels of a pixel. */
  ColourOrder order();

  /** Returns the calculation of the time of a frame's data. */
  Calculation dataTime();

  /** Returns what a level gives of a channel's full current (0 to 1) besides itself. */
  default double dimming() {
    return 1;
  }

  /** Returns the channels that a pixel has on the wire. */
  default int channelsPerPixel() {
    return order().channels();
  }

  /** Returns whether white gives what the colours share, and they the rest. */
  default boolean takesOver() {
    return false;
  }

  private ChannelRange.Shows shows(int position) {
    int colour = order().channelAt(position);
    String name = ColourOrder.NAMES.get(colour);
    if (colour == ColourOrder.WHITE) {
      return new ChannelRange.Shows(
          takesOver() ? ChannelSource.WHITE : ChannelSource.NOTHING, Tint.WHITE, name);
    }
    return new ChannelRange.Shows(ChannelSource.ofColour(colour, takesOver()), Tint.of(name), name);
  }

  @Override
  default List<ChannelRange> stretches() {
    List<ChannelRange.Shows> shows =
        IntStream.range(0, channelsPerPixel()).mapToObj(this::shows).toList();
    List<ChannelRange> all = new ArrayList<>();
    int first = 0;
    for (FixtureRange section : sections()) {
      all.add(ChannelRange.ofPixels(section, first, shows));
      first += section.count();
    }
    return all;
  }

  @Override
  default int channels() {
    return emitters() * channelsPerPixel();
  }

  @Override
  default int groups() {
    return channelsPerPixel();
  }

  @Override
  default int levelBits() {
    return BITS;
  }

  @Override
  default double darkAmps() {
    return ownRail() ? 0 : emitters() * pixel().idleMilliamps() * MILLI;
  }

  @Override
  default double litAmps(long[] sums) {
    return ownRail() ? 0 : drawn(sums);
  }

  /** What levels of those sums draw by position, from whatever rail (A). */
  private double drawn(long[] sums) {
    double milliamps = 0;
    for (int position = 0; position < sums.length; position++) {
      milliamps += sums[position] * milliamps(position);
    }
    return milliamps / fullLevel() * MILLI;
  }

  /** Returns the current of a position at full level (mA). */
  private double milliamps(int position) {
    return pixel().milliamps(order().channelAt(position)) * dimming();
  }

  /**
   * What a pixel draws of its channels at a share of their full level at its most (A). Where white
   * takes over what is shared, two colours are full at once, or white alone.
   */
  private double mostOfAPixel(double share) {
    double[] colours = new double[PixelClass.CHANNELS];
    Arrays.setAll(colours, colour -> pixel().milliamps(colour) * dimming());
    double all = Arrays.stream(colours).sum();
    double most =
        takesOver()
            ? Math.max(
                all - Arrays.stream(colours).min().orElse(0),
                pixel().milliamps(ColourOrder.WHITE) * dimming())
            : all;
    return Math.round(share * fullLevel()) * most / fullLevel() * MILLI;
  }

  /** Pixels of 12 V hang on the lights' rail where that has 12 V. */
  @Override
  default boolean ownRail() {
    return railVolts() > 0 && Math.abs(railVolts() - brief().volts()) > SAME_VOLTS;
  }

  @Override
  default double railAmps() {
    return !ownRail()
        ? 0
        : emitters() * pixel().idleMilliamps() * MILLI + litEmitters() * mostOfAPixel(1);
  }

  @Override
  default double railDarkAmps() {
    return ownRail() ? emitters() * pixel().idleMilliamps() * MILLI : 0;
  }

  @Override
  default double railLitAmps(long[] sums) {
    return ownRail() ? drawn(sums) : 0;
  }

  @Override
  default double mostLitAmps(double share) {
    return ownRail() ? 0 : litEmitters() * mostOfAPixel(share);
  }

  @Override
  default CurrentTerm litTerm(long[] sums, String of) {
    if (ownRail()) {
      return CurrentTerm.NONE;
    }
    List<Calculation.Given> all = new ArrayList<>();
    if (IntStream.range(0, channelsPerPixel()).mapToDouble(this::milliamps).distinct().count()
        == 1) {
      all.add(given("sum of levels" + of, LongStream.of(sums).sum(), ""));
      all.add(given("current per channel" + of, milliamps(0) * MILLI, "A"));
      return new CurrentTerm(
          phrase("sum of levels%s ÷ %d × current per channel%s", of, fullLevel(), of), all);
    }
    List<String> terms = new ArrayList<>();
    for (int position = 0; position < sums.length; position++) {
      String name = ColourOrder.NAMES.get(order().channelAt(position)) + of;
      all.add(given("levels of " + name, sums[position], ""));
      all.add(given("current of " + name, milliamps(position) * MILLI, "A"));
      terms.add(phrase("levels of %s ÷ %d × current of %s", name, fullLevel(), name));
    }
    return new CurrentTerm(String.join(" + ", terms), all);
  }

  @Override
  default CurrentTerm fullTerm(double share, String of) {
    if (ownRail()) {
      return CurrentTerm.NONE;
    }
    return new CurrentTerm(
        phrase(
            "pixels that may be lit%s × current of a full pixel%s × white level%s ÷ %d",
            of, of, of, fullLevel()),
        List.of(
            given("pixels that may be lit" + of, litEmitters(), ""),
            given("current of a full pixel" + of, mostOfAPixel(1), "A"),
            given("white level" + of, Math.round(share * fullLevel()), "")));
  }

  @Override
  default CurrentTerm idleTerm(String of) {
    if (ownRail()) {
      return CurrentTerm.NONE;
    }
    return new CurrentTerm(
        phrase("pixels%s × idle current per pixel%s", of, of),
        List.of(
            given("pixels" + of, emitters(), ""),
            given("idle current per pixel" + of, pixel().idleMilliamps() * MILLI, "A")));
  }

  @Override
  default Optional<ChainLoad> chain() {
    return Optional.of(
        new ChainLoad(
            channelsPerPixel(),
            pixel().idleMilliamps() * MILLI,
            IntStream.range(0, channelsPerPixel()).mapToDouble(p -> milliamps(p) * MILLI).toArray(),
            fullLevel(),
            mostOfAPixel(1),
            railVolts() > 0 ? railVolts() : brief().volts(),
            ownRail()));
  }

  @Override
  default double channelMilliamps() {
    return IntStream.range(0, channelsPerPixel()).mapToDouble(this::milliamps).max().orElse(0);
  }

  /** Returns a key that tells circuits apart; the first has the plain one. */
  default String key(String name) {
    return circuit().id().equals("c1") ? name : name + "-" + circuit().id();
  }

  private Calculation refresh() {
    return new Calculation(
        key("refresh"),
        "Highest refresh rate of the line",
        refreshHz(),
        "Hz",
        latchSeconds() > 0 ? "1 ÷ (data time + latch gap)" : "1 ÷ data time",
        latchSeconds() > 0
            ? List.of(
                given("data time", dataSeconds(), "s"), given("latch gap", latchSeconds(), "s"))
            : List.of(given("data time", dataSeconds(), "s")),
        Source.ARITHMETIC);
  }

  private Calculation buffer() {
    return new Calculation(
        key("frame-buffer"),
        "Frame buffer in RAM",
        bufferBytes(),
        "bytes",
        "pixels × channels per pixel; a byte each",
        List.of(
            given("pixels", emitters(), ""),
            given("channels per pixel", channelsPerPixel(), ""),
            given("RAM of the controller", brief().controller().ramBytes(), "bytes")),
        Source.ARITHMETIC);
  }

  /** What stands in its lines between controller and first pixel. */
  LevelShift shift();

  /** What an edge may take at a pixel (s). */
  double mostRiseSeconds();

  /** What the chips of the pixels run from: those of a higher rail make 5 V for themselves. */
  private double chipVolts(Brief at) {
    return railVolts() > 0 ? Math.min(railVolts(), Brief.USUAL_VOLTS) : at.volts();
  }

  private double chipVolts() {
    return chipVolts(brief());
  }

  private LogicLevel level() {
    return LogicLevel.scantest(
        brief(),
        at ->
            shift()
                .before(
                    new LogicLevel(
                        key(""),
                        "Data",
                        "the pixels",
                        at.controller(),
                        at.controllerVolts(),
                        chipVolts(at),
                        0,
                        1,
                        Source.COMMON_PRACTICE)));
  }

  /** A pixel behind a diode takes less, and gives on what it is fed with. */
  private List<String> throughFirst() {
    double fed = chipVolts() - DIODE_VOLTS;
    double takes = LogicLevel.HIGH_SHARE * fed;
    double logic = brief().logicVolts();
    return logic < takes
        ? List.of()
        : List.of(
            phrase(
                "With the first pixel supplied through a diode (%s): threshold %s, margin %s; its output %s, margin %s.",
                Quantity.text(fed, "V"),
                Quantity.text(takes, "V"),
                Quantity.text(logic - takes, "V"),
                Quantity.text(fed, "V"),
                Quantity.text(fed - LogicLevel.HIGH_SHARE * chipVolts(), "V")));
  }

  @Override
  default List<Calculation> calculations() {
    return emitters() == 0
        ? List.of()
        : List.of(dataTime(), refresh(), buffer(), level().high(), level().margin());
  }

  @Override
  default List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    if (emitters() == 0) {
      return findings;
    }
    findings.add(speed());
    findings.add(level().judged(() -> shift() == LevelShift.NONE ? throughFirst() : List.of()));
    findings.addAll(shift().judged(key("shift"), chipVolts(), 1, mostRiseSeconds()));
    if (railVolts() == 0 && brief().volts() > Controller.MOST_VOLTS) {
      findings.add(tooMuch());
    }
    if (ownRail()) {
      findings.add(SeparateRail.finding(this, key("rail"), railVolts(), railAmps()));
    }
    return List.copyOf(findings);
  }

  private Finding tooMuch() {
    return Finding.of(
            Harm.PARTS,
            Step.CIRCUITS,
            key("pixel-volts"),
            Verdict.BREAKS,
            phrase(
                "Supply of the pixels %s; 5 V pixels have an absolute maximum of %s.",
                Quantity.text(brief().volts(), "V"), Quantity.text(Controller.MOST_VOLTS, "V")))
        .advising(
            phrase(
                "Supply the pixels from a 5 V converter under Power, or enter %s as the separate rail for pixels of that voltage.",
                Quantity.text(brief().volts(), "V")));
  }

  /** Pixels of a line that is sent often enough for movement. */
  private double smooth() {
    return Math.floor((1 / SMOOTH_HZ - latchSeconds()) / (dataSeconds() / emitters()));
  }

  private Finding speed() {
    boolean smooth = refreshHz() >= SMOOTH_HZ;
    String frame = latchSeconds() > 0 ? "One frame with latch gap" : "One frame";
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                key("refresh"),
                smooth ? Verdict.HOLDS : Verdict.TIGHT,
                phrase(
                    "%s takes %s on the wire: at most %s.",
                    frame, Quantity.text(frameSeconds(), "s"), Quantity.text(refreshHz(), "Hz")))
            .restingOn(dataTime(), refresh());
    return smooth
        ? finding
        : finding.advising(
            phrase(
                "Motion will look stepped. A controller sends its lines one after the other: %s hold %s; move the rest to a second board.",
                Quantity.text(smooth(), "pixels"), Quantity.text(SMOOTH_HZ, "Hz")));
  }
}
