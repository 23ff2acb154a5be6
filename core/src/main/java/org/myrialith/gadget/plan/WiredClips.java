package org.myrialith.gadget.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Wiring;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.LevelTable;
import org.myrialith.effects.Recipe;
import org.myrialith.frames.Clip;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Spread;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;

/** Clips laid on the wires that their fixtures are on, as levels. */
record WiredClips(Gadget gadget, LayoutPlan layout, Wiring wiring) {
  /** Returns the clips on the easel, in the order of the wires. */
  List<ClipLevels> all() {
    return on(gadget::clipOn);
  }

  /** Returns a clip on each wire that its fixture is on. */
  List<ClipLevels> of(Clip clip) {
    return on(id -> clip.fixture().equals(id) ? Optional.of(clip) : Optional.empty());
  }

  private List<ClipLevels> on(Function<String, Optional<Clip>> clipOn) {
    List<ClipLevels> all = new ArrayList<>();
    for (int c = 0; c < wiring.plans().size(); c++) {
      CircuitPlan circuit = wiring.plans().get(c);
      for (ChannelRange stretch : circuit.stretches()) {
        Optional<Clip> clip = clipOn.apply(stretch.fixture().id());
        if (clip.isPresent() && stretch.units() > 0) {
          all.add(on(clip.get(), stretch, c, circuit));
        }
      }
    }
    return List.copyOf(all);
  }

  private ClipLevels on(Clip clip, ChannelRange stretch, int position, CircuitPlan circuit) {
    LevelTable table = LevelTable.of(gadget.colour(), circuit.levelBits());
    return ClipLevels.of(
        clip,
        layout.emittersOf(stretch.fixture()),
        position,
        circuit,
        stretch,
        table,
        new ComputedClips(gadget, layout).of(clip, circuit, table));
  }

  /** Returns clips whose fixtures are in no circuit, as if they hung on a line of their own. */
  List<ClipLevels> resting() {
    List<ClipLevels> all = new ArrayList<>();
    for (Clip clip : gadget.clips()) {
      Fixture fixture = gadget.fixture(clip.fixture()).orElseThrow();
      if (!wiring.drives(fixture)) {
        CircuitPlan alone =
            OneWirePixels.usual("alone", List.of(fixture.id()))
                .plan(gadget.layout(), gadget.brief());
        all.add(on(clip, alone.stretches().get(0), -1, alone));
      }
    }
    return all;
  }

  /** Returns fixtures whose effects are spread over a group that is gone. */
  Set<String> groupless() {
    Spread spread = new Spread(gadget.layout(), layout);
    return gadget.programme().recipes().stream()
        .filter(spread::gone)
        .map(Recipe::fixture)
        .collect(Collectors.toSet());
  }

  /**
   * Returns fixtures whose effects are to be worked out, and whose frames are others now.
   *
   * @param levels of the clips on the easel
   */
  Set<String> edited(List<ClipLevels> levels) {
    return gadget.programme().recipes().stream()
        .filter(recipe -> recipe.computed() && gadget.computes(recipe))
        .map(Recipe::fixture)
        .filter(
            fixture ->
                levels.stream()
                    .filter(clip -> clip.clip().fixture().equals(fixture) && clip.plan().dims())
                    .anyMatch(clip -> clip.computed().isEmpty()))
        .collect(Collectors.toSet());
  }
}
