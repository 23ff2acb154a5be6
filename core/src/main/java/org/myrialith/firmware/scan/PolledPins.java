package org.myrialith.firmware.scan;

import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.SourceText;

/** Rows and columns on pins, in portable C. */
record PolledPins(ScannedPlan plan, ScannedPins circuit, int[] order) implements PolledWires {
  private boolean turns() {
    return circuit.rowSwitch().turns();
  }

  @Override
  public String source() {
    boolean high = plan.highRows();
    return SourceText.read(turns() ? "portable/scan_pins.c" : "portable/scan_columns.c")
        .replace(
            "@ROWPINS@",
            turns()
                ? PolledWires.byTurn(order, t -> PolledWires.number(circuit.rowPins().get(t)))
                : "")
        .replace("@COLUMNPINS@", PolledWires.numbers(circuit.columnPins()))
        .replace("@COLUMNOFF@", plan.lowLights() ? " ^ 1u" : "")
        .replace("@COLUMNDARK@", plan.lowLights() ? "1" : "0")
        .replace("@ROWOFF@", high ? "0" : "1")
        .replace("@ROWON@", high ? "1" : "0");
  }

  @Override
  public String start() {
    return new ScanPins(plan, circuit).start(Dialect.PORTABLE);
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add("polled pin", circuit.pins().size()).addIf(!turns(), "polled columns alone");
  }

  @Override
  public int ramBytes() {
    return turns() ? 1 : 0;
  }
}
