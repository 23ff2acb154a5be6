package org.myrialith.web.scan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Quantity;
import org.myrialith.flicker.Exposures;
import org.myrialith.flicker.Places;
import org.myrialith.flicker.ScanSettings;
import org.myrialith.parts.Tint;

/**
 * Lights that have their turns as they are: slot by slot, through a camera, and for an eye that
 * sweeps past.
 *
 * @param box of the lights, as a view box
 * @param dots all of them, with the slots that they are lit in
 * @param slots what each slot is, in words
 * @param slot that is shown
 * @param frames of the camera, one after the other
 * @param streaks of an eye that sweeps
 * @param sweepBox view box of those
 */
public record SeenPicture(
    String box,
    List<Dot> dots,
    List<String> slots,
    int slot,
    List<List<Dot>> frames,
    List<Streak> streaks,
    String sweepBox,
    boolean tooMany) {
  private static final int MOST_LIGHTS = 900;
  private static final int MOST_SLOTS = 512;

  /** Lights times the slots that each may be lit in. */
  private static final int MOST_STREAKS = 8000;

  private static final int SHOWN_FRAMES = 4;
  private static final int SWEPT_TURNS = 2;
  private static final double SCREEN = 2.2;

  /**
   * A light.
   *
   * @param glow 0 to 1, for a screen
   * @param lit slots in which it is, as numbers in a row
   */
  public record Dot(
      double x, double y, double r, String fill, double glow, String lit, boolean on) {}

  /** What a sweeping eye sees of a light in a slot. */
  public record Streak(double x1, double x2, double y, double width, String stroke) {}

  static SeenPicture of(
      ScannedPlan plan, Places places, Levels levels, ScanSettings settings, int wanted) {
    List<ScanTiming.Slot> slots = plan.timing().slots();
    int slot = Math.max(0, Math.min(slots.size() - 1, wanted));
    int lights = places.lights().size();
    if (lights > MOST_LIGHTS
        || slots.size() > MOST_SLOTS
        || lights * plan.timing().slotsOfARow() > MOST_STREAKS) {
      return new SeenPicture(
          "0 0 1 1", List.of(), List.of(), slot, List.of(), List.of(), "0 0 1 1", true);
    }
    return new Work(plan, places, levels, settings, slots, slot).picture();
  }

  private record Work(
      ScannedPlan plan,
      Places places,
      Levels levels,
      ScanSettings settings,
      List<ScanTiming.Slot> slots,
      int slot) {

    SeenPicture picture() {
      double right = sweptMm();
      return new SeenPicture(
          box(0),
          dots(),
          slots.stream().map(this::told).toList(),
          slot,
          frames(),
          streaks(),
          box(right),
          false);
    }

    private double radius() {
      return places.pitchMm() > 0 ? places.pitchMm() * 0.36 : 3;
    }

    private String box(double more) {
      double margin = 2.2 * radius();
      double left = places.lights().stream().mapToDouble(Places.Light::xMm).min().orElse(0);
      double top = places.lights().stream().mapToDouble(Places.Light::yMm).min().orElse(0);
      double wide = places.lights().stream().mapToDouble(Places.Light::xMm).max().orElse(0) - left;
      double high = places.lights().stream().mapToDouble(Places.Light::yMm).max().orElse(0) - top;
      return String.format(
          Locale.ROOT,
          "%.2f %.2f %.2f %.2f",
          left - margin,
          top - margin,
          wide + more + 2 * margin,
          high + 2 * margin);
    }

    private String told(ScanTiming.Slot one) {
      return phrase("%s, %s", plan.turnName(one.row()), Quantity.text(one.seconds(), "s"));
    }

    private boolean lit(int channel, ScanTiming.Slot one) {
      int output = plan.map().outputs().get(channel);
      return output / plan.lightsOfATurn() == one.row()
          && plan.timing().lit(levels.at(channel), one);
    }

    private String fill(int channel) {
      for (ChannelRange stretch : plan.stretches()) {
        int within = channel - stretch.firstChannel();
        if (within >= 0 && within < stretch.channels()) {
          return hex(stretch.shows().get(within % stretch.channelsPerUnit()).tint());
        }
      }
      return "#ffffff";
    }

    private static String hex(Tint tint) {
      // a pure colour is lifted a little, so that its edge is seen on the dark ground
      return phrase("#%02x%02x%02x", value(tint.red()), value(tint.green()), value(tint.blue()));
    }

    private static int value(double share) {
      return (int) Math.round(255 * Math.pow(0.04 + 0.96 * share, 1 / SCREEN));
    }

    private List<Dot> dots() {
      List<Dot> all = new ArrayList<>();
      for (Places.Light light : places.lights()) {
        String in =
            IntStream.range(0, slots.size())
                .filter(s -> lit(light.channel(), slots.get(s)))
                .mapToObj(Integer::toString)
                .collect(Collectors.joining(" "));
        all.add(dot(light, 1, in, lit(light.channel(), slots.get(slot))));
      }
      return all;
    }

    private Dot dot(Places.Light light, double glow, String in, boolean on) {
      return new Dot(light.xMm(), light.yMm(), radius(), fill(light.channel()), glow, in, on);
    }

    private List<List<Dot>> frames() {
      double[] down = places.down(levels.size());
      Exposures seen = Exposures.of(plan, levels, down, settings.camera(), SHOWN_FRAMES);
      List<List<Dot>> all = new ArrayList<>();
      for (double[] frame : seen.shares()) {
        List<Dot> dots = new ArrayList<>();
        for (Places.Light light : places.lights()) {
          double level = (double) levels.at(light.channel()) / plan.fullLevel();
          double got = level == 0 ? 0 : frame[light.channel()] * level;
          double glow = Math.min(1, Math.pow(got, 1 / SCREEN));
          dots.add(dot(light, Math.rint(glow * 1000) / 1000, "", glow > 0));
        }
        all.add(dots);
      }
      return all;
    }

    private double sweptMm() {
      return settings.eye().sweptMm(SWEPT_TURNS / plan.timing().wholeHz());
    }

    private List<Streak> streaks() {
      List<Streak> all = new ArrayList<>();
      double turn = 1 / plan.timing().wholeHz();
      for (int turns = 0; turns < SWEPT_TURNS; turns++) {
        for (ScanTiming.Slot one : slots) {
          double from = settings.eye().sweptMm(turns * turn + one.startSeconds());
          double to = settings.eye().sweptMm(turns * turn + one.startSeconds() + one.seconds());
          for (Places.Light light : places.lights()) {
            if (lit(light.channel(), one)) {
              all.add(
                  new Streak(
                      light.xMm() + from,
                      light.xMm() + to,
                      light.yMm(),
                      1.2 * radius(),
                      fill(light.channel())));
            }
          }
        }
      }
      return all;
    }
  }
}
