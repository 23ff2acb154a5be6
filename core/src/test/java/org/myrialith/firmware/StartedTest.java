package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.myrialith.circuit.pin.PinPlan;
import org.myrialith.colour.Levels;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.InputState;
import org.myrialith.firmware.engine.CueTime;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.parts.Controller;
import org.myrialith.presets.CueStart;
import org.myrialith.tool.EdgeDecoder;
import org.myrialith.tool.EmulatedController;
import org.myrialith.tool.OutsideTool;
import org.myrialith.tool.SimulatedController;

/**
 * Every machine to begin with on a simulated controller whose buttons are pressed: what its lights
 * are sent is what the engine here says, pixel for pixel, at the same millisecond.
 */
@Execution(ExecutionMode.CONCURRENT)
class StartedTest {
  private static final int MILLIS = System.getProperty("all") != null ? 9000 : 6000;
  private static final int FEWER_MILLIS = 4000;

  /** No input changes while a frame is on its way. */
  private static final int QUIET_MILLIS = 8;

  /** Pixels want it after a frame. */
  private static final double GAP_MILLIS = 0.31;

  @TempDir static Path folders;

  /** A frame, and when it was told to be sent. */
  private record Shown(int atMillis, List<Levels> levels) {}

  /** What was done to inputs, half a millisecond before the tick that sees it, and what came. */
  private record Played(List<String> script, List<Shown> frames, int fired) {}

  @ParameterizedTest
  @EnumSource
  void theSameInputsLightTheSamePixelsAtTheSameTime(CueStart start) throws IOException {
    hold(start, GadgetPlan.of(StartedGadgets.of(start)), MILLIS);
  }

  /** Frames come as much later as they take to be worked out. */
  @ParameterizedTest
  @EnumSource(names = {"MOOD", "COUNTER", "WATCH", "MEMORY", "ARROWS"})
  void theSameWithEffectsThatAreWorkedOut(CueStart start) throws IOException {
    GadgetPlan plan = GadgetPlan.of(StartedGadgets.of(start).computing());
    assertThat(plan.firmware().orElseThrow().work().programs()).isNotEmpty();
    hold(start, plan, FEWER_MILLIS);
  }

  private static void hold(CueStart start, GadgetPlan plan, int millis) throws IOException {
    assertThat(plan.cues().orElseThrow().problems()).isEmpty();
    Path folder = Exported.export(folders, plan, "start");
    FirmwarePlan firmware = plan.firmware().orElseThrow();
    CueTable table = firmware.work().cues().orElseThrow();
    List<String> pins = Exported.wires(Exported.lines(plan).get(0));
    long began = begins(plan, folder, table, pins);
    Played played = played(table, start.ordinal(), began, millis);
    assertThat(played.fired).as("cues that fired").isGreaterThan(3);
    Files.write(folder.resolve("hands.txt"), played.script);
    List<String> with = new ArrayList<>(pins);
    with.add("@hands.txt");
    SimulatedController simulated =
        SimulatedController.play(folder, with, millis + began / 1_000_000);
    compare(plan, simulated.dump(), played, began);
    assertThat(simulated.stackBytes()).isBetween(2, firmware.stackBytes());
    holdTheSize(folder, firmware);
  }

