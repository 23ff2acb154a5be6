package org.myrialith.tool;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Builds exported firmware for a 32-bit core and runs it in an emulator, over pins that cost time
 * and write themselves down. What is computed and in which order pins change is the core's doing;
 * how long an instruction takes is not told.
 *
 * @param pinNanos that setting a pin costs
 * @param lookNanos that looking at the clock costs
 * @param spiPin number of the pin that SPI data comes out of
 * @param pulledUp numbers of pins with a resistor to plus
 */
public record EmulatedController(int pinNanos, int lookNanos, int spiPin, List<Integer> pulledUp) {
  private static final String[] BUILD = {
    "arm-none-eabi-gcc",
    "-mcpu=cortex-m0plus",
    "-mthumb",
    "-Os",
    "-Wall",
    "-Wextra",
    "-Werror",
    "-ffunction-sections",
    "-fdata-sections"
  };

  private static final String[] RUN = {
    "timeout",
    "60",
    "qemu-system-arm",
    "-M",
    "lm3s6965evb",
    "-nographic",
    "-monitor",
    "none",
    "-serial",
    "none",
    "-semihosting-config",
    "enable=on,target=native",
    "-kernel",
    "emulated.elf"
  };

  private void facts(Path folder, long millis) throws IOException {
    String pulled =
        pulledUp.stream().map(pin -> "(pin) == " + pin).collect(Collectors.joining(" || "));
    Files.writeString(
        folder.resolve("board_facts.h"),
        "#define PIN_NANOS "
            + pinNanos
            + "u\n#define NOW_NANOS "
            + lookNanos
            + "u\n#define END_NANOS "
            + millis * 1_000_000
            + "ull\n#define SPI_PIN "
            + spiPin
            + "\n#define PULLED_UP(pin) ("
            + (pulled.isEmpty() ? "(void)(pin), 0" : pulled)
            + ")\n");
    SimulatedController.bring("emulated_pins.c", folder);
    SimulatedController.bring("flash.ld", folder);
  }

  private static void compile(Path folder, String source, String object, String... more) {
    List<String> command = new ArrayList<>(Arrays.asList(BUILD));
    command.addAll(List.of(more));
    command.addAll(List.of("-I.", "-c", source, "-o", object));
    OutsideTool.runClean(folder, command.toArray(String[]::new));
  }

  /** Links what is there with the stand-in, runs it and returns its dump. */
  private static Path run(Path folder, List<String> objects) throws IOException {
    List<String> link = new ArrayList<>(Arrays.asList(BUILD));
    link.addAll(
        List.of("--specs=rdimon.specs", "-nostartfiles", "-T", "flash.ld", "-Wl,--gc-sections"));
    link.addAll(objects);
    link.addAll(List.of("-o", "emulated.elf"));
    OutsideTool.runClean(folder, link.toArray(String[]::new));
    Path dump = folder.resolve("simulated.vcd");
    Files.deleteIfExists(dump);
    OutsideTool.Output ran = OutsideTool.run(folder, RUN);
    assertThat(ran.exit()).as(ran.errors() + ran.text()).isZero();
    assertThat(dump).isNotEmptyFile();
    return dump;
  }

  /**
   * Plays the folder of plain C as its Makefile builds it.
   *
   * @param library such as "libshow.a"
   */
  public Path play(Path folder, String library, long millis) throws IOException {
    OutsideTool.runClean(folder, "make", "-s", library);
    facts(folder, millis);
    compile(folder, "emulated_pins.c", "emulated_pins.o", "-std=gnu11");
    return run(folder, List.of("emulated_pins.o", library));
  }

  /** Builds a sketch as the environment of a hobby board does, and plays it. */
  public Path sketch(Path folder, String sketch, long millis) throws IOException {
    facts(folder, millis);
    SimulatedController.bring("stand_in_environment.h", folder);
    SimulatedController.bring("stand_in_environment.cpp", folder);
    Files.writeString(folder.resolve("SPI.h"), "");
    List<String> objects = new ArrayList<>();
    try (Stream<Path> sources = Files.list(folder.resolve(sketch))) {
      for (Path source : sources.sorted().toList()) {
        String name = source.getFileName().toString();
        if (!name.endsWith(".h")) {
          String object = "sketch" + objects.size() + ".o";
          if (name.endsWith(".ino")) {
            compile(
                folder,
                sketch + "/" + name,
                object,
                "-std=gnu++11",
                "-fno-exceptions",
                "-include",
                "stand_in_environment.h",
                "-x",
                "c++");
          } else {
            compile(folder, sketch + "/" + name, object, "-std=gnu11");
          }
          objects.add(object);
        }
      }
    }
    compile(folder, "stand_in_environment.cpp", "environment.o", "-std=gnu++11", "-fno-exceptions");
    compile(folder, "emulated_pins.c", "emulated_pins.o", "-std=gnu11", "-DSKETCH");
    objects.addAll(List.of("environment.o", "emulated_pins.o"));
    return run(folder, objects);
  }
}
