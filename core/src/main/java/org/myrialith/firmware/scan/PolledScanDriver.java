package org.myrialith.firmware.scan;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.myrialith.circuit.multiplex.ScanMethod;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.SourceText;

/** Gives lights their turns in portable C: while the player waits, slots begin by the clock. */
public record PolledScanDriver(ScannedPlan plan) implements TurnsDriver {
  private static final int NOWHERE = 0xffff;

  private ScanTiming timing() {
    return plan.timing();
  }

  private int lights() {
    return plan.lightsOfATurn();
  }

  private int[] order() {
    return plan.circuit().scan().order().of(timing().turns());
  }

  private PolledWires wired() {
    return ScanWires.of(plan).polled(order());
  }

  private List<ScanMethod.Step> steps() {
    return timing().steps().stream().flatMap(List::stream).toList();
  }

  private static String joined(IntStream numbers) {
    return numbers.mapToObj(Integer::toString).collect(Collectors.joining(", "));
  }

  private String places() {
    int[] byOutput = plan.map().byOutput();
    StringBuilder text = new StringBuilder();
    for (int turn : order()) {
      text.append(joined(IntStream.range(0, lights()).map(light -> place(byOutput, turn, light))))
          .append(",\n");
    }
    return text.toString().indent(2);
  }

  /** What dims has a byte a channel, what does not a bit. */
  private int place(int[] byOutput, int turn, int light) {
    int output = turn * lights() + light;
    boolean there = plan.circuit().alone() || light < plan.circuit().columns();
    int channel = output < byOutput.length && there ? byOutput[output] : -1;
    return channel < 0 ? NOWHERE : plan.dims() ? channel : plan.map().place(channel);
  }

  @Override
  public String source() {
    if (!able()) {
      return "static void send_line_@N@(const uint8_t *levels, uint16_t count) {\n  (void)levels;\n  (void)count;\n}\n\n";
    }
    List<Integer> ends = new ArrayList<>();
    int end = 0;
    for (List<ScanMethod.Step> pass : timing().steps()) {
      end += pass.size();
      ends.add(end);
    }
    boolean compared = plan.circuit().scan().method() == ScanMethod.PLAIN;
    return SourceText.read("portable/scan.c")
        .replace("@WIRES@\n", wired().source())
        .replace("@START@\n", wired().start())
        .replace("@REFILL@\n", wired().fill("    ", "&now_@N@"))
        .replace("@FILLDARK@\n", wired().fill("  ", "0"))
        .replace("@READY@\n", wired().ready())
        .replace("@LIT@", compared ? "level > shows_@N@[slot->step]" : BIT)
        .replace(
            "@LEVEL@", plan.dims() ? "levels[at]" : "(uint8_t)(levels[at >> 3] >> (at & 7u) & 1u)")
        .replace("@PLACES@", places())
        .replace("@SHOWS@", joined(steps().stream().mapToInt(ScanMethod.Step::bit)))
        .replace("@LASTS@", joined(steps().stream().mapToInt(timing()::ticks)))
        .replace("@PASSENDS@", joined(ends.stream().mapToInt(Integer::intValue)))
        .replace("@PASSES@", Integer.toString(ends.size()))
        .replace("@TURNS@", Integer.toString(timing().turns()))
        .replace("@COLUMNS@", Integer.toString(lights()))
        .replace("@LIGHTS@", Integer.toString(timing().turns() * lights()))
        .replace("@DARK@", Integer.toString(timing().dark()));
  }

  private static final String BIT = "(uint8_t)(level >> shows_@N@[slot->step] & 1u)";

  /** It stands in the source already. */
  @Override
  public String start() {
    return able() ? "" : TurnsDriver.super.start();
  }

  /** Returns the C that a wait does again and again. */
  @Override
  public String whileWaiting() {
    return able() ? "    scan_@N@();\n" : "";
  }

  /** Returns the C that ends a wait. */
  @Override
  public String afterWaiting() {
    return able() ? "  hold_@N@();\n" : "";
  }

  @Override
  public CodeBill code(CodeBill bill) {
    if (!able()) {
      return bill.add("scan that is not able");
    }
    int tables = 2 * timing().turns() * lights() + 3 * steps().size() + timing().passes();
    return wired()
        .code(bill.add("polled scan").addIf(!plan.dims(), "polled scan on or off"))
        .exactly(tables);
  }

  @Override
  public int ramBytes() {
    return able() ? plan.slotRamBytes() + 28 + wired().ramBytes() : 0;
  }
}
