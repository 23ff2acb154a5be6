package org.myrialith.firmware.driver;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.chip.register.RegisterPlan;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.line.LevelPlaces;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.firmware.target.ShiftOut;
import org.myrialith.firmware.target.SourceText;
import org.myrialith.formats.ValueChangeDump;
import org.myrialith.parts.GreyClock;

/** Shifts levels into sinks that count them out by themselves, and latches them. */
record GreyDriver(RegisterPlan plan) implements LineDriver {
  private ShiftRegisters circuit() {
    return plan.circuit();
  }

  private GreyClock greyClock() {
    return circuit().sort().greyClock();
  }

  private boolean blanked() {
    return greyClock() == GreyClock.BLANKED && dialect() == Dialect.AVR;
  }

  @Override
  public String title() {
    return phrase(
        "grey-scale sinks on %s (data), %s (clock) and %s (latch)",
        circuit().dataPin(), circuit().clockPin(), circuit().latchPin());
  }

  @Override
  public String source() {
    String latch = set(circuit().latchPin(), true) + "\n" + set(circuit().latchPin(), false);
    String read = SourceText.read(dialect().file("grey_out.c"));
    return (blanked() ? turn() : "")
        + dialect()
            .pins(read, circuit().dataPin(), circuit().clockPin())
            .replace("@PLACES@", LevelPlaces.rows(plan.map(), true))
            .replace("TABLE_OF_LINE", dialect().table())
            .replace("@DEPTH@", Integer.toString(plan.map().depth()))
            .replace("@TOP@", Integer.toString(plan.map().depth() - 9))
            .replace("@LATCH@", blanked() ? "  turn_@N@ = LATCH_DUE;" : latch);
  }

  private String set(String pin, boolean high) {
    return "  " + dialect().set(pin, high);
  }

  /**
   * What happens when the grey scale has been counted out: what was sent is latched in the dark.
   */
  private String turn() {
    return """
        static volatile uint8_t turn_@N@;

        /* The outputs stay dark until there is something to show. */
        static inline void next_turn_@N@(void) {
          if (turn_@N@ == TURN_DARK) {
            return;
          }
        @BLANK@
          if (turn_@N@ == LATCH_DUE) {
        @UP@
        @DOWN@
            turn_@N@ = TURN_RUNS;
          }
        @LIGHT@
        }

        """
        .replace("@BLANK@", set(circuit().blankPin(), true))
        .replace("@UP@", "  " + set(circuit().latchPin(), true))
        .replace("@DOWN@", "  " + set(circuit().latchPin(), false))
        .replace("@LIGHT@", set(circuit().blankPin(), false));
  }

  @Override
  public String everyTurn() {
    return blanked() ? "  next_turn_@N@();\n" : "";
  }

  /** Pins low, but for the blank; then the clock. */
  @Override
  public String start() {
    List<String> low = new ArrayList<>(circuit().pins());
    String blank = "";
    if (blanked()) {
      low.remove(circuit().blankPin());
      blank = "  " + dialect().output(circuit().blankPin(), true) + "\n";
    }
    return "static void start_line_@N@(void) {\n"
        + dialect().low(low)
        + blank
        + (greyClock().fromController() && dialect() == Dialect.AVR ? clock() : "")
        + "}\n\n";
  }

  /**
   * Timer 2 turns its pin by itself, as often as the class wants it, beside that of another line.
   */
  private String clock() {
    boolean second = circuit().greyClockPin().equals("D3");
    return """
          TCCR2A = (uint8_t)((TCCR2A & ((1 << COM2A0) | (1 << COM2B0))) | (1 << @COM@) | (1 << WGM21));
          OCR2A = @TOP@;
          TCCR2B = (1 << CS20);
        """
        .replace("@COM@", second ? "COM2B0" : "COM2A0")
        .replace("@TOP@", blanked() ? "3" : "1");
  }

  @Override
  public int sendCount() {
    return plan.map().chips() * plan.map().width();
  }

  @Override
  public CodeBill code(CodeBill bill) {
    return bill.add(blanked() ? "grey sinks blanked" : "grey sinks")
        .exactly(2 * sendCount())
        .addIf(greyClock().fromController() && dialect() == Dialect.AVR, "grey clock");
  }

  @Override
  public int ramBytes() {
    return blanked() ? 1 : 0;
  }

  @Override
  public double sendCycles() {
    return 90;
  }

  @Override
  public List<String> wires() {
    return List.of("DATA", "CLOCK", "LATCH");
  }

  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    ShiftOut out = new ShiftOut(dump, first, start, plan.brief().controller());
    int[] byOutput = plan.map().byOutput();
    for (int output = byOutput.length - 1; output >= 0; output--) {
      int level = byOutput[output] < 0 ? 0 : levels.at(byOutput[output]);
      out.sendWord(level, plan.map().depth());
    }
    dump.set(first + 2, out.time(8), true);
    dump.set(first + 2, out.time(10), false);
    return out.time(10);
  }

  @Override
  public List<String> wiring() {
    List<String> steps = new ArrayList<>();
    steps.add(
        phrase(
            "Data: pin %s of the controller to the serial input of chip 1.", circuit().dataPin()));
    steps.add(
        phrase(
            "Clock: pin %s through 100 ohm to the shift clock of all chips; latch: pin %s through 100 ohm to the latch of all.",
            circuit().clockPin(), circuit().latchPin()));
    if (greyClock().fromController()) {
      steps.add(
          phrase(
              "Grey-scale clock: pin %s through 100 ohm to all chips%s.",
              circuit().greyClockPin(),
              blanked()
                  ? phrase(
                      "; blank: pin %s to all, with 10 kohm to plus of the chips, so that all outputs stay off until the player runs",
                      circuit().blankPin())
                  : ""));
    }
    steps.add(
        phrase(
            "Each chip: ground to ground, plus to plus of %s, 100 nF and 10 uF across them; %sits serial output to the serial input of the next.",
            plan.brief().controllerNode(),
            blanked() ? "" : "blank or output enable to the level that turns the outputs on, "));
    return steps;
  }
}
