package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.chip.expander.ExpanderPlan;
import org.myrialith.circuit.chip.register.RegisterPlan;
import org.myrialith.circuit.pin.PinPlan;
import org.myrialith.circuit.pixel.BitRate;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.driver.LineDrivers;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.firmware.player.FrameTiming;
import org.myrialith.firmware.target.FirmwareTarget;
import org.myrialith.frames.Show;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.parts.Controller;
import org.myrialith.tool.DataLineDecoder;
import org.myrialith.tool.EdgeDecoder;
import org.myrialith.tool.OutsideTool;
import org.myrialith.tool.RegisterChain;
import org.myrialith.tool.SimulatedController;
import org.myrialith.tool.TwoWireBus;

/**
 * The exported firmware against compilers, a simulator of the controller, and a protocol decoder:
 * what arrives on the data lines is what the plan says, every pixel of every moment. Each scenario
 * is built once.
 */
@Execution(ExecutionMode.CONCURRENT)
class FirmwareOutsideTest {
  @TempDir static Path folders;

  private static final Map<GadgetPlan, Path> EXPORTED = new ConcurrentHashMap<>();

  private static final List<Named<GadgetPlan>> SCENARIOS = EveryPair.of(FirmwareScenarios.all());

  private static final List<Named<GadgetPlan>> ONCE = EveryPair.once(SCENARIOS.stream());

  private static final List<Named<GadgetPlan>> ALL = FirmwareScenarios.all().toList();

  static Stream<Named<GadgetPlan>> scenarios() {
    return SCENARIOS.stream();
  }

  /** For what rests on the same drivers as the firmware that is tried in pairs. */
  static Stream<Named<GadgetPlan>> once() {
    return ONCE.stream();
  }

  static Stream<Named<GadgetPlan>> all() {
    return ALL.stream();
  }

  private static Path exported(GadgetPlan plan) {
    return EXPORTED.computeIfAbsent(plan, p -> Exported.export(folders, p, "s" + EXPORTED.size()));
  }

  private static List<String> pins(GadgetPlan plan) {
    return Exported.lines(plan).stream()
        .flatMap(
            p ->
                Exported.wires(p).stream()
                    .map(
                        pin ->
                            LineDrivers.of(p).rests().startsWith("1") && !(p instanceof PinPlan)
                                ? pin + "+"
                                : pin))
        .toList();
  }

  @ParameterizedTest
  @MethodSource("scenarios")
  void theSimulatedControllerSendsEveryPixelOfEveryMoment(GadgetPlan plan) throws IOException {
    SimulatedController played =
        SimulatedController.play(
            exported(plan),
            pins(plan),
            // one turn of the show, and a little of the next to see it start again
            plan.show().lengthMillis() + 120);
    List<List<Levels>> expected = Exported.sent(plan);
    assertThat(played.stackBytes()).isBetween(2, plan.firmware().orElseThrow().stackBytes());
    for (int n = 0; n < Exported.lines(plan).size(); n++) {
      List<EdgeDecoder.Burst> bursts = Exported.read(played.dump(), plan, n);
      List<Levels> levels = bursts.stream().map(EdgeDecoder.Burst::levels).toList();
      assertThat(levels.size()).isGreaterThan(expected.size());
      assertThat(levels.subList(0, expected.size())).isEqualTo(Exported.ofLine(expected, n));
      assertThat(levels.get(expected.size()))
          .as("the show starts again")
          .isEqualTo(expected.get(0).get(n));
      holdTheTimes(plan, bursts);
      if (Exported.timed(Exported.lines(plan).get(n))) {
        continue; // shows as long as it is held
      }
      double data = Exported.lines(plan).get(n).dataSeconds() * 1e9;
      double cycles = 64e9 / plan.gadget().brief().controller().clockHz();
      assertThat((double) (bursts.get(0).endNanos() - bursts.get(0).startNanos()))
          .as("time of the data, but for the last bit")
          .isBetween(data * 0.997 - cycles, data * 1.003 + cycles);
    }
  }

  /** The same player under a main that is not ours, with timers set up otherwise. */
  @ParameterizedTest
  @MethodSource("once")
  void theSketchPlaysTheSameShow(GadgetPlan plan) throws IOException {
    Path folder = Exported.export(folders, plan, "sketch");
    // a stretch of the show is enough: the player is the same
    int moments = Math.min(6, plan.show().moments().size());
    long millis = plan.show().moments().get(moments - 1).startMillis() + 60;
    SimulatedController played = SimulatedController.sketch(folder, "show", pins(plan), millis);
    List<List<Levels>> expected = Exported.sent(plan);
    for (int n = 0; n < Exported.lines(plan).size(); n++) {
      List<EdgeDecoder.Burst> bursts = Exported.read(played.dump(), plan, n);
      assertThat(bursts).hasSizeGreaterThanOrEqualTo(moments);
      assertThat(bursts.subList(0, moments).stream().map(EdgeDecoder.Burst::levels))
          .isEqualTo(Exported.ofLine(expected, n).subList(0, moments));
      for (int m = 1; m < moments; m++) {
        double held = (bursts.get(m).startNanos() - bursts.get(0).startNanos()) / 1e6;
        assertThat(held)
            .as("start of moment %d", m + 1)
            .isCloseTo(plan.show().moments().get(m).startMillis(), within(0.3));
      }
    }
  }

