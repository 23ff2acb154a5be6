package org.myrialith.tool;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Builds exported firmware as its Makefile says, runs it on a simulated controller, and reads its
 * data lines.
 *
 * @param lines frames of each data line in the order of the pins
 * @param stackBytes the most RAM the stack took
 */
public record SimulatedController(List<List<EdgeDecoder.Burst>> lines, int stackBytes) {
  private static final long CYCLES_PER_MILLI = 16_000;

  /** Copies a file of this package to a folder. */
  public static void bring(String name, Path folder) throws IOException {
    try (InputStream in = SimulatedController.class.getResourceAsStream(name)) {
      Files.write(folder.resolve(name), in.readAllBytes());
    }
  }

  /**
   * Plays the firmware in a folder.
   *
   * @param pins port letter and bit of each data line
   */
  public static SimulatedController play(Path folder, List<String> pins, long millis)
      throws IOException {
    Matcher core =
        Pattern.compile("(?m)^CORE = (\\w+)$")
            .matcher(Files.readString(folder.resolve("Makefile")));
    assertThat(core.find()).isTrue();
    bring("pin_trace.c", folder);
    OutsideTool.runClean(folder, "make", "-s", "firmware.hex");
    OutsideTool.runClean(
        folder,
        "gcc",
        "-O2",
        "-Wall",
        "-Wextra",
        "-Werror",
        "-o",
        "pin_trace",
        "pin_trace.c",
        "-lsimavr");
    List<String> command =
        new ArrayList<>(
            List.of(
                "./pin_trace",
                core.group(1),
                String.valueOf(millis * CYCLES_PER_MILLI),
                "firmware.elf",
                "simulated.vcd"));
    command.addAll(pins);
    OutsideTool.Output ran = OutsideTool.run(folder, command.toArray(String[]::new));
    assertThat(ran.exit()).as(ran.errors()).isZero();
    Matcher stack = Pattern.compile("stack (\\d+)").matcher(ran.text());
    assertThat(stack.find()).isTrue();
    Map<String, List<EdgeDecoder.Burst>> decoded =
        EdgeDecoder.decode(folder.resolve("simulated.vcd"));
    return new SimulatedController(
        pins.stream().map(decoded::get).toList(), Integer.parseInt(stack.group(1)));
  }
}
