package org.myrialith.gadget.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.myrialith.tool.Gadgets.line;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioExtension;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.Wiring;
import org.myrialith.circuit.pixel.ClockedClass;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.circuit.pixel.WhiteExtraction;
import org.myrialith.colour.Levels;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.format.GadgetSamples;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PixelClass;
import org.myrialith.tool.Chance;

@ExtendWith(InstancioExtension.class)
class GadgetPlanTest {
  @RepeatedTest(200)
  void everyGadgetHasAPlanAndEveryNumberItsWorking(@Given long given) {
    Chance chance = new Chance(given);
    Gadget gadget = GadgetSamples.fromSeed(chance.seed());
    GadgetPlan plan = GadgetPlan.of(gadget);
    for (Step step : Step.values()) {
      assertThat(plan.headline(step)).isNotBlank();
      for (Calculation number : plan.calculations(step)) {
        assertThat(number.value()).as(number.name()).isFinite();
        assertThat(number.formula()).isNotBlank();
      }
    }
    for (Finding finding : plan.findings()) {
      assertThat(finding.says()).isNotBlank().doesNotContain("null", "NaN");
    }
    assertThat(plan.findings(Step.POWER)).isNotEmpty();
  }

  @RepeatedTest(100)
  void everyRemedyOfEveryFindingMendsIt(@Given long given) {
    Chance chance = new Chance(given);
    Gadget gadget = GadgetSamples.fromSeed(chance.seed());
    GadgetPlan plan = GadgetPlan.of(gadget);
    for (Finding finding : plan.findings()) {
      for (Remedy remedy : finding.remedies()) {
        Gadget mended = plan.mended(finding.key(), remedy.key()).orElseThrow();
        List<Finding> after = GadgetPlan.of(mended).findings();
        assertThat(after)
            .filteredOn(f -> f.key().equals(finding.key()))
            .as("%s after %s", finding.says(), remedy.label())
            .allSatisfy(f -> assertThat(f.verdict()).isEqualTo(Verdict.HOLDS));
      }
    }
    assertThat(plan.mended("no such finding", "brightness-1")).isEqualTo(Optional.empty());
  }

  /**
   * A level is what was asked by the table, dimmed by the limiter: less than a step off, and what
   * is cut off comes with the channels that follow, so that no line gets darker by rounding.
   */
  @RepeatedTest(100)
  void theLevelSentIsTheTableOfWhatWasAskedInTheOrderOfTheWire(@Given long given) {
    Chance chance = new Chance(given);
    Gadget gadget = GadgetSamples.fromSeed(chance.seed());
    GadgetPlan plan = GadgetPlan.of(gadget);
    if (plan.show().moments().isEmpty()) {
      return;
    }
    int moment = plan.show().moments().size() / 2;
    List<Levels> sent = plan.sent().levels(moment);
    int limited = factor(plan, moment);
    List<Wiring.Spot> spots = plan.spots();
    double[][] owed = new double[sent.size()][4];
    List<List<Emitter>> lines = plan.wiring().lines();
    for (int c = 0; c < lines.size(); c++) {
      if (plan.wiring().plans().get(c).emitters() == 0) {
        continue;
      }
      // a limiter has no say on a rail of its own
      int factor = ownRail(plan, c) ? 65_536 : limited;
      String order = order(plan.wiring().plans().get(c).circuit());
      boolean takesOver = takesOver(plan.wiring().plans().get(c).circuit());
      for (int at = 0; at < lines.get(c).size(); at++) {
        Emitter emitter = lines.get(c).get(at);
        assertThat(spots.get(plan.layout().emitters().indexOf(emitter)))
            .isEqualTo(new Wiring.Spot(c, at));
        int[] asked = asked(plan, emitter, moment);
        int[] levels = new int[4];
        for (int i = 0; i < 3 && !emitter.dark(); i++) {
          levels[i] = plan.table().level(asked[i]);
        }
        if (takesOver) {
          levels[3] = Math.min(levels[0], Math.min(levels[1], levels[2]));
        }
        for (int position = 0; position < order.length(); position++) {
          int own = "RGBW".indexOf(order.charAt(position));
          int wanted = own == 3 ? levels[3] : levels[own] - levels[3];
          double dimmed = wanted * (factor / 65_536.0);
          int level = sent.get(c).at(at * order.length() + position);
          assertThat((double) level).isBetween(dimmed - 1, dimmed + 1);
          owed[c][position] += dimmed - level;
          assertThat(owed[c][position]).isBetween(-1e-6, 1.0);
        }
      }
    }
    // what the plan calls sent is the current of those levels, added up one by one
    var tree = gadget.brief().tree();
    boolean together = tree.lights().equals(tree.controller());
    double amps = together ? gadget.power().controllerMilliamps() / 1000 : 0;
    for (int c = 0; c < lines.size(); c++) {
      if (lines.get(c).isEmpty() || ownRail(plan, c)) {
        continue;
      }
      Circuit circuit = plan.wiring().plans().get(c).circuit();
      boolean clocked = circuit instanceof ClockedPixels;
      PixelClass pixel =
          clocked ? ((ClockedPixels) circuit).pixel() : ((OneWirePixels) circuit).pixel();
      boolean dims = clocked && ((ClockedPixels) circuit).sort() == ClockedClass.FRAME_STARTED;
      double field = dims ? ((ClockedPixels) circuit).brightnessField() / 31.0 : 1;
      for (int channel = 0; channel < sent.get(c).size(); channel++) {
        amps += sent.get(c).at(channel) / 255.0 * field * pixel.channelMilliamps() / 1000;
      }
      amps += lines.get(c).size() * pixel.idleMilliamps() / 1000;
    }
    assertThat(plan.power().sentAmps(moment)).isCloseTo(amps, within(1e-9));
    plan.power()
        .budgetAmps()
        .filter(b -> plan.power().limiter().isPresent())
        .ifPresent(
            budget ->
                assertThat(plan.power().sentAmps(moment))
                    .isLessThanOrEqualTo(Math.max(budget, plan.power().load().darkAmps()) + 1e-9));
  }

