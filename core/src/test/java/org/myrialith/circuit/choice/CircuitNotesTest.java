package org.myrialith.circuit.choice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.pin.DirectPins;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;

/** What is told of a class is that of the controller in hand. */
class CircuitNotesTest {
  private static String text(Circuit circuit, Controller controller) {
    Brief brief = new Brief("B", "", controller, Optional.of(new Supply("s", 5, 5)));
    return circuit.plan(Layout.EMPTY, brief).about().replace('\u00a0', ' ');
  }

  /**
   * 20 mA a pin and 200 mA in all are the 8-bit class's (common practice), not the 32-bit ones'.
   */
  @ParameterizedTest
  @CsvSource({"8, true", "32, false"})
  void pinsAreThoseOfTheController(int bits, boolean small) {
    Controller controller = bits == 8 ? Controller.AVR8_32K : Controller.ARM32_SMALL;
    String pins = text(DirectPins.usual("c1", List.of()), controller);
    assertThat(pins.contains("Design limit 20 mA per pin")).isEqualTo(small);
    assertThat(pins.contains("200 mA for the whole controller")).isEqualTo(small);
    String turns = text(ScannedPins.usual("c1", List.of()), controller);
    assertThat(turns.contains("Timer 2")).isEqualTo(small);
    assertThat(turns.contains("board clock")).isEqualTo(!small);
    String line = text(OneWirePixels.usual("c1", List.of()), controller);
    assertThat(line).contains("1.25 µs per bit");
    assertThat(line.contains("serial port")).isEqualTo(small);
  }

  /** 8 bits in 113 cycles of 16 MHz. */
  @Test
  void aSlowerWireIsToldAsSuch() {
    String small = text(ClockedPixels.usual("c1", List.of()), Controller.AVR8_32K);
    assertThat(small).contains("1.13 MHz");
    assertThat(text(ClockedPixels.usual("c1", List.of()), Controller.ARM32_SMALL))
        .doesNotContain("1.13 MHz");
  }

  /** Currents at the very most of registers as their data sheets have them (JESD7A for HC). */
  @Test
  void registersAreThoseOfTheirClass() {
    ShiftRegisters plain = ShiftRegisters.usual("c1", List.of());
    assertThat(text(plain, Controller.AVR8_32K))
        .contains("absolute maximum 35 mA per output", "70 mA through");
    assertThat(text(plain.of(RegisterClass.GREY_12), Controller.AVR8_32K)).contains("39.1 V");
  }

  static List<CircuitStart> starts() {
    return CircuitKinds.STARTS;
  }

  @ParameterizedTest
  @MethodSource("starts")
  void everyWayIsTold(CircuitStart start) {
    Circuits none = new Circuits(List.of());
    for (Controller controller : Controller.CLASSES) {
      String text = text(start.beside(none, controller, "c1"), controller);
      assertThat(text).endsWith(".");
      assertThat(text).doesNotContain("%s").doesNotContain("NaN").doesNotContain("Infinity");
    }
  }
}
