package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.choice.CircuitKinds;
import org.myrialith.colour.ColourSettings;
import org.myrialith.finding.InputException;
import org.myrialith.firmware.pack.PackedClips;
import org.myrialith.firmware.pack.Packing;
import org.myrialith.firmware.plan.FirmwarePlan;
import org.myrialith.firmware.target.CodeBill;
import org.myrialith.firmware.target.CodeSizes;
import org.myrialith.firmware.target.FirmwareTarget;
import org.myrialith.firmware.target.SourceText;
import org.myrialith.frames.Clip;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClasses;
import org.myrialith.parts.Supply;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.presets.CueStart;
import org.myrialith.tool.Gadgets;
import org.myrialith.tool.OutsideTool;

/**
 * Makes the table of code sizes: builds gadgets by chance over all drive methods and targets, reads
 * the size tool, and fits the size of each piece by least squares of relative errors. Sizes that
 * builds say nothing about stay as they are. Run by {@code ./myrialith fit}; a fifth of the builds
 * is not fitted to and tells how far estimates are off.
 */
@EnabledIfSystemProperty(named = "fit", matches = ".+")
class FitCodeSizes {
  static final List<Controller> CONTROLLERS =
      List.of(
          Controller.AVR8_32K, Controller.AVR8_8K, Controller.AVR8_256K, Controller.ARM32_SMALL);

  private static final int TRIALS = Integer.getInteger("fit", 4);

  /** A size that is off its old one by its scale counts as much as a build that is off by this. */
  private static final double PRIOR = 0.01;

  /**
   * A build.
   *
   * @param rest of the flash: tables, effects, and what is counted exactly (bytes)
   */
  record Build(
      String name, FirmwareTarget target, Map<String, Integer> pieces, double rest, double flash) {
    double estimate() {
      double sum = rest;
      for (Map.Entry<String, Integer> piece : pieces.entrySet()) {
        sum += piece.getValue() * CodeSizes.of(target).bytes(piece.getKey());
      }
      return sum;
    }

    double off(Map<String, Double> sizes) {
      double sum = rest;
      for (Map.Entry<String, Integer> piece : pieces.entrySet()) {
        sum += piece.getValue() * sizes.get(piece.getKey());
      }
      return sum / flash - 1;
    }
  }

  @TempDir static Path folders;

  @Test
  void fit() throws Exception {
    List<Build> all = builds();
    assertThat(all).hasSizeGreaterThan(100);
    TreeSet<String> pieces = new TreeSet<>();
    SourceText.read(CodeSizes.TABLE).lines().skip(1).forEach(l -> pieces.add(l.split(",")[0]));
    Map<String, List<String>> table = new TreeMap<>();
    pieces.forEach(piece -> table.put(piece, new ArrayList<>()));
    for (FirmwareTarget target : CodeSizes.columns()) {
      List<Build> own = all.stream().filter(b -> b.target() == target).toList();
      List<Build> fitted = new ArrayList<>();
      List<Build> held = new ArrayList<>();
      for (int i = 0; i < own.size(); i++) {
        (i % 5 == 4 ? held : fitted).add(own.get(i));
      }
      Map<String, Double> old = new TreeMap<>();
      pieces.forEach(piece -> old.put(piece, CodeSizes.of(target).bytes(piece)));
      Map<String, Double> sizes = solved(fitted, old);
      report(target, "before", own, old);
      report(target, "fitted to", fitted, sizes);
      report(target, "held out", held, sizes);
      // the table is of all builds
      Map<String, Double> last = solved(own, old);
      report(target, "in the table", own, last);
      pieces.forEach(
          piece -> table.get(piece).add(String.format(Locale.ROOT, "%.1f", last.get(piece))));
    }
    StringBuilder text = new StringBuilder("piece,8bit-32k,8bit-8k,8bit-256k,32bit\n");
    table.forEach(
        (piece, cells) ->
            text.append(piece).append(',').append(String.join(",", cells)).append('\n'));
    Files.writeString(Path.of("src/main/resources/org/myrialith/firmware", CodeSizes.TABLE), text);
  }

  private static void report(
      FirmwareTarget target, String what, List<Build> builds, Map<String, Double> sizes) {
    double[] off = builds.stream().mapToDouble(b -> b.off(sizes)).toArray();
    System.out.printf(
        Locale.ROOT,
        "%s, %s: %d builds, from %.1f %% to %.1f %%, mean size of it %.1f %%%n",
        target,
        what,
        builds.size(),
        100 * Arrays.stream(off).min().orElse(0),
        100 * Arrays.stream(off).max().orElse(0),
        100 * Arrays.stream(off).map(Math::abs).average().orElse(0));
    builds.stream()
        .filter(b -> Math.abs(b.off(sizes)) > 0.05)
        .forEach(
            b ->
                System.out.printf(
                    Locale.ROOT, "   %.1f %% %.0f %s%n", 100 * b.off(sizes), b.flash(), b.name()));
  }

