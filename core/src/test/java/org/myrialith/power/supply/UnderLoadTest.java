package org.myrialith.power.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.circuit.Circuit;
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
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Conductor;
import org.myrialith.parts.Connector;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Converter;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.PixelClass;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.DailyUse;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;
import org.myrialith.voltagedrop.Feed;
import org.myrialith.voltagedrop.RailPlan;
import org.myrialith.voltagedrop.RailSettings;

/** What is left of the volts where current flows, each case by hand with Ohm's law. */
class UnderLoadTest {
  private static final PowerSettings FRAMES = new PowerSettings(0, PlanningBasis.THESE_FRAMES, 0);

  private static Fixture strip(String id, int pixels) {
    return Fixture.of(id, id, new Strip(pixels, 60, List.of(new Point(0, 0), new Point(9_000, 0))));
  }

  private static Gadget gadget(
      Supply supply, PowerSettings power, List<Circuit> circuits, int pixels, Clip... clips) {
    List<Fixture> fixtures = new ArrayList<>();
    circuits.forEach(c -> fixtures.add(strip(c.fixtures().get(0), pixels)));
    return Gadgets.of(
        "G",
        "",
        Controller.AVR8_32K,
        Optional.of(supply),
        fixtures,
        circuits,
        ColourSettings.USUAL,
        power,
        List.of(clips));
  }

  private static List<Circuit> line() {
    return List.of(OneWirePixels.usual("c1", List.of("f1")).withPixel(new PixelClass(20, 0)));
  }

  /** White from one pixel to before another, the rest dark. */
  private static Frame lit(int pixels, int from, int to) {
    byte[] rgb = new byte[3 * pixels];
    for (int i = 3 * from; i < 3 * to; i++) {
      rgb[i] = (byte) 255;
    }
    return new Frame(Picture.of(pixels, 1, rgb), 500);
  }

  private static Finding finding(Gadget gadget, String key) {
    return GadgetPlan.of(gadget).findings().stream()
        .filter(f -> f.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new AssertionError(key));
  }

  /**
   * 80 of 150 pixels near the feed draw more than 70 far from it, and leave the far end more: a
   * segment carries what is lit behind it.
   */
  @Test
  void theFrameThatDrawsMostIsNotTheLowest() {
    Feed feed = new Feed(0, Conductor.MM2_4, 100);
    RailSettings rail = new RailSettings("c1", Conductor.TRACK_70, false, 0, 20, List.of(feed));
    Clip clip = new Clip("k1", "C", "f1", List.of(lit(150, 0, 80), lit(150, 80, 150)));
    Gadget gadget = gadget(new Supply("A", 5, 60), FRAMES.with(rail), line(), 150, clip);
    GadgetPlan plan = GadgetPlan.of(gadget);
    double gap = Conductor.TRACK_70.ohmsPerMetre(20) / 60;
    double wire = Conductor.MM2_4.ohmsPerMetre(20) * 0.1;
    double lost = 0;
    for (int segment = 1; segment < 150; segment++) {
      lost += gap * 0.06 * Math.min(70, 150 - segment);
    }
    double volts = 5 - 2 * (lost + wire * 70 * 0.06);
    RailPlan of = plan.rails().get(0);
    assertThat(plan.power().peakMoment()).isZero();
    assertThat(of.moment()).isEqualTo(1);
    assertThat(of.shown().orElseThrow().leastVolts()).isCloseTo(volts, within(1e-6));
    // the feed carries the other frame's 4.8 A at the most
    assertThat(of.shown().orElseThrow().feedAmps()[0]).isCloseTo(80 * 0.06, within(1e-6));
  }

  /** 3.6 A through a cord of 0.14 mm², which carries 0.84 A. */
  @Test
  void theCableOfTheSupplyIsJudged() {
    Gadget thin =
        gadget(
            new Supply("A", 5, 10), FRAMES.behind(Conductor.MM2_0_14, 200), line(), 60, white(60));
    assertThat(finding(thin, "supply-cable").verdict()).isEqualTo(Verdict.BREAKS);
    Gadget thick =
        gadget(new Supply("A", 5, 10), FRAMES.behind(Conductor.MM2_1, 200), line(), 60, white(60));
    assertThat(finding(thick, "supply-cable").verdict()).isEqualTo(Verdict.HOLDS);
  }

  private static Clip white(int pixels) {
    return new Clip("k1", "C", "f1", List.of(lit(pixels, 0, pixels)));
  }

