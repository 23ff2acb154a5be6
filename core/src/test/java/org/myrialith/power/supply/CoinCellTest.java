package org.myrialith.power.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.multiplex.Scan;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;

/** A small matrix on a coin cell of 20 ohm: clocks, parts of a frame, and light that fades. */
class CoinCellTest {
  private static final Supply COIN = new Supply("Coin cell", 3, 0.005, SupplyKind.COIN, 0);

  /** Four columns and three rows of reds of 2 V on pins, one light lit or all of them. */
  private static Gadget badge(ClockRate rate, double milliamps, int lit) {
    byte[] rgb = new byte[36];
    for (int light = 0; light < lit; light++) {
      rgb[3 * light] = (byte) 255;
      rgb[3 * light + 1] = (byte) 255;
      rgb[3 * light + 2] = (byte) 255;
    }
    Fixture plain =
        Fixture.of("f1", "Grid", new Panel(4, 3, 8, 8, Corner.TOP_LEFT, true, false, 0));
    Fixture grid = plain.with(plain.mount().withEmitter("single-red"));
    Gadget gadget =
        Gadgets.of(
            "Badge",
            "",
            Controller.AVR8_32K,
            Optional.of(COIN),
            List.of(grid),
            List.of(
                ScannedPins.usual("c1", List.of("f1"))
                    .on(List.of("D5", "D6", "D7"), List.of("B0", "B1", "B2", "B3"))
                    .scanned(Scan.of(100, 4, 4))
                    .with(OutputWiring.of(3, Side.TO_SUPPLY))),
            ColourSettings.USUAL,
            new PowerSettings(0, PlanningBasis.THESE_FRAMES, milliamps),
            List.of(new Clip("k1", "Lit", "f1", List.of(new Frame(Picture.of(4, 3, rgb), 500)))));
    return gadget.with(gadget.brief().at(rate));
  }

  private static Finding finding(Gadget gadget, String key) {
    return GadgetPlan.of(gadget).findings().stream()
        .filter(f -> f.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new AssertionError(key));
  }

  private static TreePlan tree(Gadget gadget) {
    return GadgetPlan.of(gadget).tree().orElseThrow();
  }

  /**
   * The bare chip at the most, by its data sheet (from memory): 9 mA at 8 MHz and 5 V, 2.5 mA at 4
   * MHz and 3 V, so 0.6 at 1 MHz; some 18 at 16 MHz and 5 V. It runs from 1.8 V at 4 MHz, 2.7 V at
   * 10 and 4.5 V at 20 MHz.
   */
  @ParameterizedTest
  @CsvSource({"USUAL, 5, 18, 3.78", "MHZ_8, 5, 9, 2.4", "MHZ_1, 3, 0.625, 1.8"})
  void clocksDecideWhatTheChipDrawsAndNeeds(
      ClockRate rate, double volts, double milliamps, double least) {
    Controller controller = Controller.AVR8_32K.at(rate);
    assertThat(controller.awakeMilliamps(volts)).isCloseTo(milliamps, within(0.1 * milliamps));
    assertThat(controller.leastVolts(3)).isCloseTo(least, within(0.001));
  }

  @Test
  void a32BitClassKeepsItsClockAndTellsSo() {
    assertThat(Controller.ARM32_SMALL.at(ClockRate.MHZ_1)).isEqualTo(Controller.ARM32_SMALL);
    Gadget badge = badge(ClockRate.MHZ_1, 1, 1);
    Gadget other = badge.with(badge.brief().withController(Controller.ARM32_SMALL));
    assertThat(finding(other, "own-clock").verdict()).isEqualTo(Verdict.TIGHT);
  }

