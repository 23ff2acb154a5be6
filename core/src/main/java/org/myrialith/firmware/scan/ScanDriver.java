package org.myrialith.firmware.scan;

import static org.myrialith.finding.Phrase.phrase;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.circuit.multiplex.ScanClock;
import org.myrialith.circuit.multiplex.ScanMethod;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.SourceText;

/** Gives lights their turns by an interrupt whose instructions are counted. */
public record ScanDriver(ScannedPlan plan) implements TurnsDriver {
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
          "(1 << CS22) | (1 << CS21)",
          1024,
          "(1 << CS22) | (1 << CS21) | (1 << CS20)");

  /** Those of timer 0. */
  private static final Map<Integer, String> FEWER =
      Map.of(
          1,
          "(1 << CS00)",
          8,
          "(1 << CS01)",
          64,
          "(1 << CS01) | (1 << CS00)",
          256,
          "(1 << CS02)",
          1024,
          "(1 << CS02) | (1 << CS00)");

  private ScanTiming timing() {
    return plan.timing();
  }

  private int lights() {
    return plan.lightsOfATurn();
  }

  private ScanMethod method() {
    return plan.circuit().scan().method();
  }

  /** Whether timer 0 gives the turns, and with them the player's time. */
  private boolean onTimer0() {
    return timing().clock() == ScanClock.TIMER_0;
  }

  private static String list(int count, IntFunction<String> each) {
    return IntStream.range(0, count).mapToObj(each).collect(Collectors.joining(", "));
  }

  /** The turns as they come. */
  private int[] order() {
    return plan.circuit().scan().order().of(timing().turns());
  }

  private String byTurn(IntFunction<String> each) {
    StringBuilder text = new StringBuilder();
    for (int turn : order()) {
      text.append("  {").append(each.apply(turn)).append("},\n");
    }
    return text.toString();
  }

  /** What dims has a byte a channel, what does not a bit. */
  private String place(int turn, int column, int[] byOutput) {
    int output = turn * lights() + column;
    int channel = output < byOutput.length && there(column) ? byOutput[output] : -1;
    int place = channel < 0 ? NOWHERE : plan.dims() ? channel : plan.map().place(channel);
    return Integer.toString(place);
  }

  private boolean there(int column) {
    return plan.circuit().alone() || column < plan.circuit().columns();
  }

  private String cells(IntFunction<IntFunction<String>> each) {
    return on().byRow()
        ? "\n" + byTurn(turn -> list(lights(), each.apply(turn)))
        : list(lights(), each.apply(0));
  }

  /** Columns of a turn dark. */
  private String dark(String slot, String turn, String indent) {
    ScanWires wires = on();
    StringBuilder text = new StringBuilder();
    for (int at = 0; at < wires.columnBytes(); at++) {
      String value =
          wires.darkAsRow()
              ? phrase("pgm_read_byte(&on_@N@[%s][%d])", turn, at)
              : phrase("0x%02xu", wires.dark(at));
      text.append(phrase("%s%s.columns[%d] = %s;\n", indent, slot, at, value));
    }
    return text.toString();
  }

  private int slots() {
    return timing().slotCount();
  }

  /** Each slot of a light: lit or not, in as many cycles. */
  private String lighting() {
    String lit = "slot[bit].columns[port] ^= (uint8_t)(lit & (uint8_t)(0u - ";
    if (method() == ScanMethod.PLAIN) {
      return phrase(
          "        for (bit = 0; bit < @STEPS@u; bit++) {\n          %s(uint8_t)(bit < level)));\n        }\n",
          lit);
    }
    String each =
        phrase(
            "%s(level & 1u))); /* takes as long for dark */\n          level >>= 1;\n        }\n",
            lit);
    int low = method().lowBits(timing().bits());
    return low == 0
        ? "        for (bit = 0; bit < @STEPS@u; bit++) {\n          " + each
        : phrase(
            "        bit = 0;\n        if (single) {\n          %s((level & single) != 0u)));\n          bit = 1;\n        }\n        level >>= %d;\n        for (; bit < steps; bit++) {\n          %s",
            lit, low, each);
  }

  /** Of bits in a row the lowest is taken; a level that is compared must have no others. */
  private String level() {
    if (plan.dims()) {
      return "levels[at]";
    }
    String masked = method() == ScanMethod.PLAIN ? " & 1u" : "";
    return phrase("(uint8_t)(levels[at >> 3] >> (at & 7u)%s)", masked);
  }

  private List<List<ScanMethod.Step>> passes() {
    return timing().steps();
  }

  /** The bit that only this pass shows, as a mask; 0 for none. */
  private String singles() {
    int low = method().lowBits(timing().bits());
    return list(
        passes().size(),
        p -> {
          int first = passes().get(p).get(0).bit();
          return first < low ? phrase("0x%02xu", 1 << first) : "0";
        });
  }

  private String ticks() {
    return passes().stream()
        .flatMap(List::stream)
        .map(step -> Integer.toString(timing().ticks(step) - 1))
        .collect(Collectors.joining(", "));
  }

  @Override
  public String source() {
    if (!able()) {
      return "static void send_line_@N@(const uint8_t *levels, uint16_t count) {\n  (void)levels;\n  (void)count;\n}\n\n";
    }
    boolean several = passes().size() > 1;
    String source = SourceText.read(several ? "scan_passes.c" : "scan_pass.c");
    return timer(SourceText.read("scan.c").replace("@MAKE@\n", source))
        .replace("@PASSVAR@", several ? "  uint8_t pass;\n" : "")
        .replace("@STEPSOF@\n", stepsOf(several))
        .replace("@FIELDS@\n", on().fields())
        .replace("@CHANGE@", on().change())
        .replace("@SEND@", on().send())
        .replace("@PORTS@", on().operands())
        .replace("@LIGHTING@\n", lighting())
        .replace("@DARK@\n", dark("slot[bit]", "row", "      "))
        .replace("@DARKSLOT@\n", dark("(*slot)", "row", "          "))
        .replace("@ROWSET@\n", on().rowBytes() == 0 ? "" : SourceText.read("scan_row.c"))
        .replace("@ONS@\n", on().rowBytes() == 0 ? "" : ons())
        .replace("@STARTWIRES@\n", on().start(dialect()))
        .replace("@PLACES@", places())
        .replace("@CELLS@", on().byRow() ? "[@ROWS@][@COLUMNS@]" : "[@COLUMNS@]")
        .replace("@CELL@", on().byRow() ? "[row][column]" : "[column]")
        .replace("@COLUMNBITS@", cells(t -> c -> phrase("0x%02xu", 1 << at(t, c).bit())))
        .replace("@COLUMNBYTE@", cells(t -> c -> Integer.toString(at(t, c).at())))
        .replace("@LEVEL@", level())
        .replace("@TICKS@", ticks())
        .replace("@SINGLES@", singles())
        .replace(
            "@HIGHSTEPS@", Integer.toString(timing().bits() - method().lowBits(timing().bits())))
        .replace("@PASSES@", Integer.toString(passes().size()))
        .replace("@STEPS@", Integer.toString(passes().get(0).size()))
        .replace("@SLOTS@", Integer.toString(slots()))
        .replace("@BYTES@", Integer.toString(plan.circuit().slotBytes()))
        .replace("@BEFORE@", on().sentBefore() == 0 ? "" : " + " + on().sentBefore())
        .replace("@ALL@", Integer.toString(slots() * plan.circuit().slotBytes()))
        .replace("@ROWS@", Integer.toString(timing().turns()))
        .replace("@COLUMNS@", Integer.toString(lights()))
        .replace("@ROWBYTES@", Integer.toString(on().rowBytes()))
        .replace("@TABLE@", dialect().table());
  }

  /** The slots of a row in a pass. */
  private static String stepsOf(boolean several) {
    return several
        ? "#define STEPS_@N@(pass) (uint8_t)(@HIGHSTEPS@u + (pgm_read_byte(&single_@N@[pass]) ? 1u : 0u))\n\n"
            + "/* The bit that only this pass shows. */\n"
            + "static const uint8_t single_@N@[@PASSES@] @TABLE@ = {@SINGLES@};\n"
        : "#define STEPS_@N@(pass) (uint8_t)((pass) * 0u + @STEPS@u)\n";
  }

  /** Returns the time of a turn where it is the player's clock too (µs). */
  public OptionalInt clockMicros() {
    return able() && onTimer0()
        ? OptionalInt.of((int) Math.round(1e6 / timing().wholeHz()))
        : OptionalInt.empty();
  }

  private ScanWires.Place at(int turn, int column) {
    return there(column) ? on().place(turn, column) : new ScanWires.Place(0, 0);
  }

  private String places() {
    int[] byOutput = plan.map().byOutput();
    return byTurn(turn -> list(lights(), column -> place(turn, column, byOutput)));
  }

  private String ons() {
    return "static const uint8_t on_@N@[@ROWS@][@ROWBYTES@] @TABLE@ = {\n"
        + byTurn(turn -> list(on().rowBytes(), at -> phrase("0x%02xu", on().row(turn, at))))
        + "};\n\n";
  }

  /** Timer 2; or timer 0, whose turns are counted, as they are the player's time too. */
  private String timer(String source) {
    boolean zero = onTimer0();
    return source
        .replace("@TURNS@", zero ? SourceText.read("scan_turns.c") : "")
        .replace("@COUNTING@", zero ? "volatile uint8_t scan_turns;\n" : "")
        .replace("@TURNOPERAND@", zero ? "[turns] \"i\"(&scan_turns), " : "")
        .replace("@T@", zero ? "0" : "2")
        .replace("@TIMSK@", zero ? "TIMSK" : "TIMSK2")
        .replace("@PRESCALE@", (zero ? FEWER : PRESCALES).get(timing().prescale()));
  }

  /** It stands in the source already. */
  @Override
  public String start() {
    return able() ? "" : TurnsDriver.super.start();
  }

  @Override
  public CodeBill code(CodeBill bill) {
    if (!able()) {
      return bill.add("scan that is not able");
    }
    int cells = timing().turns() * lights();
    int tables =
        2 * cells
            + 2 * (on().byRow() ? cells : lights())
            + timing().slotsOfARow()
            + timing().turns() * on().rowBytes();
    return on().code(
            bill.add("scan")
                .addIf(!plan.dims(), "scan on or off")
                .addIf(timing().slotCount() == 1, "scan of one slot")
                .addIf(cells == 1, "scan of one light")
                .addIf(passes().size() > 1, "scan in passes"))
        .exactly(tables);
  }

  @Override
  public int ramBytes() {
    return able() ? plan.slotRamBytes() + (onTimer0() ? 10 : 9) : 0;
  }
}
