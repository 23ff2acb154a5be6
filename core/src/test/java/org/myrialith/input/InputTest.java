package org.myrialith.input;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Ring;

class InputTest {
  private static Gadget with(Input... inputs) {
    Gadget gadget = Gadget.blank("Trial").with(Fixture.of("f1", "Ring", Ring.KIND.usual()));
    return gadget.with(gadget.circuits().with(new InputList(List.of(inputs))));
  }

  private static List<Finding> findings(Gadget gadget) {
    return GadgetPlan.of(gadget).findings(Step.CIRCUITS).stream()
        .filter(f -> f.key().startsWith("input-"))
        .toList();
  }

  /** 36 sensors: 5 chips, 4 pins; ten samples, nine of them agreeing, is a steady reading. */
  @Test
  void sensorsOnRegistersByTheNumbersOfTheTrade() {
    assertThat(InputSort.REGISTERS.pins(36)).isEqualTo(4);
    assertThat(InputSort.REGISTERS.chips(36)).isEqualTo(5);
    Gadget gadget = with(new Input("Berths", InputSort.REGISTERS, "D2 D3 D4 D5", 36, 4, 10, 9));
    assertThat(findings(gadget))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.verdict()).isEqualTo(Verdict.HOLDS);
              assertThat(f.says()).contains("5").contains("40");
            });
  }

  /** 12 keys in rows and columns take 3 + 4 wires; 64 take 8 + 8. */
  @Test
  void aGridTakesRowsAndColumns() {
    assertThat(InputSort.GRID.pins(12)).isEqualTo(7);
    assertThat(InputSort.GRID.pins(64)).isEqualTo(16);
    assertThat(InputSort.GRID.pins(1)).isEqualTo(2);
    assertThat(InputSort.KNOB.pins(3)).isEqualTo(6);
  }

  @Test
  void whatIsWrongIsNamed() {
    assertThat(findings(with(new Input("Keys", InputSort.BUTTONS_UP, "D2", 3, 5, 4, 3))))
        .extracting(Finding::key)
        .contains("input-pins-1");
    assertThat(findings(with(new Input("Key", InputSort.BUTTONS_UP, "B7", 1, 5, 4, 3))))
        .extracting(Finding::says)
        .anyMatch(says -> says.contains("the crystal"));
    assertThat(findings(with(new Input("Key", InputSort.BUTTONS_UP, "D2", 1, 5, 4, 2))))
        .extracting(Finding::key)
        .contains("input-bounce-1");
    assertThat(findings(with(new Input("Key", InputSort.BUTTONS_UP, "D2", 1, 100, 10, 9))))
        .extracting(Finding::verdict)
        .contains(Verdict.TIGHT);
    assertThat(findings(with(new Input("Dusk", InputSort.LIGHT, "D2", 1, 50, 1, 1))))
        .extracting(Finding::advice)
        .contains("Use some of C0, C1, C2, C3, C4, C5.");
    assertThat(findings(with(new Input("Dusk", InputSort.LIGHT, "C3", 1, 50, 1, 1))))
        .noneMatch(f -> f.key().equals("input-analogue-1"));
    // the data line of the ring is on that pin
    assertThat(findings(with(new Input("Key", InputSort.BUTTONS_UP, "B0", 1, 5, 4, 3))))
        .extracting(Finding::key)
        .contains("input-same-pin-B0");
    assertThatThrownBy(() -> new Input("Key", InputSort.BUTTONS_UP, "D2, D2", 2, 5, 4, 3))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("each pin once");
    assertThatThrownBy(() -> new Input("Key", InputSort.BUTTONS_UP, "D2", 1, 5, 4, 5))
        .isInstanceOf(InputException.class);
  }

  /** What circuits are begun with keeps off the pins of inputs. */
  @Test
  void newCircuitsKeepOffThePinsOfInputs() {
    Gadget gadget = with(new Input("Keys", InputSort.BUTTONS_UP, "B3, B5;B2", 3, 5, 4, 3));
    Circuit circuit =
        ShiftRegisters.PLAIN.beside(gadget.circuits(), gadget.brief().controller(), "c7");
    assertThat(circuit.pins()).doesNotContain("B3", "B5", "B2").hasSize(3);
  }

  /** Five touch pads charge for 2.5 ms each time: an eighth of each 20 ms. */
  @Test
  void lookingTakesTime() {
    Input touch = new Input("Pads", InputSort.TOUCH, "C0 C1 C2 C3 C4", 5, 20, 3, 2);
    assertThat(touch.share()).isCloseTo(0.125, within(1e-9));
    assertThat(findings(with(touch)))
        .filteredOn(f -> f.key().equals("input-reading-1"))
        .extracting(Finding::verdict)
        .containsExactly(Verdict.TIGHT);
  }
}
