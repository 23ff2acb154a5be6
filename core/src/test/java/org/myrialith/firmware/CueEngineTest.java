package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.colour.Levels;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.tool.OutsideTool;
import org.myrialith.tool.SimulatedController;

/**
 * The engine of cues here and in exported C, under sanitizers, over gadgets that light up in every
 * way: the same inputs at the same times give the same bytes at the same times.
 */
@Execution(ExecutionMode.CONCURRENT)
class CueEngineTest {
  private static final int MILLIS = 6000;
  private static final int AFTER_MILLIS = 1500;

  /** As long as a record may take to be written. */
  private static final int WRITING_MILLIS = 400;

  @TempDir static Path folders;

  /** Each way to light up with cues by chance, which every name gives anew. */
  static Stream<Named<GadgetPlan>> gadgets() {
    return EveryPair.once(
        FirmwareScenarios.all()
            .map(
                named ->
                    Named.of(
                        named.getName(),
                        GadgetPlan.of(
                            CueGadgets.by(
                                named.getPayload().gadget(), named.getName().hashCode())))))
        .stream();
  }

  @ParameterizedTest
  @MethodSource("gadgets")
  void theSameInputsGiveTheSameBytes(GadgetPlan plan) throws IOException {
    assertThat(plan.cues().orElseThrow().problems()).isEmpty();
    CueTable table = plan.firmware().orElseThrow().work().cues().orElseThrow();
    List<int[]> script = CueGadgets.script(MILLIS, plan.gadget().title().hashCode());
    FirmwarePlan usual = plan.firmware().orElseThrow();
    List<FirmwarePlan> ways = Exported.packed(usual); // in half of them as usual
    int way = Math.floorMod(plan.gadget().title().hashCode(), 2 * ways.size());
    FirmwarePlan firmware = way < ways.size() ? ways.get(way) : usual;
    Path folder = Exported.export(folders, firmware, "cues");
    SimulatedController.bring("host_cues.c", folder);
    List<String> sources = new ArrayList<>(List.of("cues.c", "tables.c", "host_cues.c"));
    if (!firmware.work().programs().isEmpty()) {
      sources.addAll(List.of("effects.c", "effect_tables.c"));
    }
    Exported.buildHere(folder, plan, sources.toArray(String[]::new));
    CueEngine engine = new CueEngine(table);
    Played played = played(plan, engine, script, MILLIS);
    assertThat(played.frames.size()).isGreaterThan(8);
    hold(played.frames, run(folder, script, MILLIS));
    // power goes off and on: what is kept is there again, unless it was just being written
    List<int[]> more = CueGadgets.script(AFTER_MILLIS, plan.gadget().title().hashCode() + 1);
    if (played.writtenAt < MILLIS - WRITING_MILLIS) {
      CueEngine again = new CueEngine(engine.afterPowerOff());
      hold(played(plan, again, more, AFTER_MILLIS).frames, run(folder, more, AFTER_MILLIS));
    }
  }

  private static void hold(List<String> here, List<String> there) {
    for (int i = 0; i < Math.min(here.size(), there.size()); i++) {
      assertThat(there.get(i)).as("frame %d", i).isEqualTo(here.get(i));
    }
    assertThat(there).hasSameSizeAs(here);
  }

  /** What the firmware sends on this machine. */
  private static List<String> run(Path folder, List<int[]> script, int millis) throws IOException {
    Files.writeString(
        folder.resolve("script.txt"),
        script.stream()
            .map(e -> e[0] + " " + e[1] + " " + e[2])
            .collect(Collectors.joining("\n", "", "\n")));
    String[] lines =
        OutsideTool.runClean(folder, "./host", "script.txt", String.valueOf(millis))
            .text()
            .split("\n");
    return List.of(lines);
  }

  /**
   * What the engine here shows.
   *
   * @param frames when and what, as the firmware prints it
   * @param writtenAt when values were last kept (ms)
   */
  private record Played(List<String> frames, int writtenAt) {}

  private static Played played(GadgetPlan plan, CueEngine engine, List<int[]> script, int millis) {
    List<String> all = new ArrayList<>();
    all.add(line(plan, engine));
    int[] readings = new int[64];
    int next = 0;
    int writtenAt = 0;
    while (engine.nowMillis() < millis) {
      int before = engine.keeps();
      int now = engine.nowMillis() + plan.cueTable().orElseThrow().tickMillis();
      while (next < script.size() && script.get(next)[0] <= now) {
        int[] one = script.get(next++);
        if (one[1] == CueGadgets.LETTER) {
          engine.receive(String.valueOf((char) one[2]));
        } else {
          readings[one[1]] = one[2];
        }
      }
      if (engine.tick(readings)) {
        all.add(line(plan, engine));
      }
      writtenAt = engine.keeps() > before ? now : writtenAt;
    }
    return new Played(all, writtenAt);
  }

  private static String line(GadgetPlan plan, CueEngine engine) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    List<Levels> levels = engine.levels();
    for (int c = 0; c < levels.size(); c++) {
      bytes.writeBytes(plan.wiring().plans().get(c).buffer(levels.get(c)));
    }
    return engine.nowMillis() + " " + HexFormat.of().formatHex(bytes.toByteArray());
  }
}
