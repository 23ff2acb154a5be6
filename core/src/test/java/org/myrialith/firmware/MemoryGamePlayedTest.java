package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.presets.CueStart;
import org.myrialith.tool.OutsideTool;
import org.myrialith.tool.SimulatedController;

/** The memory game, played by somebody who remembers, and by somebody who errs. */
@Execution(ExecutionMode.CONCURRENT)
class MemoryGamePlayedTest {
  private static final int DOWN_MILLIS = 120;
  private static final int PATIENCE_MILLIS = 90_000;

  @TempDir static Path folders;

  static IntStream seeds() {
    return IntStream.rangeClosed(1, 40);
  }

  /** One colour comes twice in a row in two of three games. */
  @ParameterizedTest
  @MethodSource("seeds")
  void whoRemembersWins(int seed) {
    Player player = new Player(seed, Integer.MAX_VALUE);
    player.press(0);
    player.until("Won");
    assertThat(player.rounds).isEqualTo(List.of(1, 2, 3, 4));
  }

  /** The button that was wrong is let go while nobody plays any more: that begins no new game. */
  @ParameterizedTest
  @MethodSource("seeds")
  void whoErrsLosesOnce(int seed) {
    Player player = new Player(seed, seed % 4 + 1);
    player.press(2);
    player.until("Lost");
    player.go(DOWN_MILLIS);
    player.readings[player.pressed] = 0;
    player.heard.clear();
    player.go(5000);
    assertThat(player.heard).noneMatch(name -> name.startsWith("Begin") || name.startsWith("Show"));
    player.press(1);
    player.until("Your turn");
  }

  /** The exported C shows the same game. */
  @Test
  void theFirmwarePlaysTheSame() throws IOException {
    Player player = new Player(7, Integer.MAX_VALUE);
    player.press(0);
    player.until("Won");
    Path folder = Exported.export(folders, player.plan.firmware().orElseThrow(), "memory");
    SimulatedController.bring("host_cues.c", folder);
    List<String> sources = new ArrayList<>(List.of("cues.c", "tables.c", "host_cues.c"));
    if (!player.plan.firmware().orElseThrow().work().programs().isEmpty()) {
      sources.addAll(List.of("effects.c", "effect_tables.c"));
    }
    Exported.buildHere(folder, player.plan, sources.toArray(String[]::new));
    Files.writeString(
        folder.resolve("script.txt"),
        player.script.stream().collect(Collectors.joining("\n", "", "\n")));
    String there =
        OutsideTool.runClean(
                folder, "./host", "script.txt", String.valueOf(player.engine.nowMillis()))
            .text();
    List<String> times = there.lines().map(line -> line.split(" ")[0]).toList();
    assertThat(times).isEqualTo(player.changes.stream().map(String::valueOf).toList());
  }

  /** Presses what was shown; the press of a number is another button. Mutable. */
  private static final class Player {
    private static final List<String> COLOURS = List.of("Red", "Green", "Blue", "Yellow");

    private final GadgetPlan plan;
    private final CueTable table;
    private final CueEngine engine;
    private final int errsAt;
    private final int[] readings;
    private final List<String> heard = new ArrayList<>();
    private final List<Integer> seen = new ArrayList<>();
    private final List<Integer> rounds = new ArrayList<>();
    private final List<String> script = new ArrayList<>();
    private final List<Integer> changes = new ArrayList<>(List.of(0));
    private int presses;
    private int pressed;

    Player(int seed, int errsAt) {
      Gadget made = StartedGadgets.of(CueStart.MEMORY);
      this.plan = GadgetPlan.of(made.with(made.cues().withSeed(seed)));
      this.table = plan.cueTable().orElseThrow();
      this.engine = new CueEngine(table);
      this.errsAt = errsAt;
      this.readings = new int[table.senses().size()];
    }

    private int sense(int colour) {
      return IntStream.range(0, readings.length)
          .filter(s -> table.senses().get(s).name().equals(COLOURS.get(colour)))
          .findFirst()
          .orElseThrow();
    }

    private void set(int sense, int value) {
      readings[sense] = value;
      script.add(engine.nowMillis() + table.tickMillis() + " " + sense + " " + value);
    }

    void press(int colour) {
      pressed = sense(colour);
      set(pressed, 1);
      go(DOWN_MILLIS);
      set(pressed, 0);
      go(DOWN_MILLIS);
    }

    void go(int millis) {
      int end = engine.nowMillis() + millis;
      while (engine.nowMillis() < end) {
        if (engine.tick(readings)) {
          changes.add(engine.nowMillis());
        }
        for (CueEngine.Happened one : engine.happened()) {
          if (one.fired()) {
            hear(table.rows().get(one.row()).cue().name());
          }
        }
      }
    }

    private void hear(String name) {
      heard.add(name);
      if (name.startsWith("Show ")) {
        seen.add(COLOURS.indexOf(name.substring(5)));
      }
    }

    void until(String wanted) {
      int end = engine.nowMillis() + PATIENCE_MILLIS;
      while (!heard.contains(wanted)) {
        assertThat(engine.nowMillis()).as("%s in %s", wanted, heard).isLessThan(end);
        go(table.tickMillis());
        if (!wanted.equals("Your turn") && heard.remove("Your turn")) {
          answer(wanted);
        }
      }
    }

    private void answer(String wanted) {
      List<Integer> all = List.copyOf(seen);
      seen.clear();
      rounds.add(all.size());
      go(300);
      for (int colour : all) {
        presses++;
        if (presses >= errsAt) {
          pressed = sense((colour + 1) % COLOURS.size());
          set(pressed, 1);
          go(table.tickMillis() * 8);
          return;
        }
        press(colour);
        if (heard.contains(wanted)) {
          return;
        }
      }
    }
  }
}