  /** What is timed for the usual clock breaks at a slower one, and nothing is exported. */
  @Test
  void oneWirePixelsAreTooQuickForOneMegahertz() {
    Gadget eight = badge(ClockRate.MHZ_8, 5, 1).with(OneWirePixels.usual("c1", List.of("f1")));
    assertThat(GadgetPlan.of(eight).firmware()).isPresent();
    Gadget badge = badge(ClockRate.MHZ_1, 5, 1);
    Gadget pixels = badge.with(OneWirePixels.usual("c1", List.of("f1")));
    Finding slow = finding(pixels, "slow-clock");
    assertThat(slow.verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(GadgetPlan.of(pixels).firmware()).isEmpty();
    Gadget mended =
        GadgetPlan.of(pixels).mended(slow.key(), slow.remedies().get(0).key()).orElseThrow();
    assertThat(GadgetPlan.of(mended).firmware()).isPresent();
    assertThat(GadgetPlan.of(badge).firmware()).isPresent();
  }

  /**
   * Where feeds leave 3 V, a red of 2 V behind its resistor and two pins: lights of a row share its
   * pin. While a row is on, all of its current flows; on the mean a third of that.
   */
  @Test
  void aRowDrawsMoreInItsTurnThanOnTheMean() {
    Gadget full = badge(ClockRate.MHZ_1, 0.7, 12);
    Gadget one = badge(ClockRate.MHZ_1, 0.7, 1);
    // the resistor that the plan asks for, and pins of 35 and 40 ohm
    double ohms =
        GadgetPlan.of(full).calculations(Step.CIRCUITS).stream()
            .filter(r -> r.key().equals("resistor-c1"))
            .findFirst()
            .orElseThrow()
            .value();
    double alone = 1.0 / (ohms + 75);
    double each = 1.0 / (ohms + 75 + 3 * 40);
    assertThat(tree(one).surgeAmps() + tree(one).power().peakAmps() - 0.0007)
        .isCloseTo(alone, within(0.02 * alone));
    double duty = GadgetPlan.of(full).power().peakAmps() - 0.0007;
    assertThat(tree(full).surgeAmps() + duty).isCloseTo(4 * each, within(0.02 * 4 * each));
  }

  @Test
  void aSlowerBareChipIsWhatACoinCellCarries() {
    Gadget board = badge(ClockRate.USUAL, 20, 1);
    assertThat(finding(board, "cell-pulse").verdict()).isEqualTo(Verdict.BREAKS);
    Finding low = finding(board, "controller-volts");
    Gadget clocked =
        GadgetPlan.of(board).mended(low.key(), low.remedies().get(1).key()).orElseThrow();
    assertThat(clocked.brief().clock()).isEqualTo(ClockRate.MHZ_1);
    Finding draw = finding(clocked, "controller-draw");
    assertThat(draw.verdict()).isEqualTo(Verdict.TIGHT);
    Finding pulse = finding(clocked, "cell-pulse");
    Gadget bare =
        GadgetPlan.of(clocked).mended(pulse.key(), pulse.remedies().get(0).key()).orElseThrow();
    assertThat(finding(bare, "cell-pulse").verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(bare.power().controllerMilliamps()).isCloseTo(0.68, within(1e-9));
    assertThat(GadgetPlan.of(bare).findings()).noneMatch(f -> f.key().equals("controller-draw"));
    assertThat(finding(bare, "cell-life").verdict()).isEqualTo(Verdict.HOLDS);
  }

  /**
   * What nothing regulates: with a cell at rest at v, the lights get u = v − 20 ohm · (c + l · (u −
   * 2) ÷ 1), of which u is solved by hand.
   */
  @Test
  void lightFadesWithTheCell() {
    Gadget badge = badge(ClockRate.MHZ_1, 0.7, 4);
    TreePlan plan = tree(badge);
    double lights = plan.power().meanAmps() - 0.0007;
    for (double v : new double[] {3.1, 2.88, 2.5, 2.1}) {
      double u = (v - 20 * 0.0007 + 20 * lights * 2) / (1 + 20 * lights);
      TreeState state = plan.showAt(v, 1);
      assertThat(state.node("supply").volts()).isCloseTo(u, within(1e-5));
      assertThat(plan.lightAt(state)).isCloseTo(Math.max(0, u - 2), within(1e-4));
    }
    List<BatteryLife.Point> points = new BatteryLife(plan).fades();
    assertThat(points.get(0).light()).isGreaterThan(1);
    for (int i = 1; i < points.size(); i++) {
      assertThat(points.get(i).light()).isLessThanOrEqualTo(points.get(i - 1).light());
      assertThat(points.get(i).hours()).isGreaterThan(points.get(i - 1).hours());
    }
    BatteryLife life = new BatteryLife(plan);
    assertThat(points.get(points.size() - 1).hours())
        .isCloseTo(life.showHours(), within(1e-6 * life.showHours()));
    assertThat(finding(badge, "cell-fades").verdict()).isEqualTo(Verdict.TIGHT);
  }
}
