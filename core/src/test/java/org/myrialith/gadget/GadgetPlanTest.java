package org.myrialith.gadget;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import org.myrialith.colour.Levels;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;

class GadgetPlanTest {
  @Provide
  Arbitrary<Gadget> gadgets() {
    return GadgetSamples.all();
  }

  @Property(tries = 200)
  void everyGadgetHasAPlanAndEveryNumberItsWorking(@ForAll("gadgets") Gadget gadget) {
    GadgetPlan plan = GadgetPlan.of(gadget);
    for (Step step : Step.values()) {
      assertThat(plan.headline(step)).isNotBlank();
      for (Reckoning number : plan.reckonings(step)) {
        assertThat(number.value()).as(number.name()).isFinite();
        assertThat(number.formula()).isNotBlank();
      }
    }
    for (Finding finding : plan.findings()) {
      assertThat(finding.says()).isNotBlank().doesNotContain("null", "NaN");
    }
    assertThat(plan.findings(Step.POWER)).isNotEmpty();
  }

  @Property(tries = 100)
  void everyRemedyOfEveryFindingMendsIt(@ForAll("gadgets") Gadget gadget) {
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

  @Property(tries = 100)
  void theLevelSentIsTheTableOfWhatWasAskedInTheOrderOfTheWire(@ForAll("gadgets") Gadget gadget) {
    GadgetPlan plan = GadgetPlan.of(gadget);
    if (plan.show().moments().isEmpty() || plan.power().limiter().isPresent()) {
      return;
    }
    int moment = plan.show().moments().size() / 2;
    Levels sent = plan.sent().orElseThrow().levels(moment);
    String order = gadget.chain().orElseThrow().colourOrder().name();
    for (Emitter emitter : plan.layout().chained()) {
      int[] asked = asked(plan, emitter, moment);
      for (int position = 0; position < 3; position++) {
        int asking = emitter.dark() ? 0 : asked["RGB".indexOf(order.charAt(position))];
        int level = emitter.dark() ? 0 : plan.table().level(asking);
        assertThat(sent.at(emitter.chain() * 3 + position)).isEqualTo(level);
      }
    }
  }

  private static int[] asked(GadgetPlan plan, Emitter emitter, int moment) {
    String fixture = plan.layout().fixtures().get(emitter.fixture()).id();
    for (int c = 0; c < plan.show().clips().size(); c++) {
      Clip clip = plan.show().clips().get(c);
      if (clip.fixture().equals(fixture)) {
        Picture picture =
            clip.frames().get(plan.show().moments().get(moment).frames().get(c)).picture();
        int colour = picture.colour(emitter.place().column(), emitter.place().row());
        return new int[] {colour >> 16, colour >> 8 & 255, colour & 255};
      }
    }
    return new int[3];
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
    GadgetPlan plan =
        GadgetPlan.of(lantern.withChain(lantern.chain().orElseThrow().withFixtures(List.of("f2"))));
    assertThat(plan.findings(Step.CIRCUITS))
        .anySatisfy(f -> assertThat(f.key()).isEqualTo("unchained-f1"));
    byte[] seen = plan.seen(0);
    assertThat(Arrays.copyOf(seen, 128 * 3)).containsOnly(0);
    assertThat(plan.power().load().pixels()).isEqualTo(40);
  }

  @Test
  void aClipFollowsTheSizeOfItsFixture() {
    Gadget lantern = DemoGadgets.tideLantern();
    Strip strip = (Strip) lantern.fixture("f2").orElseThrow().shape();
    Gadget longer =
        lantern.withFixture(Fixture.of("f2", "Tide line", new Strip(50, 60, strip.path())));
    assertThat(longer.clipOn("f2").orElseThrow().frames())
        .allSatisfy(f -> assertThat(f.picture().columns()).isEqualTo(50));
    assertThat(longer.clipOn("f2").orElseThrow().frames().get(0).picture().colour(0, 0))
        .isEqualTo(lantern.clipOn("f2").orElseThrow().frames().get(0).picture().colour(0, 0));
    assertThat(lantern.withoutFixture("f2").chain().orElseThrow().fixtures()).containsExactly("f1");
    assertThat(lantern.withoutFixture("f2").clips()).hasSize(1);
  }

  @Test
  void aFrameHeldShorterThanItsDataIsTold() {
    Fixture strip =
        Fixture.of(
            "f1", "Long", new Strip(600, 60, List.of(new Point(0, 0), new Point(10_000, 0))));
    Gadget gadget =
        Gadget.blank("Long")
            .withFixture(strip)
            .withClip(
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
    Gadget gadget = Gadget.blank("Many").withFixture(strip);
    assertThatThrownBy(() -> gadget.withFixture(strip.renamed("f2", "More")))
        .hasMessageContaining("10\u202f000 emitters".replace("\u202f", ""));
  }
}
