package org.myrialith.firmware;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.colour.Levels;
import org.myrialith.drive.ScanTiming;
import org.myrialith.drive.ScannedPlan;
import org.myrialith.drive.Side;
import org.myrialith.finding.Quantity;
import org.myrialith.formats.ValueChangeDump;

/** Gives rows their turns by an interrupt whose instructions are counted. */
record ScanDriver(ScannedPlan plan) implements LineDriver {
  private static final int NOWHERE = 0xffff;

  /** Bits that divide the clock of timer 2. */
  private static final Map<Integer, String> PRESCALES =
      Map.of(
          1,
          "(1 << CS20)",
          8,
          "(1 << CS21)",
          32,
          "(1 << CS21) | (1 << CS20)",
          64,
          "(1 << CS22)",
          128,
          "(1 << CS22) | (1 << CS20)",
          256,
          "(1 << CS22) | (1 << CS21)");

  private List<String> rows() {
    return plan.circuit().rowPins();
  }

  private List<String> columns() {
    return plan.circuit().columnPins();
  }

  private ScanTiming timing() {
    return plan.timing();
  }

  private static List<Character> ports(List<String> pins) {
    return pins.stream().map(pin -> pin.charAt(0)).distinct().sorted().toList();
  }

  private static int mask(List<String> pins, char port) {
    return pins.stream()
        .filter(pin -> pin.charAt(0) == port)
        .mapToInt(pin -> 1 << pin.charAt(1) - '0')
        .sum();
  }

  @Override
  public String title() {
    return phrase(
        "%s and %s on pins",
        Quantity.text(rows().size(), "rows"), Quantity.text(columns().size(), "columns"));
  }

  private static String line(String instruction) {
    return "      \"" + instruction + "\\n\\t\"\n";
  }

  /** Rows off, columns set, a rest, the row on. */
  private String body() {
    StringBuilder text = new StringBuilder();
    boolean high = plan.highRows();
    for (char port : ports(rows())) {
      int mask = mask(rows(), port);
      text.append(line(phrase("in r24, %%[port%c]", port)));
      text.append(
          line(high ? phrase("andi r24, 0x%02x", ~mask & 0xff) : phrase("ori r24, 0x%02x", mask)));
      text.append(line(phrase("out %%[port%c], r24", port)));
    }
    for (char port : ports(columns())) {
      text.append(line(phrase("in r24, %%[port%c]", port)));
      text.append(line(phrase("andi r24, 0x%02x", ~mask(columns(), port) & 0xff)));
      text.append(line("ld r25, Z+"));
      text.append(line("or r24, r25"));
      text.append(line(phrase("out %%[port%c], r24", port)));
    }
    rest(text);
    for (char port : ports(rows())) {
      text.append(line(phrase("in r24, %%[port%c]", port)));
      text.append(line("ld r25, Z+"));
      text.append(line(high ? "or r24, r25" : "and r24, r25"));
      text.append(line(phrase("out %%[port%c], r24", port)));
    }
    return text.toString();
  }

  private void rest(StringBuilder text) {
    int cycles = timing().dark() * timing().prescale() - plan.circuit().interrupt().leastDark();
    if (cycles >= 3) {
      text.append(line(phrase("ldi r24, %d", cycles / 3)));
      text.append("      \"1:\\n\\t\"\n");
      text.append(line("dec r24"));
      text.append(line("brne 1b"));
    }
    for (int more = cycles % 3; more > 0; more--) {
      text.append(line("nop"));
    }
  }

  /** The ports that its instructions name. */
  private String portsNamed() {
    List<String> all = new ArrayList<>(rows());
    all.addAll(columns());
    return ports(all).stream()
        .map(port -> phrase(",\n        [port%c] \"I\"(_SFR_IO_ADDR(PORT%c))", port, port))
        .collect(Collectors.joining());
  }

