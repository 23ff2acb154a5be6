package org.myrialith.circuit.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitPins;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.chip.register.RegisterPlan;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.pin.DirectPins;
import org.myrialith.circuit.pin.PinPlan;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.circuit.pixel.OneWirePlan;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Bar;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Ring;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;

/** What is different where logic is 3.3 V and pins are set by portable C. */
class Controller32Test {
  private static Layout bar(String emitter) {
    Fixture bar = Fixture.of("f1", "Bar", new Bar(8, 10, 0));
    return Layout.EMPTY.withFixtures(List.of(bar.with(bar.mount().withEmitter(emitter))));
  }

  private static Brief brief(Controller controller, double volts) {
    return new Brief("B", "", controller, Optional.of(new Supply("s", volts, 5)));
  }

  private static Verdict verdict(CircuitPlan plan, String key) {
    return plan.findings().stream()
        .filter(f -> f.key().equals(key))
        .map(Finding::verdict)
        .findFirst()
        .orElseThrow();
  }

  /** HC wants 3.5 V at 5 V, HCT takes 2.0 V. */
  @ParameterizedTest
  @CsvSource({"HC, BREAKS", "HCT, HOLDS", "SINK, BREAKS"})
  void chipsOnFiveVoltsMissLowerLogic(RegisterClass sort, Verdict expected) {
    ShiftRegisters chips =
        ShiftRegisters.usual("c1", List.of("f1")).of(sort).onPins(List.of("P2", "P3", "P4"));
    RegisterPlan plan = chips.plan(bar("single-red"), brief(Controller.ARM32_SMALL, 5));
    assertThat(verdict(plan, "logic-level-c1")).isEqualTo(expected);
  }

  /** Three settings of a pin a bit: 8 bits of 1 µs each. */
  @Test
  void aBitIsThreeSettingsOfAPin() {
    ShiftRegisters chips =
        ShiftRegisters.usual("c1", List.of("f1")).onPins(List.of("P2", "P3", "P4"));
    RegisterPlan plan = chips.plan(bar("single-red"), brief(Controller.ARM32_SMALL, 5));
    assertThat(plan.dataSeconds()).isCloseTo(24e-6, within(1e-9));
  }

  /** A pin that feeds LEDs gives 3.3 V whatever the supply: 2.0 V LEDs at 4 mA want 325 ohm. */
  @Test
  void pinsFeedFromTheirOwnLevel() {
    DirectPins pins =
        DirectPins.usual("c1", List.of("f1"))
            .with(OutputWiring.of(4, Side.TO_GROUND))
            .onPins(List.of("P2", "P3", "P4", "P5", "P6", "P7", "P8", "P9"));
    PinPlan plan = pins.plan(bar("single-red"), brief(Controller.ARM32_TWO_CORES, 5));
    assertThat(plan.switching().loads().get(0).path().volts()).isEqualTo(3.3);
    // LEDs that hang on 5 V would lift the pins over what they stand
    PinPlan sinking =
        pins.with(OutputWiring.of(4, Side.TO_SUPPLY))
            .onPins(pins.pins())
            .plan(bar("single-red"), brief(Controller.ARM32_TWO_CORES, 5));
    assertThat(verdict(sinking, "rail-volts-c1")).isEqualTo(Verdict.BREAKS);
  }

  /** 0.7 of the supply of the pixel: 3.3 V misses it at 5 V, meets it up to 4.71 V. */
  @ParameterizedTest
  @CsvSource({"5, false", "4.72, false", "4.7, true"})
  void dataForAPixel(double volts, boolean meets) {
    Fixture ring = Fixture.of("f1", "Ring", Ring.KIND.usual());
    OneWirePlan plan =
        OneWirePixels.usual("c1", List.of("f1"))
            .onPin("P19")
            .plan(
                Layout.EMPTY.withFixtures(List.of(ring)), brief(Controller.ARM32_TWO_CORES, volts));
    assertThat(
            plan.findings().stream()
                .filter(f -> f.key().contains("logic"))
                .anyMatch(f -> f.verdict() == Verdict.HOLDS))
        .isEqualTo(meets);
  }

  static List<Controller> classes() {
    return Controller.CLASSES;
  }

  /** One press moves circuits to pins that another class has; pixels go to its SPI. */
  @ParameterizedTest
  @MethodSource("classes")
  void circuitsMoveToThePinsOfAClass(Controller controller) {
    Gadget gadget = Gadget.blank("Trial").with(Fixture.of("f1", "Ring", Ring.KIND.usual()));
    Gadget moved =
        gadget
            .with(gadget.brief().withController(controller))
            .with(CircuitPins.fitted(gadget.circuits(), controller));
    Circuit line = moved.circuits().circuits().get(0);
    assertThat(line.able(controller)).containsAll(line.pins());
    assertThat(GadgetPlan.of(moved).findings(Step.CIRCUITS))
        .extracting(Finding::key)
        .noneMatch(key -> key.startsWith("pin-") || key.startsWith("spi-pin"));
    if (controller.portable()) {
      assertThat(controller.spiData()).contains(line.pins().get(0));
      Gadget still = gadget.with(gadget.brief().withController(controller));
      assertThat(GadgetPlan.of(still).findings(Step.CIRCUITS))
          .filteredOn(f -> f.key().startsWith("pin-"))
          .singleElement()
          .satisfies(f -> assertThat(f.remedies()).hasSize(1));
    }
  }

  /** A small show needs no 32 bits; what is shown on it is shown as well on fewer. */
  @Test
  void theSmallestClassIsNamedAcrossSorts() {
    Gadget buoy = DemoGadgets.porchBuoy();
    Gadget large =
        buoy.with(buoy.brief().withController(Controller.RADIO32))
            .with(CircuitPins.fitted(buoy.circuits(), Controller.RADIO32));
    assertThat(GadgetPlan.of(large).findings(Step.FIRMWARE))
        .filteredOn(f -> f.key().equals("smaller-class"))
        .singleElement()
        .satisfies(f -> assertThat(f.says()).contains(Controller.AVR8_8K.title()));
    Gadget small = GadgetPlan.of(large).mended("smaller-class", "controller-8bit-8k").orElseThrow();
    assertThat(GadgetPlan.of(small).firmware().orElseThrow().fits()).isTrue();
  }

  /** The smallest class has the memory for these sinks, but no timers for their clock. */
  @Test
  void aClassThatCannotDriveTheCircuitsIsNotNamed() {
    Fixture grid = Fixture.of("f1", "Bar", new Bar(3, 10, 0));
    Gadget sinks =
        Gadget.blank("Sinks")
            .with(grid.with(grid.mount().withEmitter("single-red")))
            .with(
                new Circuits(
                    List.of(
                        ShiftRegisters.usual("c1", List.of("f1"))
                            .of(RegisterClass.GREY_12)
                            .onPins(List.of("B0", "B1", "B2", "D3", "D4")))))
            .with(
                new Clip(
                    "k1", "Bar", "f1", List.of(new Frame(Picture.of(3, 1, new byte[9]), 100))));
    GadgetPlan plan = GadgetPlan.of(sinks);
    assertThat(plan.firmware().orElseThrow().roomyBelow()).contains(Controller.AVR8_8K);
    assertThat(plan.findings(Step.FIRMWARE)).noneMatch(f -> f.key().equals("smaller-class"));
  }
}
