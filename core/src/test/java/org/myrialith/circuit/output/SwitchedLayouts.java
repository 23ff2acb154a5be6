package org.myrialith.circuit.output;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;

/** Digits to be switched. */
public final class SwitchedLayouts {
  private SwitchedLayouts() {}

  /** One fixture of digits without points, several LEDs in a segment. */
  public static Layout digits(String emitter, int digits, int leds, boolean series) {
    return digits(emitter, digits, leds, series, false);
  }

  public static Layout digits(
      String emitter, int digits, int leds, boolean series, boolean points) {
    List<SegmentDigits.Module> modules = new ArrayList<>();
    for (int left = digits; left > 0; left -= 8) {
      modules.add(new SegmentDigits.Module(Math.min(8, left), "part " + (modules.size() + 1)));
    }
    SegmentDigits shape =
        new SegmentDigits(
            SegmentStyle.SEVEN,
            40,
            20,
            0,
            1,
            modules,
            30,
            0,
            leds,
            series,
            points,
            List.of(),
            List.of(),
            List.of());
    Fixture fixture = Fixture.of("f1", "Digits", shape);
    return Layout.EMPTY.withFixtures(List.of(fixture.with(fixture.mount().withEmitter(emitter))));
  }
}
