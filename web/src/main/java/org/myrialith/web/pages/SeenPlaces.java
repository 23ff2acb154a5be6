package org.myrialith.web.pages;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Emitter;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.LitArea;

/** Where the lights of a gadget are seen, for pictures that the page draws. */
public final class SeenPlaces {
  private SeenPlaces() {}

  /** Returns left, top, width and height of what is drawn (mm). */
  public static List<Double> box(GadgetPlan plan) {
    LayoutPlan.Box box = plan.layout().box();
    return List.of(box.leftMm(), box.topMm(), box.widthMm(), box.heightMm());
  }

  /** Returns x, y of each emitter (mm), one after the other. */
  public static double[] places(GadgetPlan plan) {
    double[] places = new double[plan.layout().emitters().size() * 2];
    int at = 0;
    for (Emitter emitter : plan.layout().emitters()) {
      places[at++] = emitter.position().xMm();
      places[at++] = emitter.position().yMm();
    }
    return places;
  }

  /**
   * Returns what is seen lit as segments, panes and bulbs: x and y of both ends and thickness (mm),
   * then the emitters by their places in the list of all.
   */
  public static List<double[]> areas(GadgetPlan plan) {
    List<double[]> all = new ArrayList<>();
    int first = 0;
    for (Fixture fixture : plan.gadget().fixtures()) {
      for (LitArea area : LitArea.of(fixture, plan.gadget().layout().emitterOf(fixture))) {
        double[] row = new double[5 + area.emitters().size()];
        row[0] = area.from().xMm();
        row[1] = area.from().yMm();
        row[2] = area.to().xMm();
        row[3] = area.to().yMm();
        row[4] = area.thicknessMm();
        for (int i = 0; i < area.emitters().size(); i++) {
          row[5 + i] = first + area.emitters().get(i);
        }
        all.add(row);
      }
      first += fixture.count();
    }
    return all;
  }
}
