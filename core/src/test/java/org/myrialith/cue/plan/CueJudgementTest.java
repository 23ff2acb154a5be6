package org.myrialith.cue.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.cue.Becomes;
import org.myrialith.cue.Clears;
import org.myrialith.cue.Cue;
import org.myrialith.cue.CueSheet;
import org.myrialith.cue.Ended;
import org.myrialith.cue.Every;
import org.myrialith.cue.PowerOn;
import org.myrialith.cue.Scene;
import org.myrialith.cue.Stay;
import org.myrialith.cue.Variable;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Timekeeping;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;

/** What is told of cues that can be obeyed, but not as was meant. */
class CueJudgementTest {
  private static final int PIXELS = 8;

  private static Fixture row(String id) {
    return Fixture.of(
        id, "Row " + id, new Strip(PIXELS, 60, List.of(new Point(0, 0), new Point(90, 0))));
  }

  /** One frame of a grey on some rows. */
  private static Scene scene(String id, int grey, String... rows) {
    List<Clip> clips = new ArrayList<>();
    for (String row : rows) {
      byte[] rgb = new byte[3 * PIXELS];
      Arrays.fill(rgb, (byte) grey);
      clips.add(
          new Clip("k" + id + row, id, row, List.of(new Frame(Picture.of(PIXELS, 1, rgb), 1000))));
    }
    return Scene.empty(id, "Scene " + id).with(clips, List.of(), List.of());
  }

  private static List<Finding> findings(List<Variable> values, List<Scene> scenes, Cue... cues) {
    Gadget bare =
        Gadgets.of(
            "Judged",
            "",
            Controller.AVR8_32K,
            Optional.empty(),
            List.of(row("f1"), row("f2")),
            List.of(OneWirePixels.usual("c1", List.of("f1", "f2"))),
            ColourSettings.USUAL,
            PowerSettings.USUAL,
            List.of());
    List<Scene> all = new ArrayList<>(List.of(Scene.empty("s0", "Dark")));
    all.addAll(scenes);
    return GadgetPlan.of(bare.with(new CueSheet(values, all, "s0", List.of(cues), 1)))
        .cues()
        .orElseThrow()
        .findings();
  }

  private static final Cue FIRST = Cue.showing("u1", "First", new PowerOn(), "s1");

  @ParameterizedTest
  @CsvSource({
    "x > 9, true", // beyond its end
    "x = 5 and x < 5, true", // two things at once
    "y = 1, true", // nothing ever sets it
    "y = 0, false",
    "x > 8, false",
    "hour = 23, false",
    "hour = 24, true",
    "month = 2 and day = 29, false",
    "x > y, false", // told by the values themselves only
  })
  void cuesThatNeverFireAreTold(String when, boolean never) {
    List<Variable> values =
        List.of(new Variable("x", 0, 9, 0, true), new Variable("y", 0, 9, 0, true));
    List<Finding> all =
        findings(
            values,
            List.of(scene("s1", 90, "f1"), scene("s2", 200, "f1")),
            FIRST,
            Cue.showing("u2", "Counts", new Every(500, 500), "").then("x + 1"),
            Cue.showing("u3", "Judged", new Becomes(when), "s2"));
    assertThat(all.stream().anyMatch(finding -> finding.key().equals("never-u3"))).isEqualTo(never);
  }

  @Test
  void theEndOfWhatShowsNothingNeverComes() {
    List<Finding> all =
        findings(
            List.of(new Variable("x", 0, 9, 0, true)),
            List.of(scene("s1", 90, "f1")),
            FIRST,
            Cue.showing("u2", "Counts", new Every(500, 500), "").then("x + 1"),
            Cue.showing("u3", "After", new Ended("u2"), "s1"));
    assertThat(all)
        .extracting(Finding::says)
        .contains("After never triggers: the scene it waits for shows nothing and never ends.");
  }

