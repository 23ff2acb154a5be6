package org.myrialith.firmware.scan;

import static org.myrialith.finding.Phrase.phrase;
import static org.myrialith.firmware.scan.ScanWires.line;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.formats.ValueChangeDump;

/** Rows and columns on a chain: dark, latched, a rest, lit; then the next slot is shifted in. */
record ScanChain(ScannedPlan plan, ScannedRegisters circuit) implements ScanWires {
  private static final int BYTE = 8;

  /** Nanoseconds of a bit as it is shifted, to the rise of its clock and to its fall. */
  private static final int BIT_NANOS = 562;

  private static final int RISE_NANOS = 438;

  /** From the beginning of a slot to the first bit. */
  private static final int LEAD_NANOS = 3000;

  private boolean turns() {
    return circuit.rowSwitch().turns();
  }

  private int chainBytes() {
    return columnBytes() + rowBytes();
  }

  @Override
  public String fields() {
    return (turns() ? phrase("  uint8_t row[%d];\n", rowBytes()) : "")
        + phrase("  uint8_t columns[%d];\n", columnBytes());
  }

  @Override
  public int columnBytes() {
    return circuit.columnBytes();
  }

  @Override
  public int rowBytes() {
    return circuit.rowChips();
  }

  @Override
  public int sentBefore() {
    return chainBytes();
  }

  private String set(String instruction, String pin) {
    return line(phrase("%s %%[port%c], %c", instruction, pin.charAt(0), pin.charAt(1)));
  }

  @Override
  public String change() {
    String latch = set("sbi", circuit.latchPin()) + set("cbi", circuit.latchPin());
    return turns()
        ? set("sbi", circuit.blankPin())
            + latch
            + ScanWires.rest(plan)
            + set("cbi", circuit.blankPin())
        : latch;
  }

  /** Each bit takes as long, set or not. */
  @Override
  public String send() {
    StringBuilder text = new StringBuilder();
    boolean several = chainBytes() > 1;
    if (several) {
      text.append(line(phrase("ldi r25, %d", chainBytes())));
      text.append("      \"4:\\n\\t\"\n");
    }
    text.append(line("ld r24, Z+"));
    for (int bit = BYTE - 1; bit >= 0; bit--) {
      text.append(line(phrase("sbrc r24, %d", bit)));
      text.append(set("sbi", circuit.dataPin()));
      text.append(line(phrase("sbrs r24, %d", bit)));
      text.append(set("cbi", circuit.dataPin()));
      text.append(set("sbi", circuit.clockPin()));
      text.append(set("cbi", circuit.clockPin()));
    }
    if (several) {
      text.append(line("dec r25"));
      text.append(line("brne 4b"));
    }
    return text.toString();
  }

  @Override
  public String operands() {
    return ScanWires.ports(circuit.pins(), "PORT", "port");
  }

  /** What is sent first goes to the farthest chip. */
  @Override
  public Place place(int row, int column) {
    return new Place(columnBytes() - 1 - column / BYTE, column % BYTE);
  }

  @Override
  public int dark(int at) {
    return plan.lowLights() ? 0xff : 0;
  }

  @Override
  public int row(int row, int at) {
    int value = rowBytes() - 1 - row / BYTE == at ? 1 << row % BYTE : 0;
    return plan.highRows() ? value : ~value & 0xff;
  }

  private int off() {
    return plan.highRows() ? 0 : 0xff;
  }

  /** Registers wake up anyhow: dark is shifted in before the first latch. */
  @Override
  public String start(Dialect dialect) {
    StringBuilder text = new StringBuilder();
    if (turns()) {
      text.append("  ").append(dialect.output(circuit.blankPin(), true)).append('\n');
    }
    for (String pin : List.of(circuit.dataPin(), circuit.clockPin(), circuit.latchPin())) {
      text.append("  ").append(dialect.output(pin, false)).append('\n');
    }
    int columnBits = BYTE * columnBytes();
    if (turns() && off() != dark(0)) {
      text.append(shifted(dialect, BYTE * rowBytes(), off() != 0));
      text.append(shifted(dialect, columnBits, dark(0) != 0));
    } else {
      text.append(shifted(dialect, BYTE * rowBytes() + columnBits, dark(0) != 0));
    }
    return text.toString();
  }

