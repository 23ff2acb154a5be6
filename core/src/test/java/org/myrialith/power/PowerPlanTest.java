package org.myrialith.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Levels;
import org.myrialith.colour.Transfer;
import org.myrialith.drive.ColourOrder;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.frames.Show;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.PixelClass;
import org.myrialith.parts.Supply;

/**
 * Currents against the facts of the trade: 20 mA a channel, 60 mA a pixel all on (common practice).
 */
class PowerPlanTest {
  private static final ColourSettings STRAIGHT = new ColourSettings(new Transfer.PowerLaw(1), 100);
  private static final PixelClass NO_IDLE = new PixelClass(20, 0);

  private static PowerPlan plan(
      int pixels,
      PixelClass pixel,
      Supply supply,
      PowerSettings settings,
      ColourSettings colour,
      Frame... frames) {
    List<ClipLevels> levels = List.of();
    Show show = Show.of(List.of());
    if (frames.length > 0) {
      Fixture strip =
          Fixture.of(
              "f1", "Strip", new Strip(pixels, 60, List.of(new Point(0, 0), new Point(1, 0))));
      Clip clip = new Clip("k1", "Clip", "f1", List.of(frames));
      show = Show.of(List.of(clip));
      levels = List.of(ClipLevels.of(clip, strip, 0, LevelTable.of(colour), ColourOrder.GRB));
    }
    return PowerPlan.of(
        new Load(pixels, pixel, settings.controllerMilliamps()),
        Optional.ofNullable(supply),
        settings,
        colour,
        show,
        levels);
  }

  private static PowerSettings settings(int margin, School school) {
    return new PowerSettings(margin, school, 0);
  }

