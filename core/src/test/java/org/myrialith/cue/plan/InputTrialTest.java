package org.myrialith.cue.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Press;
import org.myrialith.cue.Scene;
import org.myrialith.cue.Stay;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.input.Input;
import org.myrialith.input.InputList;
import org.myrialith.input.InputSort;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;

/** What hands set off, and what scenes draw while one comes over another. */
class InputTrialTest {
  private static final int PIXELS = 10;

  private static Fixture row(String id) {
    return Fixture.of(
        id, "Row " + id, new Strip(PIXELS, 60, List.of(new Point(0, 0), new Point(90, 0))));
  }

  private static Clip clip(String id, String row, int rgb, int millis) {
    byte[] cells = new byte[3 * PIXELS];
    for (int i = 0; i < cells.length; i++) {
      cells[i] = (byte) (rgb >> 16 - 8 * (i % 3));
    }
    return new Clip(id, id, row, List.of(new Frame(Picture.of(PIXELS, 1, cells), millis)));
  }

  private static Scene scene(String id, Clip... clips) {
    return Scene.empty(id, "Scene " + id).with(List.of(clips), List.of(), List.of());
  }

  private static GadgetPlan plan(
      double amps, PowerSettings power, List<Scene> scenes, Cue... cues) {
    Gadget bare =
        Gadgets.of(
            "Tried",
            "",
            Controller.AVR8_32K,
            Optional.of(new Supply("port", 5, amps)),
            List.of(row("f1"), row("f2")),
            List.of(OneWirePixels.usual("c1", List.of("f1", "f2"))),
            new ColourSettings(new Transfer.PowerLaw(1), 100),
            power,
            List.of());
    Input button = new Input("Button", InputSort.BUTTONS_UP, "D4", 1, 5, 4, 3);
    List<Scene> all = new ArrayList<>(List.of(Scene.empty("s0", "Dark")));
    all.addAll(scenes);
    return GadgetPlan.of(
        bare.with(bare.circuits().with(new InputList(List.of(button))))
            .with(new CueSheet(List.of(), all, "s0", List.of(cues), 1)));
  }