  /**
   * The same in an emulator of a 32-bit core, whose instructions cost no time. The die shows
   * nothing on its pins at first, from which time could be counted; frames of clocked pixels that
   * are late follow each other without a pause here, and can't be told apart.
   */
  @ParameterizedTest
  @EnumSource(
      mode = EnumSource.Mode.EXCLUDE,
      names = {"DIE", "MEMORY"})
  void aThirtyTwoBitCoreDoesTheSame(CueStart start) throws IOException {
    GadgetPlan plan = GadgetPlan.of(StartedGadgets.of(start, Controller.ARM32_SMALL));
    CueTable table = plan.firmware().orElseThrow().work().cues().orElseThrow();
    Path folder = Exported.export(folders, plan, "start32");
    EmulatedController board = Firmware32Test.board(plan);
    List<String> rests = table.senses().stream().map(sense -> rest32(sense, 0)).toList();
    Files.write(folder.resolve("hands.txt"), rests);
    List<EdgeDecoder.Burst> first = Exported.read(board.play(folder, "libshow.a", 60), plan, 0);
    long began = first.get(0).startNanos();
    Played played = played(table, start.ordinal(), began, FEWER_MILLIS);
    List<String> script = new ArrayList<>(rests);
    played.script.stream()
        .skip(table.senses().size())
        .forEach(line -> script.add(on32(line, plan)));
    Files.write(folder.resolve("hands.txt"), script);
    Path dump = board.play(folder, "libshow.a", FEWER_MILLIS + 30 + began / 1_000_000);
    compare(plan, dump, played, began);
  }

  private static String rest32(InputState sense, long micros) {
    int reading = sense.sort() == InputState.Sort.ANALOGUE ? 255 : 1;
    return micros + " " + sense.pins().get(0).substring(1) + " " + reading;
  }

  /** A line of the script as the emulator has it: pins by number, voltages as they are read. */
  private static String on32(String line, GadgetPlan plan) {
    String[] parts = line.split(" ");
    boolean volts = parts[1].startsWith("a");
    String pin = volts ? analogue(plan) : parts[1].substring(1);
    int value = Integer.parseInt(parts[2]);
    return parts[0] + " " + pin + " " + (volts ? value * 256 / 5000 : value);
  }

  /** The only pin that measures. */
  private static String analogue(GadgetPlan plan) {
    CueTable table = plan.firmware().orElseThrow().work().cues().orElseThrow();
    return table.senses().stream()
        .filter(sense -> sense.sort() == InputState.Sort.ANALOGUE)
        .findFirst()
        .orElseThrow()
        .pins()
        .get(0)
        .substring(1);
  }

  /** Flash within 5 %, RAM to the byte. */
  static void holdTheSize(Path folder, FirmwarePlan firmware) {
    String report = OutsideTool.run(folder, "make", "-s", "size").text();
    double flash = figure("Program", report);
    assertThat((double) firmware.flashBytes()).isCloseTo(flash, within(0.05 * flash));
    assertThat((double) firmware.ramBytes()).as(report).isEqualTo(figure("Data", report));
  }

  private static double figure(String name, String report) {
    Matcher matcher = Pattern.compile(name + ":\\s+(\\d+) bytes").matcher(report);
    assertThat(matcher.find()).as(report).isTrue();
    return Double.parseDouble(matcher.group(1));
  }

  /** All buttons up, all sensors in full light. */
  private static String rest(InputState sense, long micros) {
    String pin = sense.pins().get(0);
    return sense.sort() == InputState.Sort.ANALOGUE
        ? micros + " a" + pin.charAt(1) + " 5000"
        : micros + " " + pin + " 1";
  }

  /** When the first frame begins (ns): time is counted from there. */
  private static long begins(GadgetPlan plan, Path folder, CueTable table, List<String> pins)
      throws IOException {
    List<String> rests = table.senses().stream().map(sense -> rest(sense, 0)).toList();
    Files.write(folder.resolve("rest.txt"), rests);
    List<String> with = new ArrayList<>(pins);
    with.add("@rest.txt");
    Path dump = SimulatedController.play(folder, with, 60).dump();
    List<EdgeDecoder.Burst> bursts = Exported.read(dump, plan, 0);
    return bursts.isEmpty() ? 0 : bursts.get(0).startNanos();
  }

