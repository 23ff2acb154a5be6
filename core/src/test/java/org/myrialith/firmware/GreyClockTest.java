package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.tool.EdgeDecoder;
import org.myrialith.tool.SimulatedController;

/**
 * The clock and the blank that sinks count their grey scale by, on the simulated controller. There
 * an instruction of several cycles swallows an edge of the clock now and then, so that it is up to
 * a twentieth slow; the blank is exact.
 */
class GreyClockTest {
  private static final char CLOCK = '0';
  private static final char BLANK = '1';
  private static final double CLOCK_NANOS = 500;

  @TempDir Path folder;

  private List<EdgeDecoder.Change> played(Gadget gadget, List<String> pins, int millis)
      throws IOException {
    for (Map.Entry<String, byte[]> file : GadgetPlan.of(gadget).firmwareFiles().entrySet()) {
      Path path = folder.resolve(file.getKey());
      Files.createDirectories(path.getParent());
      Files.write(path, file.getValue());
    }
    return EdgeDecoder.changes(SimulatedController.play(folder, pins, millis).dump(), pins);
  }

  /**
   * From blank to blank there is room for 4096 clocks, so that a level is on for its share of the
   * turn; the first frame is latched in the dark, and no later one but under a blank.
   */
  @Test
  void everyTurnHasRoomFor4096ClocksBetweenItsBlanks() throws IOException {
    List<Double> turns = new ArrayList<>();
    List<Integer> counted = new ArrayList<>();
    int clocks = 0;
    boolean blank = true;
    int latched = 0;
    long lit = -1;
    for (EdgeDecoder.Change change :
        played(SwitchedGadgets.greyBlanked(3), List.of("D3", "D4", "C2"), 60)) {
      if (change.wire() == CLOCK) {
        clocks += change.high() && !blank ? 1 : 0;
      } else if (change.wire() == BLANK) {
        blank = change.high();
        if (blank && lit >= 0) {
          turns.add((change.at() - lit) / CLOCK_NANOS);
          counted.add(clocks);
        }
        lit = blank ? lit : change.at();
        clocks = 0;
      } else if (change.high()) {
        assertThat(blank).as("dark while it latches").isTrue();
        latched++;
      }
    }
    assertThat(latched).isGreaterThan(1);
    assertThat(turns).hasSizeGreaterThan(20);
    // the blank takes a clock or two itself; it comes late while a line of pixels is being sent
    assertThat(turns).allSatisfy(turn -> assertThat(turn).isBetween(3500.0, 4700.0));
    assertThat(turns.stream().filter(turn -> Math.abs(turn - 4095) < 2))
        .hasSizeGreaterThan(turns.size() * 2 / 3);
    assertThat(counted.stream().mapToInt(Integer::intValue).average().orElse(0))
        .isBetween(0.95 * 4096, 4096.0);
  }

  @Test
  void theOtherClassIsClockedAtFourMegahertz() throws IOException {
    List<EdgeDecoder.Change> changes = played(SwitchedGadgets.greyDeep(), List.of("B4"), 4);
    List<EdgeDecoder.Change> rises = changes.stream().filter(EdgeDecoder.Change::high).toList();
    double nanos = rises.get(rises.size() - 1).at() - rises.get(0).at();
    assertThat((rises.size() - 1) / nanos * 1e3).isBetween(3.8, 4.0);
  }
}
