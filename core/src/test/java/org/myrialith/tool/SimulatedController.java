package org.myrialith.tool;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Builds exported firmware as its Makefile says, runs it on a simulated controller, and writes down
 * its pins.
 *
 * @param dump value changes of the pins, by their names
 * @param stackBytes the most RAM the stack took
 */
public record SimulatedController(Path dump, int stackBytes) {
  /** Copies a file of this package to a folder. */
  public static void bring(String name, Path folder) throws IOException {
    try (InputStream in = SimulatedController.class.getResourceAsStream(name)) {
      Files.write(folder.resolve(name), in.readAllBytes());
    }
  }

  private static Path tracer;

  /** The simulator's own program is built once for all. */
  private static synchronized Path tracer() throws IOException {
    if (tracer == null) {
      Path folder = Files.createTempDirectory("pin-trace");
      bring("pin_trace.c", folder);
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
      tracer = folder.resolve("pin_trace");
      for (Path file : List.of(folder, folder.resolve("pin_trace.c"), tracer)) {
        file.toFile().deleteOnExit(); // the last named goes first
      }
    }
    return tracer;
  }

  private static String built(Path folder, String pattern) throws IOException {
    Matcher found = Pattern.compile(pattern).matcher(Files.readString(folder.resolve("Makefile")));
    assertThat(found.find()).isTrue();
    return found.group(1);
  }

  /** Returns the compiler's name of the core that the Makefile in a folder builds for. */
  private static String core(Path folder) throws IOException {
    return built(folder, "(?m)^CORE = (\\w+)$");
  }

  /** Returns the clock that it builds for (Hz). */
  private static long hertz(Path folder) throws IOException {
    return Long.parseLong(built(folder, "-DF_CPU=(\\d+)UL"));
  }

  /**
   * Plays the firmware in a folder.
   *
   * @param pins port letter and bit of each pin to write down
   */
  public static SimulatedController play(Path folder, List<String> pins, long millis)
      throws IOException {
    OutsideTool.runClean(folder, "make", "-s", "firmware.hex");
    return play(folder, "firmware.elf", pins, millis);
  }

  /** Plays the bring-up in a folder. */
  public static SimulatedController bringUp(Path folder, List<String> pins, long millis)
      throws IOException {
    OutsideTool.runClean(folder, "make", "-s", "bringup.hex");
    return play(folder, "bringup.elf", pins, millis);
  }

  /** Builds a sketch as the environment of a hobby board does, and plays it. */
  public static SimulatedController sketch(
      Path folder, String sketch, List<String> pins, long millis) throws IOException {
    bring("stand_in_core.cpp", folder);
    List<String> objects = new ArrayList<>();
    try (Stream<Path> sources = Files.list(folder.resolve(sketch))) {
      for (Path source : sources.sorted().toList()) {
        String name = source.getFileName().toString();
        if (!name.endsWith(".h")) {
          compile(folder, name.endsWith(".ino"), sketch + "/" + name, objects);
        }
      }
    }
    compile(folder, true, "stand_in_core.cpp", objects);
    List<String> link =
        new ArrayList<>(List.of("avr-gcc", "-mmcu=" + core(folder), "-Os", "-o", "sketch.elf"));
    link.addAll(objects);
    OutsideTool.runClean(folder, link.toArray(String[]::new));
    return play(folder, "sketch.elf", pins, millis);
  }

  private static void compile(Path folder, boolean cpp, String source, List<String> objects)
      throws IOException {
    String object = "object" + objects.size() + ".o";
    OutsideTool.runClean(
        folder,
        cpp ? "avr-g++" : "avr-gcc",
        "-mmcu=" + core(folder),
        "-DF_CPU=" + hertz(folder) + "L",
        "-Os",
        cpp ? "-std=gnu++11" : "-std=gnu11",
        "-Wall",
        "-Wextra",
        "-Werror",
        "-x",
        cpp ? "c++" : "c",
        "-c",
        source,
        "-o",
        object);
    objects.add(object);
  }

  private static SimulatedController play(
      Path folder, String firmware, List<String> pins, long millis) throws IOException {
    List<String> command =
        new ArrayList<>(
            List.of(
                tracer().toString(),
                core(folder),
                String.valueOf(hertz(folder)),
                String.valueOf(millis * hertz(folder) / 1000),
                firmware,
                "simulated.vcd"));
    command.addAll(pins);
    OutsideTool.Output ran = OutsideTool.run(folder, command.toArray(String[]::new));
    assertThat(ran.exit()).as(ran.errors()).isZero();
    Matcher stack = Pattern.compile("stack (\\d+)").matcher(ran.text());
    assertThat(stack.find()).isTrue();
    return new SimulatedController(
        folder.resolve("simulated.vcd"), Integer.parseInt(stack.group(1)));
  }
}
