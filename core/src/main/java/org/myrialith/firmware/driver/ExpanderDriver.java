package org.myrialith.firmware.driver;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import org.myrialith.circuit.chip.expander.ExpanderClass;
import org.myrialith.circuit.chip.expander.ExpanderPlan;
import org.myrialith.circuit.chip.expander.Expanders;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Quantity;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.line.TwoWire;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.SourceText;
import org.myrialith.formats.ValueChangeDump;

/** Writes the outputs of expanders, one after the other. */
record ExpanderDriver(ExpanderPlan plan) implements LineDriver {
  private Expanders circuit() {
    return plan.circuit();
  }

  private ExpanderClass sort() {
    return circuit().sort();
  }

  private int invert() {
    return plan.lowLights() ? 0xff : 0;
  }

  private boolean wide() {
    return sort().width() > 8;
  }

  @Override
  public String title() {
    return phrase(
        "expanders on %s (data) and %s (clock)", circuit().dataPin(), circuit().clockPin());
  }

  @Override
  public String source() {
    int outputs = sort().registers().outputs();
    return dialect().twoWire(circuit().dataPin(), circuit().clockPin(), circuit().speed(), false)
        + SourceText.read("expanders.c")
            .replace("@ADDRESS@", Integer.toString(circuit().firstAddress()))
            .replace(
                "@REGISTER@\n", outputs < 0 ? "" : phrase("    wire_byte_@N@(0x%x);\n", outputs))
            .replace("@SECOND@\n", wide() ? data() : "")
            .replace("@FIRST@\n", data());
  }

  private String data() {
    return phrase("    wire_byte_@N@((uint8_t)(*levels++ ^ 0x%xu));\n", invert());
  }

  /** All dark, then outputs. */
  @Override
  public String start() {
    int chips = plan.map().chips();
    int outputs = sort().registers().outputs();
    int directions = sort().registers().directions();
    String dark = phrase("    wire_byte_@N@(0x%x);\n", invert());
    StringBuilder text =
        new StringBuilder(
            "static void start_line_@N@(void) {\n  uint8_t chip;\n  wire_rest_@N@();\n");
    text.append(phrase("  for (chip = 0; chip < %du; chip++) {\n", chips));
    text.append(write(outputs, dark));
    if (directions >= 0) {
      text.append(write(directions, "    wire_byte_@N@(0);\n"));
    }
    return text + "  }\n}\n\n";
  }

  private String write(int register, String data) {
    return "    wire_start_@N@();\n"
        + phrase("    wire_byte_@N@((uint8_t)((%du + chip) << 1));\n", circuit().firstAddress())
        + (register < 0 ? "" : phrase("    wire_byte_@N@(0x%x);\n", register))
        + data
        + (wide() ? data : "")
        + "    wire_stop_@N@();\n";
  }

  @Override
  public int sendCount() {
    return plan.map().chips();
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add(wide() ? "expanders 16 bits" : "expanders 8 bits")
        .addIf(plan.map().chips() > 1, "several expanders");
  }

  @Override
  public double sendCycles() {
    return 60 + 3 * circuit().speed().low();
  }

  @Override
  public List<String> wires() {
    return List.of("SDA", "SCL");
  }

  private double bitNanos() {
    return circuit().speed().bitSeconds(plan.brief().controller()) * 1e9;
  }

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    TwoWire wire = new TwoWire(dump, first, bitNanos(), false, start);
    byte[] buffer = plan.buffer(levels);
    int each = sort().width() / 8;
    int outputs = sort().registers().outputs();
    for (int chip = 0; chip < plan.map().chips(); chip++) {
      int[] bytes = new int[sort().writeBytes()];
      bytes[0] = circuit().firstAddress() + chip << 1;
      int at = 1;
      if (outputs >= 0) {
        bytes[at++] = outputs;
      }
      for (int i = 0; i < each; i++) {
        bytes[at++] = (buffer[chip * each + i] ^ invert()) & 0xff;
      }
      wire.write(bytes);
    }
    return wire.end();
  }

  @Override
  public String rests() {
    return "11";
  }

  @Override
  public List<String> wiring() {
    return List.of(
        phrase(
            "Data: pin %s to the data of all expanders, clock: pin %s to their clock; %s from each of the two lines to %s, once.",
            circuit().dataPin(),
            circuit().clockPin(),
            Quantity.text(circuit().pullUpOhms(), "ohm"),
            plan.feed()),
        phrase(
            "Address pins: first expander 0x%x, each further expander the next address. Each expander: ground to ground, plus to %s, 100 nF across them.",
            circuit().firstAddress(), plan.feed()));
  }
}
