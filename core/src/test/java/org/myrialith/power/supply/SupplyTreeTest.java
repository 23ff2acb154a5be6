package org.myrialith.power.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Conductor;
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
import org.myrialith.tool.CircuitSimulator;
import org.myrialith.tool.Gadgets;

/** Supplies, converters and cells, by hand and by the circuit simulator. */
class SupplyTreeTest {
  @TempDir Path folder;

  private static final Supply TWELVE = new Supply("Adapter", 12, 2);

  private static SupplyTree tree(String lights, Converter... converters) {
    return new SupplyTree(List.of(), List.of(converters), lights, lights, List.of());
  }

  private static Converter linear(String name, String from, double volts) {
    return new Converter(name, ConverterSort.LINEAR, from, volts, 1, 100, 1.5, 0, 60);
  }

  /** 12 V to 5 V at 200 mA: 1.4 W, 84 K over the room at 60 K/W (common practice). */
  @Test
  void aLinearRegulatorTurnsTheRestIntoHeat() {
    TreeState state =
        TreeState.of(tree("five", linear("five", "supply", 5)), TWELVE, 0, Map.of("five", 0.2));
    TreeState.Node node = state.node("five");
    assertThat(node.lostWatts()).isCloseTo(1.4, within(1e-12));
    assertThat(node.lostWatts() * 60).isCloseTo(84, within(1e-9));
    // amperes pass through it
    assertThat(state.node("supply").amps()).isCloseTo(0.2, within(1e-12));
  }

  /** Watts pass through what converts: 5 V · 0.6 A ÷ 0.9 ÷ 12 V. */
  @Test
  void wattsPassThroughAStepDownConverter() {
    Converter buck = new Converter("five", ConverterSort.BUCK, "supply", 5, 2, 90, 1, 0, 25);
    TreeState state = TreeState.of(tree("five", buck), TWELVE, 0, Map.of("five", 0.6));
    assertThat(state.node("supply").amps()).isCloseTo(5 * 0.6 / 0.9 / 12, within(1e-12));
    assertThat(state.node("five").lostWatts()).isCloseTo(3 / 0.9 - 3, within(1e-12));
  }

  /** 90 % of little, 80 % of its 2 A: 85 % of 1 A. 5 W ÷ 0.85 ÷ 12 V, by hand. */
  @Test
  void whatComesOutGoesWithTheLoad() {
    Converter buck = new Converter("five", ConverterSort.BUCK, "supply", 5, 2, 90, 80, 1, 0, 25);
    TreeState half = TreeState.of(tree("five", buck), TWELVE, 0, Map.of("five", 1.0));
    assertThat(half.node("supply").amps()).isCloseTo(0.490196, within(1e-6));
    TreeState full = TreeState.of(tree("five", buck), TWELVE, 0, Map.of("five", 2.0));
    assertThat(full.node("supply").amps()).isCloseTo(10 / 0.8 / 12, within(1e-12));
    TreeState over = TreeState.of(tree("five", buck), TWELVE, 0, Map.of("five", 4.0));
    assertThat(over.node("supply").amps()).isCloseTo(20 / 0.8 / 12, within(1e-12));
  }

  /** Through a cable that loses volts, what converts draws the more: 16.7 W behind 0.5 ohm. */
  @ParameterizedTest
  @CsvSource({"0.5, 3, 0.2", "0.1, 3, 1", "1.2, 2, 0.05", "0.03, 8, 2"})
  void whatACableLeavesIsThatOfTheCircuitSimulator(double ohms, double amps, double straight)
      throws IOException {
    Converter buck = new Converter("five", ConverterSort.BUCK, "supply", 5, 10, 90, 1, 4, 25);
    TreeState state =
        TreeState.of(tree("five", buck), TWELVE, ohms, Map.of("five", amps, "supply", straight));
    double watts = 5 * amps / 0.9;
    Map<String, Double> simulated =
        CircuitSimulator.figures(
            folder,
            """
            a converter behind a cable
            V1 in 0 12
            R1 in out %s
            I1 out 0 %s
            B1 out 0 I = %s/max(V(out),1)
            .options reltol=1e-9 vntol=1e-12 abstol=1e-14
            .nodeset v(out)=12
            """
                .formatted(ohms, straight + 0.004, watts),
            List.of("v(out)"));
    assertThat(state.node("supply").volts()).isCloseTo(simulated.get("v(out)"), within(1e-5));
  }

  /** Beyond V² ÷ 4R nothing more comes through: 12 V behind 1 ohm give 36 W at most. */
  @Test
  void whatCannotBeCarriedIsToldAsSuch() {
    assertThat(TreeState.terminal(12, 1, 0, 35.9)).isCloseTo(6.316, within(0.001));
    assertThat(TreeState.terminal(12, 1, 0, 36.1)).isZero();
    assertThat(TreeState.terminal(12, 1, 12.1, 0)).isZero();
  }

