package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.Levels;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.parts.Controller;
import org.myrialith.tool.EmulatedController;

/**
 * Lights by turns in portable C on an emulated core: the same gadgets as on the simulated 8-bit
 * ones, slots begun by a clock of whole microseconds over pins that cost time.
 */
class Scan32Test {
  /** Looking at a clock of whole microseconds once in a while (ns). */
  private static final int LOOK_NANOS = 700;

  private static final double LATE_NANOS = 1000 + 2 * LOOK_NANOS;

  private static final List<Controller> CLASSES =
      List.of(Controller.ARM32_SMALL, Controller.ARM32_TWO_CORES, Controller.RADIO32);

  @TempDir static Path folders;

  /** In turn on the classes that have the pins. */
  static Stream<Named<GadgetPlan>> scenarios() {
    List<Named<GadgetPlan>> all = new ArrayList<>();
    Stream.concat(ScanGadgets.scenarios(), ScanGadgets.others())
        .forEach(
            named -> {
              GadgetPlan plan = named.getPayload();
              List<Controller> able =
                  CLASSES.stream()
                      .filter(c -> c.pins().size() > scan(plan).circuit().pins().size())
                      .toList();
              Controller controller = able.get(all.size() % able.size());
              all.add(
                  Named.of(
                      named.getName() + ", " + controller.key(),
                      Firmware32Test.on(controller, plan.gadget())));
            });
    return EveryPair.of(all.stream()).stream();
  }

  static Stream<Named<GadgetPlan>> once() {
    return EveryPair.once(scenarios()).stream();
  }

  private static ScannedPlan scan(GadgetPlan plan) {
    return (ScannedPlan) plan.wiring().plans().get(0);
  }

  private static EmulatedController board(GadgetPlan plan) {
    EmulatedController board = Firmware32Test.board(plan);
    return new EmulatedController(board.pinNanos(), LOOK_NANOS, board.spiPin(), List.of());
  }

  private static boolean turns(ScannedPlan scan) {
    return scan.circuit().rowSwitch().turns();
  }

  private static String free(GadgetPlan plan) {
    return plan.gadget().brief().controller().pins().stream()
        .filter(pin -> !scan(plan).circuit().pins().contains(pin))
        .findFirst()
        .orElseThrow();
  }

  private static void change(Path file, String from, String to) throws IOException {
    String text = Files.readString(file);
    assertThat(text).contains(from);
    Files.writeString(file, text.replace(from, to));
  }

  /** Where no row tells when turns begin, a pin that is free does. */
  private static void mark(GadgetPlan plan, Path source) throws IOException {
    if (!turns(scan(plan))) {
      String pin = free(plan).substring(1);
      change(
          source,
          "  now_1 = next_1;\n",
          "  now_1 = next_1;\n  if (now_1.step == 0) {\n    pin_out(@, 1);\n    pin_out(@, 0);\n  }\n"
              .replace("@", pin));
    }
  }

  private static List<Turns.Turn> turns(GadgetPlan plan, Path dump) throws IOException {
    return turns(scan(plan))
        ? Turns.played(scan(plan), dump, null)
        : Turns.marked(scan(plan), dump, free(plan));
  }

  /** What the lights of a turn got, in units of the lowest bit, as levels of the channels. */
  private static Levels levels(ScannedPlan plan, Path folder, Turns.Turn turn) throws IOException {
    double unit = plan.timing().unitSeconds() * 1e9;
    int[] counts = new int[turn.lit().length];
    for (int i = 0; i < counts.length; i++) {
      double level = turn.lit()[i] / unit;
      counts[i] = (int) Math.round(level);
      double held = plan.circuit().rowSwitch().turns() ? 0 : plan.timing().beginSeconds() * 1e9;
      double late = ((plan.timing().slotsOfARow() + 1) * LATE_NANOS + held) / unit;
      assertThat(level).isCloseTo(counts[i], within(Math.min(0.45, late)));
    }
    return Wired.of(folder, plan).levels(counts, plan.map().width(), plan.levelBits());
  }

  private static List<Levels> shown(GadgetPlan plan, Path folder, Path dump) throws IOException {
    List<Levels> all = new ArrayList<>();
    for (Turns.Turn turn : turns(plan, dump)) {
      Levels one = levels(scan(plan), folder, turn);
      if (all.isEmpty() ? one.sum() > 0 : !all.get(all.size() - 1).equals(one)) {
        all.add(one);
      }
    }
    return all;
  }