  /** One channel after the other, line after line in the order of the wire, then again. */
  @ParameterizedTest
  @MethodSource("once")
  void theBringUpWalksThroughEveryChannel(GadgetPlan plan) throws IOException {
    Path folder = Exported.export(folders, plan, "bringup");
    int channels = plan.wiring().channels();
    int steps = Math.min(channels + 1, 120);
    int milli =
        (int)
                Math.ceil(
                    plan.wiring().plans().stream().mapToDouble(CircuitPlan::frameSeconds).sum()
                        * 1000)
            + 2;
    Exported.quicken(folder, milli);
    long millis = (long) (steps + 2) * milli;
    Exported.holdTheWalk(
        plan, SimulatedController.bringUp(folder, pins(plan), millis).dump(), steps);
    Exported.holdTheWalk(
        plan, SimulatedController.sketch(folder, "bringup", pins(plan), millis).dump(), steps);
  }

  private static int tickMicros(Controller controller) {
    return FirmwareTarget.of(controller).tickMicros(controller);
  }

  /**
   * The latch gap between frames; frames as far apart as they are held, within two ticks of the
   * timer: nothing may add up.
   */
  private static void holdTheTimes(GadgetPlan plan, List<EdgeDecoder.Burst> bursts) {
    long gap = FirmwareTarget.gapMicros(Exported.lines(plan)) * 1000L;
    // on pins a frame is seen from the first that changes, which may be the last that is set
    double pins =
        Exported.lines(plan).stream()
            .filter(PinPlan.class::isInstance)
            .mapToDouble(line -> plan.gadget().brief().controller().slow() ? line.dataSeconds() : 0)
            .max()
            .orElse(0);
    double ticks = tickMicros(plan.gadget().brief().controller()) * 2e-3 + 1000 * pins;
    // and looking at the timer takes some 160 cycles
    ticks += 160e3 / plan.gadget().brief().controller().clockHz();
    List<Show.Moment> moments = plan.show().moments();
    for (int m = 1; m < moments.size(); m++) {
      assertThat(bursts.get(m).gapNanos()).isGreaterThanOrEqualTo(gap);
      double held = (bursts.get(m).startNanos() - bursts.get(0).startNanos()) / 1e6;
      assertThat(held)
          .as("start of moment %d", m + 1)
          .isCloseTo(moments.get(m).startMillis(), within(ticks + 0.02));
    }
  }

  /** Without waiting, a player shows what it really takes from one moment to the next. */
  @ParameterizedTest
  @MethodSource("scenarios")
  void thePlayerTakesWhatThePlanSays(GadgetPlan plan) throws IOException {
    Path folder = Exported.export(folders, plan, "free");
    Path board = folder.resolve("board.c");
    String source = Files.readString(board);
    String free = source.replace("while (passed_us < due_us) {", "while (0) {");
    assertThat(free).isNotEqualTo(source);
    Files.writeString(board, free.replace("passed_us -= due_us;", "passed_us = 0; (void)due_us;"));
    FirmwareWork work = plan.firmware().orElseThrow().work();
    List<Double> steps = new FrameTiming(work, plan.firmware().orElseThrow().packed()).steps();
    double length = steps.stream().mapToDouble(Double::doubleValue).sum();
    // the first is composed before anything is seen, and the last is seen whole when the next
    // begins
    double longest = steps.stream().mapToDouble(Double::doubleValue).max().orElse(0);
    SimulatedController played =
        SimulatedController.play(folder, pins(plan), (long) ((length + 2 * longest) * 1000) + 30);
    List<EdgeDecoder.Burst> bursts = Exported.read(played.dump(), plan, 0);
    StringBuilder report = new StringBuilder();
    for (int m = 0; m < steps.size(); m++) {
      double took = (bursts.get(m + 1).startNanos() - bursts.get(m).startNanos()) * 1e-9;
      report
          .append(m)
          .append(": planned ")
          .append(steps.get(m))
          .append(" took ")
          .append(took)
          .append('\n');
    }
    for (int m = 0; m < steps.size(); m++) {
      double took = (bursts.get(m + 1).startNanos() - bursts.get(m).startNanos()) * 1e-9;
      // what is worked out takes longer or shorter by what is seen
      double least = work.programs().isEmpty() ? 0.84 : 0.6;
      assertThat(took).as(report.toString()).isBetween(steps.get(m) * least - 70e-6, steps.get(m));
    }
  }

