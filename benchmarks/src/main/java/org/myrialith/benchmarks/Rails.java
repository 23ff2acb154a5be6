package org.myrialith.benchmarks;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.ColourSettings;
import org.myrialith.finding.Step;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Conductor;
import org.myrialith.voltagedrop.Feed;
import org.myrialith.voltagedrop.RailPlan;
import org.myrialith.voltagedrop.RailSettings;

/** Chains of pixels with feeds, and the same as netlists. */
final class Rails {
  private static final double VOLTS = 5;

  private Rails() {}

  /** Returns a gadget of a chain of 50 columns, fed at four places by thick wires. */
  static Gadget chain(int pixels) {
    Fixture wall =
        Fixture.of(
            "f1", "Wall", new Panel(50, pixels / 50, 10, 10, Corner.TOP_LEFT, false, true, 0));
    List<Feed> feeds =
        List.of(0, pixels / 4, pixels / 2, 3 * pixels / 4).stream()
            .map(at -> new Feed(at, Conductor.MM2_4, 500))
            .toList();
    Gadget gadget =
        Gadget.blank("Chain")
            .with(wall)
            .with(new Circuits(List.of(OneWirePixels.usual("c1", List.of("f1")))));
    return gadget
        .with(new ColourSettings(gadget.colour().transfer(), 4))
        .with(gadget.power().with(new RailSettings("c1", Conductor.MM2_1_5, false, 0, 20, feeds)));
  }

  /** Plans its volts anew. */
  static Object volts(GadgetPlan plan) {
    RailPlan rail = plan.rails().get(0);
    return RailPlan.of(
        Optional.of(rail.settings()),
        rail.circuit(),
        plan.wiring().line(rail.circuit()),
        new RailPlan.Cable(amps -> 5, amps -> 5, 0),
        0.04,
        RailPlan.Moments.NONE);
  }

  /** Judges a gadget's power, with what would mend it. */
  static Object findings(Gadget gadget) {
    return GadgetPlan.of(gadget).findings(Step.POWER);
  }

  /** Writes a chain as a netlist. */
  static Path netlist(GadgetPlan plan) {
    RailPlan rail = plan.rails().get(0);
    double metre = rail.settings().along().ohmsPerMetre(20);
    StringBuilder text = new StringBuilder("a chain\nV1 plus 0 " + VOLTS + "\n");
    double[] amps = rail.worst().amps();
    for (int i = 0; i < amps.length; i++) {
      text.append("I%d p%d m%d %.9g\n".formatted(i, i, i, amps[i]));
      if (i + 1 < amps.length) {
        double ohms = rail.gapMm()[i] * 1e-3 * metre;
        text.append("Rp%d p%d p%d %.9g\n".formatted(i, i, i + 1, ohms));
        text.append("Rm%d m%d m%d %.9g\n".formatted(i, i, i + 1, ohms));
      }
    }
    for (Feed feed : rail.settings().feeds()) {
      double ohms = feed.wire().ohmsPerMetre(20) * feed.lengthMm() * 1e-3;
      text.append("Rf%d plus p%d %.9g\n".formatted(feed.at(), feed.at(), ohms));
      text.append("Rg%d 0 m%d %.9g\n".formatted(feed.at(), feed.at(), ohms));
    }
    text.append(".control\nop\nprint v(p100,m100)\n.endc\n.end\n");
    try {
      Path file = Files.createTempFile("rails", ".cir");
      Files.writeString(file, text);
      return file;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Runs the circuit simulator on it; empty where there is none. */
  static Optional<String> simulated(Path netlist) {
    try {
      Process process =
          new ProcessBuilder("ngspice", "-b", netlist.toString()).redirectErrorStream(true).start();
      String text = new String(process.getInputStream().readAllBytes());
      process.waitFor(60, TimeUnit.SECONDS);
      return Optional.of(text);
    } catch (IOException e) {
      return Optional.empty();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    }
  }
}
