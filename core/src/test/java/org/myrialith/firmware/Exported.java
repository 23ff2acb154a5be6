package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.pin.PinPlan;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.driver.LineDrivers;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.pack.Packing;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.frames.ClipLevels;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.tool.EdgeDecoder;
import org.myrialith.tool.OutsideTool;

/** Exported firmware: its files in a folder, what its lines should show, and what a dump shows. */
final class Exported {
  private Exported() {}

  static Path export(Path base, GadgetPlan plan, String name) {
    return write(base, plan.firmwareFiles(), name);
  }

  /** The firmware with its frames packed otherwise. */
  static Path export(Path base, FirmwarePlan firmware, String name) {
    return write(base, firmware.files(name, ""), name);
  }

  /** All clips one way, and clip by clip in other ways. */
  static List<FirmwarePlan> packed(FirmwarePlan firmware) {
    List<FirmwarePlan> all = new ArrayList<>();
    List<Packing> can = new ArrayList<>();
    for (Packing packing : Packing.values()) {
      Optional<FirmwarePlan> by = firmware.by(packing);
      by.ifPresent(all::add);
      by.ifPresent(b -> can.add(packing));
    }
    List<ClipLevels> kept = firmware.work().kept();
    for (int step = 1; step < can.size() && kept.size() > 1; step++) {
      int by = step;
      PackedClips.pack(kept, clip -> can.get((kept.indexOf(clip) * by + by) % can.size()))
          .filter(PackedClips::several)
          .map(firmware::with)
          .ifPresent(all::add);
    }
    return all;
  }

  private static Path write(Path base, Map<String, byte[]> files, String name) {
    try {
      Path folder = Files.createTempDirectory(base, name);
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        Path path = folder.resolve(file.getKey());
        Files.createDirectories(path.getParent());
        Files.write(path, file.getValue());
      }
      return folder;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Builds a program for this machine under sanitizers, every warning an error. */
  static void buildHere(Path folder, GadgetPlan plan, String... sources) {
    List<String> command =
        new ArrayList<>(
            List.of(
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
                "-include",
                "stdint.h",
                "-DCHAIN_BYTES=" + plan.wiring().bufferBytes() + "u",
                "-o",
                "host"));
    command.addAll(List.of(sources));
    OutsideTool.runClean(folder, command.toArray(String[]::new));
  }

  static List<CircuitPlan> lines(GadgetPlan plan) {
    return plan.wiring().plans().stream().filter(p -> p.emitters() > 0).toList();
  }

  /** A clock that runs for ever is left out: it would fill the dump. */
  static List<String> wires(CircuitPlan line) {
    int clocked = line.circuit().clockedPin();
    List<String> pins = new ArrayList<>(line.circuit().pins());
    if (clocked >= 0) {
      pins.remove(clocked);
    }
    return pins;
  }

  /** What a line showed; of pins that timers dim, beside the first line. */
  static List<EdgeDecoder.Burst> read(Path dump, GadgetPlan plan, int n) throws IOException {
    CircuitPlan line = lines(plan).get(n);
    boolean drawn = dump.endsWith("waveform.vcd");
    String number = lines(plan).size() == 1 ? "" : String.valueOf(n + 1);
    List<String> wires =
        drawn
            ? LineDrivers.of(line).wires().stream().map(wire -> wire + number).toList()
            : wires(line);
    LineReader reader = new LineReader(dump, line, wires);
    if (!timed(line)) {
      return reader.read();
    }
    List<EdgeDecoder.Burst> first = read(dump, plan, 0);
    List<Long> ends = new ArrayList<>();
    for (int f = 0; f < first.size(); f++) {
      if (drawn) {
        ends.add(first.get(f).endNanos() + 3000 + 2 * LineReader.TURN_NANOS);
      } else if (f + 1 < first.size()) {
        ends.add(first.get(f + 1).startNanos());
      }
    }
    return reader.dimmed(first, ends);
  }

  static boolean timed(CircuitPlan line) {
    return line instanceof PinPlan && line.dims();
  }

  /** What each line sends in each moment. */
  static List<List<Levels>> sent(GadgetPlan plan) {
    List<List<Levels>> all = new ArrayList<>();
    for (int m = 0; m < plan.show().moments().size(); m++) {
      all.add(plan.sent().levels(m).stream().filter(l -> l.size() > 0).toList());
    }
    return all;
  }

  static List<Levels> ofLine(List<List<Levels>> moments, int line) {
    return moments.stream().map(m -> m.get(line)).toList();
  }

  static void holdTheWalk(GadgetPlan plan, Path dump, int steps) throws IOException {
    int first = 0;
    for (int n = 0; n < lines(plan).size(); n++) {
      CircuitPlan line = lines(plan).get(n);
      List<Levels> walk = new ArrayList<>();
      for (int step = 0; step < steps; step++) {
        int[] one = new int[line.channels()];
        int lit = step % plan.wiring().channels() - first;
        if (lit >= 0 && lit < one.length) {
          one[lit] = line.dims() ? 48 << line.levelBits() - 8 : 1;
        }
        walk.add(Levels.of(line.levelBits(), one));
      }
      List<Levels> expected = line instanceof PinPlan && !line.dims() ? changes(walk) : walk;
      assertThat(read(dump, plan, n).stream().limit(expected.size()))
          .as(line.circuit().name())
          .extracting(EdgeDecoder.Burst::levels)
          .isEqualTo(expected);
      first += line.channels();
    }
  }

  /** On pins nothing is seen as long as nothing changes. */
  static List<Levels> changes(List<Levels> walk) {
    List<Levels> all = new ArrayList<>();
    for (Levels one : walk) {
      boolean anew = all.isEmpty() ? one.sum() > 0 : !all.get(all.size() - 1).equals(one);
      if (anew) {
        all.add(one);
      }
    }
    return all;
  }

  /** Makes the bring-up go from step to step in so many milliseconds. */
  static void quicken(Path folder, int milli) throws IOException {
    for (String file : List.of("bringup.c", "bringup/bringup.c")) {
      Path source = folder.resolve(file);
      String text = Files.readString(source);
      String faster = text.replace("#define STEP_MS 250u", "#define STEP_MS " + milli + "u");
      assertThat(faster).isNotEqualTo(text);
      Files.writeString(source, faster);
    }
  }
}
