package org.myrialith.firmware.scan;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.firmware.scan.ScanWires.line;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.formats.ValueChangeDump;

/** Rows and columns on pins: rows off, columns set, a rest, the row on. */
record ScanPins(ScannedPlan plan, ScannedPins circuit) implements ScanWires {
  private boolean turns() {
    return circuit.rowSwitch().turns();
  }

  private List<String> rows() {
    return turns() ? circuit.rowPins() : List.of();
  }

  private List<String> columns() {
    return circuit.columnPins();
  }

  @Override
  public String fields() {
    return phrase("  uint8_t columns[%d];\n", columnBytes())
        + (turns() ? phrase("  uint8_t row[%d];\n", rowBytes()) : "");
  }

  @Override
  public int columnBytes() {
    return ScanWires.ports(columns()).size();
  }

  @Override
  public int rowBytes() {
    return ScanWires.ports(rows()).size();
  }

  @Override
  public String change() {
    StringBuilder text = new StringBuilder();
    boolean high = plan.highRows();
    for (char port : ScanWires.ports(rows())) {
      int mask = ScanWires.mask(rows(), port);
      text.append(line(phrase("in r24, %%[port%c]", port)));
      text.append(
          line(high ? phrase("andi r24, 0x%02x", ~mask & 0xff) : phrase("ori r24, 0x%02x", mask)));
      text.append(line(phrase("out %%[port%c], r24", port)));
    }
    for (char port : ScanWires.ports(columns())) {
      text.append(line(phrase("in r24, %%[port%c]", port)));
      text.append(line(phrase("andi r24, 0x%02x", ~ScanWires.mask(columns(), port) & 0xff)));
      text.append(line("ld r25, Z+"));
      text.append(line("or r24, r25"));
      text.append(line(phrase("out %%[port%c], r24", port)));
    }
    text.append(turns() ? ScanWires.rest(plan) : "");
    for (char port : ScanWires.ports(rows())) {
      text.append(line(phrase("in r24, %%[port%c]", port)));
      text.append(line("ld r25, Z+"));
      text.append(line(high ? "or r24, r25" : "and r24, r25"));
      text.append(line(phrase("out %%[port%c], r24", port)));
    }
    return text.toString();
  }

  @Override
  public String operands() {
    return ScanWires.ports(circuit.pins(), "PORT", "port");
  }

  @Override
  public Place place(int row, int column) {
    return ScanWires.place(columns().get(column), columns());
  }

  @Override
  public int dark(int at) {
    return plan.lowLights() ? ScanWires.mask(columns(), ScanWires.ports(columns()).get(at)) : 0;
  }

  /** What a row's pin adds to its port, or takes from it. */
  @Override
  public int row(int row, int at) {
    Place own = ScanWires.place(rows().get(row), rows());
    int value = own.at() == at ? 1 << own.bit() : 0;
    return plan.highRows() ? value : ~value & 0xff;
  }

  @Override
  public String start(Dialect dialect) {
    StringBuilder text = new StringBuilder();
    rows().forEach(p -> text.append("  ").append(dialect.output(p, !plan.highRows())).append('\n'));
    columns()
        .forEach(p -> text.append("  ").append(dialect.output(p, plan.lowLights())).append('\n'));
    return text.toString();
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add("scanned port", columnBytes())
        .add("scanned pin", circuit.pins().size())
        .addIf(!turns(), "scanned columns alone");
  }

  @Override
  public String rests() {
    return (plan.highRows() ? "0" : "1").repeat(rows().size())
        + (plan.lowLights() ? "1" : "0").repeat(columns().size());
  }

  @Override
  public List<String> names() {
    return circuit.pins();
  }

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    long last = start;
    boolean[] now = new boolean[columns().size()];
    int firstColumn = first + rows().size();
    for (ScanTiming.Slot slot : plan.timing().slots()) {
      long on = start + Math.round(slot.startSeconds() * 1e9);
      long off = start + Math.round((slot.startSeconds() + slot.seconds()) * 1e9);
      long set = turns() ? on - Math.round(plan.timing().darkSeconds() * 0.5e9) : on;
      for (int column = 0; column < now.length; column++) {
        boolean lit = ScanWires.lit(plan, levels, slot, column);
        if (lit != now[column]) {
          now[column] = lit;
          dump.set(firstColumn + column, set + column, lit != plan.lowLights());
        }
      }
      if (turns()) {
        dump.set(first + slot.row(), on, plan.highRows());
        dump.set(first + slot.row(), off, !plan.highRows());
      }
      last = off;
    }
    for (int column = 0; column < now.length; column++) {
      if (now[column]) {
        dump.set(firstColumn + column, last + 500 + column, plan.lowLights());
      }
    }
    return last + 1000;
  }

  @Override
  public List<String> wiring() {
    List<String> steps = new ArrayList<>();
    for (int row = 0; row < rows().size(); row++) {
      steps.add(
          phrase(
              "Row %d: pin %s %s; it is on while its pin is %s.",
              row + 1, rows().get(row), RowWiring.of(plan), plan.highRows() ? "high" : "low"));
    }
    return steps;
  }

  @Override
  public PolledWires polled(int[] order) {
    return new PolledPins(plan, circuit, order);
  }
}
