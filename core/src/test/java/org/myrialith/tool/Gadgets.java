package org.myrialith.tool;

import java.util.List;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Programme;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;

/** Gadgets for tests. */
public final class Gadgets {
  private Gadgets() {}

  /** Puts a gadget together. */
  public static Gadget of(
      String title,
      String notes,
      Controller controller,
      Optional<Supply> supply,
      List<Fixture> fixtures,
      List<? extends Circuit> circuits,
      ColourSettings colour,
      PowerSettings power,
      List<Clip> clips) {
    return new Gadget(
        new Brief(title, notes, controller, supply),
        Layout.EMPTY.withFixtures(fixtures),
        new Circuits(List.copyOf(circuits)),
        colour,
        power,
        new Programme(clips));
  }

  /** Returns the first data line of a gadget. */
  public static OneWirePixels line(Gadget gadget) {
    return (OneWirePixels) gadget.circuits().circuits().get(0);
  }

  /** Returns a gadget under another title with other notes. */
  public static Gadget named(Gadget gadget, String title, String notes) {
    Brief brief = gadget.brief();
    return gadget.with(new Brief(title, notes, brief.controller(), brief.supply()));
  }
}
