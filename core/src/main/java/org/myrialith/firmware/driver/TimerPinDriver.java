package org.myrialith.firmware.driver;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import org.myrialith.circuit.pin.PinPlan;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Quantity;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.formats.ValueChangeDump;
import org.myrialith.parts.Controller;

/**
 * Tells timers how long their pins are lit: a level of 1 to 254 for so many of 256 steps, 255 for
 * good.
 */
record TimerPinDriver(PinPlan plan) implements LineDriver {
  private static final int STEPS = 256;

  /** Time of a step: the clock of a timer is 1/64 of that of the controller (ns). */
  private static final double STEP_NANOS = 64e9 / Controller.CLOCK_HZ;

  /** Turns that a waveform shows. */
  private static final int SHOWN_TURNS = 2;

  private List<String> pins() {
    return plan.circuit().pins();
  }

  private Controller controller() {
    return plan.brief().controller();
  }

  @Override
  public String title() {
    return phrase("%s with hardware PWM", Quantity.text(pins().size(), "pins"));
  }

  /** What a pin has to do with its timer. */
  private record Timed(String pin, String output) {
    char timer() {
      return output.charAt(0);
    }

    char letter() {
      return output.charAt(1);
    }
  }

  private Timed timed(int at) {
    String pin = pins().get(at);
    return new Timed(pin, controller().timerOutputs().getOrDefault(pin, "0A"));
  }

  /** The register that joins a pin to its timer. */
  private static String control(Timed timed) {
    return phrase("TCCR%cA", timed.timer());
  }

  private String joined(Timed timed) {
    String high = phrase("(1 << COM%c%c1)", timed.timer(), timed.letter());
    return plan.lowLights()
        ? phrase("%s | (1 << COM%c%c0)", high, timed.timer(), timed.letter())
        : high;
  }

  @Override
  public String source() {
    StringBuilder text = new StringBuilder();
    int[] byOutput = plan.map().byOutput();
    for (int at = 0; at < pins().size(); at++) {
      if (byOutput[at] >= 0) {
        text.append(pin(at));
      }
    }
    text.append(
        "/* @LINE@: timers turn the pins; dark and full are for good. */\nstatic void send_line_@N@(const uint8_t *levels, uint16_t count) {\n  (void)count;\n");
    for (int at = 0; at < pins().size(); at++) {
      if (byOutput[at] >= 0) {
        text.append(phrase("  light_@N@_%d(levels[%d]);\n", at, byOutput[at]));
      }
    }
    return text + "}\n\n";
  }

  private String pin(int at) {
    Timed timed = timed(at);
    if (dialect()
        == Dialect.PORTABLE) { // no class has timers for it: at least what is bright lights
      return """
          static void light_@N@_@AT@(uint8_t level) {
            if (level > 127u) {
              @FULL@
            } else {
              @DARK@
            }
          }

          """
          .replace("@AT@", Integer.toString(at))
          .replace("@FULL@", set(timed.pin(), !plan.lowLights()))
          .replace("@DARK@", set(timed.pin(), plan.lowLights()));
    }
    return """
        static inline void light_@N@_@AT@(uint8_t level) {
          if (level == 0 || level == 255u) {
            @CONTROL@ = (uint8_t)(@CONTROL@ & (uint8_t) ~(@JOINED@));
            if (level) {
              @FULL@
            } else {
              @DARK@
            }
          } else {
            OCR@OUTPUT@ = (uint8_t)(level - 1u);
            @CONTROL@ = (uint8_t)(@CONTROL@ | @JOINED@);
          }
        }

        """
        .replace("@AT@", Integer.toString(at))
        .replace("@CONTROL@", control(timed))
        .replace("@JOINED@", joined(timed))
        .replace("@FULL@", set(timed.pin(), !plan.lowLights()))
        .replace("@DARK@", set(timed.pin(), plan.lowLights()))
        .replace("@OUTPUT@", timed.output());
  }

  private String set(String pin, boolean high) {
    return dialect().set(pin, high);
  }

  /** All dark before they become outputs; then the timers count to 255, over and over. */
  @Override
  public String start() {
    StringBuilder text = new StringBuilder("static void start_line_@N@(void) {\n");
    TreeMap<Character, Timed> timers = new TreeMap<>();
    for (int at = 0; at < pins().size(); at++) {
      text.append("  ").append(dialect().output(pins().get(at), plan.lowLights())).append('\n');
      timers.putIfAbsent(timed(at).timer(), timed(at));
    }
    if (dialect() == Dialect.AVR) {
      timers.keySet().forEach(timer -> text.append(timer(timer)));
    }
    return text + "}\n\n";
  }

  private static String timer(char timer) {
    String plain =
        switch (timer) {
          case '0' ->
              "  TCCR0A = (1 << WGM01) | (1 << WGM00);\n  TCCR0B = (1 << CS01) | (1 << CS00);\n";
          case '2' -> "  TCCR2A = (1 << WGM21) | (1 << WGM20);\n  TCCR2B = (1 << CS22);\n";
          default ->
              "  TCCR@A = (1 << WGM@0);\n  TCCR@B = (1 << WGM@2) | (1 << CS@1) | (1 << CS@0);\n";
        };
    return plain.replace('@', timer);
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add("PWM pins").add("PWM pin", pins().size());
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

  private record Edge(long nanos, int wire, boolean high) {}

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    List<Edge> edges = new ArrayList<>();
    int[] byOutput = plan.map().byOutput();
    for (int turn = 0; turn < SHOWN_TURNS; turn++) {
      long begins = start + Math.round(turn * STEPS * STEP_NANOS);
      for (int at = 0; at < pins().size(); at++) {
        int level = byOutput[at] < 0 ? 0 : levels.at(byOutput[at]);
        boolean low = plan.lowLights();
        edges.add(new Edge(begins, first + at, level > 0 != low));
        if (level > 0 && level < STEPS - 1) {
          edges.add(new Edge(begins + Math.round(level * STEP_NANOS), first + at, low));
        }
      }
    }
    edges.sort(Comparator.comparingLong(Edge::nanos));
    long last = start;
    for (Edge edge : edges) {
      last = Math.max(last + 1, edge.nanos()); // one change at a time
      dump.set(edge.wire(), last, edge.high());
    }
    return start + Math.round(SHOWN_TURNS * STEPS * STEP_NANOS);
  }

  @Override
  public List<String> wiring() {
    return List.of();
  }
}
