package org.myrialith.tool;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.colour.Levels;

/**
 * Builds exported firmware as its Makefile says, runs it on a simulated controller, and reads its
 * data line with a protocol decoder.
 *
 * @param sent levels of each frame that was latched
 * @param dump the data line
 * @param stackBytes the most RAM the stack took
 */
public record SimulatedController(List<Levels> sent, Path dump, int stackBytes) {
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
   * @param core the compiler's name of the controller
   * @param pin port letter and bit of the data line
   */
  public static SimulatedController play(Path folder, String core, String pin, long millis)
      throws IOException {
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
    OutsideTool.Output ran =
        OutsideTool.run(
            folder,
            "./pin_trace",
            core,
            String.valueOf(millis * CYCLES_PER_MILLI),
            pin.substring(0, 1),
            pin.substring(1),
            "firmware.elf",
            "simulated.vcd");
    assertThat(ran.exit()).as(ran.errors()).isZero();
    Matcher stack = Pattern.compile("stack (\\d+)").matcher(ran.text());
    assertThat(stack.find()).isTrue();
    return new SimulatedController(
        DataLineDecoder.decode(folder, "simulated.vcd"),
        folder.resolve("simulated.vcd"),
        Integer.parseInt(stack.group(1)));
  }
}
