package org.myrialith.drive;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterKind;

/** A circuit to begin with, for each sort of emitter that can be driven. */
public enum CircuitStart {
  ONE_WIRE_RGB(EmitterKind.ONE_WIRE_RGB, id -> OneWirePixels.usual(id, List.of())),
  ONE_WIRE_RGBW(
      EmitterKind.ONE_WIRE_RGBW,
      id -> OneWirePixels.usual(id, List.of()).inOrder(ColourOrder.GRBW).called("RGBW line")),
  CLOCKED_RGB(EmitterKind.CLOCKED_RGB, id -> ClockedPixels.usual(id, List.of()));

  private final EmitterKind drives;
  private final Function<String, Circuit> usual;

  CircuitStart(EmitterKind drives, Function<String, Circuit> usual) {
    this.drives = drives;
    this.usual = usual;
  }

  /** Returns the name used in requests. */
  public String key() {
    return drives.key();
  }

  /** Returns what it drives, for people. */
  public String title() {
    return drives.title();
  }

  /** Returns the start of that key. */
  public static Optional<CircuitStart> of(String key) {
    return Arrays.stream(values()).filter(s -> s.key().equals(key)).findFirst();
  }

  /** Returns the start for emitters of a kind; empty when nothing drives them yet. */
  public static Optional<CircuitStart> fitting(EmitterKind kind) {
    return Arrays.stream(values()).filter(s -> s.drives == kind).findFirst();
  }

  /**
   * Returns a circuit beside others: on pins that are free as long as there are some, under a name
   * that none of them has.
   */
  public Circuit beside(Circuits others, Controller controller, String id) {
    Circuit circuit = usual.apply(id);
    Set<String> taken = new HashSet<>();
    others.circuits().forEach(c -> taken.addAll(c.pins()));
    return CircuitPins.free(circuit, taken, controller).called(name(circuit, others));
  }

  private static String name(Circuit circuit, Circuits others) {
    List<String> names = others.circuits().stream().map(Circuit::name).toList();
    String name = circuit.name();
    for (int number = 2; names.contains(name); number++) {
      name = circuit.name() + " " + number;
    }
    return name;
  }
}
