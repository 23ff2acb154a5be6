package org.myrialith.circuit.choice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitPins;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.pin.DirectPins;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.ColourOrder;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Ring;
import org.myrialith.parts.Controller;

class CircuitStartTest {
  private static Fixture ring(String emitter) {
    Fixture ring = Fixture.of("f1", "Ring", Ring.KIND.usual());
    return ring.with(ring.mount().withEmitter(emitter));
  }

  @Test
  void circuitsStandOnPinsAndUnderNamesOfTheirOwn() {
    for (Controller controller : Controller.CLASSES) {
      Circuits circuits = new Circuits(List.of());
      Set<String> pins = new HashSet<>();
      for (CircuitStart start : List.of(ClockedPixels.RGB, OneWirePixels.RGB, ClockedPixels.RGB)) {
        Circuit circuit =
            start.beside(circuits, controller, "c" + (circuits.circuits().size() + 1));
        assertThat(circuit.pins()).allSatisfy(p -> assertThat(pins.add(p)).isTrue());
        assertThat(controller.pins()).containsAll(circuit.pins());
        circuits = circuits.with(circuit);
      }
      assertThat(circuits.circuits()).extracting(Circuit::name).doesNotHaveDuplicates();
    }
  }

  @Test
  void aNewFixtureGetsACircuitThatDrivesIt() {
    Gadget gadget = Gadget.blank("Trial").with(ring("clocked-rgb"));
    Circuit circuit = gadget.circuits().of(ring("clocked-rgb")).orElseThrow();
    assertThat(circuit).isInstanceOf(ClockedPixels.class);
    assertThat(GadgetPlan.of(gadget).findings(Step.CIRCUITS))
        .extracting(Finding::key)
        .doesNotContain("same-pin-" + circuit.id(), "wrong-kind-f1");
    // plain LEDs can be driven several ways: the maker chooses
    Gadget plain = Gadget.blank("Trial").with(ring("single-red"));
    assertThat(plain.circuits().of(ring("single-red"))).isEmpty();
    assertThat(GadgetPlan.of(plain).findings(Step.CIRCUITS))
        .filteredOn(f -> f.key().equals("unchained-f1"))
        .singleElement()
        .satisfies(f -> assertThat(f.advice()).contains("choose one in the table"));
    Gadget chosen = plain.drivenBy(ShiftRegisters.PLAIN, List.of("f1"), "few pins");
    assertThat(chosen.circuits().of(ring("single-red")).orElseThrow())
        .isInstanceOf(ShiftRegisters.class);
    assertThat(chosen.circuits().why(chosen.circuits().circuits().get(1).id()))
        .isEqualTo("few pins");
    // a lamp wants a transistor, on pins or on registers: both are offered
    Gadget lamp = Gadget.blank("Trial").with(ring("lamp"));
    Gadget switched =
        GadgetPlan.of(lamp).mended("unchained-f1", "drive-by-switched-registers").orElseThrow();
    ShiftRegisters registers = (ShiftRegisters) switched.circuits().of(ring("lamp")).orElseThrow();
    assertThat(registers.hookup().through()).isEqualTo(SwitchType.MOSFET_LOGIC);
  }

  @Test
  void anotherClassOfEmittersCanHaveACircuitOfItsOwn() {
    Gadget gadget = Gadget.blank("Trial").with(ring("one-wire-rgb")).with(ring("one-wire-rgbw"));
    Gadget mended =
        GadgetPlan.of(gadget).mended("wrong-kind-f1", "drive-by-one-wire-rgbw").orElseThrow();
    OneWirePixels line = (OneWirePixels) mended.circuits().of(ring("one-wire-rgbw")).orElseThrow();
    assertThat(line.colourOrder()).isEqualTo(ColourOrder.GRBW);
    assertThat(GadgetPlan.of(mended).findings(Step.CIRCUITS))
        .extracting(Finding::key)
        .doesNotContain("wrong-kind-f1");
  }

  @Test
  void aControllerWithoutAPinMovesOnlyWhatStoodThere() {
    Circuits circuits =
        new Circuits(
            List.of(
                OneWirePixels.usual("c1", List.of()).onPin("B0"),
                OneWirePixels.usual("c2", List.of()).onPin("F3"),
                ClockedPixels.usual("c3", List.of()).onPins("D1", "D2")));
    Circuits fitted = CircuitPins.fitted(circuits, Controller.AVR8_8K);
    assertThat(fitted.circuits())
        .extracting(Circuit::pins)
        .containsExactly(List.of("B0"), List.of("B1"), List.of("B2", "B3"));
    assertThat(CircuitPins.fitted(circuits, Controller.AVR8_256K)).isEqualTo(circuits);
  }

  private static Fixture bar(int leds) {
    Fixture bar = Fixture.of("f1", "Bar", new Bar(leds, 10, 0));
    return bar.with(bar.mount().withEmitter("single-red"));
  }

  @Test
  void pinsAreGivenAsManyAsThereAreChannels() {
    Gadget twelve =
        Gadget.blank("Trial").with(bar(12)).drivenBy(DirectPins.PLAIN, List.of("f1"), "");
    Circuit pins = twelve.circuits().of(bar(12)).orElseThrow();
    // the line of pixels keeps its own
    assertThat(pins.pins()).hasSize(12).doesNotContain("B0").doesNotHaveDuplicates();
    Gadget more = twelve.with(bar(15));
    assertThat(GadgetPlan.of(more).findings(Step.CIRCUITS))
        .filteredOn(f -> f.key().startsWith("pins-missing"))
        .singleElement()
        .satisfies(f -> assertThat(f.says()).contains("15 channels").contains("12 named"));
    Gadget mended =
        GadgetPlan.of(more).mended("pins-missing-" + pins.id(), "take-pins").orElseThrow();
    List<String> given = mended.circuits().of(bar(15)).orElseThrow().pins();
    assertThat(given).hasSize(15).startsWith(pins.pins().toArray(String[]::new));
    assertThat(GadgetPlan.of(mended).findings(Step.CIRCUITS))
        .noneMatch(f -> f.key().startsWith("pins-missing"));
    // more than the controller has: nothing is offered that could not be
    assertThat(GadgetPlan.of(twelve.with(bar(30))).findings(Step.CIRCUITS))
        .filteredOn(f -> f.key().startsWith("pins-missing"))
        .singleElement()
        .satisfies(f -> assertThat(f.remedies()).isEmpty());
  }
}
