package org.myrialith.brief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.finding.InputException;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;

/** What a gadget is driven from, in volts that data sheets name. */
class BriefTest {
  private static Brief fed(Controller controller, Supply supply) {
    return new Brief("B", "", controller, Optional.ofNullable(supply));
  }

  /**
   * Without a supply 5 V are planned with; pins of 8-bit classes are as high as what feeds them.
   */
  @ParameterizedTest
  @CsvSource({"8bit-32k, 5, 5", "8bit-32k, 4.5, 4.5", "32bit-256k, 5, 3.3"})
  void logicIsAsHighAsTheClassSays(String key, double volts, double logic) {
    Brief brief = fed(Controller.of(key).orElseThrow(), new Supply("s", volts, 1));
    assertThat(brief.volts()).isEqualTo(volts);
    assertThat(brief.controllerVolts()).isEqualTo(volts);
    assertThat(brief.logicVolts()).isCloseTo(logic, within(1e-9));
    assertThat(fed(Controller.AVR8_32K, null).volts()).isEqualTo(5);
  }

  /**
   * A lithium cell: 4.2 V full, 3.0 V empty (common practice), and before that for a class that
   * wants more: from 2.7 V at 10 MHz to 4.5 V at 20 MHz in a straight line (its data sheet's safe
   * area), so 3.78 V at 16 MHz. A mains supply has no life.
   */
  @Test
  void cellsAreJudgedFullAndEmpty() {
    Supply cell = new Supply("cell", 3.7, 1, SupplyKind.LITHIUM, 1000);
    Brief quick = fed(Controller.AVR8_8K, cell);
    assertThat(quick.overLife().get(0).volts()).isCloseTo(4.2, within(1e-9));
    assertThat(quick.overLife().get(1).volts()).isCloseTo(3.78, within(1e-9));
    assertThat(quick.at(ClockRate.MHZ_8).overLife().get(1).volts()).isCloseTo(3.0, within(1e-9));
    assertThat(fed(Controller.AVR8_8K, new Supply("s", 5, 1)).overLife()).isEmpty();
  }

  @Test
  void aClassThatIsNotThereIsRefusedByName() {
    assertThatThrownBy(() -> fed(Controller.AVR8_8K, null).withController("none"))
        .isInstanceOf(InputException.class)
        .hasMessageContaining("none")
        .hasMessageContaining("8bit-32k");
  }
}