  private String shifted(Dialect dialect, int bits, boolean high) {
    return "  "
        + dialect.set(circuit.dataPin(), high)
        + phrase("\n  for (row = 0; row < %du; row++) {\n    ", bits)
        + dialect.set(circuit.clockPin(), true)
        + "\n    "
        + dialect.set(circuit.clockPin(), false)
        + "\n  }\n";
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add("scanned chain").addIf(turns(), "scanned chain with rows");
  }

  @Override
  public String rests() {
    return turns() ? "0001" : "000";
  }

  @Override
  public List<String> names() {
    return turns() ? List.of("DATA", "CLOCK", "LATCH", "BLANK") : List.of("DATA", "CLOCK", "LATCH");
  }

  private int[] bytes(Levels levels, ScanTiming.Slot slot) {
    int[] all = new int[chainBytes()];
    for (int at = 0; at < rowBytes(); at++) {
      all[at] = row(slot.row(), at);
    }
    for (int at = 0; at < columnBytes(); at++) {
      all[rowBytes() + at] = dark(at);
    }
    for (int column = 0; column < circuit.columns(); column++) {
      if (ScanWires.lit(plan, levels, slot, column)) {
        Place place = place(slot.row(), column);
        all[rowBytes() + place.at()] ^= 1 << place.bit();
      }
    }
    return all;
  }

  private long shift(ValueChangeDump dump, int first, long start, int[] bytes) {
    long at = start;
    for (int one : bytes) {
      for (int bit = BYTE - 1; bit >= 0; bit--) {
        dump.set(first, at, (one >> bit & 1) == 1);
        dump.set(first + 1, at + RISE_NANOS, true);
        dump.set(first + 1, at + RISE_NANOS + 62, false);
        at += BIT_NANOS;
      }
    }
    return at;
  }

  private void latch(ValueChangeDump dump, int first, long at) {
    dump.set(first + 2, at, true);
    dump.set(first + 2, at + 125, false);
  }

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    List<ScanTiming.Slot> slots = plan.timing().slots();
    long begins = shift(dump, first, start, bytes(levels, slots.get(0))) + 1000;
    long dark = Math.round(plan.timing().darkSeconds() * 1e9);
    for (int s = 0; s < slots.size(); s++) {
      long at = begins + Math.round(slots.get(s).startSeconds() * 1e9) - dark;
      if (turns()) {
        dump.set(first + 3, at, true);
        latch(dump, first, at + 62);
        dump.set(first + 3, at + dark, false);
      } else {
        latch(dump, first, at);
      }
      if (s + 1 < slots.size()) {
        shift(dump, first, at + dark + LEAD_NANOS, bytes(levels, slots.get(s + 1)));
      }
    }
    ScanTiming.Slot last = slots.get(slots.size() - 1);
    long end = begins + Math.round((last.startSeconds() + last.seconds()) * 1e9);
    if (turns()) {
      dump.set(first + 3, end, true);
    } else {
      int[] nothing = new int[chainBytes()];
      Arrays.fill(nothing, dark(0));
      end = shift(dump, first, end + 1000, nothing) + 500;
      latch(dump, first, end);
    }
    return end + 1000;
  }

  @Override
  public List<String> wiring() {
    List<String> steps = new ArrayList<>();
    steps.add(
        phrase("Data: pin %s of the controller to the serial input of chip 1.", circuit.dataPin()));
    steps.add(
        phrase(
            "Clock: pin %s through 100 ohm to the shift clock of all chips; latch: pin %s through 100 ohm to the storage clock of all.",
            circuit.clockPin(), circuit.latchPin()));
    steps.add(
        turns()
            ? phrase(
                "Output enable of all chips to pin %s, with 10 kohm to plus of the chips: all outputs stay off until the scan begins.",
                circuit.blankPin())
            : "Output enable of all chips to ground.");
    steps.add(
        phrase(
            "Each chip: ground to ground, plus and clear to plus of %s, 100 nF across them; its serial output to the serial input of the next.",
            plan.brief().controllerNode()));
    for (int row = 0; turns() && row < circuit.rows(); row++) {
      steps.add(
          phrase(
              "Row %d: output %s (chip and output) %s; it is on while that is %s.",
              row + 1,
              circuit.rowOutput(row),
              RowWiring.of(plan),
              plan.highRows() ? "high" : "low"));
    }
    return steps;
  }

  @Override
  public PolledWires polled(int[] order) {
    return new PolledChain(plan, circuit, order);
  }
}