  /** Least squares by the normal equations. */
  private static Map<String, Double> solved(List<Build> builds, Map<String, Double> old) {
    List<String> pieces = new ArrayList<>(old.keySet());
    int n = pieces.size();
    double[][] a = new double[n][n + 1];
    for (int i = 0; i < n; i++) {
      double was = old.get(pieces.get(i));
      double weight = PRIOR / (25 + 0.25 * Math.abs(was));
      a[i][i] += weight * weight;
      a[i][n] += weight * weight * was;
    }
    for (Build build : builds) {
      double[] row = new double[n];
      for (int i = 0; i < n; i++) {
        row[i] = build.pieces().getOrDefault(pieces.get(i), 0) / build.flash();
      }
      double wanted = (build.flash() - build.rest()) / build.flash();
      for (int i = 0; i < n; i++) {
        for (int j = 0; j < n; j++) {
          a[i][j] += row[i] * row[j];
        }
        a[i][n] += row[i] * wanted;
      }
    }
    double[] found = eliminated(a);
    Map<String, Double> sizes = new TreeMap<>();
    for (int i = 0; i < n; i++) {
      sizes.put(pieces.get(i), Math.rint(10 * found[i]) / 10);
    }
    return sizes;
  }

  private static double[] eliminated(double[][] a) {
    int n = a.length;
    for (int column = 0; column < n; column++) {
      int pivot = column;
      for (int row = column; row < n; row++) {
        pivot = Math.abs(a[row][column]) > Math.abs(a[pivot][column]) ? row : pivot;
      }
      double[] swap = a[column];
      a[column] = a[pivot];
      a[pivot] = swap;
      for (int row = 0; row < n; row++) {
        if (row != column) {
          double times = a[row][column] / a[column][column];
          for (int j = column; j <= n; j++) {
            a[row][j] -= times * a[column][j];
          }
        }
      }
    }
    double[] found = new double[n];
    for (int i = 0; i < n; i++) {
      found[i] = a[i][n] / a[i][i];
    }
    return found;
  }

  // gadgets

  private static List<Build> builds() throws Exception {
    List<Callable<Optional<Build>>> work = new ArrayList<>();
    for (Controller controller : CONTROLLERS) {
      for (CircuitStart start : CircuitKinds.STARTS) {
        for (int trial = 0; trial < TRIALS; trial++) {
          long seed = work.size();
          work.add(() -> built(folders, start.key(), gadget(controller, start, seed), seed));
        }
      }
    }
    FirmwareScenarios.all()
        .forEach(one -> work.add(() -> built(folders, one.getName(), one.getPayload())));
    Firmware32Test.scenarios()
        .forEach(one -> work.add(() -> built(folders, one.getName(), one.getPayload())));
    ScanGadgets.scenarios()
        .forEach(one -> work.add(() -> built(folders, one.getName(), one.getPayload())));
    ScanGadgets.others()
        .forEach(one -> work.add(() -> built(folders, one.getName(), one.getPayload())));
    Scan32Test.scenarios()
        .forEach(one -> work.add(() -> built(folders, one.getName(), one.getPayload())));
    for (Controller controller : CONTROLLERS) {
      MovingPictures.twenty()
          .forEach(
              (name, kind) -> {
                work.add(() -> built(folders, name, Firmware32Test.on(controller, kind)));
                work.add(() -> streamed(name, Firmware32Test.on(controller, kind)));
              });
      FirmwareScenarios.all()
          .map(one -> Firmware32Test.on(controller, one.getPayload().gadget()))
          .flatMap(plan -> plan.firmware().stream())
          .flatMap(firmware -> Exported.packed(firmware).stream())
          .forEach(
              firmware -> {
                String name = "by " + firmware.packed().packings();
                work.add(() -> built(folders, name, firmware));
              });
    }
    for (CueStart start : CueStart.values()) {
      for (Controller controller : CONTROLLERS) {
        work.add(() -> started(start, controller));
      }
    }
    ScanGadgets.ends()
        .forEach(one -> work.add(() -> built(folders, one.getName(), one.getPayload())));
    ScanGadgets.single()
        .forEach(one -> work.add(() -> built(folders, one.getName(), one.getPayload())));
    ExecutorService two = Executors.newFixedThreadPool(2);
    List<Build> all = new ArrayList<>();
    for (Future<Optional<Build>> one : two.invokeAll(work)) {
      one.get().ifPresent(all::add);
    }
    two.shutdown();
    return all;
  }

  private static Optional<Build> started(CueStart start, Controller controller) {
    try {
      Gadget gadget = StartedGadgets.of(start, controller);
      return built(folders, start.key() + " to begin with", GadgetPlan.of(gadget));
    } catch (InputException e) {
      return Optional.empty(); // it has too few pins
    }
  }