  /** One behind the other, and beside each other, against the simulator. */
  @Test
  void aTreeOfThreeIsThatOfTheCircuitSimulator() throws IOException {
    Converter boost = new Converter("nine", ConverterSort.BOOST, "supply", 9, 2, 85, 0, 5, 25);
    Converter low = linear("five", "nine", 5);
    Converter beside = linear("three", "supply", 3.3);
    SupplyTree tree = tree("five", boost, low, beside);
    TreeState state =
        TreeState.of(
            tree, new Supply("Pack", 5, 3), 0.15, Map.of("nine", 0.1, "five", 0.12, "three", 0.08));
    double watts = 9 * (0.1 + 0.12) / 0.85;
    Map<String, Double> simulated =
        CircuitSimulator.figures(
            folder,
            """
            a tree of three
            V1 in 0 5
            R1 in out 0.15
            I1 out 0 %s
            B1 out 0 I = %s/max(V(out),1)
            .options reltol=1e-9 vntol=1e-12 abstol=1e-14
            .nodeset v(out)=5
            """
                .formatted(0.005 + 0.08, watts),
            List.of("v(out)", "i(v1)"));
    assertThat(state.node("supply").volts()).isCloseTo(simulated.get("v(out)"), within(1e-6));
    assertThat(state.node("supply").amps()).isCloseTo(-simulated.get("i(v1)"), within(1e-6));
    assertThat(state.node("three").volts()).isCloseTo(3.3, within(1e-9));
  }

  /** A regulator that wants 6.5 V and gets 6 V follows with 4.5 V. */
  @Test
  void whatDropsOutFollows() {
    TreeState state =
        TreeState.of(
            tree("five", linear("five", "supply", 5)),
            new Supply("Pack", 6, 1),
            0,
            Map.of("five", 0.1));
    assertThat(state.node("five").volts()).isCloseTo(4.5, within(1e-12));
  }

  @Test
  void whatMakesNoTreeIsRefusedByName() {
    assertThatThrownBy(() -> tree("a", linear("a", "b", 5), linear("b", "a", 3)))
        .hasMessageContaining("converters[0].from")
        .hasMessageContaining("each path must start at a supply");
    assertThatThrownBy(() -> tree("supply", linear("a", "nowhere", 5)))
        .hasMessageContaining("converters[0].from")
        .hasMessageContaining("nowhere")
        .hasMessageContaining("supply");
    assertThatThrownBy(() -> tree("b", linear("a", "supply", 5))).hasMessageContaining("lights");
    assertThatThrownBy(() -> linear("a", "supply", 0)).hasMessageContaining("volts");
    assertThatThrownBy(() -> new Supply("s", 0, 1)).hasMessageContaining("volts");
  }

  private static Gadget gadget(int pixels, Supply supply, SupplyTree tree, PowerSettings power) {
    Fixture strip =
        Fixture.of(
            "f1", "Strip", new Strip(pixels, 60, List.of(new Point(0, 0), new Point(9_000, 0))));
    Gadget gadget =
        Gadgets.of(
            "G",
            "",
            Controller.AVR8_32K,
            Optional.of(supply),
            List.of(strip),
            List.of(OneWirePixels.usual("c1", List.of("f1")).withPixel(new PixelClass(20, 1))),
            ColourSettings.USUAL,
            power,
            List.of());
    return gadget.with(gadget.brief().with(tree));
  }

  private static Finding finding(Gadget gadget, String key) {
    return GadgetPlan.of(gadget).findings().stream()
        .filter(f -> f.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new AssertionError(key));
  }

  private static final PowerSettings PLAIN = new PowerSettings(0, PlanningBasis.WORST_CASE, 20);

