package org.myrialith.web.scan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.myrialith.flicker.LightBar;
import org.myrialith.flicker.Strobe;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Picture;

/** A turning body in flashes, and the picture of a moving bar. */
public final class MovesPicture {
  private static final double BODY = 100;
  private static final double HUB = 14;
  private static final int LATER = 3;

  /** From one place that is drawn to the next. */
  private static final double LATER_SECONDS = 0.1;

  private static final int MOST_DOTS = 6000;
  private static final double WIDE = 640;

  private MovesPicture() {}

  /** A shape of a colour. */
  public record Shape(String path, String fill, double opacity) {}

  /**
   * A body: its arms at one flash with their smear, and where the flashes of the next tenths of a
   * second find them.
   *
   * @param arms outlines
   * @param smears behind them
   * @param later outlines of those, the last first
   */
  public record Body(List<Shape> arms, List<Shape> smears, List<Shape> later) {}

  private static String wedge(double fromDegrees, double toDegrees, double inner, double outer) {
    double a = Math.toRadians(fromDegrees - 90);
    double b = Math.toRadians(toDegrees - 90);
    int large = toDegrees - fromDegrees > 180 ? 1 : 0;
    return String.format(
        Locale.ROOT,
        "M%.2f %.2fA%.2f %.2f 0 %d 1 %.2f %.2fL%.2f %.2fA%.2f %.2f 0 %d 0 %.2f %.2fZ",
        outer * Math.cos(a),
        outer * Math.sin(a),
        outer,
        outer,
        large,
        outer * Math.cos(b),
        outer * Math.sin(b),
        inner * Math.cos(b),
        inner * Math.sin(b),
        inner,
        inner,
        large,
        inner * Math.cos(a),
        inner * Math.sin(a));
  }

  static Body body(Strobe strobe) {
    double spacing = strobe.spacingDegrees();
    double arm = Math.min(12, spacing / 3);
    double smear = Math.min(strobe.smearDegrees(), spacing - 0.5);
    double step = strobe.driftDegrees() * LATER_SECONDS;
    List<Shape> arms = new ArrayList<>();
    List<Shape> smears = new ArrayList<>();
    List<Shape> later = new ArrayList<>();
    for (int k = 0; k < strobe.arms(); k++) {
      double at = k * spacing;
      arms.add(new Shape(wedge(at - arm / 2, at + arm / 2, HUB, BODY), "", 1));
      if (smear > 0.05) {
        smears.add(new Shape(wedge(at + arm / 2, at + arm / 2 + smear, HUB, BODY), "", 1));
      }
      for (int flash = LATER; flash >= 1 && step != 0; flash--) {
        double on = at + flash * step;
        later.add(new Shape(wedge(on - arm / 2, on + arm / 2, HUB, BODY), "", 0.5 / flash));
      }
    }
    return new Body(arms, smears, later);
  }

  /**
   * The picture that a bar paints.
   *
   * @param dots of it
   * @param box that they are in
   * @param ofClip whether it is that of the clip, else a pattern
   */
  public record Painted(List<Shape> dots, String box, boolean ofClip, boolean coarse) {}

  /** Frame after frame of the clip a column, or a pattern where there is none. */
  static Painted painted(LightBar bar, Clip clip) {
    int columns = bar.columns();
    int every = 1;
    while (columns / every * bar.leds() > MOST_DOTS) {
      every++;
    }
    List<Shape> dots = new ArrayList<>();
    for (int column = 0; column < columns; column += every) {
      for (int led = 0; led < bar.leds(); led++) {
        int colour = colour(clip, column, led, bar);
        if (colour != 0) {
          String fill = phrase("#%06x", colour);
          dots.add(
              new Shape(
                  bar.turns() ? bent(bar, column, every, led) : straight(bar, column, every, led),
                  fill,
                  1));
        }
      }
    }
    return new Painted(dots, box(bar), clip != null, every > 1);
  }

  private static int colour(Clip clip, int column, int led, LightBar bar) {
    if (clip == null) {
      boolean ring = led == 0 || led == bar.leds() - 1;
      boolean square = (column * 12 / bar.columns() + led * 4 / bar.leds()) % 2 == 0;
      return ring ? 0xffb000 : square ? 0xf4f0e6 : 0;
    }
    Picture picture = clip.frames().get(column % clip.frames().size()).picture();
    int cells = picture.columns() * picture.rows();
    int cell = Math.min(led, cells - 1);
    return picture.colour(cell % picture.columns(), cell / picture.columns());
  }

  private static double scale(LightBar bar) {
    return BODY / Math.max(1e-6, bar.radiusMm(bar.leds() - 1) + bar.pitchMm() / 2);
  }

  private static String bent(LightBar bar, int column, int every, int led) {
    double scale = scale(bar);
    double turn = 360.0 / bar.columns();
    double from = column * turn;
    double to = Math.min(360, (column + every) * turn);
    double inner = Math.max(0, (bar.radiusMm(led) - 0.4 * bar.pitchMm()) * scale);
    double outer = (bar.radiusMm(led) + 0.4 * bar.pitchMm()) * scale;
    return wedge(from, Math.min(to, from + 359.9), inner, outer);
  }

  private static double high(LightBar bar) {
    return Math.min(300, bar.leds() * bar.pitchMm() * WIDE / bar.sweepMm());
  }

  /** The first LED is at the bottom. */
  private static String straight(LightBar bar, int column, int every, int led) {
    double wide = WIDE / bar.columns();
    double row = high(bar) / bar.leds();
    return String.format(
        Locale.ROOT,
        "M%.2f %.2fh%.2fv%.2fh%.2fZ",
        column * wide,
        high(bar) - (led + 1) * row + 0.1 * row,
        wide * every * 0.96,
        0.8 * row,
        -wide * every * 0.96);
  }

  private static String box(LightBar bar) {
    return bar.turns()
        ? "-104 -104 208 208"
        : String.format(Locale.ROOT, "-4 -4 %.0f %.1f", WIDE + 8, high(bar) + 8);
  }

  /** The clip on a fixture of as many lights as the bar has; null for none. */
  static Clip clip(List<Clip> clips, List<Integer> counts, int leds) {
    return IntStream.range(0, clips.size())
        .filter(c -> counts.get(c) == leds && !clips.get(c).frames().isEmpty())
        .mapToObj(clips::get)
        .findFirst()
        .orElse(null);
  }
}