  @ParameterizedTest
  @MethodSource("scenarios")
  void everyLightGetsItsLevelInEveryMoment(GadgetPlan plan) throws IOException {
    ScannedPlan scan = scan(plan);
    Path folder = Exported.export(folders, plan, "play");
    mark(plan, folder.resolve("board.c"));
    Path dump = board(plan).play(folder, "libshow.a", plan.show().lengthMillis() + 60);
    List<Levels> expected = Exported.ofLine(Exported.sent(plan), 0);
    List<Levels> shown = shown(plan, folder, dump);
    assertThat(shown).hasSizeGreaterThan(expected.size());
    assertThat(shown.subList(0, expected.size())).isEqualTo(expected);
    assertThat(shown.get(expected.size())).as("the show starts again").isEqualTo(expected.get(0));
    // refresh and slots as planned, where the player was not at work
    List<Turns.Turn> turns = turns(plan, dump);
    double[] between =
        IntStream.range(2, turns.size())
            .mapToDouble(t -> turns.get(t).start() - turns.get(t - 1).start())
            .sorted()
            .toArray();
    assertThat(between[between.length / 2])
        .isCloseTo(1e9 / scan.timing().wholeHz(), within(LATE_NANOS));
    List<Turns.Turn> whole =
        turns.subList(1, turns.size()).stream()
            .filter(turn -> turn.slots().size() == scan.timing().slotCount())
            .toList();
    assertThat(whole.size() > 3 || turns.get(0).slots().isEmpty()).isTrue();
    for (int s = 0; !whole.isEmpty() && s < scan.timing().slotCount(); s++) {
      int at = s;
      double planned = scan.timing().slots().get(s).seconds() * 1e9;
      assertThat(whole.stream().mapToLong(turn -> turn.slots().get(at)).average().orElseThrow())
          .isCloseTo(planned, within(0.01 * planned + LOOK_NANOS));
    }
  }

  private static void holdTheFirst(GadgetPlan plan, Path folder, Path dump) throws IOException {
    List<Levels> expected = Exported.ofLine(Exported.sent(plan), 0);
    List<Levels> shown = shown(plan, folder, dump);
    assertThat(shown).hasSizeGreaterThanOrEqualTo(2);
    assertThat(shown).isEqualTo(expected.subList(0, shown.size()));
  }

  @ParameterizedTest
  @MethodSource("once")
  void theSketchShowsTheSame(GadgetPlan plan) throws IOException {
    Path folder = Exported.export(folders, plan, "sketch");
    mark(plan, folder.resolve("show/board.c"));
    long millis = plan.show().moments().get(3).startMillis();
    holdTheFirst(plan, folder, board(plan).sketch(folder, "show", millis));
  }

  @ParameterizedTest
  @MethodSource("once")
  void theBringUpWalksThroughEveryLight(GadgetPlan plan) throws IOException {
    ScannedPlan scan = scan(plan);
    Path folder = Exported.export(folders, plan, "bringup");
    mark(plan, folder.resolve("board.c"));
    int milli = (int) Math.ceil(2.4e3 / scan.timing().wholeHz());
    Exported.quicken(folder, milli);
    int steps = Math.min(scan.channels(), 20);
    Path dump = board(plan).play(folder, "libbringup.a", (long) (steps + 3) * milli);
    List<Levels> shown = shown(plan, folder, dump);
    assertThat(shown).hasSizeGreaterThanOrEqualTo(steps);
    for (int step = 0; step < steps; step++) {
      Levels seen = shown.get(step);
      assertThat(seen.at(step)).as("light %d", step).isPositive();
      assertThat(seen.sum()).isEqualTo(seen.at(step));
    }
  }

  /**
   * Other lines that take time: all is dark meanwhile, and each light gets its level all the same.
   */
  @ParameterizedTest
  @MethodSource("once")
  void whatElseTakesTimeLeavesAllDark(GadgetPlan plan) throws IOException {
    Path folder = Exported.export(folders, plan, "busy");
    mark(plan, folder.resolve("board.c"));
    change(
        folder.resolve("board.c"),
        "  send_line_1(levels",
        "  wait_us(3000);\n  send_line_1(levels");
    long millis = plan.show().moments().get(3).startMillis();
    holdTheFirst(plan, folder, board(plan).play(folder, "libshow.a", millis));
  }

  @ParameterizedTest
  @MethodSource("once")
  void theWaveformIsATurnOfEachFrame(GadgetPlan plan) throws IOException {
    ScannedPlan scan = scan(plan);
    Path folder = Exported.export(folders, plan, "wave");
    List<Long> starts =
        plan.show().moments().stream().map(m -> 1_000_000 * (1 + m.startMillis())).toList();
    List<Turns.Turn> turns = Turns.drawn(scan, folder.resolve("waveform.vcd"), starts);
    List<Levels> expected = Exported.ofLine(Exported.sent(plan), 0);
    for (int m = 0; m < turns.size(); m++) {
      assertThat(levels(scan, folder, turns.get(m))).isEqualTo(expected.get(m));
    }
    assertThat(turns).isNotEmpty();
  }

  @ParameterizedTest
  @MethodSource("scenarios")
  void sizesAreWithinFivePercentOfTheSizeTool(GadgetPlan plan) {
    Firmware32Test.holdTheSizes(folders, plan);
  }
}