  /** Ten pixels of 60 mA and the controller: 620 mA behind a regulator of 7 V to lose: 4.3 W. */
  @Test
  void verdictsChangeWithOneValue() {
    Gadget hot = gadget(10, TWELVE, tree("five", linear("five", "supply", 5)), PLAIN);
    assertThat(finding(hot, "converter-heat-five").verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(finding(hot, "converter-five").verdict()).isEqualTo(Verdict.HOLDS);
    Converter buck = ConverterSort.BUCK.usual("five", "supply", 5, 2);
    assertThat(
            finding(gadget(10, TWELVE, tree("five", buck), PLAIN), "converter-heat-five").verdict())
        .isEqualTo(Verdict.HOLDS);
    // straight on 12 V the controller and pixels of 5 V die
    Gadget straight = gadget(10, TWELVE, SupplyTree.NONE, PLAIN);
    assertThat(finding(straight, "controller-volts").verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(finding(straight, "pixel-volts").verdict()).isEqualTo(Verdict.BREAKS);
    // lights are judged by what the converter gives
    assertThat(
            finding(gadget(40, TWELVE, tree("five", buck), PLAIN), "worst-case-current").verdict())
        .isEqualTo(Verdict.BREAKS);
    // a step-up converter can't step down, a regulator wants its drop-out
    assertThat(
            finding(
                    gadget(
                        10,
                        TWELVE,
                        tree("five", ConverterSort.BOOST.usual("five", "supply", 5, 2)),
                        PLAIN),
                    "converter-five")
                .verdict())
        .isEqualTo(Verdict.BREAKS);
    assertThat(
            finding(
                    gadget(
                        10,
                        new Supply("Pack", 6, 2),
                        tree("five", linear("five", "supply", 5)),
                        PLAIN),
                    "converter-five")
                .verdict())
        .isEqualTo(Verdict.BREAKS);
  }

  /** Names of any script stay apart. */
  @Test
  void nodesAreToldApartByAnyName() {
    Gadget gadget =
        gadget(10, TWELVE, tree("漁", linear("火", "supply", 8), linear("漁", "火", 5)), PLAIN);
    List<String> keys =
        GadgetPlan.of(gadget).findings().stream()
            .map(Finding::key)
            .filter(k -> k.startsWith("converter"))
            .toList();
    assertThat(keys).hasSize(4).doesNotHaveDuplicates();
  }

  /** A cable of 5 m of 0.14 mm² leaves nothing of 5 V at 6 A: 1.23 ohm there and back. */
  @Test
  void aThinCableCannotCarry() {
    Gadget far =
        gadget(
            100,
            new Supply("Adapter", 5, 10),
            SupplyTree.NONE,
            PLAIN.behind(Conductor.MM2_0_14, 5000));
    Finding finding = finding(far, "source-supply");
    assertThat(finding.verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(finding.says()).contains("collapses under its loads");
  }

  private static BatteryLife life(Gadget gadget) {
    return new BatteryLife(GadgetPlan.of(gadget).tree().orElseThrow());
  }

  /**
   * Three alkaline AA that give 60 mA, ten dark pixels and a controller of 50 mA: between 25 and
   * 100 mA they hold 2800 to 2500 mAh; 3.78 V that the controller needs, 36 mV less inside, are
   * 1.272 V a cell, where 32 % are used.
   */
  @Test
  void cellsLastAsTheirClassTells() {
    Gadget gadget =
        gadget(
            10,
            new Supply("3 AA", 4.5, 0.8, SupplyKind.ALKALINE_AA, 0),
            SupplyTree.NONE,
            new PowerSettings(0, PlanningBasis.WORST_CASE, 50));
    BatteryLife life = life(gadget);
    double holds = 2800 * Math.pow(2500 / 2800.0, Math.log(60 / 25.0) / Math.log(4));
    assertThat(life.holds(0.06)).isCloseTo(holds, within(0.01));
    double least = Controller.AVR8_32K.leastVolts(4.5);
    double cell = (least + 0.06 * 0.6) / 3;
    double used = 0.3 + 0.3 * (1.28 - cell) / (1.28 - 1.17);
    double aDay = 24 * 60 / holds + 0.03 / 365;
    assertThat(life.showHours()).isCloseTo(24 * used / aDay, within(0.01));
  }

  /** Hour after hour through days, until the share is used up. */
  @Test
  void daysAreThoseOfGoingThroughThem() {
    DailyUse day = new DailyUse(3, 2, 0.5, 0).sleeping();
    Converter boost = new Converter("five", ConverterSort.BOOST, "supply", 5, 2, 86, 0, 0, 25);
    Gadget gadget =
        gadget(
            16,
            new Supply("Cell", 3.7, 2, SupplyKind.LITHIUM, 3000),
            tree("five", boost),
            new PowerSettings(0, PlanningBasis.WORST_CASE, 20).with(day));
    BatteryLife life = life(gadget);
    // awake it draws 36 mA at 5 V, asleep 16.5 mA; the mean of the curve is taken a tenth at a time
    double mean = 0;
    double used = life.usable();
    for (int i = 0; i < 100_000; i++) {
      mean += SupplyKind.LITHIUM.cell().voltsAt(used * (i + 0.5) / 100_000) / 100_000;
    }
    double awake = 5 * 0.036 / 0.86 / mean;
    double asleep = 5 * 0.0165 / 0.86 / mean;
    double left = used;
    int hours = 0;
    while (left > 0) {
      boolean up = hours % 24 < 5;
      double amps = up ? awake : asleep;
      left -= amps * 1000 / 3000 + 0.24 / 365 / 24;
      hours++;
    }
    assertThat(life.days()).isCloseTo(hours / 24.0, within(0.06));
    // a charge board between passes the cell on, and changes nothing but its own draw
    Gadget charged =
        gadget.with(gadget.brief().with(gadget.brief().tree().with(ConverterSort.CHARGER)));
    assertThat(life(charged).days()).isCloseTo(life.days(), within(0.02 * life.days()));
    assertThat(life(charged).usable()).isCloseTo(life.usable(), within(0.001));
    assertThat(life.shares())
        .satisfies(s -> assertThat(s[0] + s[1] + s[2] + s[3]).isCloseTo(100, within(1e-9)));
  }

  /** A coin cell of 20 ohm gives 15 mA at most, and sags by 0.3 V. */
  @Test
  void coinCellsGiveLittleAtOnce() {
    Gadget gadget =
        gadget(
            1,
            new Supply("Coin cell", 3, 0.005, SupplyKind.COIN, 0),
            SupplyTree.NONE,
            new PowerSettings(0, PlanningBasis.WORST_CASE, 20));
    assertThat(finding(gadget, "cell-pulse").verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(finding(gadget, "cell-life").verdict()).isEqualTo(Verdict.BREAKS);
  }

  /** 20 ohm let 113 mW through at most: ten dark pixels and a controller behind it want more. */
  @Test
  void whatACellCannotCarryDoesNotLast() {
    Gadget gadget =
        gadget(
            10,
            new Supply("Coin cell", 3, 0.005, SupplyKind.COIN, 0),
            tree("five", ConverterSort.BOOST.usual("five", "supply", 5, 1)),
            PLAIN);
    assertThat(life(gadget).showHours()).isZero();
    assertThat(finding(gadget, "cell-life").verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(finding(gadget, "cell-pulse").says()).contains("more than it can supply");
    // 5 V · 30 mA ÷ 0.897 ÷ 3 V and what the converter takes, at least: 90 % of little, 80 % of 1 A
    TreeState state = GadgetPlan.of(gadget).tree().orElseThrow().mean();
    assertThat(state.node("supply").amps()).isCloseTo(5 * 0.03 / 0.897 / 3 + 0.003, within(1e-9));
  }

  @Test
  void powerBanksSwitchOffAndOversizeIsNamed() {
    Gadget bank =
        gadget(10, new Supply("Bank", 5, 2, SupplyKind.BANK, 5000), SupplyTree.NONE, PLAIN);
    assertThat(finding(bank, "bank-sleeps").verdict()).isEqualTo(Verdict.TIGHT);
    // 5000 mAh of 3.7 V are 18.5 Wh, of which 85 % come out: 3145 mAh at 5 V, at 30 mA 104.8 h
    assertThat(life(bank).showHours()).isCloseTo(1 / (30 / 3145.0 + 0.24 / 365 / 24), within(0.1));
    Gadget large =
        gadget(10, new Supply("Old", 5, 20, SupplyKind.COMPUTER, 0), SupplyTree.NONE, PLAIN);
    assertThat(finding(large, "oversize").verdict()).isEqualTo(Verdict.TIGHT);
  }

  /** The controller sleeps on its own regulator, the switch takes the lights off. */
  @Test
  void anEnableSwitchLetsTheControllerSleepAlone() {
    Converter off = ConverterSort.SWITCH.usual("lights", "supply", 0, 5);
    SupplyTree switched = new SupplyTree(List.of(), List.of(off), "lights", "supply", List.of());
    Gadget gadget =
        gadget(
            20,
            new Supply("3 AA", 4.5, 0.8, SupplyKind.ALKALINE_AA, 0),
            switched,
            PLAIN.with(new DailyUse(1, 0, 0.01, 0).sleeping()));
    TreePlan plan = GadgetPlan.of(gadget).tree().orElseThrow();
    assertThat(plan.asleep().node("supply").amps()).isCloseTo(0.00001, within(1e-9));
    Gadget plain = gadget.with(gadget.brief().with(SupplyTree.NONE));
    assertThat(GadgetPlan.of(plain).tree().orElseThrow().asleep().node("supply").amps())
        .isCloseTo(0.02001, within(1e-9));
    assertThat(life(gadget).days()).isGreaterThan(10 * life(plain).days());
    // without frames there is no show whose hours could be told
    assertThat(finding(plain, "cell-life").verdict()).isEqualTo(Verdict.OPEN);
    Gadget shown =
        plain.with("f1", List.of(new Frame(Picture.of(20, 1, new byte[60]), 100)), false);
    assertThat(finding(shown, "cell-life").advice()).contains("load switch in sleep");
  }
}
