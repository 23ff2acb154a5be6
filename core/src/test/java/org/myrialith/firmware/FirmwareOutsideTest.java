package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.myrialith.colour.Levels;
import org.myrialith.gadget.GadgetPlan;
import org.myrialith.tool.DataLineDecoder;
import org.myrialith.tool.OutsideTool;
import org.myrialith.tool.SimulatedController;

/**
 * The exported firmware against compilers, a simulator of the controller, and a protocol decoder:
 * what arrives on the data line is what the plan says, every pixel of every moment.
 */
class FirmwareOutsideTest {
  @TempDir Path folder;

  static Stream<Named<GadgetPlan>> scenarios() {
    return FirmwareScenarios.all();
  }

  private void export(GadgetPlan plan) throws IOException {
    for (Map.Entry<String, byte[]> file : plan.firmwareFiles().entrySet()) {
      Files.write(folder.resolve(file.getKey()), file.getValue());
    }
  }

  private static List<Levels> sent(GadgetPlan plan) {
    SentMoments sent = plan.sent().orElseThrow();
    List<Levels> all = new ArrayList<>();
    for (int m = 0; m < sent.count(); m++) {
      all.add(sent.levels(m));
    }
    return all;
  }

  @ParameterizedTest
  @MethodSource("scenarios")
  void theSimulatedControllerSendsEveryPixelOfEveryMoment(GadgetPlan plan) throws IOException {
    export(plan);
    SimulatedController played =
        SimulatedController.play(
            folder,
            plan.gadget().controller().core(),
            plan.gadget().chain().orElseThrow().dataPin(),
            // one turn of the show, and a little of the next to see it start again
            plan.show().lengthMillis() + 120);
    List<Levels> expected = sent(plan);
    assertThat(played.sent().size()).isGreaterThan(expected.size());
    assertThat(played.sent().subList(0, expected.size())).isEqualTo(expected);
    assertThat(played.sent().get(expected.size()))
        .as("the show starts again")
        .isEqualTo(expected.get(0));
    assertThat(played.stackBytes()).isBetween(2, FirmwarePlan.STACK_BYTES);
    holdTheBitTimes(plan);
  }

  /**
   * Bits of 1250 ns, high for 375 or 812.5 ns; the latch gap between frames; frames as far apart as
   * they are held.
   */
  private void holdTheBitTimes(GadgetPlan plan) throws IOException {
    List<Long> rises = new ArrayList<>();
    List<Long> starts = new ArrayList<>();
    long at = 0;
    long fell = Long.MIN_VALUE / 2;
    long gap = plan.gadget().chain().orElseThrow().latchGapMicros() * 1000L;
    for (String line : Files.readAllLines(folder.resolve("simulated.vcd"))) {
      if (line.startsWith("#")) {
        at = Long.parseLong(line.substring(1));
      } else if (line.equals("1!")) {
        if (at - fell > 20_000) {
          assertThat(at - fell).isGreaterThanOrEqualTo(gap);
          starts.add(at);
        } else {
          assertThat(at - rises.get(rises.size() - 1)).isBetween(1249L, 1251L);
        }
        rises.add(at);
      } else if (line.equals("0!") && !rises.isEmpty()) {
        assertThat(at - rises.get(rises.size() - 1)).isIn(375L, 374L, 376L, 812L, 813L);
        fell = at;
      }
    }
    // how long it takes to put a moment together differs a little from one to the next; nothing may
    // add up
    for (int m = 1; m < plan.show().moments().size(); m++) {
      double held = (starts.get(m) - starts.get(0)) / 1e6;
      double due = plan.show().moments().get(m).startMillis();
      assertThat(held).as("start of moment %d", m + 1).isCloseTo(due, within(0.2));
    }
  }

  @ParameterizedTest
  @MethodSource("scenarios")
  void theWaveformFileDecodesToTheFirstMoments(GadgetPlan plan) throws IOException {
    export(plan);
    List<Levels> decoded = DataLineDecoder.decode(folder, "waveform.vcd");
    assertThat(decoded).hasSizeBetween(1, 4).isEqualTo(sent(plan).subList(0, decoded.size()));
  }

  @ParameterizedTest
  @MethodSource("scenarios")
  void thePlayerRunsHereUnderSanitizersWithTheSameOutput(GadgetPlan plan) throws IOException {
    export(plan);
    SimulatedController.bring("host.c", folder);
    OutsideTool.runClean(
        folder,
        "gcc",
        "-O1",
        "-g",
        "-std=c99",
        "-Wall",
        "-Wextra",
        "-Werror",
        "-pedantic",
        "-Wconversion",
        "-fsanitize=address,undefined",
        "-fno-sanitize-recover=all",
        "-o",
        "host",
        "player.c",
        "host.c");
    int moments = plan.show().moments().size();
    String[] lines =
        OutsideTool.runClean(folder, "./host", String.valueOf(moments * 2)).text().split("\n");
    List<Levels> expected = sent(plan);
    long waited = 0;
    for (int m = 0; m < moments * 2; m++) {
      byte[] levels = HexFormat.of().parseHex(lines[m * 2]);
      assertThat(Levels.of(levels)).as("moment %d", m).isEqualTo(expected.get(m % moments));
      waited += Integer.parseInt(lines[m * 2 + 1].substring("wait ".length()));
    }
    assertThat(waited).isEqualTo(plan.show().lengthMillis() * 2);
  }

  @ParameterizedTest
  @MethodSource("scenarios")
  void thePlayerCompilesForA32BitCore(GadgetPlan plan) throws IOException {
    export(plan);
    OutsideTool.runClean(
        folder,
        "arm-none-eabi-gcc",
        "-mcpu=cortex-m0plus",
        "-mthumb",
        "-Os",
        "-std=c99",
        "-Wall",
        "-Wextra",
        "-Werror",
        "-pedantic",
        "-c",
        "player.c",
        "-o",
        "player.o");
    assertThat(folder.resolve("player.o")).isNotEmptyFile();
  }

  @ParameterizedTest
  @MethodSource("scenarios")
  void theSizeEstimatesAreWithinFivePercentOfTheSizeTool(GadgetPlan plan) throws IOException {
    export(plan);
    OutsideTool.runClean(folder, "make", "-s", "firmware.elf");
    String report = OutsideTool.run(folder, "make", "-s", "size").text();
    FirmwarePlan firmware = plan.firmware().orElseThrow();
    assertThat((double) firmware.flashBytes())
        .isCloseTo(figure("Program", report), within(0.05 * figure("Program", report)));
    assertThat((double) firmware.ramBytes())
        .isCloseTo(figure("Data", report), within(0.05 * figure("Data", report)));
  }

  private static double figure(String name, String report) {
    Matcher matcher = Pattern.compile(name + ":\\s+(\\d+) bytes").matcher(report);
    assertThat(matcher.find()).as(report).isTrue();
    return Double.parseDouble(matcher.group(1));
  }
}