  /** Two contacts of 30 mohm in a barrel plug and 3.6 A: 216 mV, with no cable to speak of. */
  @Test
  void contactsHaveOhms() {
    PowerSettings plug =
        new PowerSettings(
            0,
            PlanningBasis.THESE_FRAMES,
            0,
            Conductor.MM2_1,
            0,
            Connector.BARREL,
            List.of(),
            DailyUse.ALWAYS);
    Gadget gadget = gadget(new Supply("A", 5, 10), plug, line(), 60, white(60));
    RailPlan rail = GadgetPlan.of(gadget).rails().get(0);
    assertThat(rail.shown().orElseThrow().startVolts()).isCloseTo(5 - 0.216, within(1e-6));
  }

  /** 12 V, 1.5 V drop-out, 1.2 A through 3.15 ohm of cable: 8.22 V are left of 9 wanted. */
  @Test
  void chainsBeginWithWhatARegulatorInDropOutGives() {
    Converter linear = new Converter("reg", ConverterSort.LINEAR, "supply", 9, 3, 100, 1.5, 0, 60);
    SupplyTree tree = new SupplyTree(List.of(), List.of(linear), "reg", "reg", List.of());
    Gadget gadget =
        gadget(
            new Supply("A", 12, 10), FRAMES.behind(Conductor.AWG_30, 4000), line(), 20, white(20));
    gadget = gadget.with(gadget.brief().with(tree));
    double cable = 2 * Conductor.AWG_30.ohmsPerMetre(20) * 4;
    double volts = 12 - 1.2 * cable - 1.5;
    assertThat(volts).isLessThan(9);
    RailPlan rail = GadgetPlan.of(gadget).rails().get(0);
    assertThat(rail.shown().orElseThrow().startVolts()).isCloseTo(volts, within(1e-6));
  }

  /** Behind a switch as before it; cells lose what they have inside: 0.1 ohm of a lithium cell. */
  @Test
  void chainsBeginBehindWhatCellsLose() {
    SupplyTree tree = SupplyTree.NONE.with(ConverterSort.SWITCH).with(ConverterSort.CHARGER);
    Gadget gadget =
        gadget(new Supply("Cell", 3.7, 2, SupplyKind.LITHIUM, 3000), FRAMES, line(), 20, white(20));
    gadget = gadget.with(gadget.brief().with(tree));
    RailPlan rail = GadgetPlan.of(gadget).rails().get(0);
    double idle = ConverterSort.CHARGER.usual("c", "s", 0, 1).idleMilliamps() * 1e-3;
    assertThat(rail.shown().orElseThrow().startVolts())
        .isCloseTo(3.7 - 0.1 * (1.2 + idle), within(1e-6));
  }