  private static String list(int count, IntFunction<String> each) {
    return IntStream.range(0, count).mapToObj(each).collect(Collectors.joining(", "));
  }

  /** What dims has a byte a channel, what does not a bit. */
  private String places() {
    int[] byOutput = plan.map().byOutput();
    StringBuilder text = new StringBuilder();
    for (int row = 0; row < rows().size(); row++) {
      int first = row * columns().size();
      text.append("  {")
          .append(
              list(
                  columns().size(),
                  column -> {
                    int channel = first + column < byOutput.length ? byOutput[first + column] : -1;
                    int place =
                        channel < 0 ? NOWHERE : plan.dims() ? channel : plan.map().place(channel);
                    return Integer.toString(place);
                  }))
          .append("},\n");
    }
    return text.toString();
  }

  private String dark(String slot, String indent) {
    StringBuilder text = new StringBuilder();
    List<Character> ports = ports(columns());
    for (int p = 0; p < ports.size(); p++) {
      int value = plan.lowLights() ? mask(columns(), ports.get(p)) : 0;
      text.append(phrase("%s%s.columns[%d] = 0x%02xu;\n", indent, slot, p, value));
    }
    return text.toString();
  }

  /** What a row's pin adds to its port, or takes from it. */
  private String on(int row) {
    char own = rows().get(row).charAt(0);
    int bit = 1 << rows().get(row).charAt(1) - '0';
    List<Character> ports = ports(rows());
    return "{"
        + list(
            ports.size(),
            p -> {
              int value = ports.get(p) == own ? bit : 0;
              return phrase("0x%02xu", plan.highRows() ? value : ~value & 0xff);
            })
        + "}";
  }

  private String outputs() {
    StringBuilder text = new StringBuilder();
    rows().forEach(p -> text.append(indented(dialect().output(p, !plan.highRows()))));
    columns().forEach(p -> text.append(indented(dialect().output(p, plan.lowLights()))));
    return text.toString();
  }

  private static String indented(String statements) {
    return "  " + statements + "\n";
  }

  private int slotBytes() {
    return ports(columns()).size() + ports(rows()).size() + 1;
  }

  private int slots() {
    return rows().size() * timing().bits();
  }

  /** Where nothing can be scanned, the line stays dark; the plan says why. */
  private boolean able() {
    return dialect() == Dialect.AVR && !rows().isEmpty() && !columns().isEmpty();
  }

  @Override
  public String source() {
    if (!able()) {
      return "static void send_line_@N@(const uint8_t *levels, uint16_t count) {\n  (void)levels;\n  (void)count;\n}\n\n";
    }
    List<Character> columnPorts = ports(columns());
    return SourceText.read("scan.c")
        .replace("@SLOTS@", Integer.toString(slots()))
        .replace("@BYTES@", Integer.toString(slotBytes()))
        .replace("@ALL@", Integer.toString(slots() * slotBytes()))
        .replace("@COLUMNPORTS@", Integer.toString(columnPorts.size()))
        .replace("@ROWPORTS@", Integer.toString(ports(rows()).size()))
        .replace("@BODY@", body())
        .replace("@PORTS@", portsNamed())
        .replace("@ROWS@", Integer.toString(rows().size()))
        .replace("@COLUMNS@", Integer.toString(columns().size()))
        .replace("@BITS@", Integer.toString(timing().bits()))
        .replace("@TABLE@", dialect().table())
        .replace("@PLACES@\n", places())
        .replace("@PLACES@", places())
        .replace(
            "@COLUMNBITS@",
            list(columns().size(), c -> phrase("0x%02xu", 1 << columns().get(c).charAt(1) - '0')))
        .replace(
            "@COLUMNPORT@",
            list(
                columns().size(),
                c -> Integer.toString(columnPorts.indexOf(columns().get(c).charAt(0)))))
        .replace("@DARK@", dark("slot[bit]", "      "))
        .replace("@DARKSLOT@", dark("(*slot)", "        "))
        .replace("@LEVEL@", plan.dims() ? "levels[at]" : "(uint8_t)(levels[at >> 3] >> (at & 7u))")
        .replace("@TICKS@", list(timing().bits(), b -> Integer.toString(timing().ticks(b) - 1)))
        .replace("@ON@", list(rows().size(), this::on))
        .replace("@OUTPUTS@", outputs())
        .replace("@PRESCALE@", PRESCALES.get(timing().prescale()));
  }

