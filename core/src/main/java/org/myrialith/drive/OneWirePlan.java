package org.myrialith.drive;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.brief.Brief;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PixelClass;

/** What a chain of one-wire RGB pixels takes of time, memory, current and logic level. */
public record OneWirePlan(OneWirePixels circuit, List<Fixture> fixtures, Brief brief)
    implements CircuitPlan {
  private static final double NANO = 1e-9;
  private static final double MICRO = 1e-6;
  private static final double MILLI = 1e-3;
  private static final int CHANNELS = 3;
  private static final int BITS = 8;

  /** Below this refresh a fade is seen to step (common practice: film rate). */
  private static final double SMOOTH_HZ = 25;

  private static final Source CLASS_TIMING =
      Source.partClass("one-wire pixel, 800 kHz class: 1.25 µs a bit (common practice)");

  public OneWirePlan {
    fixtures = List.copyOf(fixtures);
  }

  @Override
  public int channelsPerEmitter() {
    return CHANNELS;
  }

  @Override
  public int askedChannel(int position) {
    return circuit.colourOrder().channelAt(position);
  }

  @Override
  public int levelBits() {
    return BITS;
  }

  @Override
  public double darkAmps() {
    return emitters() * circuit.pixel().idleMilliamps() * MILLI;
  }

  @Override
  public double litAmps(long[] sums) {
    long sum = 0;
    for (long one : sums) {
      sum += one;
    }
    return sum * circuit.pixel().channelMilliamps() / fullLevel() * MILLI;
  }

  @Override
  public double channelMilliamps() {
    return circuit.pixel().channelMilliamps();
  }

  private int bitsPerPixel() {
    return CHANNELS * BITS;
  }

  @Override
  public double dataSeconds() {
    return (double) emitters() * bitsPerPixel() * OneWirePixels.BIT_NANOS * NANO;
  }

  @Override
  public double latchSeconds() {
    return circuit.latchGapMicros() * MICRO;
  }

  private String key(String name) {
    return circuit.id().equals("c1") ? name : name + "-" + circuit.id();
  }

  private String named(String words) {
    return circuit.id().equals("c1") ? words : circuit.name() + ": " + words;
  }

  private Reckoning dataTime() {
    return new Reckoning(
        key("data-time"),
        named("Data of one frame"),
        dataSeconds(),
        "s",
        "pixels × bits × bit time",
        List.of(
            given("pixels", emitters(), ""),
            given("bits of a pixel", bitsPerPixel(), ""),
            given("bit time", OneWirePixels.BIT_NANOS * NANO, "s")),
        CLASS_TIMING);
  }

  private Reckoning refresh() {
    return new Reckoning(
        key("refresh"),
        named("Highest refresh of the line"),
        refreshHz(),
        "Hz",
        "1 ÷ (data time + latch gap)",
        List.of(given("data time", dataSeconds(), "s"), given("latch gap", latchSeconds(), "s")),
        Source.ARITHMETIC);
  }

  private Reckoning buffer() {
    return new Reckoning(
        key("frame-buffer"),
        named("Frame buffer in RAM"),
        bufferBytes(),
        "bytes",
        "pixels × 3 channels × 1 byte",
        List.of(
            given("pixels", emitters(), ""),
            given("RAM of the controller", brief.controller().ramBytes(), "bytes")),
        Source.ARITHMETIC);
  }

  private double neededVolts() {
    return PixelClass.DATA_HIGH_SHARE * brief.volts();
  }

  /** The controller runs from the same supply: its pins reach no more than that. */
  private double logicVolts() {
    return Math.min(brief.volts(), Controller.MOST_VOLTS);
  }

  private Reckoning dataHigh() {
    return new Reckoning(
        key("data-high"),
        named("Data must reach"),
        neededVolts(),
        "V",
        "0.7 × pixel supply",
        List.of(
            given("pixel supply", brief.volts(), "V"),
            given("the controller gives", logicVolts(), "V")),
        Source.COMMON_PRACTICE);
  }

  @Override
  public List<Reckoning> reckonings() {
    return emitters() == 0 ? List.of() : List.of(dataTime(), refresh(), buffer(), dataHigh());
  }

  @Override
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    if (emitters() == 0) {
      return findings;
    }
    findings.add(speed());
    findings.add(logic());
    brief.controller().whyNot(circuit.dataPin()).ifPresent(why -> findings.add(pin(why)));
    return List.copyOf(findings);
  }

  private Finding pin(String why) {
    return Finding.of(
            Step.CIRCUITS,
            key("data-pin"),
            Verdict.BREAKS,
            phrase("%s can't use %s: %s.", circuit.name(), circuit.dataPin(), why))
        .advising("Choose one of " + String.join(", ", brief.controller().pins()) + ".");
  }

  private Finding speed() {
    boolean smooth = refreshHz() >= SMOOTH_HZ;
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                key("refresh"),
                smooth ? Verdict.HOLDS : Verdict.TIGHT,
                named(
                    phrase(
                        "A frame with its gap takes %s on the wire: %s at most.",
                        Quantity.text(frameSeconds(), "s"), Quantity.text(refreshHz(), "Hz"))))
            .restingOn(dataTime(), refresh());
    return smooth
        ? finding
        : finding.advising(
            "Movement will be seen to step. Split the chain over more lines or boards.");
  }

  private Finding logic() {
    boolean high = logicVolts() >= neededVolts();
    return Finding.of(
            Step.CIRCUITS,
            key("logic-level"),
            high ? Verdict.HOLDS : Verdict.BREAKS,
            named(
                phrase(
                    "Data reaches %s; the pixels need %s.",
                    Quantity.text(logicVolts(), "V"), Quantity.text(neededVolts(), "V"))))
        .restingOn(dataHigh());
  }
}
