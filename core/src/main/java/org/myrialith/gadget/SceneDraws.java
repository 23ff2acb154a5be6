package org.myrialith.gadget;

import java.util.List;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.play.CueTable;
import org.myrialith.play.CuesStep;
import org.myrialith.play.ReadoutTable;
import org.myrialith.play.SceneTable;
import org.myrialith.play.Target;

/**
 * What each scene draws by itself, as if nothing else were played.
 *
 * @param plans of the circuits
 */
record SceneDraws(Gadget gadget, CueTable table, List<CircuitPlan> plans) {
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