  static Optional<Build> built(Path folders, String name, Gadget gadget, long seed) {
    Random random = new Random(seed);
    int taken = gadget.circuits().circuits().get(0).pins().size();
    int free = gadget.brief().controller().pins().size() - taken;
    boolean cues = free > 4 && random.nextInt(3) == 0;
    Gadget one = cues ? CueGadgets.by(gadget, seed) : gadget;
    return built(folders, name + (cues ? ", cues" : "") + ", " + seed, GadgetPlan.of(one));
  }

  private static Optional<Build> built(Path folders, String name, GadgetPlan plan) {
    return plan.firmware().flatMap(firmware -> built(folders, name, firmware));
  }

  /** A gadget whose clips part between streams and another way, or are streams. */
  private static Optional<Build> streamed(String name, GadgetPlan plan) {
    Optional<FirmwarePlan> firmware = plan.firmware().flatMap(f -> f.by(Packing.STREAM));
    List<ClipLevels> kept = firmware.map(f -> f.work().kept()).orElse(List.of());
    return firmware
        .map(
            f ->
                PackedClips.pack(
                        kept,
                        clip -> kept.indexOf(clip) % 2 == 0 ? Packing.STREAM : Packing.PALETTE)
                    .filter(parted -> name.length() % 2 == 0)
                    .map(f::with)
                    .orElse(f))
        .flatMap(f -> built(folders, name + ", streams", f));
  }

  private static Optional<Build> built(Path folders, String name, FirmwarePlan firmware) {
    try {
      if (!firmware.work().programs().isEmpty()) {
        return Optional.empty();
      }
      Path folder = Exported.export(folders, firmware, "fit");
      boolean portable = firmware.work().controller().portable();
      OutsideTool.runClean(folder, "make", "-s", portable ? "libshow.a" : "firmware.elf");
      String report = OutsideTool.run(folder, "make", "-s", "size").text();
      Matcher found =
          Pattern.compile(
                  portable
                      ? "(\\d+)\\s+(\\d+)\\s+\\d+\\s+\\d+\\s+\\w+\\s+\\(TOTALS\\)"
                      : "Program:\\s+(\\d+)()")
              .matcher(report);
      if (!found.find()) {
        return Optional.empty();
      }
      double flash =
          Double.parseDouble(found.group(1)) + (portable ? Double.parseDouble(found.group(2)) : 0);
      CodeBill bill = firmware.code();
      FirmwareTarget target = firmware.work().target();
      double rest = firmware.flashBytes() - bill.bytes(target) + bill.exact();
      return Optional.of(new Build(name, CodeSizes.column(target), bill.pieces(), rest, flash));
    } catch (IllegalArgumentException | IllegalStateException | AssertionError e) {
      return Optional.empty(); // what can't be driven so
    }
  }

  static Gadget gadget(Controller controller, CircuitStart start, long seed) {
    Random random = new Random(7 * seed + 1);
    Circuit usual = start.beside(Gadget.blank("x").circuits(), controller, "c1");
    List<EmitterClass> able =
        EmitterClasses.ALL.stream().filter(e -> usual.drives(e.kind())).toList();
    String emitter = able.get(random.nextInt(able.size())).id();
    int columns = 1 + random.nextInt(controller == Controller.AVR8_8K ? 4 : 9);
    int rows = 1 + random.nextInt(controller == Controller.AVR8_8K ? 2 : 5);
    Fixture panel =
        Fixture.of(
            "f1", "Panel", new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, false, true, 0));
    panel = panel.with(panel.mount().withEmitter(emitter));
    Gadget bare =
        Gadgets.of(
            "Fit",
            "",
            controller,
            random.nextBoolean() ? Optional.of(new Supply("port", 5, 1)) : Optional.empty(),
            List.of(panel),
            List.of(),
            ColourSettings.USUAL,
            PowerSettings.USUAL.plannedFor(
                random.nextBoolean() ? PlanningBasis.THESE_FRAMES : PlanningBasis.WORST_CASE),
            List.of(new Clip("k1", "Clip", "f1", frames(random, columns, rows))));
    return bare.with(start, "f1");
  }

  private static List<Frame> frames(Random random, int columns, int rows) {
    int colours = random.nextBoolean() ? 3 : 4000;
    List<Frame> frames = new ArrayList<>();
    for (int f = 2 + random.nextInt(6); f > 0; f--) {
      byte[] rgb = new byte[3 * columns * rows];
      for (int i = 0; i < rgb.length; i += 3) {
        int colour = random.nextInt(colours) * 0x3f1c7;
        rgb[i] = (byte) (colour >> 16);
        rgb[i + 1] = (byte) (colour >> 8);
        rgb[i + 2] = (byte) colour;
      }
      frames.add(new Frame(Picture.of(columns, rows, rgb), 40));
    }
    return frames;
  }
}
