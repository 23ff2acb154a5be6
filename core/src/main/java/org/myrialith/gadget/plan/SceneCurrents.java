package org.myrialith.gadget.plan;

import java.util.List;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.cue.plan.CuesStep;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.ReadoutTable;
import org.myrialith.cue.table.SceneTable;
import org.myrialith.cue.table.Target;
import org.myrialith.gadget.model.Gadget;

/**
 * What each scene draws by itself, as if nothing else were played.
 *
 * @param plans of the circuits
 */
record SceneCurrents(Gadget gadget, CueTable table, List<CircuitPlan> plans) {
  List<CuesStep.Draw> all() {
    return table.scenes().stream().map(this::draw).toList();
  }

  private CuesStep.Draw draw(SceneTable scene) {
    double frames = GadgetPlan.of(gadget.playing(scene.scene())).power().peakAmps();
    double values = scene.readouts().stream().mapToDouble(this::amps).sum();
    int number = table.scenes().indexOf(scene);
    boolean shown = table.rows().stream().anyMatch(row -> row.scene() == number);
    return new CuesStep.Draw(scene.scene().id(), scene.scene().name(), frames, values, shown);
  }

  private double amps(ReadoutTable readout) {
    Target target = table.targets().get(readout.target());
    return readout.amps(plans, target.circuit(), target.stretch());
  }
}
