package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Levels;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.frames.Clip;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Controller;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.EdgeDecoder;
import org.myrialith.tool.Gadgets;
import org.myrialith.tool.OutsideTool;
import org.myrialith.tool.SimulatedController;

/**
 * Rows and columns on the pins of a simulated controller: what each light gets, integrated over the
 * time that its row is on and its column lit.
 */
class ScanTest {
  /** An interrupt waits for the instruction under way: five cycles at most. */
  private static final int WAITS = 5;

  /** Where no row ends a slot, columns of three ports change one after the other. */
  private static final int BETWEEN_PORTS = 12;

  private static double nanos(ScannedPlan plan, int cycles) {
    return cycles * 1.03e9 / plan.brief().controller().clockHz();
  }

  private static final String SCENARIOS = "org.myrialith.firmware.ScanGadgets#scenarios";

  /** What beginning and ending takes is not planned apart (s). */
  private static final double FEW_SECONDS = 3.2e-6;

  private static final String SINGLE = "org.myrialith.firmware.ScanGadgets#single";
  private static final String ENDS = "org.myrialith.firmware.ScanGadgets#ends";
  private static final String OTHERS = "org.myrialith.firmware.ScanGadgets#others";

  private static final String SLOWER = "org.myrialith.firmware.ScanGadgets#slower";

  @TempDir static Path folders;

  private static Levels first(GadgetPlan plan) {
    return Exported.ofLine(Exported.sent(plan), 0).stream()
        .filter(levels -> levels.sum() > 0)
        .findFirst()
        .orElseThrow();
  }

  private static ScannedPlan scan(GadgetPlan plan) {
    return (ScannedPlan) plan.wiring().plans().get(0);
  }

  /** What the lights of a turn got, in units of the lowest bit, as levels of the channels. */
  private static Levels levels(ScannedPlan plan, Path folder, Turns.Turn turn) throws IOException {
    double unit = plan.timing().unitSeconds() * 1e9;
    int[] counts = new int[turn.lit().length];
    for (int i = 0; i < counts.length; i++) {
      double level = turn.lit()[i] / unit;
      counts[i] = (int) Math.round(level);
      assertThat(level)
          .isCloseTo(
              counts[i],
              within(
                  0.01 * Math.max(1, level)
                      + nanos(
                              plan,
                              WAITS + (plan.circuit().rowSwitch().turns() ? 0 : BETWEEN_PORTS))
                          / unit));
    }
    return Wired.of(folder, plan).levels(counts, plan.map().width(), plan.levelBits());
  }

  private static Stream<Named<GadgetPlan>> all() {
    return Stream.of(
            ScanGadgets.scenarios(), ScanGadgets.others(), ScanGadgets.slower(), ScanGadgets.ends())
        .flatMap(each -> each);
  }

  static Stream<Named<GadgetPlan>> pairs() {
    return EveryPair.of(all()).stream();
  }

  static Stream<Named<GadgetPlan>> once() {
    return EveryPair.once(all()).stream();
  }

  /** Those that are other than the one before: on wires nothing else can be told apart. */
  private static List<Levels> changing(List<Levels> all) {
    List<Levels> changing = new ArrayList<>();
    for (Levels one : all) {
      if (changing.isEmpty() || !changing.get(changing.size() - 1).equals(one)) {
        changing.add(one);
      }
    }
    return changing;
  }

  private static List<Levels> shown(ScannedPlan plan, Path folder, List<Turns.Turn> turns)
      throws IOException {
    List<Levels> all = new ArrayList<>();
    for (Turns.Turn turn : turns) {
      Levels one = levels(plan, folder, turn);
      if (all.isEmpty() ? one.sum() > 0 : !all.get(all.size() - 1).equals(one)) {
        all.add(one);
      }
    }
    return all;
  }