  /** A regulator without a thermal resistance is one in its usual package of 60 K/W. */
  @Test
  void aRegulatorWithoutThermalResistanceIsNotCold() {
    Converter linear = new Converter("reg", ConverterSort.LINEAR, "supply", 5, 3, 100, 1.5, 0, 0);
    SupplyTree tree = new SupplyTree(List.of(), List.of(linear), "reg", "reg", List.of());
    Gadget gadget = gadget(new Supply("A", 12, 10), FRAMES, line(), 20, white(20));
    Finding heat = finding(gadget.with(gadget.brief().with(tree)), "converter-heat-reg");
    assertThat(heat.verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(heat.calculations().get(0).value()).isCloseTo(25 + 60 * 7 * 1.2, within(1e-6));
  }

  /** 3 A from 230 mAh is 13 C; 1.5 C is a strain, 0.5 C none. */
  @ParameterizedTest
  @CsvSource({"50, 230, BREAKS", "20, 800, TIGHT", "20, 3000, HOLDS"})
  void lithiumGivesItsCapacityAnHour(int pixels, double milliampHours, Verdict verdict) {
    Gadget gadget =
        gadget(
            new Supply("Cell", 3.7, 3, SupplyKind.LITHIUM, milliampHours),
            FRAMES,
            line(),
            pixels,
            white(pixels));
    gadget = gadget.with(gadget.brief().at(ClockRate.MHZ_8));
    assertThat(finding(gadget, "cell-pulse").verdict()).isEqualTo(verdict);
  }

  @ParameterizedTest
  @CsvSource({"1, 800, BREAKS", "0.5, 800, TIGHT", "1, 3000, HOLDS"})
  void lithiumIsChargedWithHalfItsCapacityAnHour(
      double amps, double milliampHours, Verdict verdict) {
    Converter charger =
        new Converter("board", ConverterSort.CHARGER, "supply", 0, amps, 100, 0, 0.05, 0);
    SupplyTree tree = new SupplyTree(List.of(), List.of(charger), "board", "board", List.of());
    Gadget gadget =
        gadget(
            new Supply("Cell", 3.7, 3, SupplyKind.LITHIUM, milliampHours),
            FRAMES,
            line(),
            5,
            white(5));
    gadget = gadget.with(gadget.brief().with(tree));
    boolean told =
        GadgetPlan.of(gadget).findings().stream().anyMatch(f -> f.key().equals("charge-rate"));
    assertThat(told).isEqualTo(verdict != Verdict.HOLDS);
    if (told) {
      assertThat(finding(gadget, "charge-rate").verdict()).isEqualTo(verdict);
    }
  }

  /**
   * A circuit of 12 V pixels behind a step-up converter of 80 %: 10 pixels of 60 mA are 7.2 W, 9 W
   * before it, lit for half of the show.
   */
  @Test
  void whatHangsOnARailOfItsOwnCounts() {
    OneWirePixels five = OneWirePixels.usual("c1", List.of("f1")).withPixel(new PixelClass(20, 0));
    OneWirePixels twelve =
        OneWirePixels.usual("c2", List.of("f2"))
            .onPins(List.of("D2"))
            .withPixel(new PixelClass(20, 0))
            .onRail(12);
    Converter boost = new Converter("twelve", ConverterSort.BOOST, "supply", 12, 3, 80, 0, 0, 25);
    SupplyTree tree =
        new SupplyTree(
            List.of(),
            List.of(boost),
            "supply",
            "supply",
            List.of(new SupplyTree.Draw("c2", "twelve", 0)));
    Clip on = new Clip("k2", "C", "f2", List.of(lit(10, 0, 10), lit(10, 0, 0)));
    Clip dark = new Clip("k1", "C", "f1", List.of(lit(10, 0, 0)));
    Gadget gadget = gadget(new Supply("A", 5, 10), FRAMES, List.of(five, twelve), 10, dark, on);
    gadget = gadget.with(gadget.brief().with(tree));
    TreePlan plan = GadgetPlan.of(gadget).tree().orElseThrow();
    assertThat(plan.peak().node("supply").amps()).isCloseTo(9 / 5.0, within(1e-9));
    assertThat(plan.mean().node("supply").amps()).isCloseTo(4.5 / 5, within(1e-9));
    assertThat(finding(gadget, "rail-c2").verdict()).isEqualTo(Verdict.HOLDS);
  }

  /**
   * Behind a step-up converter of 90 % that makes 5 V of 20 white pixels, 6 W: at the end of the
   * cell's life 3.0 V are left behind its 0.1 ohm, so 6.667 W ÷ 3.0 V = 2.222 A flow and it has
   * 3.222 V at rest: of its curve from 3.35 V at 95 % to 3.00 V at 100 %, 96.8 % are used.
   */
  @Test
  void theEndOfACellIsFoundWithTheCurrentAtItsEnd() {
    BatteryLife life = life(2000, 0);
    double atRest = 3.0 + 0.1 * (6 / 0.9 / 3.0);
    double used = 0.95 + 0.05 * (3.35 - atRest) / (3.35 - 3.00);
    assertThat(life.usable()).isCloseTo(used, within(1e-4));
    assertThat(life.end()).isEqualTo(BatteryLife.End.EMPTY);
  }

  /** What is told to be enough is enough when it is entered, and a tenth less is not. */
  @ParameterizedTest
  @CsvSource({"1, 2000", "5, 2000", "9.5, 1500", "48, 6000"})
  void aPromisedCapacityLastsAsLongAsIsWanted(double hours, double milliampHours) {
    double needed = life(milliampHours, hours).neededMilliampHours(hours).orElseThrow();
    assertThat(life(needed, hours).showHours()).isGreaterThanOrEqualTo(hours);
    assertThat(life(0.9 * needed, hours).showHours()).isLessThan(hours);
  }

  private static BatteryLife life(double milliampHours, double wanted) {
    Converter boost = new Converter("five", ConverterSort.BOOST, "supply", 5, 3, 90, 0, 0, 25);
    SupplyTree tree = new SupplyTree(List.of(), List.of(boost), "five", "five", List.of());
    Gadget gadget =
        gadget(
            new Supply("Cell", 3.7, 3, SupplyKind.LITHIUM, milliampHours),
            FRAMES.with(new DailyUse(24, 0, 0.1, wanted)),
            line(),
            20,
            white(20));
    gadget = gadget.with(gadget.brief().with(tree));
    return new BatteryLife(GadgetPlan.of(gadget).tree().orElseThrow());
  }
}
