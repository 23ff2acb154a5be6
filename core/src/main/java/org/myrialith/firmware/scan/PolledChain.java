package org.myrialith.firmware.scan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.SourceText;

/** Rows and columns on a chain of registers, in portable C. */
record PolledChain(ScannedPlan plan, ScannedRegisters circuit, int[] order) implements PolledWires {
  private boolean turns() {
    return circuit.rowSwitch().turns();
  }

  @Override
  public String source() {
    ScanWires wires = new ScanChain(plan, circuit);
    return (SourceText.read("portable/scan_shift.c")
            + SourceText.read(turns() ? "portable/scan_chain.c" : "portable/scan_stages.c"))
        .replace(
            "@ROWS@",
            IntStream.of(order)
                .mapToObj(
                    turn ->
                        IntStream.range(0, wires.rowBytes())
                            .mapToObj(at -> phrase("0x%02xu", wires.row(turn, at)))
                            .collect(Collectors.joining(", ", "  {", "},\n")))
                .collect(Collectors.joining()))
        .replace("@ROWBYTES@", Integer.toString(wires.rowBytes()))
        .replace("@COLUMNBYTES@", Integer.toString(wires.columnBytes()))
        .replace("@DARKBYTE@", phrase("0x%02x", wires.dark(0)))
        .replace("@DATA@", PolledWires.number(circuit.dataPin()))
        .replace("@CLOCK@", PolledWires.number(circuit.clockPin()))
        .replace("@LATCH@", PolledWires.number(circuit.latchPin()))
        .replace("@BLANK@", PolledWires.number(circuit.blankPin()));
  }

  @Override
  public String start() {
    String low =
        Dialect.PORTABLE.low(List.of(circuit.dataPin(), circuit.clockPin(), circuit.latchPin()));
    return turns() ? "  " + Dialect.PORTABLE.output(circuit.blankPin(), true) + "\n" + low : low;
  }

  @Override
  public String ready() {
    return "  prepare_@N@();\n  latch_@N@();\n";
  }

  @Override
  public String fill(String indent, String slot) {
    return turns() ? "" : phrase("%sfill_@N@(%s);\n", indent, slot);
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add(turns() ? "polled chain with rows" : "polled chain")
        .addIf(circuit.columnBytes() == 1, "polled chain of one byte")
        .exactly(turns() ? plan.timing().turns() * circuit.rowChips() : 0);
  }

  @Override
  public int ramBytes() {
    return 0;
  }
}