  private static boolean ownRail(GadgetPlan plan, int circuit) {
    return plan.wiring().plans().get(circuit).circuit() instanceof OneWirePixels line
        && line.railVolts() > 0;
  }

  private static String order(Circuit circuit) {
    return circuit instanceof ClockedPixels line
        ? line.colourOrder().name()
        : ((OneWirePixels) circuit).colourOrder().name();
  }

  private static boolean takesOver(Circuit circuit) {
    return circuit instanceof OneWirePixels line
        && line.colourOrder().name().contains("W")
        && line.white() == WhiteExtraction.TAKES_OVER;
  }

  private static int factor(GadgetPlan plan, int moment) {
    return plan.sent()
        .factor(plan.show().moments().get(moment).frames().stream().mapToInt(i -> i).toArray());
  }

  private static int[] asked(GadgetPlan plan, Emitter emitter, int moment) {
    String fixture = plan.layout().fixtures().get(emitter.fixture()).id();
    for (int c = 0; c < plan.show().clips().size(); c++) {
      Clip clip = plan.show().clips().get(c);
      if (clip.fixture().equals(fixture)) {
        Picture picture =
            clip.frames().get(plan.show().moments().get(moment).frames().get(c)).picture();
        int colour = picture.colour(emitter.position().column(), emitter.position().row());
        return new int[] {colour >> 16, colour >> 8 & 255, colour & 255};
      }
    }
    return new int[3];
  }

  @Test
  void theSmallestControllerThatWouldDoIsNamedAndUsed() {
    // 7 frames of at most 24 pixels fit the smallest class, and its pins
    Gadget buoy = DemoGadgets.porchBuoy();
    Gadget large =
        GadgetPlan.of(buoy.with(buoy.brief().withController(Controller.AVR8_256K))).gadget();
    GadgetPlan plan = GadgetPlan.of(large);
    assertThat(plan.findings(Step.FIRMWARE))
        .filteredOn(f -> f.key().equals("smaller-class"))
        .singleElement()
        .satisfies(f -> assertThat(f.says()).contains("512 bytes RAM, 8 KB flash"));
    Gadget mended = plan.mended("smaller-class", "controller-8bit-8k").orElseThrow();
    assertThat(mended.brief().controller()).isEqualTo(Controller.AVR8_8K);
    assertThat(mended.circuits()).isEqualTo(buoy.circuits());
    // 800 pixels of three bytes are more than 2 KB
    Gadget wall =
        Gadget.blank("Wall")
            .with(
                Fixture.of(
                    "f1", "Wall", new Panel(40, 20, 10, 10, Corner.TOP_LEFT, false, true, 0)))
            .with(new Clip("k1", "Dark", "f1", List.of(new Frame(Picture.dark(40, 20), 100))));
    Gadget grown = GadgetPlan.of(wall).mended("ram-fits", "controller-8bit-256k").orElseThrow();
    assertThat(GadgetPlan.of(grown).firmware().orElseThrow().fits()).isTrue();
  }

