package org.myrialith.circuit.choice;

import java.util.List;
import java.util.Optional;
import org.myrialith.circuit.ChoiceReason;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.charlieplex.Charlieplex;
import org.myrialith.circuit.chip.display.DisplayDrivers;
import org.myrialith.circuit.chip.expander.Expanders;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.pin.DirectPins;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.input.InputList;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PriceList;
import org.myrialith.schema.Description;
import org.myrialith.schema.Family;
import org.myrialith.schema.Field;

/** All kinds of circuit, and what each can begin with. A new kind is named here. */
public final class CircuitKinds {
  /** All of them; {@code kind} names one. */
  public static final Family<Circuit> ALL =
      Family.of(
          "kind",
          List.of(
              OneWirePixels.KIND,
              ClockedPixels.KIND,
              DirectPins.KIND,
              ScannedPins.KIND,
              ScannedRegisters.KIND,
              Charlieplex.KIND,
              ShiftRegisters.KIND,
              Expanders.KIND,
              DisplayDrivers.KIND));

  /** What can be begun with, in the order of pages: straight, scanned, on chips, switched. */
  public static final List<CircuitStart> STARTS =
      List.of(
          OneWirePixels.RGB,
          OneWirePixels.RGBW,
          ClockedPixels.RGB,
          DirectPins.PLAIN,
          DirectPins.DIMMED,
          ScannedPins.MATRIX,
          ScannedRegisters.MATRIX,
          ScannedRegisters.SINK_MATRIX,
          Charlieplex.START,
          ScannedPins.SOFT,
          ScannedRegisters.SOFT,
          ShiftRegisters.PLAIN,
          ShiftRegisters.SINKS,
          ShiftRegisters.GREY_SINKS,
          ShiftRegisters.GREY_SINKS_24,
          Expanders.PLAIN,
          Expanders.PWM,
          DisplayDrivers.THREE_WIRE,
          DisplayDrivers.I2C,
          DisplayDrivers.TWO_WIRE,
          DirectPins.SWITCHED,
          DirectPins.DIMMED_SWITCHES,
          ShiftRegisters.SWITCHED);

  /** How the circuits of a gadget stand in the format. */
  public static final Description<Circuits> DESCRIPTION =
      Description.of(
          Circuits.class,
          Field.rows("circuits", "Circuits", ALL, 0, Circuits.MOST).or(List.of()),
          Field.rows("chosen", "Reasons", ChoiceReason.DESCRIPTION, 0, Circuits.MOST)
              .or(List.of())
              .explained("why circuits were chosen"),
          Field.of("prices", "Prices", PriceList.DESCRIPTION).or(PriceList.USUAL),
          Field.of("reads", "Inputs", InputList.DESCRIPTION).in("inputs").or(InputList.NONE));

  private CircuitKinds() {}

  /** Returns the start of that key. */
  public static Optional<CircuitStart> start(String key) {
    return STARTS.stream().filter(s -> s.key().equals(key)).findFirst();
  }

  /** Returns all starts for emitters of a kind. */
  public static List<CircuitStart> starts(EmitterKind kind) {
    return STARTS.stream().filter(s -> s.usual().apply("c").drives(kind)).toList();
  }

  /**
   * Returns the only start there is for emitters of a kind, as for pixels, which say by themselves
   * how they are driven; empty where the maker has a choice or nothing fits.
   */
  public static Optional<CircuitStart> onlyStart(EmitterKind kind) {
    return kind.pixel() ? starts(kind).stream().findFirst() : Optional.empty();
  }
}
