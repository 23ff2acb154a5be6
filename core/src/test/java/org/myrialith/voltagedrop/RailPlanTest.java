package org.myrialith.voltagedrop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Conductor;
import org.myrialith.parts.Connector;
import org.myrialith.parts.Controller;
import org.myrialith.parts.PixelClass;
import org.myrialith.parts.Supply;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;

class RailPlanTest {
  private static final PixelClass NO_IDLE = new PixelClass(20, 0);

  private static Gadget strip(int pixels, PowerSettings power, Clip... clips) {
    Fixture strip =
        Fixture.of(
            "f1", "Strip", new Strip(pixels, 60, List.of(new Point(0, 0), new Point(9_000, 0))));
    return gadget(strip, power, clips);
  }

  private static Gadget gadget(Fixture fixture, PowerSettings power, Clip... clips) {
    return Gadgets.of(
        "G",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("adapter", 5, 60)),
        List.of(fixture),
        List.of(OneWirePixels.usual("c1", List.of("f1")).withPixel(NO_IDLE)),
        ColourSettings.USUAL,
        power,
        List.of(clips));
  }

  private static final PowerSettings PLAIN = new PowerSettings(0, PlanningBasis.WORST_CASE, 0);

  private static RailSettings rail(Conductor along, Feed... feeds) {
    return new RailSettings("c1", along, false, 0, 20, List.of(feeds));
  }

  private static Finding finding(Gadget gadget, String key) {
    return GadgetPlan.of(gadget).findings().stream()
        .filter(f -> f.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new AssertionError(key));
  }

  /**
   * Sixty pixels of 60 mA at 60 a metre on 70 µm of copper, 2.5 mm wide: 98.5 mohm a metre, 1.642
   * mohm from pixel to pixel. The last one sees 59 + 58 + … + 1 = 1770 times 60 mA through that,
   * and 3.6 A through the feed, plus and minus.
   */
  @Test
  void aMetreByHand() {
    Feed feed = new Feed(0, Conductor.MM2_0_75, 1000);
    Gadget gadget = strip(60, PLAIN.with(rail(Conductor.TRACK_70, feed)));
    RailPlan plan = GadgetPlan.of(gadget).rails().get(0);
    double gap = 0.01724e-6 / 0.175e-6 / 60;
    double wire = 0.01724e-6 / 0.75e-6;
    double lost = 2 * (1770 * 0.06 * gap + 3.6 * wire);
    assertThat(plan.worst().weakest()).isEqualTo(59);
    assertThat(plan.worst().leastVolts()).isCloseTo(5 - lost, within(0.002));
    assertThat(plan.worst().feedAmps()[0]).isCloseTo(3.6, within(1e-9));
    assertThat(finding(gadget, "rail-volts-c1").verdict()).isEqualTo(Verdict.HOLDS);
  }

  /** Minus in a plane of 20 mm, 35 µm: a quarter of the ohms of plus; the feed is alike in both. */
  @Test
  void minusHasCopperOfItsOwn() {
    Feed feed = new Feed(0, Conductor.MM2_0_75, 1000);
    RailSettings plane =
        new RailSettings(
            "c1", Conductor.TRACK_70, Optional.of(Conductor.BOARD_20), false, 0, 20, List.of(feed));
    RailPlan plan = GadgetPlan.of(strip(60, PLAIN.with(plane))).rails().get(0);
    double wire = 3.6 * 0.017241 / 0.75;
    double plus = 1770 * 0.06 * 0.017241 / 0.175 / 60;
    double minus = 1770 * 0.06 * 0.017241 / 0.7 / 60;
    assertThat(plan.worst().leastVolts()).isCloseTo(5 - plus - minus - 2 * wire, within(1e-5));
    assertThat(plan.worst().minusDrops()[59]).isCloseTo(minus + wire, within(1e-5));
    // places are found that do, with thin minus as well
    RailSettings thin =
        new RailSettings(
            "c1",
            Conductor.WIDE_TRACK_70,
            Optional.of(Conductor.BOARD_0_5),
            false,
            0,
            20,
            List.of(feed));
    Gadget gadget = strip(60, PLAIN.with(thin));
    Finding finding = finding(gadget, "rail-volts-c1");
    Gadget fed =
        GadgetPlan.of(gadget).mended(finding.key(), finding.remedies().get(0).key()).orElseThrow();
    assertThat(finding(fed, "rail-volts-c1").verdict()).isEqualTo(Verdict.HOLDS);
  }

  /**
   * 3.54 A from the first pixel to the second: a track of 1 mm and 35 µm carries 2.4 A (chart of
   * IPC-2221, outer layer, 10 K), one of 2.5 mm and 70 µm 7.7 A. A USB-C plug carries 3 A, a screw
   * 10 A (common practice).
   */
  @Test
  void tracksAndPlugsCarryWhatTheyCarry() {
    Feed usb = new Feed(0, Conductor.MM2_0_75, 1000, Connector.USB_C);
    Gadget weak = strip(60, PLAIN.with(rail(Conductor.TRACK_70, usb)));
    assertThat(finding(weak, "feed-plug-c1").verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(finding(weak, "along-current-c1").verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(finding(weak, "along-current-c1").calculations().get(0).value())
        .isCloseTo(3.54, within(1e-6));
    Feed screw = new Feed(0, Conductor.MM2_0_75, 1000, Connector.SCREW);
    Gadget board = strip(60, PLAIN.with(rail(Conductor.BOARD_1, screw)));
    assertThat(finding(board, "feed-plug-c1").verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(Conductor.BOARD_1.carriesAmps()).isCloseTo(2.4, within(0.05));
    // of what can't be carried at all, that is told alone
    assertThat(finding(board, "rail-volts-c1").verdict()).isEqualTo(Verdict.BREAKS);
    Gadget few = strip(45, PLAIN.with(rail(Conductor.BOARD_1, screw)));
    assertThat(finding(few, "along-current-c1").verdict()).isEqualTo(Verdict.BREAKS);
    // the plug of the supply carries the controller too
    PowerSettings plugged = PLAIN.withController(500);
    Gadget barrel =
        strip(
            80,
            new PowerSettings(
                0,
                plugged.basis(),
                500,
                Conductor.MM2_1,
                0,
                Connector.BARREL,
                List.of(),
                plugged.day()));
    assertThat(finding(barrel, "supply-plug").verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(finding(barrel, "supply-plug").calculations().get(0).value())
        .isCloseTo(80 * 0.06 + 0.5, within(1e-9));
  }

  /** The cable carries all that the gadget draws: 3.6 A and 0.5 A of the controller. */
  @Test
  void theCableCarriesWhatElseIsDrawn() {
    PowerSettings power =
        new PowerSettings(0, PlanningBasis.WORST_CASE, 500)
            .with(rail(Conductor.TRACK_70, new Feed(0, Conductor.MM2_0_75, 1000)));
    double plain = GadgetPlan.of(strip(60, power)).rails().get(0).worst().leastVolts();
    double behind =
        GadgetPlan.of(strip(60, power.behind(Conductor.MM2_1, 2000)))
            .rails()
            .get(0)
            .worst()
            .leastVolts();
    assertThat(plain - behind).isCloseTo(4.1 * 2 * 2 * 0.017241, within(1e-4));
  }

  /** A moment that lights the first half red only, against the same currents by hand. */
  @Test
  void aMomentIsOfWhatIsSent() {
    byte[] rgb = new byte[30];
    for (int pixel = 0; pixel < 5; pixel++) {
      rgb[3 * pixel] = (byte) 255;
    }
    Clip clip = new Clip("k1", "Red", "f1", List.of(new Frame(Picture.of(10, 1, rgb), 100)));
    Feed feed = new Feed(9, Conductor.AWG_24, 500);
    Gadget gadget = strip(10, PLAIN.with(rail(Conductor.AWG_30, feed)), clip);
    RailPlan.Course shown = GadgetPlan.of(gadget).rails().get(0).shown().orElseThrow();
    double gap = 0.339 / 60;
    // all five through the last five gaps, then 4, 3, 2, 1
    double lost = 0.02 * (5 * 5 + 4 + 3 + 2 + 1) * gap + 0.1 * 0.0842 * 0.5;
    assertThat(shown.weakest()).isZero();
    assertThat(shown.leastVolts()).isCloseTo(5 - 2 * lost, within(0.0005));
  }

  @Test
  void verdictsChangeWithOneValueAndRemediesMend() {
    Gadget far =
        strip(240, PLAIN.with(rail(Conductor.TRACK_70, new Feed(0, Conductor.MM2_1_5, 1000))));
    Finding breaks = finding(far, "rail-volts-c1");
    assertThat(breaks.verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(breaks.remedies()).isNotEmpty();
    for (var remedy : breaks.remedies()) {
      Gadget mended = GadgetPlan.of(far).mended(breaks.key(), remedy.key()).orElseThrow();
      double before = GadgetPlan.of(far).rails().get(0).worst().leastVolts();
      double after = GadgetPlan.of(mended).rails().get(0).worst().leastVolts();
      assertThat(after).as(remedy.label()).isGreaterThan(before);
    }
    Gadget fed =
        GadgetPlan.of(far).mended(breaks.key(), breaks.remedies().get(0).key()).orElseThrow();
    assertThat(finding(fed, "rail-volts-c1").verdict()).isEqualTo(Verdict.HOLDS);
    // half the pixels hold without
    Gadget half =
        strip(90, PLAIN.with(rail(Conductor.TRACK_70, new Feed(0, Conductor.MM2_1_5, 1000))));
    assertThat(finding(half, "rail-volts-c1").verdict()).isEqualTo(Verdict.HOLDS);
    // a brightness that is offered is the largest that holds
    String limit =
        breaks.remedies().stream()
            .map(r -> r.key())
            .filter(k -> k.startsWith("brightness-"))
            .findFirst()
            .orElseThrow();
    int percent = Integer.parseInt(limit.substring("brightness-".length()));
    Gadget at = far.with(far.colour().withBrightness(percent));
    Gadget above = far.with(far.colour().withBrightness(percent + 1));
    assertThat(finding(at, "rail-volts-c1").verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(finding(above, "rail-volts-c1").verdict()).isNotEqualTo(Verdict.HOLDS);
  }

  /** AWG 24 is 0.205 mm², 1.23 A at 6 A a mm²; 0.75 mm² carries 6 A (IEC 60335-1). */
  @Test
  void wiresAndFusesAreJudged() {
    Gadget thin =
        strip(60, PLAIN.with(rail(Conductor.TRACK_70, new Feed(0, Conductor.AWG_24, 200))));
    assertThat(finding(thin, "feed-current-c1").verdict()).isEqualTo(Verdict.BREAKS);
    Gadget enough =
        strip(60, PLAIN.with(rail(Conductor.TRACK_70, new Feed(0, Conductor.MM2_0_75, 200))));
    Finding finding = finding(enough, "feed-current-c1");
    assertThat(finding.verdict()).isEqualTo(Verdict.HOLDS);
    // 3.6 A are three quarters of 4.8 A: the next fuse is one of 5 A
    assertThat(finding.says().replace('\u00a0', ' ')).contains("fuse of 5 A");
  }

  @Test
  void wiresThatCollapseAreToldAsSuch() {
    Fixture wall = Fixture.of("f1", "Wall", Panel.KIND.usual());
    Panel usual = (Panel) wall.shape();
    Panel large = new Panel(90, 90, 10, 10, usual.firstCorner(), true, true, 0);
    Gadget gadget =
        gadget(
            Fixture.of("f1", "Wall", large),
            PLAIN.with(rail(Conductor.AWG_30, new Feed(0, Conductor.AWG_30, 3000))));
    Finding finding = finding(gadget, "rail-volts-c1");
    assertThat(finding.verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(finding.says()).contains("can't carry").doesNotContain("gets -");
  }

  @Test
  void badInputIsRefusedByName() {
    assertThatThrownBy(() -> new Feed(0, Conductor.AWG_24, 0))
        .hasMessageContaining("lengthMm")
        .hasMessageContaining("1");
    assertThatThrownBy(() -> new Feed(-1, Conductor.AWG_24, 10)).hasMessageContaining("at");
    assertThatThrownBy(
            () ->
                rail(
                    Conductor.TRACK_70,
                    new Feed(3, Conductor.AWG_24, 10),
                    new Feed(3, Conductor.AWG_22, 10)))
        .hasMessageContaining("feeds[1].at")
        .hasMessageContaining("another pixel");
    assertThatThrownBy(() -> PLAIN.behind(Conductor.MM2_1, Double.NaN))
        .hasMessageContaining("cableMm");
  }

  @Test
  void howAChainIsFedGoesWithIt() {
    Gadget gadget =
        strip(60, PLAIN.with(rail(Conductor.TRACK_70, new Feed(0, Conductor.AWG_20, 200))));
    Gadget gone = gadget.with(new Circuits(List.of()));
    assertThat(gone.power().rails()).isEmpty();
    // feeds behind the end of a chain that got shorter stand at its end
    Gadget shorter =
        strip(20, PLAIN.with(rail(Conductor.TRACK_70, new Feed(59, Conductor.AWG_20, 200))));
    RailPlan plan = GadgetPlan.of(shorter).rails().get(0);
    assertThat(plan.settings().feeds()).extracting(Feed::at).containsExactly(19);
    assertThat(finding(shorter, "feeds-behind-c1").says()).contains("last pixel, 19");
    assertThat(shorter.power().rails().get(0).feeds().get(0).at()).isEqualTo(59);
  }

  /** The thin strip of a small lamp is not worth a word; that of a long one is. */
  @Test
  void whatIsNotToldIsOnlySaidWhereItWouldNotDo() {
    assertThat(GadgetPlan.of(strip(20, PLAIN)).findings())
        .noneMatch(f -> f.key().startsWith("rail-volts"));
    Finding finding = finding(strip(200, PLAIN), "rail-volts-c1");
    assertThat(finding.verdict()).isEqualTo(Verdict.TIGHT);
    assertThat(finding.says()).startsWith("Power injection not entered");
  }
}