  /** It stands in the source already. */
  @Override
  public String start() {
    return able() ? "" : LineDriver.super.start();
  }

  @Override
  public int codeBytes() {
    int lights = rows().size() * columns().size();
    int tables =
        2 * lights + 2 * columns().size() + timing().bits() + rows().size() * ports(rows()).size();
    int pins = rows().size() + columns().size();
    return 520 + 30 * ports(columns()).size() + (plan.dims() ? 0 : 60) + 4 * pins + tables;
  }

  @Override
  public int ramBytes() {
    return 2 * slots() * slotBytes() + 9;
  }

  @Override
  public double sendCycles() {
    return 90;
  }

  @Override
  public List<String> wires() {
    return plan.circuit().pins();
  }

  @Override
  public List<Boolean> rests() {
    List<Boolean> all = new ArrayList<>();
    rows().forEach(row -> all.add(!plan.highRows()));
    columns().forEach(column -> all.add(plan.lowLights()));
    return all;
  }

  /** One turn of all rows. */
  @Override
  public long wave(ValueChangeDump dump, int first, long start, Levels levels) {
    int[] byOutput = plan.map().byOutput();
    long last = start;
    boolean[] now = new boolean[columns().size()];
    for (ScanTiming.Slot slot : timing().slots()) {
      long on = start + Math.round(slot.startSeconds() * 1e9);
      long off = start + Math.round((slot.startSeconds() + slot.seconds()) * 1e9);
      long set = on - Math.round(timing().darkSeconds() * 0.5e9);
      for (int column = 0; column < columns().size(); column++) {
        int output = slot.row() * columns().size() + column;
        int channel = output < byOutput.length ? byOutput[output] : -1;
        boolean lit = channel >= 0 && (levels.at(channel) >> slot.bit() & 1) == 1;
        if (lit != now[column]) {
          now[column] = lit;
          dump.set(first + rows().size() + column, set + column, lit != plan.lowLights());
        }
      }
      dump.set(first + slot.row(), on, plan.highRows());
      dump.set(first + slot.row(), off, !plan.highRows());
      last = off;
    }
    for (int column = 0; column < columns().size(); column++) {
      if (now[column]) {
        dump.set(first + rows().size() + column, last + 500 + column, plan.lowLights());
      }
    }
    return last + 1000;
  }

  /** From a pin to its row. */
  private String switched() {
    boolean feeds = plan.hookup().side() == Side.TO_SUPPLY;
    String end = feeds ? "plus of the supply" : "ground";
    return switch (plan.circuit().rowSwitch()) {
      case PIN -> "to the row";
      case TRANSISTOR ->
          phrase(
              "through %s ohm to the base of %s transistor, emitter to %s, collector to the row",
              Quantity.number(plan.baseOhms()), feeds ? "a PNP" : "an NPN", end);
      case MOSFET ->
          phrase(
              "to the gate of %s-channel MOSFET, 10 kohm from gate to %s, source to %s, drain to the row",
              feeds ? "a P" : "an N", end, end);
    };
  }

  @Override
  public List<String> wiring() {
    List<String> steps = new ArrayList<>();
    for (int row = 0; row < rows().size(); row++) {
      steps.add(
          phrase(
              "Row %d: pin %s %s; it is on while its pin is %s.",
              row + 1, rows().get(row), switched(), plan.highRows() ? "high" : "low"));
    }
    return steps;
  }
}
