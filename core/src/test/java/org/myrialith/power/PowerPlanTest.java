package org.myrialith.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.LevelTable;
import org.myrialith.colour.Levels;
import org.myrialith.colour.Transfer;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Change;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Limiter;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PixelClass;
import org.myrialith.parts.Supply;
import org.myrialith.tool.Chance;
import org.myrialith.tool.Gadgets;

/**
 * Currents against the facts of the trade: 20 mA a channel, 60 mA a pixel all on (common practice).
 */
@ExtendWith(InstancioExtension.class)
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
    return plan(0, pixels, pixel, supply, settings, colour, frames);
  }

  private static PowerPlan plan(
      int dark,
      int pixels,
      PixelClass pixel,
      Supply supply,
      PowerSettings settings,
      ColourSettings colour,
      Frame... frames) {
    Fixture whole =
        Fixture.of("f1", "Strip", new Strip(pixels, 60, List.of(new Point(0, 0), new Point(1, 0))));
    Fixture strip = whole.with(whole.mount().withDark(IntStream.range(0, dark).boxed().toList()));
    return GadgetPlan.of(
            Gadgets.of(
                "G",
                "",
                Controller.AVR8_32K,
                Optional.ofNullable(supply),
                List.of(strip),
                List.of(OneWirePixels.usual("c1", List.of("f1")).withPixel(pixel)),
                colour,
                settings,
                frames.length == 0
                    ? List.of()
                    : List.of(new Clip("k1", "Clip", "f1", List.of(frames)))))
        .power();
  }

  private static PowerSettings settings(int margin, PlanningBasis school) {
    return new PowerSettings(margin, school, 0);
  }

  /** A red of 20 mA beside a green of 15 and a blue of 12: 47 mA when all is white, by hand. */
  @Test
  void coloursHaveCurrentsOfTheirOwn() {
    PixelClass own = new PixelClass(20, 0).with(0, 15, 12, 0);
    byte[] rgb = {(byte) 255, 0, 0, 0, (byte) 255, 0, 0, 0, (byte) 255};
    PowerPlan plan =
        plan(
            3,
            own,
            new Supply("port", 5, 0.5),
            settings(0, PlanningBasis.WORST_CASE),
            STRAIGHT,
            new Frame(Picture.of(3, 1, rgb), 100));
    assertThat(plan.worstAmps()).isCloseTo(3 * 0.047, within(1e-12));
    assertThat(plan.peakAmps()).isCloseTo(0.047, within(1e-12));
    // a limiter weighs each colour by what it draws: it takes no more than it must, and is never
    // over
    PowerPlan limited =
        plan(
            3,
            own,
            new Supply("port", 5, 0.05),
            settings(40, PlanningBasis.THESE_FRAMES),
            STRAIGHT,
            new Frame(Picture.of(3, 1, rgb), 100));
    assertThat(limited.peakAmps()).isBetween(0.0295, 0.030);
    assertThat(limited.askedPeakAmps()).isCloseTo(0.047, within(1e-12));
  }

  /** 20, 40 and 60 mA for 900, 60 and 40 ms of a second: 22.8 mA on the mean, 40 mA at 95 %. */
  @Test
  void aCourseIsToldInFewNumbers() {
    PowerPlan plan =
        plan(
            1,
            NO_IDLE,
            new Supply("port", 5, 0.5),
            settings(0, PlanningBasis.WORST_CASE),
            STRAIGHT,
            new Frame(Picture.of(1, 1, new byte[] {-1, 0, 0}), 900),
            new Frame(Picture.of(1, 1, new byte[] {-1, -1, 0}), 60),
            new Frame(Picture.of(1, 1, new byte[] {-1, -1, -1}), 40));
    Map<String, Double> numbers =
        plan.calculations().stream()
            .collect(Collectors.toMap(Calculation::key, Calculation::value, (a, b) -> a));
    assertThat(numbers.get("mean")).isCloseTo(0.0228, within(1e-12));
    assertThat(numbers.get("current-95")).isCloseTo(0.040, within(1e-12));
    assertThat(numbers.get("energy")).isCloseTo(5 * 22.8 / 3600, within(1e-9));
  }

  /** Of 60 mA 30 are left: CIE 1976 makes 76.1 of a half. */
  @Test
  void whatALimiterCostsIsToldAsLightness() {
    PowerPlan plan =
        plan(
            50,
            NO_IDLE,
            new Supply("port", 5, 1.5),
            settings(0, PlanningBasis.THESE_FRAMES),
            STRAIGHT,
            new Frame(Picture.of(50, 1, white(50)), 100));
    assertThat(plan.findings().get(0).says().replace('\u00a0', ' '))
        .contains("looks 76")
        .contains("1.50 A. The most dimmed");
  }

  private static byte[] white(int pixels) {
    byte[] rgb = new byte[3 * pixels];
    Arrays.fill(rgb, (byte) 255);
    return rgb;
  }

  @Test
  void twentyFivePixelsAreThreeTimesTooMuchForAnOldPort() {
    PowerPlan plan =
        plan(
            25,
            NO_IDLE,
            new Supply("port", 5, 0.5),
            settings(0, PlanningBasis.WORST_CASE),
            STRAIGHT);
    assertThat(plan.worstAmps()).isCloseTo(1.5, within(1e-9));
    assertThat(plan.findings())
        .singleElement()
        .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.BREAKS));
  }

  @Test
  void eightyFourPixelsOnTwoAmpsNeedALimitOfAboutThirtyEightPercent() {
    PowerPlan plan =
        plan(
            84,
            NO_IDLE,
            new Supply("adapter", 5, 2),
            settings(5, PlanningBasis.WORST_CASE),
            STRAIGHT);
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
            settings(20, PlanningBasis.THESE_FRAMES),
            colour,
            frame);
    int percent = percentOf(plan);
    assertThat(percent).isBetween(1, 99);
    assertThat(peakAt(plan, percent)).isLessThanOrEqualTo(0.4);
    assertThat(peakAt(plan, percent + 1)).isGreaterThan(0.4);
    // and a plan made with that limit finds the same current and holds
    PowerPlan mended =
        plan(
            30,
            PixelClass.USUAL,
            new Supply("port", 5, 0.5),
            settings(20, PlanningBasis.THESE_FRAMES),
            colour.withBrightness(percent),
            frame);
    assertThat(mended.peakAmps()).isCloseTo(peakAt(plan, percent), within(1e-12));
    assertThat(Verdict.worst(mended.findings())).isEqualTo(Verdict.HOLDS);
  }

  private static int percentOf(PowerPlan plan) {
    return plan.findings().stream()
        .flatMap(f -> f.remedies().stream())
        .map(Remedy::change)
        .filter(Change.LimitBrightness.class::isInstance)
        .mapToInt(c -> ((Change.LimitBrightness) c).percent())
        .findFirst()
        .orElseThrow();
  }

  private static double peakAt(PowerPlan plan, int percent) {
    return new BrightnessTrial(plan.load(), plan.show(), plan.levels())
        .peakAmps(LevelTable.of(plan.colour().withBrightness(percent)));
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
            settings(20, PlanningBasis.WORST_CASE),
            STRAIGHT,
            dark,
            full);
    assertThat(plan.askedAmps(0)).isCloseTo(0.010, within(1e-12));
    assertThat(plan.peakAmps()).isCloseTo(0.610, within(1e-12));
    assertThat(plan.peakMoment()).isEqualTo(1);
    assertThat(plan.meanAmps()).isCloseTo((0.010 * 3 + 0.610) / 4, within(1e-12));
    assertThat(plan.peakAmpsOfFrames(0)).containsExactly(plan.askedAmps(0), plan.askedAmps(1));
  }

  @Test
  void withinTheRatingButOverTheBudgetIsTight() {
    PowerPlan plan =
        plan(15, NO_IDLE, new Supply("a", 5, 1), settings(20, PlanningBasis.WORST_CASE), STRAIGHT);
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
        plan(50, PixelClass.USUAL, port, settings(20, PlanningBasis.WORST_CASE), STRAIGHT, frame);
    assertThat(Verdict.worst(worst.findings())).isEqualTo(Verdict.BREAKS);
    assertThat(worst.limiter()).isEmpty();
    assertThat(worst.findings().stream().flatMap(f -> f.remedies().stream()).map(Remedy::key))
        .contains("plan-for-frames");
    PowerPlan frames =
        plan(50, PixelClass.USUAL, port, settings(20, PlanningBasis.THESE_FRAMES), STRAIGHT, frame);
    assertThat(Verdict.worst(frames.findings())).isEqualTo(Verdict.HOLDS);
    long sum = frames.limiter().orElseThrow().limit();
    assertThat(frames.load().amps(new long[][] {{sum, 0, 0}})).isLessThanOrEqualTo(0.72);
    assertThat(frames.load().amps(new long[][] {{sum + 1, 0, 0}})).isGreaterThan(0.72);
  }

  @Test
  void anIdleCurrentOverTheSupplyBreaksUnderEitherSchool() {
    for (PlanningBasis school : PlanningBasis.values()) {
      PowerPlan plan =
          plan(2000, PixelClass.USUAL, new Supply("port", 5, 0.5), settings(20, school), STRAIGHT);
      Finding finding = plan.findings().get(0);
      assertThat(finding.verdict()).isEqualTo(Verdict.BREAKS);
      assertThat(finding.remedies()).noneMatch(r -> r.change() instanceof Change.LimitBrightness);
    }
  }

  @Test
  void noSupplyIsOpen() {
    PowerPlan plan = plan(5, PixelClass.USUAL, null, PowerSettings.USUAL, STRAIGHT);
    assertThat(Verdict.worst(plan.findings())).isEqualTo(Verdict.OPEN);
    assertThat(plan.findings().get(0).remedies()).hasSize(1);
  }

  @RepeatedTest(1000)
  void theLimiterNeverLetsMoreThrough(@Given long given) {
    Chance chance = new Chance(given);
    int emitters = chance.whole(1, 3000);
    int limit = chance.whole(0, 3_000_000);
    byte[] wire = new byte[3 * emitters];
    new Random(chance.seed()).nextBytes(wire);
    Levels levels = Levels.of(wire);
    Limiter limiter = new Limiter(List.of(List.of(1, 1, 1)), limit);
    int factor = limiter.factor(levels.sum());
    Levels sent = Limiter.scaled(levels, factor, 3, 8);
    assertThat(sent.sum()).isLessThanOrEqualTo(limit);
    assertThat(limiter.sent(new long[][] {levels.sums(3)})[0]).isEqualTo(sent.sums(3));
    if (levels.sum() <= limit) {
      assertThat(sent).isEqualTo(levels);
    } else {
      // no more is lost than the rounding of 16 bits, and a rest in each channel
      assertThat((double) sent.sum())
          .isGreaterThan(limit * (1 - 1e-3) - levels.sum() / 30_000.0 - 4);
      for (int i = 0; i < levels.size(); i++) {
        assertThat(sent.at(i)).isLessThanOrEqualTo(levels.at(i));
      }
    }
  }

  /** Everything at level 1 and a little over: a few go dark, evenly spread, not all. */
  @Test
  void aLittleTooMuchDimsAFewEmitters() {
    byte[] wire = new byte[3 * 100];
    Arrays.fill(wire, (byte) 1);
    Levels sent =
        Limiter.scaled(
            Levels.of(wire), new Limiter(List.of(List.of(1, 1, 1)), 294).factor(300), 3, 8);
    assertThat(sent.sum()).isBetween(291L, 294L);
    assertThat(sent.sums(3)).containsOnly(sent.sums(3)[0]);
  }

  @Test
  void emittersThatStayDarkDoNotCountAsWhite() {
    PowerPlan plan =
        plan(
            5,
            25,
            PixelClass.USUAL,
            new Supply("port", 5, 0.5),
            settings(0, PlanningBasis.WORST_CASE),
            STRAIGHT);
    assertThat(plan.worstAmps()).isCloseTo(20 * 0.060 + 25 * 0.001, within(1e-12));
  }

  @Test
  void whatTheLimiterDimsIsTightAndNotBroken() {
    byte[] white = new byte[30];
    Arrays.fill(white, (byte) 255);
    PowerPlan plan =
        plan(
            10,
            PixelClass.USUAL,
            new Supply("port", 5, 0.5),
            settings(20, PlanningBasis.THESE_FRAMES),
            STRAIGHT,
            new Frame(Picture.of(10, 1, white), 100));
    assertThat(plan.findings())
        .filteredOn(f -> f.key().equals("frames-current"))
        .singleElement()
        .satisfies(f -> assertThat(f.verdict()).isEqualTo(Verdict.TIGHT))
        .satisfies(f -> assertThat(f.says()).contains("dims 1 of 1"));
    assertThat(plan.sentAmps(0)).isLessThanOrEqualTo(0.4).isGreaterThan(0.39);
    PowerPlan beyond =
        plan(
            600,
            PixelClass.USUAL,
            new Supply("port", 5, 0.5),
            settings(20, PlanningBasis.THESE_FRAMES),
            STRAIGHT);
    assertThat(beyond.findings().get(0).says()).contains("can't");
    assertThat(beyond.findings().get(0).says()).doesNotContain("keeps it within");
  }

  @Test
  void theSupplyRemedyIsTheWeakestClassThatHolds() {
    PowerPlan plan =
        plan(
            25,
            NO_IDLE,
            new Supply("port", 5, 0.5),
            settings(20, PlanningBasis.WORST_CASE),
            STRAIGHT);
    // 1.5 A needs 1.875 A with 20 % kept back
    assertThat(plan.findings().get(0).remedies())
        .anySatisfy(r -> assertThat(r.label()).contains("5 V adapter, 2 A"));
    assertThat(Supply.weakestFor(61)).isEmpty();
  }
}