  @ParameterizedTest
  @MethodSource("pairs")
  void everyLightGetsItsLevelInEveryMoment(GadgetPlan plan) throws IOException {
    ScannedPlan scan = scan(plan);
    Path folder = Exported.export(folders, plan, "play");
    SimulatedController played =
        SimulatedController.play(folder, Turns.wires(scan), plan.show().lengthMillis() + 60);
    List<Turns.Turn> turns = Turns.played(scan, played.dump(), first(plan));
    List<Levels> expected = changing(Exported.ofLine(Exported.sent(plan), 0));
    List<Levels> shown = shown(scan, folder, turns);
    assertThat(shown).hasSizeGreaterThan(expected.size());
    assertThat(shown.subList(0, expected.size())).isEqualTo(expected);
    assertThat(shown.get(expected.size())).as("the show starts again").isEqualTo(expected.get(0));
    // refresh and slots as planned
    double turn =
        (turns.get(turns.size() - 1).start() - turns.get(1).start()) / (turns.size() - 2.0);
    assertThat(1e9 / turn).isCloseTo(scan.timing().wholeHz(), within(0.0001 * 1e9 / turn));
    if (turns.get(0).slots().isEmpty()) {
      return; // no wire tells where a slot ends
    }
    List<Double> planned =
        scan.timing().slots().stream().map(slot -> slot.seconds() * 1e9).toList();
    List<Turns.Turn> some = turns.subList(1, Math.min(60, turns.size()));
    for (int slot = 0; slot < planned.size(); slot++) {
      int at = slot;
      double mean = some.stream().mapToLong(one -> one.slots().get(at)).average().orElseThrow();
      assertThat(mean).isCloseTo(planned.get(slot), within(0.01 * planned.get(slot)));
      for (Turns.Turn one : some) {
        assertThat((double) one.slots().get(slot))
            .isCloseTo(planned.get(slot), within(nanos(scan, WAITS)));
      }
    }
    assertThat(played.stackBytes()).isBetween(2, FirmwarePlan.STACK_BYTES);
  }

  /** Its environment has a clock of its own, whose interrupt may hold a slot up. */
  @ParameterizedTest
  @MethodSource("once")
  void theSketchShowsTheSame(GadgetPlan plan) throws IOException {
    ScannedPlan scan = scan(plan);
    Path folder = Exported.export(folders, plan, "sketch");
    SimulatedController played =
        SimulatedController.sketch(
            folder, "show", Turns.wires(scan), plan.show().moments().get(3).startMillis());
    double unit = scan.timing().unitSeconds() * 1e9;
    List<Turns.Turn> turns = Turns.played(scan, played.dump(), first(plan));
    List<Levels> expected = Exported.ofLine(Exported.sent(plan), 0);
    int seen = 0;
    for (Turns.Turn turn : turns) {
      int[] counts =
          Arrays.stream(turn.lit()).mapToInt(lit -> (int) Math.round(lit / unit)).toArray();
      Levels one = Wired.of(folder, scan).levels(counts, scan.map().width(), scan.levelBits());
      seen += seen < expected.size() && one.equals(expected.get(seen)) ? 1 : 0;
    }
    assertThat(seen).isGreaterThanOrEqualTo(3);
  }

  @ParameterizedTest
  @MethodSource("once")
  void theBringUpWalksThroughEveryLight(GadgetPlan plan) throws IOException {
    ScannedPlan scan = scan(plan);
    Path folder = Exported.export(folders, plan, "bringup");
    int milli = (int) Math.ceil(2.2e3 / scan.timing().wholeHz());
    Exported.quicken(folder, milli);
    int steps = Math.min(scan.channels(), 20);
    SimulatedController played =
        SimulatedController.bringUp(folder, Turns.wires(scan), (long) (steps + 3) * milli);
    int[] one = new int[scan.channels()];
    one[0] = Math.max(1, 48 >> 8 - scan.levelBits());
    Levels first = Levels.of(scan.levelBits(), one);
    List<Levels> shown = shown(scan, folder, Turns.played(scan, played.dump(), first));
    assertThat(shown).hasSizeGreaterThanOrEqualTo(steps);
    for (int step = 0; step < steps; step++) {
      Levels seen = shown.get(step);
      assertThat(seen.at(step)).as("light %d", step).isPositive();
      assertThat(seen.sum()).isEqualTo(seen.at(step));
    }
  }