  @Test
  void twentyFivePixelsAreThreeTimesTooMuchForAnOldPort() {
    PowerPlan plan =
        plan(25, NO_IDLE, new Supply("port", 5, 0.5), settings(0, School.WORST_CASE), STRAIGHT);
    assertThat(plan.worstAmps()).isCloseTo(1.5, within(1e-9));
    assertThat(plan.findings())
        .singleElement()
        .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.BREAKS));
  }

  @Test
  void eightyFourPixelsOnTwoAmpsNeedALimitOfAboutThirtyEightPercent() {
    PowerPlan plan =
        plan(84, NO_IDLE, new Supply("adapter", 5, 2), settings(5, School.WORST_CASE), STRAIGHT);
    assertThat(plan.worstAmps()).isCloseTo(5.04, within(1e-9));
    // 1.9 / 5.04 = 37.7 %; the largest whole percent that holds is one less than the 38 of the rule
    Remedy remedy = plan.findings().get(0).remedies().get(0);
    assertThat(remedy.key()).isEqualTo("brightness-37");
  }

  @Test
  void theBrightnessRemedyIsTheLargestThatHolds() {
    Random random = new Random(5);
    byte[] rgb = new byte[90];
    random.nextBytes(rgb);
    Frame frame = new Frame(Picture.of(30, 1, rgb), 100);
    ColourSettings colour = new ColourSettings(new Transfer.Srgb(), 100);
    PowerPlan plan =
        plan(
            30,
            PixelClass.USUAL,
            new Supply("port", 5, 0.5),
            settings(20, School.THESE_FRAMES),
            colour,
            frame);
    int percent = plan.largestBrightness(plan::peakAmpsAt);
    assertThat(percent).isBetween(1, 99);
    assertThat(plan.peakAmpsAt(percent)).isLessThanOrEqualTo(0.4);
    assertThat(plan.peakAmpsAt(percent + 1)).isGreaterThan(0.4);
    // and a plan made with that limit finds the same current and holds
    PowerPlan mended =
        plan(
            30,
            PixelClass.USUAL,
            new Supply("port", 5, 0.5),
            settings(20, School.THESE_FRAMES),
            colour.withBrightness(percent),
            frame);
    assertThat(mended.peakAmps()).isCloseTo(plan.peakAmpsAt(percent), within(1e-12));
    assertThat(Verdict.worst(mended.findings())).isEqualTo(Verdict.HOLDS);
  }

  @Test
  void peakAndMeanAreThoseOfTheMoments() {
    Frame dark = new Frame(Picture.dark(10, 1), 300);
    byte[] white = new byte[30];
    Arrays.fill(white, (byte) 255);
    Frame full = new Frame(Picture.of(10, 1, white), 100);
    PowerPlan plan =
        plan(
            10,
            PixelClass.USUAL,
            new Supply("a", 5, 1),
            settings(20, School.WORST_CASE),
            STRAIGHT,
            dark,
            full);
    assertThat(plan.currents().get(0)).isCloseTo(0.010, within(1e-12));
    assertThat(plan.peakAmps()).isCloseTo(0.610, within(1e-12));
    assertThat(plan.peakMoment()).isEqualTo(1);
    assertThat(plan.meanAmps()).isCloseTo((0.010 * 3 + 0.610) / 4, within(1e-12));
    assertThat(plan.peakAmpsOfFrames(0))
        .containsExactly(plan.currents().get(0), plan.currents().get(1));
  }

  @Test
  void withinTheRatingButOverTheBudgetIsTight() {
    PowerPlan plan =
        plan(15, NO_IDLE, new Supply("a", 5, 1), settings(20, School.WORST_CASE), STRAIGHT);
    assertThat(plan.findings())
        .singleElement()
        .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.TIGHT));
  }

  @Test
  void theSecondSchoolHoldsOnlyWithTheLimiter() {
    byte[] dim = new byte[150];
    Arrays.fill(dim, (byte) 40);
    Frame frame = new Frame(Picture.of(50, 1, dim), 100);
    Supply port = new Supply("port", 5, 0.9);
    PowerPlan worst =
        plan(50, PixelClass.USUAL, port, settings(20, School.WORST_CASE), STRAIGHT, frame);
    assertThat(Verdict.worst(worst.findings())).isEqualTo(Verdict.BREAKS);
    assertThat(worst.limiter()).isEmpty();
    assertThat(worst.findings().stream().flatMap(f -> f.remedies().stream()).map(Remedy::key))
        .contains(PowerPlan.PLAN_FOR_FRAMES);
    PowerPlan frames =
        plan(50, PixelClass.USUAL, port, settings(20, School.THESE_FRAMES), STRAIGHT, frame);
    assertThat(Verdict.worst(frames.findings())).isEqualTo(Verdict.HOLDS);
    long sum = frames.limiter().orElseThrow().levelSum();
    assertThat(frames.load().amps(sum)).isLessThanOrEqualTo(0.72);
    assertThat(frames.load().amps(sum + 1)).isGreaterThan(0.72);
  }

  @Test
  void anIdleCurrentOverTheSupplyBreaksUnderEitherSchool() {
    for (School school : School.values()) {
      PowerPlan plan =
          plan(2000, PixelClass.USUAL, new Supply("port", 5, 0.5), settings(20, school), STRAIGHT);
      Finding finding = plan.findings().get(0);
      assertThat(finding.verdict()).isEqualTo(Verdict.BREAKS);
      assertThat(finding.remedies()).noneMatch(r -> r.key().startsWith(PowerPlan.BRIGHTNESS));
    }
  }

  @Test
  void noSupplyIsOpen() {
    PowerPlan plan = plan(5, PixelClass.USUAL, null, PowerSettings.USUAL, STRAIGHT);
    assertThat(Verdict.worst(plan.findings())).isEqualTo(Verdict.OPEN);
    assertThat(plan.findings().get(0).remedies()).hasSize(1);
  }

  @Property
  void theLimiterNeverLetsMoreThrough(
      @ForAll long seed,
      @ForAll @IntRange(min = 1, max = 9000) int channels,
      @ForAll @IntRange(max = 3_000_000) int limit) {
    byte[] wire = new byte[channels];
    new Random(seed).nextBytes(wire);
    Levels levels = Levels.of(wire);
    Levels sent = new Limiter(limit).limit(levels);
    assertThat(sent.sum()).isLessThanOrEqualTo(Math.max(limit, 0));
    if (levels.sum() <= limit) {
      assertThat(sent).isEqualTo(levels);
    }
  }

  @Test
  void theSupplyRemedyIsTheWeakestClassThatHolds() {
    PowerPlan plan =
        plan(25, NO_IDLE, new Supply("port", 5, 0.5), settings(20, School.WORST_CASE), STRAIGHT);
    // 1.5 A needs 1.875 A with 20 % kept back
    assertThat(plan.findings().get(0).remedies())
        .anySatisfy(r -> assertThat(r.label()).contains("5 V adapter, 2 A"));
    assertThat(Supply.weakestFor(61)).isEmpty();
  }
}
