package org.myrialith.firmware.scan;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.firmware.scan.ScanWires.line;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.charlieplex.Charlieplex;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.formats.ValueChangeDump;

/** Pins that are high, low or open: all open, the anode's level set, a rest, those driven. */
record ScanOpenPins(ScannedPlan plan, Charlieplex circuit) implements ScanWires {
  private List<String> pins() {
    return circuit.charliePins();
  }

  @Override
  public String fields() {
    return phrase(
        "  uint8_t row[%d];     /* high */\n  uint8_t columns[%d]; /* driven: the high one, and the low ones */\n",
        rowBytes(), columnBytes());
  }

  @Override
  public int columnBytes() {
    return ScanWires.ports(pins()).size();
  }

  @Override
  public int rowBytes() {
    return columnBytes();
  }

  @Override
  public String change() {
    StringBuilder text = new StringBuilder();
    for (char port : ScanWires.ports(pins())) {
      if (!text.isEmpty()) { // as far behind the port before as when they are driven
        text.append(line("nop")).append(line("nop"));
      }
      text.append(line(phrase("in r24, %%[ddr%c]", port)));
      text.append(line(phrase("andi r24, 0x%02x", ~ScanWires.mask(pins(), port) & 0xff)));
      text.append(line(phrase("out %%[ddr%c], r24", port)));
    }
    for (char port : ScanWires.ports(pins())) {
      text.append(line(phrase("in r24, %%[port%c]", port)));
      text.append(line(phrase("andi r24, 0x%02x", ~ScanWires.mask(pins(), port) & 0xff)));
      text.append(line("ld r25, Z+"));
      text.append(line("or r24, r25"));
      text.append(line(phrase("out %%[port%c], r24", port)));
    }
    text.append(ScanWires.rest(plan));
    for (char port : ScanWires.ports(pins())) {
      text.append(line(phrase("in r24, %%[ddr%c]", port)));
      text.append(line("ld r25, Z+"));
      text.append(line("or r24, r25"));
      text.append(line(phrase("out %%[ddr%c], r24", port)));
    }
    return text.toString();
  }

  @Override
  public String operands() {
    return ScanWires.ports(pins(), "PORT", "port") + ScanWires.ports(pins(), "DDR", "ddr");
  }

  private int anode(int turn) {
    return circuit.alone() ? turn / circuit.columns() : turn;
  }

  private String cathode(int turn, int column) {
    return circuit.columnOutput(anode(turn), circuit.alone() ? turn % circuit.columns() : column);
  }

  @Override
  public Place place(int row, int column) {
    return ScanWires.place(cathode(row, column), pins());
  }

  @Override
  public boolean byRow() {
    return true;
  }

  @Override
  public int dark(int at) {
    return 0;
  }

  @Override
  public boolean darkAsRow() {
    return true;
  }

  @Override
  public int row(int row, int at) {
    Place own = ScanWires.place(pins().get(anode(row)), pins());
    return own.at() == at ? 1 << own.bit() : 0;
  }

  /** They are open when the controller starts. */
  @Override
  public String start(Dialect dialect) {
    return "";
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add("charlieplex").add("charlieplex port", columnBytes());
  }

  @Override
  public String rests() {
    return "z".repeat(pins().size());
  }

  @Override
  public List<String> names() {
    return pins();
  }

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    long last = start;
    for (ScanTiming.Slot slot : plan.timing().slots()) {
      long on = start + Math.round(slot.startSeconds() * 1e9);
      long off = start + Math.round((slot.startSeconds() + slot.seconds()) * 1e9);
      List<Integer> driven = new ArrayList<>();
      for (int column = 0; column < plan.lightsOfATurn(); column++) {
        if (ScanWires.lit(plan, levels, slot, column)) {
          driven.add(pins().indexOf(cathode(slot.row(), column)));
        }
      }
      dump.set(first + anode(slot.row()), on, true);
      for (int n = 0; n < driven.size(); n++) {
        dump.set(first + driven.get(n), on + 1 + n, false);
      }
      for (int n = 0; n < driven.size(); n++) {
        dump.open(first + driven.get(n), off + n);
      }
      dump.open(first + anode(slot.row()), off + driven.size());
      last = off;
    }
    return last + 1000;
  }

  @Override
  public List<String> wiring() {
    List<String> steps = new ArrayList<>();
    steps.add(
        phrase(
            "One line per pin: %s. Each LED is between two lines; below, lines are listed by anode, outputs by cathode.",
            String.join(", ", pins())));
    return steps;
  }

  @Override
  public PolledWires polled(int[] order) {
    return new PolledOpenPins(plan, circuit, order);
  }
}