  @ParameterizedTest
  @MethodSource("once")
  void theWaveformFileDecodesToTheFirstMoments(GadgetPlan plan) throws IOException {
    Path folder = Exported.export(folders, plan, "wave");
    List<List<Levels>> expected = Exported.sent(plan);
    for (int n = 0; n < Exported.lines(plan).size(); n++) {
      CircuitPlan line = Exported.lines(plan).get(n);
      String number = Exported.lines(plan).size() == 1 ? "" : String.valueOf(n + 1);
      List<String> wires =
          LineDrivers.of(line).wires().stream().map(wire -> wire + number).toList();
      List<Levels> levels = Exported.ofLine(expected, n);
      // the tests' own decoder reads the same
      List<Levels> edges =
          Exported.read(folder.resolve("waveform.vcd"), plan, n).stream()
              .map(EdgeDecoder.Burst::levels)
              .toList();
      assertThat(edges).hasSizeBetween(1, 4).isEqualTo(levels.subList(0, edges.size()));
      if (line.circuit() instanceof ClockedPixels clocked) {
        byte[] bytes = DataLineDecoder.clocked(folder, "waveform.vcd", wires.get(0), wires.get(1));
        int each = bytes.length / edges.size();
        assertThat(bytes.length % edges.size()).isZero();
        for (int f = 0; f < edges.size(); f++) {
          byte[] frame = Arrays.copyOfRange(bytes, f * each, (f + 1) * each);
          assertThat(Levels.of(EdgeDecoder.levels(frame, LineReader.field(clocked))))
              .isEqualTo(levels.get(f));
        }
      } else if (line instanceof RegisterPlan registers && !line.dims()) {
        byte[] bytes = DataLineDecoder.clocked(folder, "waveform.vcd", wires.get(0), wires.get(1));
        Wired wired = Wired.of(folder, registers);
        int width = registers.circuit().sort().width();
        int each = wired.chips() * width / 8;
        assertThat(bytes).hasSize(edges.size() * each);
        for (int f = 0; f < edges.size(); f++) {
          byte[] frame = Arrays.copyOfRange(bytes, f * each, (f + 1) * each);
          boolean[] outputs = RegisterChain.after(frame, 8 * each);
          assertThat(wired.lit(outputs, width, LineReader.low(registers))).isEqualTo(levels.get(f));
        }
      } else if (line instanceof ExpanderPlan expanders) {
        assertThat(DataLineDecoder.writes(folder, "waveform.vcd", wires.get(0), wires.get(1)))
            .hasSize(edges.size() * expanders.map().chips())
            .isEqualTo(
                TwoWireBus.read(folder.resolve("waveform.vcd"), wires, false, 0, 0).stream()
                    .map(write -> HexFormat.of().formatHex(write.bytes()))
                    .toList());
      } else if (line.circuit() instanceof OneWirePixels pixels
          && pixels.rate() == BitRate.KHZ_800) {
        assertThat(DataLineDecoder.decode(folder, "waveform.vcd", wires.get(0))).isEqualTo(edges);
      }
    }
  }

  /** However the frames are packed. */
  @ParameterizedTest
  @MethodSource("once")
  void thePlayerRunsHereUnderSanitizersWithTheSameOutput(GadgetPlan plan) throws IOException {
    int moments = plan.show().moments().size();
    for (FirmwarePlan firmware : Exported.packed(plan.firmware().orElseThrow())) {
      Path folder = Exported.export(folders, firmware, "host");
      SimulatedController.bring("host.c", folder);
      List<String> sources = new ArrayList<>(List.of("player.c", "host.c"));
      if (!firmware.work().programs().isEmpty()) {
        sources.addAll(List.of("effects.c", "effect_tables.c"));
      }
      Exported.buildHere(folder, plan, sources.toArray(String[]::new));
      String[] printed =
          OutsideTool.runClean(folder, "./host", String.valueOf(moments * 2)).text().split("\n");
      long waited = 0;
      for (int m = 0; m < moments * 2; m++) {
        assertThat(HexFormat.of().parseHex(printed[m * 2]))
            .as("moment %d by %s", m, firmware.packed().packings())
            .isEqualTo(plan.sent().bytes(m % moments));
        waited += Integer.parseInt(printed[m * 2 + 1].substring("wait ".length()));
      }
      assertThat(waited).isEqualTo(plan.show().lengthMillis() * 2);
    }
  }

  @ParameterizedTest
  @MethodSource("all")
  void theSizeEstimatesAreWithinFivePercentOfTheSizeTool(GadgetPlan plan) {
    Path folder = Exported.export(folders, plan, "size");
    OutsideTool.runClean(folder, "make", "-s", "firmware.elf");
    String report = OutsideTool.run(folder, "make", "-s", "size").text();
    FirmwarePlan firmware = plan.firmware().orElseThrow();
    assertThat((double) firmware.flashBytes())
        .isCloseTo(figure("Program", report), within(0.05 * figure("Program", report)));
    assertThat((double) firmware.ramBytes()).as(report).isEqualTo(figure("Data", report));
  }

  private static double figure(String name, String report) {
    Matcher matcher = Pattern.compile(name + ":\\s+(\\d+) bytes").matcher(report);
    assertThat(matcher.find()).as(report).isTrue();
    return Double.parseDouble(matcher.group(1));
  }
}