  @ParameterizedTest
  @MethodSource("once")
  void theWaveformIsATurnOfEachFrame(GadgetPlan plan) throws IOException {
    ScannedPlan scan = scan(plan);
    Path folder = Exported.export(folders, plan, "wave");
    List<Turns.Turn> turns = Turns.drawn(scan, folder.resolve("waveform.vcd"), starts(plan));
    List<Levels> expected = Exported.ofLine(Exported.sent(plan), 0);
    for (int m = 0; m < turns.size(); m++) {
      assertThat(levels(scan, folder, turns.get(m))).isEqualTo(expected.get(m));
    }
    assertThat(turns).isNotEmpty();
  }

  @ParameterizedTest
  @MethodSource({SCENARIOS, OTHERS, SLOWER, ENDS, SINGLE})
  void sizesAreWithinFivePercentOfTheSizeTool(GadgetPlan plan) {
    Path folder = Exported.export(folders, plan, "size");
    OutsideTool.runClean(folder, "make", "-s", "firmware.elf");
    String report = OutsideTool.run(folder, "avr-size", "firmware.elf").text();
    Matcher sizes = Pattern.compile("(?m)^\\s*(\\d+)\\s+(\\d+)\\s+(\\d+)").matcher(report);
    assertThat(sizes.find()).as(report).isTrue();
    double flash = Double.parseDouble(sizes.group(1)) + Double.parseDouble(sizes.group(2));
    double ram = Double.parseDouble(sizes.group(2)) + Double.parseDouble(sizes.group(3));
    FirmwarePlan firmware = plan.firmware().orElseThrow();
    assertThat((double) firmware.flashBytes()).as(report).isCloseTo(flash, within(0.05 * flash));
    assertThat((double) firmware.ramBytes()).as(report).isCloseTo(ram, within(8.0));
  }

  /** A millisecond after the beginning, then as the show goes on (ns). */
  private static List<Long> starts(GadgetPlan plan) {
    return plan.show().moments().stream().map(m -> 1_000_000 * (1 + m.startMillis())).toList();
  }

  /** A port whose pin 4 is free. */
  private static char probe(GadgetPlan plan) {
    return plan.gadget().brief().controllerKey().equals(Controller.AVR8_8K.key()) ? 'B' : 'C';
  }

  /** Making the slots of a frame, seen on a pin that is high meanwhile. */
  @ParameterizedTest
  @MethodSource({SCENARIOS, OTHERS, SLOWER, ENDS, SINGLE})
  void makingAFrameTakesAsLongAsPlanned(GadgetPlan plan) throws IOException {
    ScannedPlan scan = scan(plan);
    Path folder = Exported.export(folders, plan, "timed");
    Path board = folder.resolve("board.c");
    String text = Files.readString(board);
    String told =
        text.replace(
            "  send_line_1(levels",
            "  DDR@ |= 16;\n  PORT@ |= 16;\n  send_line_1(levels".replace('@', probe(plan)));
    told =
        told.replace(
            "  SREG = flags;\n", "  PORT@ &= 0xef;\n  SREG = flags;\n".replace('@', probe(plan)));
    assertThat(told).isNotEqualTo(text);
    Files.writeString(board, told);
    SimulatedController played =
        SimulatedController.play(
            folder, List.of(probe(plan) + "4"), plan.show().moments().get(3).startMillis());
    List<EdgeDecoder.Change> edges = EdgeDecoder.changes(played.dump(), List.of(probe(plan) + "4"));
    // the third frame: nothing has to be waited for
    double took = (edges.get(5).at() - edges.get(4).at()) * 1e-9;
    // interrupts of a row come close together: at slow clocks one frame more or less has them
    double bunch =
        scan.brief().controller().slow()
            ? scan.timing().slotsOfARow() / 2.0 * scan.timing().beginSeconds()
            : 0;
    assertThat(took)
        .isCloseTo(scan.dataSeconds(), within(0.05 * scan.dataSeconds() + bunch + FEW_SECONDS));
  }

