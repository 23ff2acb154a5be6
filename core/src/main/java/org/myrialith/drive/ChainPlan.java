package org.myrialith.drive;

import static org.myrialith.finding.Reckoning.given;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PixelClass;

/**
 * What a chain of one-wire pixels takes of time, memory and logic level.
 *
 * @param circuit the chain
 * @param pixels in the chain
 * @param controller that sends
 * @param supplyVolts of the pixels (V)
 */
public record ChainPlan(
    OneWirePixels circuit, int pixels, Controller controller, double supplyVolts) {
  private static final double NANO = 1e-9;
  private static final double MICRO = 1e-6;
  private static final Source CLASS_TIMING =
      Source.partClass("one-wire pixel, 800 kHz class: 1.25 µs a bit (common practice)");

  /** Returns the time the data of one frame takes (s). */
  public double dataSeconds() {
    return (double) pixels * OneWirePixels.BITS_PER_PIXEL * OneWirePixels.BIT_NANOS * NANO;
  }

  /** Returns the time from one frame to the next at the fastest (s), latch gap included. */
  public double frameSeconds() {
    return dataSeconds() + circuit.latchGapMicros() * MICRO;
  }

  /** Returns the same in whole microseconds, rounded up. */
  public int frameMicros() {
    int bitNanos = OneWirePixels.BITS_PER_PIXEL * OneWirePixels.BIT_NANOS;
    return (int) (((long) pixels * bitNanos + 999) / 1000) + circuit.latchGapMicros();
  }

  /** Returns the highest refresh (Hz). */
  public double refreshHz() {
    return 1 / frameSeconds();
  }

  /** Returns the frame buffer (bytes). */
  public int bufferBytes() {
    return pixels * PixelClass.CHANNELS;
  }

  /** Returns the time of one frame's data as a reckoning. */
  public Reckoning dataTime() {
    return new Reckoning(
        "data-time",
        "Data of one frame",
        dataSeconds(),
        "s",
        "pixels × bits × bit time",
        List.of(
            given("pixels", pixels, ""),
            given("bits of a pixel", OneWirePixels.BITS_PER_PIXEL, ""),
            given("bit time", OneWirePixels.BIT_NANOS * NANO, "s")),
        CLASS_TIMING);
  }

  private Reckoning refresh() {
    return new Reckoning(
        "refresh",
        "Highest refresh",
        refreshHz(),
        "Hz",
        "1 ÷ (data time + latch gap)",
        List.of(
            given("data time", dataSeconds(), "s"),
            given("latch gap", circuit.latchGapMicros() * MICRO, "s")),
        Source.ARITHMETIC);
  }

  private Reckoning buffer() {
    return new Reckoning(
        "frame-buffer",
        "Frame buffer in RAM",
        bufferBytes(),
        "bytes",
        "pixels × 3 channels × 1 byte",
        List.of(
            given("pixels", pixels, ""),
            given("RAM of the controller", controller.ramBytes(), "bytes")),
        Source.ARITHMETIC);
  }

  private Reckoning dataHigh() {
    return new Reckoning(
        "data-high",
        "Data must reach",
        PixelClass.DATA_HIGH_SHARE * supplyVolts,
        "V",
        "0.7 × pixel supply",
        List.of(
            given("pixel supply", supplyVolts, "V"),
            given("the controller gives", Controller.LOGIC_VOLTS, "V")),
        Source.COMMON_PRACTICE);
  }

  /** Returns the numbers of the chain. */
  public List<Reckoning> reckonings() {
    return List.of(dataTime(), refresh(), buffer(), dataHigh());
  }

  /**
   * A frame buffer over this share of RAM leaves little for stack and variables (common practice).
   */
  private static final double ROOMY_SHARE = 0.75;

  /** Below this refresh a fade is seen to step (common practice: film rate). */
  private static final double SMOOTH_HZ = 25;

  /** Returns the judgements on the chain. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    findings.add(ram());
    findings.add(speed());
    findings.add(logic());
    if (!controller.pins().contains(circuit.dataPin())) {
      findings.add(
          Finding.of(
                  Step.CIRCUITS,
                  "data-pin",
                  Verdict.BREAKS,
                  "The controller has no free pin " + circuit.dataPin() + ".")
              .advising("Choose one of " + String.join(", ", controller.pins()) + "."));
    }
    return List.copyOf(findings);
  }

  private Finding ram() {
    int ram = controller.ramBytes();
    Verdict verdict =
        bufferBytes() > ram
            ? Verdict.BREAKS
            : bufferBytes() > ROOMY_SHARE * ram ? Verdict.TIGHT : Verdict.HOLDS;
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                "buffer-ram",
                verdict,
                "One frame takes %s of the controller's %s of RAM."
                    .formatted(Quantity.text(bufferBytes(), "bytes"), Quantity.text(ram, "bytes")))
            .restingOn(buffer());
    return verdict == Verdict.HOLDS
        ? finding
        : finding.advising("Take a controller class with more RAM, or fewer pixels.");
  }

  private Finding speed() {
    boolean smooth = refreshHz() >= SMOOTH_HZ;
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                "refresh",
                smooth ? Verdict.HOLDS : Verdict.TIGHT,
                "A frame takes %s to send; at most %s."
                    .formatted(
                        Quantity.text(frameSeconds(), "s"), Quantity.text(refreshHz(), "Hz")))
            .restingOn(dataTime(), refresh());
    return smooth
        ? finding
        : finding.advising(
            "Movement will be seen to step. Split the chain over more lines or boards.");
  }

  private Finding logic() {
    boolean high = Controller.LOGIC_VOLTS >= PixelClass.DATA_HIGH_SHARE * supplyVolts;
    return Finding.of(
            Step.CIRCUITS,
            "logic-level",
            high ? Verdict.HOLDS : Verdict.BREAKS,
            "Data reaches %s; the pixels need %s."
                .formatted(
                    Quantity.text(Controller.LOGIC_VOLTS, "V"),
                    Quantity.text(PixelClass.DATA_HIGH_SHARE * supplyVolts, "V")))
        .restingOn(dataHigh());
  }
}
