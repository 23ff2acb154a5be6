package org.myrialith.circuit.pixel;

import static org.myrialith.finding.Calculation.given;
import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.FixtureRange;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Source;
import org.myrialith.parts.PixelClass;

/** What a chain of one-wire pixels takes of time, memory, current and logic level. */
public record OneWirePlan(OneWirePixels circuit, List<FixtureRange> sections, Brief brief)
    implements PixelChainPlan {
  private static final double NANO = 1e-9;
  private static final double MICRO = 1e-6;

  public OneWirePlan {
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
  public double railVolts() {
    return circuit.railVolts();
  }

  private boolean hasWhite() {
    return order().channels() > 3;
  }

  @Override
  public boolean takesOver() {
    return hasWhite() && circuit.white() == WhiteExtraction.TAKES_OVER;
  }

  private int bitsPerPixel() {
    return channelsPerPixel() * BITS;
  }

  private double bitSeconds() {
    return circuit.rate().bitNanos() * NANO;
  }

  @Override
  public double dataSeconds() {
    return (double) emitters() * bitsPerPixel() * bitSeconds();
  }

  @Override
  public double latchSeconds() {
    return circuit.latchGapMicros() * MICRO;
  }

  @Override
  public Calculation dataTime() {
    return new Calculation(
        key("data-time"),
        "Data time of one frame",
        dataSeconds(),
        "s",
        "pixels × bits per pixel × bit time",
        List.of(
            given("pixels", emitters(), ""),
            given("bits per pixel", bitsPerPixel(), ""),
            given("bit time", bitSeconds(), "s")),
        Source.partClass(
            phrase(
                "one-wire pixel, %s class: %s per bit (common practice)",
                circuit.rate() == BitRate.KHZ_800 ? "800 kHz" : "400 kHz",
                Quantity.text(bitSeconds(), "s"))));
  }

  @Override
  public LevelShift shift() {
    return circuit.shift();
  }

  /** As much as a bit may be longer or shorter. */
  @Override
  public double mostRiseSeconds() {
    return 150e-9;
  }

  /** Ten cycles a bit are enough, one or two are not. */
  @Override
  public boolean sendsAt(int hertz) {
    return hertz >= BitRate.SLOW_HZ;
  }

  @Override
  public String about() {
    String pins =
        brief.controller().portable()
            ? ""
            : " Crystal and reset pins stay reserved; D0 and D1 also carry the serial port.";
    return phrase(
            "One-wire pixels: 8 bits per channel, 24 bits per pixel, 32 with white; %s per bit, %s in the older class. Newer classes latch after 280 µs, older ones after 50 µs.",
            Quantity.text(BitRate.KHZ_800.bitNanos() * 1e-9, "s"),
            Quantity.text(BitRate.KHZ_400.bitNanos() * 1e-9, "s"))
        + pins;
  }
}
