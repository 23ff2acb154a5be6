package org.myrialith.firmware.driver;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.pin.PinPlan;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Quantity;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.formats.ValueChangeDump;

/** Sets pins, one after the other. */
record PinDriver(PinPlan plan) implements LineDriver {
  private List<String> pins() {
    return plan.circuit().pins();
  }

  @Override
  public String title() {
    return phrase("%s as outputs", Quantity.text(pins().size(), "pins"));
  }

  @Override
  public String source() {
    StringBuilder text =
        new StringBuilder(
            """
            /* @LINE@: a set bit lights, with a @HOW@ level. */
            static void send_line_@N@(const uint8_t *levels, uint16_t count) {
              (void)count;
            """
                .replace("@HOW@", plan.lowLights() ? "low" : "high"));
    for (int i = 0; i < pins().size(); i++) {
      text.append(
          phrase(
              "  if (levels[%d] & %du) {\n    %s\n  } else {\n    %s\n  }\n",
              i / 8, 1 << i % 8, set(i, !plan.lowLights()), set(i, plan.lowLights())));
    }
    return text + "}\n\n";
  }

  private String set(int pin, boolean high) {
    return dialect().set(pins().get(pin), high);
  }

  /** All dark before they become outputs. */
  @Override
  public String start() {
    StringBuilder text = new StringBuilder("static void start_line_@N@(void) {\n");
    pins()
        .forEach(
            pin -> text.append("  ").append(dialect().output(pin, plan.lowLights())).append('\n'));
    return text + "}\n\n";
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add("pins").add("pin", pins().size());
  }

  @Override
  public double sendCycles() {
    return 60;
  }

  @Override
  public List<String> wires() {
    return pins();
  }

  @Override
  public String rests() {
    return (plan.lowLights() ? "1" : "0").repeat(wires().size());
  }

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    byte[] buffer = plan.buffer(levels);
    List<Long> ends = new ArrayList<>(List.of(start));
    for (int i = 0; i < pins().size(); i++) {
      boolean lit = (buffer[i / 8] >> i % 8 & 1) == 1;
      long at =
          start
              + Math.round(i * PinPlan.PIN_CYCLES * plan.brief().controller().cycleSeconds() * 1e9);
      dump.set(first + i, at, lit != plan.lowLights());
      ends.add(at);
    }
    return ends.get(ends.size() - 1);
  }

  @Override
  public List<String> wiring() {
    return List.of();
  }
}