  /**
   * By hand: 50 ppm of 86 400 s are 4.32 s, 20 ppm are 1.73 s, a tenth is 2.4 h; a resonator of
   * half a percent is off by 7.2 minutes.
   */
  @Test
  void aClockSaysHowFarItMayBeOff() {
    Cue evening = Cue.showing("u2", "Evening", new Becomes("hour = 20"), "s1");
    List<Finding> all = findings(List.of(), List.of(scene("s1", 90, "f1")), FIRST, evening);
    Finding drift =
        all.stream().filter(f -> f.key().equals("clock-drift")).findFirst().orElseThrow();
    assertThat(drift.verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(drift.says())
        .contains(Quantity.text(4.32, "s") + " a day")
        .contains("crystal: " + Quantity.text(7.2, "min"))
        .contains("daylight saving");
    assertThat(new ClockDrift(Timekeeping.CHIP).finding().says())
        .contains(Quantity.text(1.728, "s"))
        .doesNotContain("begins anew");
    Finding tiny = new ClockDrift(Controller.AVR8_8K.timekeeping()).finding();
    assertThat(tiny.verdict()).isEqualTo(Verdict.TIGHT);
    assertThat(tiny.says()).contains(Quantity.text(2.4, "h"));
    assertThat(findings(List.of(), List.of(scene("s1", 90, "f1")), FIRST))
        .noneMatch(f -> f.key().equals("clock-drift"));
  }

  @Test
  void aSceneThatNoCueShowsIsTold() {
    assertThat(findings(List.of(), List.of(scene("s1", 90, "f1"), scene("s2", 9, "f2")), FIRST))
        .filteredOn(finding -> finding.verdict() == Verdict.OPEN)
        .extracting(Finding::says)
        .containsExactly("No cue shows the scene Scene s2.");
  }

  @ParameterizedTest
  @CsvSource({
    "NOTHING, f1 f2, f1, true",
    "SAME, f1 f2, f1, false",
    "NOTHING, f1, f1 f2, false",
    "NOTHING, f1, f2, false", // side by side
  })
  void lightThatStaysBeneathIsTold(Clears clears, String below, String above, boolean left) {
    List<Finding> all =
        findings(
            List.of(),
            List.of(scene("s1", 90, below.split(" ")), scene("s2", 200, above.split(" "))),
            FIRST,
            Cue.showing("u2", "Second", new Every(900, 900), "s2").at(0, clears));
    assertThat(all.stream().anyMatch(finding -> finding.key().equals("left-u1-u2")))
        .isEqualTo(left);
    if (left) {
      assertThat(all)
          .extracting(Finding::says)
          .contains("First stays lit under Second on Row f2: nothing clears it.");
    }
  }

  /**
   * WCAG 2.2, 2.3.1: more than three flashes in a second. A scene that comes over a dark one and
   * goes again makes one flash each time, however dim: it is compared with the most that the gadget
   * reaches.
   */
  @ParameterizedTest
  @CsvSource({
    "100, 50, 255, true",
    "240, 120, 255, true",
    "400, 200, 255, false",
    "100, 50, 30, true"
  })
  void cuesThatTakeTurnsFlash(int every, int stays, int grey, boolean flashes) {
    List<Finding> all =
        findings(
            List.of(),
            List.of(scene("s1", 0, "f1"), scene("s2", grey, "f1")),
            FIRST,
            Cue.showing("u2", "Blink", new Every(every, every), "s2")
                .at(1, Clears.NOTHING)
                .staying(Stay.TIMED, stays));
    assertThat(all.stream().anyMatch(finding -> finding.key().equals("flashes-cues")))
        .isEqualTo(flashes);
  }

  private static Cue timed(String id, String scene, int priority, Clears clears) {
    return Cue.showing(id, "Timed " + id, new Every(3_600_000, 3_600_000), scene)
        .at(priority, clears)
        .staying(Stay.TIMED, 500);
  }

  private static Cue pressed(Cue cue) {
    return new Cue(
        cue.id(),
        cue.name(),
        new Becomes("x = 1"),
        cue.only(),
        cue.then(),
        cue.scene(),
        cue.priority(),
        cue.clears(),
        cue.fadeIn(),
        cue.fadeOut(),
        cue.stay(),
        cue.stayMillis());
  }

  private static boolean dark(Cue... more) {
    List<Cue> cues = new ArrayList<>(List.of(FIRST));
    cues.addAll(List.of(more));
    return findings(
            List.of(new Variable("x", 0, 9, 0, true)),
            List.of(scene("s1", 90, "f1"), scene("s2", 200, "f1")),
            cues.toArray(Cue[]::new))
        .stream()
        .anyMatch(f -> f.key().startsWith("dark-"));
  }

  /** What a cue that passes ends, and whether anything lights afterwards by itself. */
  @Test
  void whatStaysDarkForGoodIsTold() {
    Cue flash = pressed(timed("u2", "s2", 0, Clears.SAME));
    assertThat(dark(flash)).isTrue();
    assertThat(dark(pressed(timed("u2", "s2", 1, Clears.LOWER)))).isTrue();
    assertThat(dark(pressed(timed("u2", "s2", 1, Clears.ALL)))).isTrue();
    // what it leaves comes back from beneath it
    assertThat(dark(pressed(timed("u2", "s2", 1, Clears.SAME)))).isFalse();
    assertThat(dark(pressed(timed("u2", "s2", 0, Clears.NOTHING)))).isFalse();
    // it stays itself
    assertThat(dark(flash.staying(Stay.UNTIL_CLEARED, 500))).isFalse();
    // its end, or time, brings light
    assertThat(dark(flash, Cue.showing("u3", "Back", new Ended("u2"), "s1"))).isFalse();
    assertThat(dark(flash, Cue.showing("u3", "Back", new Every(5000, 5000), "s1"))).isFalse();
    assertThat(dark(flash, Cue.showing("u3", "Back", new Becomes("minute = 3"), "s1"))).isFalse();
    assertThat(dark(flash.then("x = 2"), Cue.showing("u3", "Back", new Becomes("x = 2"), "s1")))
        .isFalse();
    // a hand may: told, though less harshly
    assertThat(dark(flash, Cue.showing("u3", "By hand", new Becomes("x = 3"), "s1"))).isTrue();
  }
}
