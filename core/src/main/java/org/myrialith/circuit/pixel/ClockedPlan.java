package org.myrialith.circuit.pixel;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.FixtureRange;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.parts.PixelClass;

/** What a chain of clocked pixels takes of time, memory, current and logic level. */
public record ClockedPlan(ClockedPixels circuit, List<FixtureRange> sections, Brief brief)
    implements PixelChainPlan {
  /** Bytes of zeros before the pixels, and once more behind them. */
  public static final int ZERO_BYTES = 4;

  /** A byte of zeros at the end lets so many pixels take their levels over. */
  private static final int PIXELS_A_BYTE = 16;

  private static final int BYTES_A_PIXEL = 4;

  /**
   * Cycles of a byte: 8 clocks of 13 cycles and the way to the next byte, as the exported player
   * sends it.
   */
  public static final int BYTE_CYCLES = 113;

  /** Cycles that the clock is high, the shorter half of a bit. */
  private static final int HIGH_CYCLES = 3;

  /**
   * Each pixel hands the clock on a little narrower: halves of 20 ns carry some 300 pixels (common
   * practice, from memory).
   */
  private static final double PIXELS_A_SECOND = 300 / 20e-9;

  public ClockedPlan {
    sections = List.copyOf(sections);
  }

  @Override
  public PixelClass pixel() {
    return circuit.pixel();
  }

  @Override
  public ColourOrder order() {
    return circuit.colourOrder();
  }

  @Override
  public double dimming() {
    return circuit.sort().headed()
        ? (double) circuit.brightnessField() / ClockedPixels.FULL_FIELD
        : 1;
  }

  /** Returns the bytes of zeros behind the pixels. */
  public int endBytes() {
    return ZERO_BYTES + (emitters() + PIXELS_A_BYTE - 1) / PIXELS_A_BYTE;
  }

  private int bytes() {
    return circuit.sort().headed()
        ? ZERO_BYTES + BYTES_A_PIXEL * emitters() + endBytes()
        : channels();
  }

  private double byteSeconds() {
    return BYTE_CYCLES * brief.controller().cycleSeconds();
  }

  /** Returns its bits in a second (Hz). */
  double bitHertz() {
    return 8 / byteSeconds();
  }

  @Override
  public double dataSeconds() {
    return bytes() * byteSeconds();
  }

  @Override
  public double latchSeconds() {
    return circuit.sort().pauseMicros() * 1e-6;
  }

  @Override
  public Calculation dataTime() {
    return new Calculation(
        key("data-time"),
        "Data time of one frame",
        dataSeconds(),
        "s",
        circuit.sort().headed()
            ? "(4 + 4 × pixels + 4 + round up(pixels ÷ 16)) × time of a byte"
            : "3 × pixels × time of a byte",
        List.of(
            given("pixels", emitters(), ""),
            given("bytes", bytes(), ""),
            given("time of a byte", byteSeconds(), "s")),
        Source.partClass(
            circuit.sort().headed()
                ? "clocked pixel, frame-started class: a zero clock for every two pixels at the end (common practice)"
                : "clocked pixel, pause-latched class: 24 bits a pixel (common practice)"));
  }

  private double highSeconds() {
    return HIGH_CYCLES * brief.controller().cycleSeconds();
  }

  private Calculation reach() {
    return new Calculation(
        key("clock-reach"),
        "Length that this clock reaches",
        Math.floor(highSeconds() * PIXELS_A_SECOND),
        "pixels",
        "round down(shorter clock half-period × 300 ÷ 20 ns)",
        List.of(given("shorter clock half-period", highSeconds(), "s")),
        Source.COMMON_PRACTICE);
  }

  @Override
  public List<Calculation> calculations() {
    List<Calculation> all = new ArrayList<>(PixelChainPlan.super.calculations());
    if (emitters() > 0) {
      all.add(reach());
    }
    return List.copyOf(all);
  }

  @Override
  public List<Finding> findings() {
    List<Finding> all = new ArrayList<>(PixelChainPlan.super.findings());
    if (emitters() > 0) {
      all.add(length());
    }
    return List.copyOf(all);
  }

  /** Every pixel makes the clock anew, and a little narrower. */
  private Finding length() {
    boolean reaches = emitters() <= reach().value();
    Finding finding =
        Finding.of(
                Step.CIRCUITS,
                key("clock-reach"),
                reaches ? Verdict.HOLDS : Verdict.TIGHT,
                phrase(
                    "%s in one chain; a clock high time of %s reaches about %s.",
                    Quantity.text(emitters(), "pixels"),
                    Quantity.text(highSeconds(), "s"),
                    Quantity.text(reach().value(), "pixels")))
            .restingOn(reach());
    return reaches ? finding : finding.advising("Split the chain over two circuits.");
  }

  @Override
  public LevelShift shift() {
    return circuit.shift();
  }

  /** A quarter of a clock. */
  @Override
  public double mostRiseSeconds() {
    return dataSeconds() / Math.max(1, 8.0 * bufferBytes()) / 4;
  }

  /** Its clock may be as slow as it wants. */
  @Override
  public boolean sendsAt(int hertz) {
    return true;
  }

  @Override
  public String about() {
    return phrase(
        "Clocked pixels: mean bit rate %s. The frame-started class sends 32 zeros, then three ones, the brightness field and 24 bits per pixel, and an end long enough for the chain. Its brightness field is a second, slow dimming (about 600 Hz) that cameras can see. The pause-latched class takes 24 bits per pixel and shows them after a pause of 500 µs.",
        Quantity.text(bitHertz(), "Hz"));
  }
}
