package org.myrialith.firmware.scan;

import static org.myrialith.finding.Phrase.phrase;

import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.finding.Quantity;

/** From what switches a row to the row. */
final class RowWiring {
  private RowWiring() {}

  static String of(ScannedPlan plan) {
    boolean feeds = plan.hookup().side() == Side.TO_SUPPLY;
    String plus =
        plan.hookup().ownRail()
            ? phrase("its rail (%s)", Quantity.text(plan.hookup().railVolts(), "V"))
            : plan.brief().lightsNode();
    String end = feeds ? "plus of " + plus : "ground";
    return switch (plan.circuit().rowSwitch()) {
      case NONE -> "to nothing";
      case PIN -> "to the row";
      case TRANSISTOR ->
          phrase(
              "through %s ohm to the base of %s transistor, emitter to %s, collector to the row",
              Quantity.number(plan.baseOhms()), feeds ? "a PNP" : "an NPN", end);
      case MOSFET ->
          phrase(
              "to the gate of %s-channel MOSFET, 10 kohm from gate to %s, source to %s, drain to the row",
              feeds ? "a P" : "an N", end, end);
    };
  }
}
