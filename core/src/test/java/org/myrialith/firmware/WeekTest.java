package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.myrialith.colour.Levels;
import org.myrialith.cue.ClockValue;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.InputState;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.presets.CueStart;
import org.myrialith.tool.OutsideTool;
import org.myrialith.tool.SimulatedController;

/**
 * The machines to begin with for a long time, worked now and then by hands at random: the exported
 * C on this machine sends what the engine here shows, frame by frame, and goes on hearing. As long
 * as {@code -DargLine=-Dhours=168} says, which is a week.
 */
@Execution(ExecutionMode.CONCURRENT)
class WeekTest {
  private static final int HOUR = 3_600_000;
  private static final int MILLIS =
      (int) (Double.parseDouble(System.getProperty("hours", "0.25")) * HOUR);

  /** On the average, and for long times as many as the script holds (ms). */
  private static final int BETWEEN = Math.max(HOUR / 60, MILLIS / 10_000);

  @TempDir static Path folders;

  /** Inputs worked at random: pressed, held, turned, in light and dark. */
  private static List<int[]> hands(CueTable table, long seed) {
    Random random = new Random(seed);
    List<int[]> all = new ArrayList<>();
    int[] knob = new int[table.senses().size()];
    int at = 700;
    while (at < MILLIS - 20_000 && !table.senses().isEmpty()) {
      int s = random.nextInt(table.senses().size());
      switch (table.senses().get(s).sort()) {
        case ON_OFF -> {
          all.add(new int[] {at, s, 1});
          at += 60 + random.nextInt(random.nextInt(4) == 0 ? 2500 : 250);
          all.add(new int[] {at, s, 0});
        }
        case ANALOGUE -> all.add(new int[] {at, s, random.nextInt(256)});
        case ROTARY -> {
          for (int edge = 0; edge < 4; edge++) {
            knob[s] = new int[] {1, 3, 2, 0}[edge];
            all.add(new int[] {at, s, knob[s]});
            at += 15;
          }
        }
        case SERIAL -> {}
      }
      at += 40 + random.nextInt(2 * BETWEEN);
    }
    return all;
  }

  private static String hash(long hash) {
    return HexFormat.of().toHexDigits(hash);
  }

  @ParameterizedTest
  @EnumSource(CueStart.class)
  void theFirmwareGoesOnAsTheEngineDoes(CueStart start) throws IOException {
    GadgetPlan plan = GadgetPlan.of(StartedGadgets.of(start));
    FirmwarePlan firmware = plan.firmware().orElseThrow();
    CueTable table = firmware.work().cues().orElseThrow();
    List<int[]> script = hands(table, start.ordinal());
    Path folder = Exported.export(folders, firmware, "week");
    SimulatedController.bring("host_cues.c", folder);
    List<String> sources = new ArrayList<>(List.of("cues.c", "tables.c", "host_cues.c"));
    if (!firmware.work().programs().isEmpty()) {
      sources.addAll(List.of("effects.c", "effect_tables.c"));
    }
    sources.add("-DHASHED");
    if (MILLIS > 24 * HOUR) {
      sources.addAll(List.of("-O2", "-fno-sanitize=all"));
    }
    Exported.buildHere(folder, plan, sources.toArray(String[]::new));
    Files.writeString(
        folder.resolve("script.txt"),
        script.stream()
            .map(e -> e[0] + " " + e[1] + " " + e[2])
            .collect(Collectors.joining("\n", "", "\n")));
    String there =
        OutsideTool.runClean(folder, "./host", "script.txt", String.valueOf(MILLIS)).text().strip();
    CueEngine engine = new CueEngine(table);
    assertThat(there).isEqualTo(here(plan, table, engine, script));
    if (table.clock() >= 0 && start != CueStart.CLOCK) {
      // nobody set it: it began at noon of 1 January 2026
      int hour = engine.value(table.clock() + ClockValue.HOUR.ordinal());
      assertThat(hour).isEqualTo((12 + (MILLIS - 1) / HOUR) % 24);
    }
  }

  private static String here(
      GadgetPlan plan, CueTable table, CueEngine engine, List<int[]> script) {
    long[] hash = {0xcbf29ce484222325L};
    long frames = 1;
    put(hash, line(plan, engine));
    int[] readings = new int[table.senses().size()];
    int next = 0;
    int heard = 0;
    while (engine.nowMillis() < MILLIS) {
      int now = engine.nowMillis() + table.tickMillis();
      while (next < script.size() && script.get(next)[0] <= now) {
        readings[script.get(next)[1]] = script.get(next)[2];
        next++;
      }
      if (engine.tick(readings)) {
        frames++;
        put(hash, line(plan, engine));
        heard = now;
      }
    }
    boolean buttons = table.senses().stream().anyMatch(s -> s.sort() == InputState.Sort.ON_OFF);
    assertThat(buttons && script.size() > 2 ? heard : MILLIS)
        .as("the last frame")
        .isGreaterThan(MILLIS / 3);
    return frames + " " + hash(hash[0]);
  }

  private static void put(long[] hash, String line) {
    for (byte one : line.getBytes(StandardCharsets.US_ASCII)) {
      hash[0] = (hash[0] ^ one & 0xff) * 0x100000001b3L;
    }
  }

  private static String line(GadgetPlan plan, CueEngine engine) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    List<Levels> levels = engine.levels();
    for (int c = 0; c < levels.size(); c++) {
      bytes.writeBytes(plan.wiring().plans().get(c).buffer(levels.get(c)));
    }
    return engine.nowMillis() + " " + HexFormat.of().formatHex(bytes.toByteArray()) + "\n";
  }
}