  @Test
  void nothingAtAllIsOpen() {
    GadgetPlan plan = GadgetPlan.of(Gadget.blank("Empty"));
    assertThat(plan.verdict()).isEqualTo(Verdict.OPEN);
    assertThat(plan.firmware()).isEmpty();
    assertThat(plan.firmwareFiles()).isEmpty();
    assertThat(plan.seen(0)).isEmpty();
  }

  @Test
  void theDemoLanternBreaksUntilItsRemedyIsApplied() {
    GadgetPlan plan = GadgetPlan.of(DemoGadgets.tideLantern());
    assertThat(plan.verdict(Step.POWER)).isEqualTo(Verdict.BREAKS);
    assertThat(plan.findings(Step.POWER))
        .anySatisfy(f -> assertThat(f.says()).contains("frame 12 of Tide with lighthouse"));
    Finding worst =
        plan.findings(Step.POWER).stream()
            .filter(f -> f.key().equals("worst-case-current"))
            .findFirst()
            .orElseThrow();
    Gadget mended = plan.mended(worst.key(), worst.remedies().get(0).key()).orElseThrow();
    assertThat(mended.colour().brightnessPercent()).isEqualTo(13);
    assertThat(GadgetPlan.of(mended).verdict(Step.POWER)).isEqualTo(Verdict.HOLDS);
    assertThat(GadgetPlan.of(DemoGadgets.porchBuoy()).verdict()).isEqualTo(Verdict.HOLDS);
  }

  @Test
  void fixturesOffTheLineStayDarkAndAreTold() {
    Gadget lantern = DemoGadgets.tideLantern();
    GadgetPlan plan = GadgetPlan.of(lantern.with(line(lantern).withFixtures(List.of("f2"))));
    assertThat(plan.findings(Step.CIRCUITS))
        .anySatisfy(f -> assertThat(f.key()).isEqualTo("unchained-f1"));
    byte[] seen = plan.seen(0);
    assertThat(Arrays.copyOf(seen, 128 * 3)).containsOnly(0);
    assertThat(plan.power().load().emitters()).isEqualTo(40);
  }

  @Test
  void aClipFollowsTheSizeOfItsFixture() {
    Gadget lantern = DemoGadgets.tideLantern();
    Strip strip = (Strip) lantern.fixture("f2").orElseThrow().shape();
    Gadget longer = lantern.with(Fixture.of("f2", "Tide line", new Strip(50, 60, strip.path())));
    assertThat(longer.clipOn("f2").orElseThrow().frames())
        .allSatisfy(f -> assertThat(f.picture().columns()).isEqualTo(50));
    assertThat(longer.clipOn("f2").orElseThrow().frames().get(0).picture().colour(0, 0))
        .isEqualTo(lantern.clipOn("f2").orElseThrow().frames().get(0).picture().colour(0, 0));
    assertThat(line(lantern.withoutFixture("f2")).fixtures()).containsExactly("f1");
    assertThat(lantern.withoutFixture("f2").clips()).hasSize(1);
  }

  @Test
  void aFrameHeldShorterThanItsDataIsTold() {
    Fixture strip =
        Fixture.of(
            "f1", "Long", new Strip(600, 60, List.of(new Point(0, 0), new Point(10_000, 0))));
    Gadget gadget =
        Gadget.blank("Long")
            .with(strip)
            .with(
                new Clip(
                    "k1",
                    "c",
                    "f1",
                    List.of(
                        new Frame(Picture.dark(600, 1), 10), new Frame(Picture.dark(600, 1), 20))));
    assertThat(GadgetPlan.of(gadget).findings(Step.FRAMES))
        .anySatisfy(f -> assertThat(f.key()).isEqualTo("hold-too-short"));
  }

  @Test
  void tooManyEmittersAreRefused() {
    Fixture strip =
        Fixture.of("f1", "Long", new Strip(8000, 60, List.of(new Point(0, 0), new Point(1, 0))));
    Gadget gadget = Gadget.blank("Many").with(strip);
    assertThatThrownBy(() -> gadget.with(strip.renamed("f2", "More")))
        .hasMessageContaining("10\u202f000 emitters".replace("\u202f", ""));
  }
}
