package org.myrialith.firmware;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.drive.Charlieplex;
import org.myrialith.drive.ScannedPins;
import org.myrialith.drive.ScannedPlan;
import org.myrialith.drive.ScannedRegisters;

/** The portable C that begins a slot on the wires, holds it up and goes on with it. */
record PolledWires(ScannedPlan plan, int[] order) {
  private boolean turns() {
    return plan.circuit().rowSwitch().turns();
  }

  private static String number(String pin) {
    return pin.startsWith("P") ? pin.substring(1) : "0";
  }

  private static String numbers(List<String> pins) {
    return pins.stream().map(PolledWires::number).collect(Collectors.joining(", "));
  }

  private String byTurn(IntFunction<String> each) {
    return IntStream.of(order).mapToObj(each).collect(Collectors.joining(", "));
  }

  String source() {
    if (plan.circuit() instanceof ScannedPins pins) {
      return onPins(pins);
    }
    return plan.circuit() instanceof ScannedRegisters chain
        ? onChain(chain)
        : onOpenPins((Charlieplex) plan.circuit());
  }

  /** Returns the C that starts the wires, all dark. */
  String start() {
    if (!(plan.circuit() instanceof ScannedRegisters chain)) {
      return ScanWires.of(plan).start(Dialect.PORTABLE);
    }
    String low = Dialect.PORTABLE.low(List.of(chain.dataPin(), chain.clockPin(), chain.latchPin()));
    return turns() ? "  " + Dialect.PORTABLE.output(chain.blankPin(), true) + "\n" + low : low;
  }

  /** Returns the C that has a chain filled with what comes first: all dark. */
  String ready() {
    return plan.circuit() instanceof ScannedRegisters ? "  prepare_@N@();\n  latch_@N@();\n" : "";
  }

  /** Returns the C that fills a chain that can't be blanked, before it is latched otherwise. */
  String fill(String indent, String slot) {
    return plan.circuit() instanceof ScannedRegisters && !turns()
        ? phrase("%sfill_@N@(%s);\n", indent, slot)
        : "";
  }

  private String onPins(ScannedPins circuit) {
    boolean high = plan.highRows();
    return SourceText.read(turns() ? "portable/scan_pins.c" : "portable/scan_columns.c")
        .replace("@ROWPINS@", turns() ? byTurn(t -> number(circuit.rowPins().get(t))) : "")
        .replace("@COLUMNPINS@", numbers(circuit.columnPins()))
        .replace("@COLUMNOFF@", plan.lowLights() ? " ^ 1u" : "")
        .replace("@COLUMNDARK@", plan.lowLights() ? "1" : "0")
        .replace("@ROWOFF@", high ? "0" : "1")
        .replace("@ROWON@", high ? "1" : "0");
  }

  private String onChain(ScannedRegisters circuit) {
    ScanWires wires = ScanWires.of(plan);
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
        .replace("@DATA@", number(circuit.dataPin()))
        .replace("@CLOCK@", number(circuit.clockPin()))
        .replace("@LATCH@", number(circuit.latchPin()))
        .replace("@BLANK@", number(circuit.blankPin()));
  }

  private String onOpenPins(Charlieplex circuit) {
    int lights = plan.lightsOfATurn();
    return SourceText.read("portable/scan_open.c")
        .replace("@PINS@", numbers(circuit.charliePins()))
        .replace("@ANODES@", byTurn(turn -> number(anode(circuit, turn))))
        .replace("@FIRSTANODE@", number(anode(circuit, order[0])))
        .replace(
            "@CATHODES@",
            IntStream.of(order)
                .mapToObj(
                    turn ->
                        IntStream.range(0, lights)
                            .mapToObj(column -> number(cathode(circuit, turn, column)))
                            .collect(Collectors.joining(", ", "  ", ",\n")))
                .collect(Collectors.joining()));
  }

  private static int row(Charlieplex circuit, int turn) {
    return circuit.alone() ? turn / circuit.columns() : turn;
  }

  private static String anode(Charlieplex circuit, int turn) {
    return circuit.rowOutput(row(circuit, turn));
  }

  private static String cathode(Charlieplex circuit, int turn, int column) {
    return circuit.columnOutput(
        row(circuit, turn), circuit.alone() ? turn % circuit.columns() : column);
  }

  /** Returns the flash of that. */
  CodeBill code(CodeBill bill) {
    int turns = plan.timing().turns();
    int pins = plan.circuit().pins().size();
    if (plan.circuit() instanceof ScannedPins) {
      return bill.add("polled pin", pins).addIf(!turns(), "polled columns alone");
    }
    if (plan.circuit() instanceof ScannedRegisters chain) {
      return bill.add(turns() ? "polled chain with rows" : "polled chain")
          .addIf(chain.columnBytes() == 1, "polled chain of one byte")
          .exactly(turns() ? turns * chain.rowChips() : 0);
    }
    return bill.add("polled charlieplex")
        .addIf(turns == 1, "polled charlieplex of one turn")
        .exactly(pins + turns * (1 + plan.lightsOfATurn()));
  }

  /** Returns the RAM of that (bytes). */
  int ramBytes() {
    boolean registers = plan.circuit() instanceof ScannedRegisters;
    boolean columns = plan.circuit() instanceof ScannedPins && !turns();
    return registers || columns ? 0 : 1;
  }
}