  /**
   * A player that hangs with interrupts off leaves a row on, until the watchdog starts all anew.
   */
  @Test
  void theWatchdogEndsAScanThatStopped() throws IOException {
    GadgetPlan plan = GadgetPlan.of(ScanGadgets.digits());
    ScannedPlan scan = scan(plan);
    Path folder = Exported.export(folders, plan, "hangs");
    Path board = folder.resolve("board.c");
    String text = Files.readString(board);
    String hanging =
        text.replace(
            "void board_wait_ms(uint16_t ms) {",
            "void board_wait_ms(uint16_t ms) {\n  static uint8_t waits;\n  if (++waits == 3u) {\n    cli();\n    for (;;) {\n    }\n  }");
    assertThat(hanging).isNotEqualTo(text);
    Files.writeString(board, hanging);
    SimulatedController played = SimulatedController.play(folder, Turns.wires(scan), 600);
    List<Turns.Turn> turns = Turns.played(scan, played.dump(), first(plan));
    long hangs = 0;
    int begins = 0;
    for (int t = 1; t < turns.size(); t++) {
      long gap = turns.get(t).start() - turns.get(t - 1).start();
      begins += gap > 50_000_000 ? 1 : 0;
      hangs = Math.max(hangs, gap);
    }
    // 120 ms of the watchdog, and starting up
    assertThat(hangs / 1e6).isBetween(100.0, 190.0);
    assertThat(begins).isGreaterThanOrEqualTo(2);
  }

  /**
   * A program that does nothing but turn a pin round shows how long an interrupt holds it up, from
   * the jump into it to the one back.
   */
  @ParameterizedTest
  @MethodSource({SCENARIOS, OTHERS, SLOWER, ENDS, SINGLE})
  void anInterruptTakesTheCyclesThatThePlanSays(GadgetPlan plan) throws IOException {
    ScannedPlan scan = scan(plan);
    Path folder = Exported.export(folders, plan, "cost");
    Path board = folder.resolve("board.c");
    String text = Files.readString(board);
    String idle =
        text.replace(
            "  for (;;) {\n    player_step();",
            "  DDR@ |= 16;\n  for (;;) {\n    PIN@ = 16;".replace('@', probe(plan)));
    assertThat(idle).isNotEqualTo(text);
    Files.writeString(board, idle);
    SimulatedController played = SimulatedController.play(folder, List.of(probe(plan) + "4"), 25);
    List<EdgeDecoder.Change> edges = EdgeDecoder.changes(played.dump(), List.of(probe(plan) + "4"));
    Map<Long, Integer> held = new TreeMap<>();
    long step = Long.MAX_VALUE;
    for (int e = 1; e < edges.size(); e++) {
      step = Math.min(step, edges.get(e).at() - edges.get(e - 1).at());
    }
    for (int e = 1; e < edges.size(); e++) {
      long gap = edges.get(e).at() - edges.get(e - 1).at();
      if (gap > 2 * step) {
        held.merge(Math.round((gap - step) * 1e-9 * scan.timing().hertz()), 1, Integer::sum);
      }
    }
    long usual = held.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
    // to the cycle of the turning that it breaks into
    assertThat((double) usual)
        .as(held.toString())
        .isCloseTo(scan.timing().interruptCycles(), within(4.0));
  }

  /** A matrix for which no pins are left has findings, and files that compile, but no light. */
  @ParameterizedTest
  @ValueSource(strings = {"matrix", "charlieplex", "soft-pins"})
  void aMatrixWithoutPinsHasFilesToo(String start) {
    Fixture panel =
        SwitchedGadgets.of(
            Fixture.of("f1", "Panel", new Panel(9, 9, 10, 10, Corner.TOP_LEFT, false, true, 0)),
            "single-red");
    Gadget gadget =
        Gadgets.of(
                "No pins",
                "",
                Controller.AVR8_8K,
                Optional.empty(),
                List.of(panel),
                List.of(),
                ColourSettings.USUAL,
                PowerSettings.USUAL,
                List.of(new Clip("k1", "k", "f1", SwitchedGadgets.frames(panel, 2, 50, 1))))
            .with(CircuitKinds.start(start).orElseThrow(), "f1");
    GadgetPlan plan = GadgetPlan.of(gadget);
    assertThat(plan.verdict(Step.CIRCUITS)).isEqualTo(Verdict.BREAKS);
    Path folder = Exported.export(folders, plan, "without");
    OutsideTool.runClean(folder, "make", "-s", "firmware.elf");
  }
}
