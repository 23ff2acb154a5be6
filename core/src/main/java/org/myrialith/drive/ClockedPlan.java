package org.myrialith.drive;

import static org.myrialith.finding.Reckoning.given;

import java.util.List;
import org.myrialith.brief.Brief;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Source;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.PixelClass;

/** What a chain of clocked pixels takes of time, memory, current and logic level. */
public record ClockedPlan(ClockedPixels circuit, List<Fixture> fixtures, Brief brief)
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

  public ClockedPlan {
    fixtures = List.copyOf(fixtures);
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

  @Override
  public double dataSeconds() {
    return bytes() * byteSeconds();
  }

  @Override
  public double latchSeconds() {
    return circuit.sort().pauseMicros() * 1e-6;
  }

  @Override
  public Reckoning dataTime() {
    return new Reckoning(
        key("data-time"),
        "Data of one frame",
        dataSeconds(),
        "s",
        circuit.sort().headed()
            ? "(4 + 4 × pixels + 4 + pixels ÷ 16, rounded up) × time of a byte"
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
}
