package org.myrialith.firmware.scan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.circuit.charlieplex.Charlieplex;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.Dialect;
import org.myrialith.formats.ValueChangeDump;

/** What the interrupt that begins a slot does to the wires, and what it keeps for each slot. */
sealed interface ScanWires permits ScanPins, ScanChain, ScanOpenPins {
  /** Returns those of a plan. */
  static ScanWires of(ScannedPlan plan) {
    if (plan.circuit() instanceof ScannedPins pins) {
      return new ScanPins(plan, pins);
    }
    if (plan.circuit() instanceof ScannedRegisters registers) {
      return new ScanChain(plan, registers);
    }
    return new ScanOpenPins(plan, (Charlieplex) plan.circuit());
  }

  /** Returns what a slot has before the ticks of its timer, as fields of a struct. */
  String fields();

  /** Returns the bytes of the columns of a slot. */
  int columnBytes();

  /** Returns the bytes of its row; 0 where there is none. */
  int rowBytes();

  /** Returns the bytes of a slot that were sent before it begins. */
  default int sentBefore() {
    return 0;
  }

  /** Returns the assembler from the end of a slot to the beginning of the next. */
  String change();

  /** Returns the assembler that sends what the next slot wants. */
  default String send() {
    return "";
  }

  /** Returns the operands that it names. */
  default String operands() {
    return "";
  }

  /** Returns the byte of the columns that a light stands in, and its bit there. */
  Place place(int row, int column);

  /** A bit of a byte. */
  record Place(int at, int bit) {}

  /** Returns whether a column has another place in each row. */
  default boolean byRow() {
    return false;
  }

  /** Returns what a byte of the columns is while all of them are dark. */
  int dark(int at);

  /** Returns whether columns that are dark are as the row is. */
  default boolean darkAsRow() {
    return false;
  }

  /** Returns a byte of a row. */
  int row(int row, int at);

  /** Returns the C that starts the wires, all dark. */
  String start(Dialect dialect);

  /** Returns a bill with all that. */
  CodeBill code(CodeBill bill);

  /** Returns how wires rest, as in a dump. */
  String rests();

  /** Returns the names of the wires. */
  List<String> names();

  /**
   * Writes the slots of one frame.
   *
   * @return when they end (ns)
   */
  long wave(ValueChangeDump dump, int first, long start, Levels levels);

  /** Returns how they are wired, one step each. */
  List<String> wiring();

  /** Returns what does the same in portable C, with turns in an order. */
  PolledWires polled(int[] order);

  /** Returns whether a light of a plan is lit in a slot. */
  static boolean lit(ScannedPlan plan, Levels levels, ScanTiming.Slot slot, int column) {
    int[] byOutput = plan.map().byOutput();
    int output = slot.row() * plan.lightsOfATurn() + column;
    int channel = output < byOutput.length ? byOutput[output] : -1;
    return channel >= 0 && plan.timing().lit(levels.at(channel), slot);
  }

  /** Returns a line of assembler in C. */
  static String line(String instruction) {
    return "      \"" + instruction + "\\n\\t\"\n";
  }

  /** Returns a wait so long that a slot's beginning takes as many cycles as planned. */
  static String rest(ScannedPlan plan) {
    ScanTiming timing = plan.timing();
    int cycles = timing.dark() * timing.prescale() - plan.circuit().interrupt().leastDark();
    StringBuilder text = new StringBuilder();
    // a round is three cycles; of a register's 255 rounds, four where that is too short
    int round = cycles / 3 < 256 ? 3 : 4;
    if (cycles >= round) {
      text.append(line(phrase("ldi r24, %d", cycles / round)));
      text.append("      \"1:\\n\\t\"\n");
      text.append(line("dec r24"));
      if (round == 4) {
        text.append(line("nop"));
      }
      text.append(line("brne 1b"));
    }
    for (int more = cycles % round; more > 0; more--) {
      text.append(line("nop"));
    }
    return text.toString();
  }

  /** Returns the ports of pins, each once. */
  static List<Character> ports(List<String> pins) {
    return pins.stream().map(pin -> pin.charAt(0)).distinct().sorted().toList();
  }

  /** Returns the bits of pins that are on a port. */
  static int mask(List<String> pins, char port) {
    return pins.stream()
        .filter(pin -> pin.charAt(0) == port)
        .mapToInt(pin -> 1 << pin.charAt(1) - '0')
        .sum();
  }

  /** Returns the place of a pin among ports. */
  static Place place(String pin, List<String> pins) {
    return new Place(ports(pins).indexOf(pin.charAt(0)), pin.charAt(1) - '0');
  }

  /** Returns operands of ports, each by its register and its letter in lower case. */
  static String ports(List<String> pins, String register, String name) {
    List<String> all = new ArrayList<>();
    ports(pins)
        .forEach(
            port ->
                all.add(
                    phrase(
                        ",\n        [%s%c] \"I\"(_SFR_IO_ADDR(%s%c))",
                        name, port, register, port)));
    return String.join("", all);
  }
}