  /** So many lights of 40 ms, dark between, and dark for a while: by itself that is safe. */
  private static Clip blinking(int lights) {
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < 2 * lights - 1; f++) {
      int rgb = f % 2 == 0 ? 0xffffff : 0;
      frames.add(new Frame(clip("k1", "f1", rgb, 40).frames().get(0).picture(), 40));
    }
    frames.add(new Frame(clip("k1", "f1", 0, 40).frames().get(0).picture(), 900));
    return new Clip("k1", "Blinks", "f1", frames);
  }

  private static InputTrial trial(GadgetPlan plan) {
    return ((CuesStep) plan.step(Step.CUES)).trial().orElseThrow();
  }

  private static List<SceneOverlap.Pair> pairs(GadgetPlan plan) {
    return ((CuesStep) plan.step(Step.CUES)).crossings().pairs();
  }

  /**
   * Lights for 40 ms at each press, just under three presses a second; held, it comes again five
   * times a second. More than three flashes are told (WCAG 2.3.1).
   */
  @ParameterizedTest
  @CsvSource({
    "DOWN, 1, 0, ''",
    "DOWN, 2, 0, Button pressed repeatedly",
    "AGAIN, 1, 0, Button held",
    "AGAIN, 1, 5000, ''", // it comes softly, and never gets bright
    "LONG, 1, 0, ''",
  })
  void flashesThatHandsSetOffAreTold(Press.How how, int lights, int fade, String told) {
    GadgetPlan plan =
        plan(
            3,
            PowerSettings.USUAL,
            List.of(scene("s1", blinking(lights))),
            Cue.showing("u1", "Flash", new Press("Button", 1, how), "s1")
                .fading(fade, 0)
                .staying(Stay.ONCE, 1));
    List<String> findings =
        plan.findings(Step.CUES).stream()
            .filter(finding -> finding.key().startsWith("flashes-hands"))
            .map(Finding::says)
            .toList();
    if (told.isEmpty()) {
      assertThat(findings).isEmpty();
    } else {
      assertThat(findings).hasSize(1).first().asString().startsWith(told + ": more than three");
    }
    assertThat(trial(plan).whole()).isTrue();
  }

  private static final List<Scene> THREE =
      List.of(
          scene("s1", clip("k1", "f1", 0xffffff, 1000)),
          scene("s2", clip("k2", "f2", 0xff0000, 1000)),
          scene("s3", clip("k3", "f1", 0x00ff00, 700)));

  private static Cue[] comeAndGo() {
    return new Cue[] {
      Cue.showing("u1", "One", new PowerOn(), "s1").at(0, Clears.NOTHING),
      Cue.showing("u2", "Two", new Press("Button", 1, Press.How.DOWN), "s2")
          .at(1, Clears.NOTHING)
          .fading(300, 300)
          .staying(Stay.TIMED, 900),
      Cue.showing("u3", "Three", new Press("Button", 1, Press.How.UP), "s3")
          .at(2, Clears.NOTHING)
          .fading(400, 300)
          .staying(Stay.TIMED, 700)
    };
  }

  /**
   * By hand: ten pixels of 20 mA a channel are 600 mA white and 200 mA red or green. White beside
   * red are 800; green over white is never more than white; red beside green are 400.
   */
  @Test
  void scenesThatCrossDrawWhatTheyDoByHand() {
    GadgetPlan plan = plan(3, PowerSettings.USUAL, THREE, comeAndGo());
    double dark = plan.power().darkAmps();
    assertThat(pairs(plan))
        .extracting(pair -> pair.one() + pair.other())
        .containsExactly("s1s2", "s1s3", "s2s3");
    List<Double> amps = List.of(0.8, 0.6, 0.4);
    for (int i = 0; i < 3; i++) {
      assertThat(pairs(plan).get(i).amps() - dark).isCloseTo(amps.get(i), within(1e-9));
    }
    // all at once: white beside red, whatever lies under the white
    assertThat(((CuesStep) plan.step(Step.CUES)).crossings().allAmps() - dark)
        .isCloseTo(0.8, within(1e-9));
    // what is really sent comes to that, and never above
    InputTrial.Part most = trial(plan).most().orElseThrow();
    assertThat(most.peakAmps() - dark).isCloseTo(0.8, within(1e-9));
  }

  @Test
  void aCrossingBeyondTheSupplyIsToldUnlessTheLimiterKeepsWithin() {
    GadgetPlan plan = plan(0.75, PowerSettings.USUAL, THREE, comeAndGo());
    assertThat(plan.findings(Step.CUES))
        .extracting(Finding::key)
        .contains("cues-crossing", "hands-current");
    GadgetPlan limited =
        plan(0.75, new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20), THREE, comeAndGo());
    assertThat(limited.findings(Step.CUES))
        .extracting(Finding::key)
        .doesNotContain("cues-crossing");
    assertThat(pairs(limited).get(0).amps()).isCloseTo(0.6, within(1e-9));
    assertThat(trial(limited).most().orElseThrow().peakAmps()).isBetween(0.5, 0.6 + 1e-9);
  }

  /** Let go half-way and pressed again, it comes on from where it is, without a jump. */
  @Test
  void aCueThatComesAgainGoesOnFromWhereItIs() {
    GadgetPlan plan =
        plan(
            3,
            PowerSettings.USUAL,
            List.of(scene("s1", clip("k1", "f1", 0xffffff, 1000))),
            Cue.showing("u1", "Glow", new Press("Button", 1, Press.How.DOWN), "s1")
                .fading(1000, 1000)
                .staying(Stay.WHILE, 1));
    CueEngine engine = new CueEngine(plan.cueTable().orElseThrow());
    int before = 0;
    int most = 0;
    while (engine.nowMillis() < 4000) {
      int now = engine.nowMillis();
      boolean held = now < 1400 || now >= 1700 && now < 1800 || now >= 2000;
      engine.tick(new int[] {held ? 1 : 0});
      int level = engine.levels().get(0).at(0);
      assertThat(Math.abs(level - before)).as("at %d ms", now).isLessThan(16);
      before = level;
      most = Math.max(most, level);
    }
    assertThat(most).isEqualTo(255);
    assertThat(before).isEqualTo(255);
  }

  /** More than can be looked through is told, not passed over. */
  @Test
  void aTrialThatIsCutShortSaysSo() {
    byte[] cells = new byte[3 * PIXELS];
    List<Frame> frames = new ArrayList<>();
    for (int f = 0; f < 100; f++) {
      Arrays.fill(cells, (byte) (f + 1));
      frames.add(new Frame(Picture.of(PIXELS, 1, cells.clone()), 10));
    }
    Scene busy = scene("s1", new Clip("k1", "Busy", "f1", frames));
    Cue[] cues =
        IntStream.range(0, 2)
            .mapToObj(
                i ->
                    Cue.showing("u" + i, "Busy " + i, new Press("Button", 1, Press.How.DOWN), "s1"))
            .toArray(Cue[]::new);
    GadgetPlan plan = plan(3, PowerSettings.USUAL, List.of(busy), cues);
    CueTable table = plan.cueTable().orElseThrow();
    InputTrial cut = InputTrial.of(table, plan.cues().orElseThrow(), 0, 1000);
    assertThat(cut.whole()).isFalse();
    assertThat(cut.millis()).isLessThan(trial(plan).millis());
    CuesStep step =
        new CuesStep(plan.cues(), List.of(), SceneOverlap.NONE, Optional.of(cut), Optional.empty());
    assertThat(step.findings()).extracting(Finding::key).contains("tried-in-part");
  }
}