  /** Hands at work on all inputs, in turn and by chance. */
  private static Played played(CueTable table, int seed, long began, int millis) {
    Random random = new Random(seed);
    CueEngine engine = new CueEngine(table);
    List<String> script = new ArrayList<>();
    List<Shown> frames = new ArrayList<>();
    int[] readings = new int[table.senses().size()];
    for (int s = 0; s < readings.length; s++) {
      boolean light = table.senses().get(s).sort() == InputState.Sort.ANALOGUE;
      readings[s] = light ? 255 : 0;
      script.add(rest(table.senses().get(s), 0));
    }
    frames.add(new Shown(0, engine.levels()));
    int last = 0;
    int next = 300;
    while (engine.nowMillis() < millis) {
      if (engine.nowMillis() >= next && engine.nowMillis() - last >= QUIET_MILLIS) {
        int s = random.nextInt(readings.length);
        script.add(change(table.senses().get(s), s, readings, random, engine.nowMillis(), began));
        next = engine.nowMillis() + 40 + random.nextInt(random.nextInt(3) == 0 ? 1200 : 260);
      }
      if (engine.tick(readings)) {
        last = engine.nowMillis();
        frames.add(new Shown(last, engine.levels()));
      }
    }
    int fired = (int) engine.happened().stream().filter(CueEngine.Happened::fired).count();
    return new Played(script, frames, fired);
  }

  private static String change(
      InputState sense, int s, int[] readings, Random random, int millis, long began) {
    long micros = began / 1000 + millis * 1000L + 500;
    String pin = sense.pins().get(0);
    if (sense.sort() == InputState.Sort.ANALOGUE) {
      readings[s] = random.nextInt(256);
      // the middle of what reads so
      return micros + " a" + pin.charAt(1) + " " + (readings[s] * 2 + 1) * 5000 / 512;
    }
    readings[s] ^= 1;
    return micros + " " + pin + " " + (1 - readings[s]);
  }

  private static void compare(GadgetPlan plan, Path dump, Played played, long began)
      throws IOException {
    boolean silent = Exported.lines(plan).get(0) instanceof PinPlan;
    List<Shown> expected = silent ? changes(played.frames) : played.frames;
    List<EdgeDecoder.Burst> bursts = Exported.read(dump, plan, 0);
    assertThat(expected).hasSizeGreaterThan(5);
    assertThat(bursts.size()).isGreaterThanOrEqualTo(expected.size() - 1);
    for (int i = 0; i < Math.min(bursts.size(), expected.size()); i++) {
      double at = (bursts.get(i).startNanos() - began) / 1e6;
      assertThat(bursts.get(i).levels())
          .as("frame %d, due at %d, came at %.2f", i, expected.get(i).atMillis, at)
          .isEqualTo(expected.get(i).levels.get(0));
      // while the last frame is on its way, the next one can't be
      double free = i == 0 ? 0 : (bursts.get(i - 1).endNanos() - began) / 1e6 + GAP_MILLIS;
      assertThat(at)
          .as("frame %d", i)
          .isBetween(
              expected.get(i).atMillis - 0.1,
              Math.max(expected.get(i).atMillis, free) + late(plan));
    }
  }

  /**
   * Within 1 ms; over 20 cues that all are about a value that changed are asked a little longer.
   */
  private static double late(GadgetPlan plan) {
    FirmwarePlan firmware = plan.firmware().orElseThrow();
    double working =
        firmware.work().programs().isEmpty()
            ? 0
            : 1000 * new CueTime(firmware.work(), firmware.packed()).longestSeconds();
    return working + (plan.gadget().cues().cues().size() > 20 ? 1.7 : 1);
  }

  /** On pins nothing is seen as long as nothing changes. */
  private static List<Shown> changes(List<Shown> frames) {
    List<Shown> all = new ArrayList<>();
    for (Shown one : frames) {
      Levels levels = one.levels.get(0);
      boolean anew =
          all.isEmpty() ? levels.sum() > 0 : !all.get(all.size() - 1).levels.get(0).equals(levels);
      if (anew) {
        all.add(one);
      }
    }
    return all;
  }
}
