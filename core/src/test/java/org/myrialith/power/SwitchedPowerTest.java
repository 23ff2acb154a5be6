package org.myrialith.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.finding.Step;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Fixture;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.tool.Gadgets;

/** Currents of what is only on or off, beside what can be dimmed. */
class SwitchedPowerTest {
  private static Picture grey(int... values) {
    byte[] rgb = new byte[3 * values.length];
    for (int i = 0; i < values.length; i++) {
      java.util.Arrays.fill(rgb, 3 * i, 3 * i + 3, (byte) values[i]);
    }
    return Picture.of(values.length, 1, rgb);
  }

  private static Fixture bar(String id, String emitter) {
    Fixture bar = Fixture.of(id, id, new Bar(4, 10, 0));
    return bar.with(bar.mount().withEmitter(emitter));
  }

  private static Gadget gadget(double amps, PlanningBasis basis, int percent) {
    return Gadgets.of(
        "Both",
        "",
        Controller.AVR8_32K,
        Optional.of(new Supply("s", 5, amps)),
        List.of(bar("f1", "one-wire-rgb"), bar("f2", "single-red")),
        List.of(
            OneWirePixels.usual("c1", List.of("f1")),
            ShiftRegisters.usual("c2", List.of("f2")).with(OutputWiring.of(20, Side.TO_SUPPLY))),
        new ColourSettings(new Transfer.PowerLaw(1), percent),
        new PowerSettings(0, basis, 20),
        List.of(
            new Clip("k1", "Pixels", "f1", List.of(new Frame(grey(255, 255, 255, 255), 50))),
            new Clip("k2", "Lights", "f2", List.of(new Frame(grey(127, 128, 255, 0), 50)))));
  }

  /**
   * Lit from 128 on: two of four. 5 V less 2.0 V over the next value after 95 ohm, 100, and the 55
   * of the output: 19.35 mA each.
   */
  @Test
  void whatIsLitDrawsWhatItsResistorLetsThrough() {
    GadgetPlan plan = GadgetPlan.of(gadget(2, PlanningBasis.WORST_CASE, 10));
    double each = 3.0 / (100 + 55);
    // four pixels at 26 of 255 with 1 mA each, the controller, and 80 uA of the chip
    double pixels = 4 * (3 * 0.02 * 26 / 255 + 0.001);
    assertThat(plan.power().peakAmps()).isCloseTo(pixels + 0.02 + 2 * each + 80e-6, within(1e-9));
    assertThat(plan.power().worstAmps()).isCloseTo(pixels + 0.02 + 4 * each + 80e-6, within(1e-9));
    assertThat(plan.sent().levels(0).get(1).toBytes()).containsExactly(0, 1, 1, 0);
    assertThat(plan.findings(Step.COLOUR)).anyMatch(f -> f.key().equals("on-or-off"));
  }

  /** The limiter takes what it needs from the pixels alone, and the sum stays within. */
  @Test
  void theLimiterLeavesWhatCantBeDimmed() {
    GadgetPlan plan = GadgetPlan.of(gadget(0.2, PlanningBasis.THESE_FRAMES, 100));
    assertThat(plan.power().askedPeakAmps()).isGreaterThan(0.28);
    assertThat(plan.power().peakAmps()).isBetween(0.199, 0.2);
    assertThat(plan.sent().levels(0).get(1).toBytes()).containsExactly(0, 1, 1, 0);
    assertThat(plan.sent().levels(0).get(0).at(0)).isLessThan(160);
  }

  /** Where nothing can be dimmed there is no limiter to count on. */
  @Test
  void withoutAnythingToDimThereIsNoLimiter() {
    Gadget both = gadget(0.05, PlanningBasis.THESE_FRAMES, 100);
    Gadget lights = both.withoutFixture("f1");
    GadgetPlan plan = GadgetPlan.of(lights);
    assertThat(plan.power().limiter()).isEmpty();
    assertThat(plan.power().peakAmps()).isCloseTo(0.02 + 2 * 3.0 / 155 + 80e-6, within(1e-9));
    assertThat(plan.findings(Step.POWER))
        .noneMatch(f -> f.says().contains("limiter in the firmware keeps"));
  }
}
