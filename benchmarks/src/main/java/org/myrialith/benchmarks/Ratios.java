package org.myrialith.benchmarks;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Supplier;
import org.myrialith.brief.Brief;
import org.myrialith.build.DriveMethodTable;
import org.myrialith.circuit.CircuitPlan;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.Wiring;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.colour.Levels;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.flicker.ScanSettings;
import org.myrialith.flicker.ScanStep;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.layout.Panel;
import org.myrialith.layout.judge.LayoutStep;
import org.myrialith.parts.Controller;
import org.myrialith.parts.RegisterClass;

/** Times each work of the core beside the one that it is to be held against, and prints both. */
public final class Ratios {
  private final Ratio.Effort effort;
  private final Map<String, Ratio> all = new LinkedHashMap<>();
  private double largestError;

  private Ratios(Ratio.Effort effort) {
    this.effort = effort;
  }

  /**
   * Runs them; takes some ten minutes, or with {@code --guard} and a file of limits less than four,
   * and fails by name where one is beyond its limit.
   */
  public static void main(String[] args) throws IOException {
    boolean guard = args.length == 2 && args[0].equals("--guard");
    Ratios ratios = new Ratios(guard ? Ratio.Effort.QUICK : Ratio.Effort.CLOSE);
    ratios.run(!guard);
    if (guard && !Limits.read(Path.of(args[1])).hold(ratios.all)) {
      System.exit(1);
    }
  }

  private void run(boolean whole) {
    growthOfLayout();
    growthOfFrames();
    growthOfWays();
    growthOfScans();
    new Making(this::time).all();
    rails();
    currents();
    besideReading("lantern", DemoGadgets.tideLantern());
    besideReading("wall of 8192 x 200 frames", Walls.playing(128, 64, 200));
    besideReading("wall of 8192 x 200 frames, fed at its beginning", Heavy.fedWall(200));
    besideReading("noise that fits no memory", Heavy.tooMuch(20));
    besideReading("60 clips with coprime holds", Heavy.coprime(60));
    besideReading("700 frames computed on the controller", Heavy.computed(700));
    besideReading("64 cues on 20 buttons", Heavy.cues(64, 20, 30));
    say("largest error of a ratio: %.0f %%", 100 * largestError);
    if (whole) {
      PlanMemory.print();
    }
  }

  private Ratio time(String what, Supplier<?> work, Supplier<?> base) {
    Ratio ratio = Ratio.of(work, base, effort);
    all.put(what, ratio);
    largestError = Math.max(largestError, ratio.error());
    say("%s: %s (that takes %.0f µs)", what, ratio, ratio.baseMicros());
    return ratio;
  }

  private void growthOfLayout() {
    List<Fixture> few = Walls.panels(4);
    List<Fixture> many = Walls.panels(40);
    time(
        "layout of 10 000 emitters beside 1 000",
        () -> LayoutPlan.of(many),
        () -> LayoutPlan.of(few));
    time("its findings", () -> findings(many), () -> findings(few));
  }

  private static Object findings(List<Fixture> fixtures) {
    LayoutPlan plan = LayoutPlan.of(fixtures);
    return new LayoutStep(
            Layout.EMPTY.withFixtures(fixtures), plan, List.of(plan.emittersOf(fixtures.get(0))))
        .findings();
  }

  private void growthOfFrames() {
    List<Gadget> shows = new ArrayList<>();
    for (int frames : new int[] {10, 100, 1000}) {
      shows.add(Walls.playing(25, 20, frames));
    }
    for (int i = 1; i < shows.size(); i++) {
      Gadget more = shows.get(i);
      Gadget less = shows.get(i - 1);
      String what = i == 1 ? " of 100 frames beside 10" : " of 1 000 frames beside 100";
      time(
          "findings" + what,
          () -> GadgetPlan.of(more).findings(),
          () -> GadgetPlan.of(less).findings());
      if (i == 1) { // the files of a thousand frames are so large that clearing up blurs their time
        time(
            "firmware" + what,
            () -> GadgetPlan.of(more).firmwareFiles(),
            () -> GadgetPlan.of(less).firmwareFiles());
      }
    }
  }

  /** Rows and columns on chains: planned, and seen by a camera in thirty frames. */
  private void growthOfScans() {
    List<ScanStep> steps = new ArrayList<>();
    for (int columns : new int[] {8, 80}) {
      for (int rows : new int[] {6, 60}) {
        if (columns == 80 || rows == 6) {
          steps.add(scanned(columns, rows));
        }
      }
    }
    for (int i = 1; i < steps.size(); i++) {
      ScanStep more = steps.get(i);
      ScanStep less = steps.get(i - 1);
      String what = i == 1 ? " of 480 lights beside 48" : " of 4 800 lights beside 480";
      time("what is seen of turns" + what, more::findings, less::findings);
      time(
          "findings of turns" + what,
          () -> more.scanned().get(0).findings(),
          () -> less.scanned().get(0).findings());
    }
  }

  private static ScanStep scanned(int columns, int rows) {
    Fixture panel =
        Fixture.of(
            "f1", "Lights", new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, false, false, 0));
    Layout layout =
        Layout.EMPTY.withFixtures(List.of(panel.with(panel.mount().withEmitter("single-red"))));
    ScannedRegisters circuit =
        ScannedRegisters.usual("c1", List.of("f1"))
            .of(RegisterClass.SINK, rows, columns, RowSwitch.MOSFET);
    Brief brief = new Brief("B", "", Controller.AVR8_256K, Optional.empty());
    return new ScanStep(
        ScanSettings.USUAL,
        Wiring.of(layout, LayoutPlan.of(layout.fixtures()), new Circuits(List.of(circuit)), brief));
  }

  /** Volts of 5 000 pixels beside 500, and beside a circuit simulator. */
  private void rails() {
    GadgetPlan few = GadgetPlan.of(Rails.chain(500));
    GadgetPlan many = GadgetPlan.of(Rails.chain(5000));
    few.rails();
    many.rails();
    time("volts of 5 000 pixels beside 500", () -> Rails.volts(many), () -> Rails.volts(few));
    time(
        "power of 5 000 pixels beside 500, where to feed them with it",
        () -> Rails.findings(Rails.chain(5000)),
        () -> Rails.findings(Rails.chain(500)));
    Path netlist = Rails.netlist(many);
    if (Rails.simulated(netlist).isPresent()) {
      time(
          "a circuit simulator beside the volts of 5 000 pixels",
          () -> Rails.simulated(netlist),
          () -> Rails.volts(many));
    }
  }

  /** What every frame draws, beside reading its levels. */
  private void currents() {
    Random random = new Random(1);
    List<Levels> frames = new ArrayList<>();
    List<byte[]> bytes = new ArrayList<>();
    for (int frame = 0; frame < 1000; frame++) {
      byte[] levels = new byte[30_000];
      random.nextBytes(levels);
      frames.add(Levels.of(levels));
      bytes.add(levels);
    }
    CircuitPlan line = GadgetPlan.of(Rails.chain(500)).wiring().plans().get(0);
    time(
        "current of 1 000 frames of 10 000 pixels beside reading them",
        () -> frames.stream().mapToDouble(levels -> line.litAmps(levels.sums(3))).max(),
        () -> read(bytes));
  }

  private static long read(List<byte[]> frames) {
    long all = 0;
    for (byte[] frame : frames) {
      for (byte level : frame) {
        all += level & 0xff;
      }
    }
    return all;
  }

  /** 96 channels of 32 RGB lights, ten and a hundred times as many. */
  private void growthOfWays() {
    List<Layout> layouts = new ArrayList<>();
    for (int lights : new int[] {32, 320, 3200}) {
      Fixture bars =
          Fixture.of(
              "f1", "Lights", new Panel(lights / 32, 32, 10, 10, Corner.TOP_LEFT, false, true, 0));
      layouts.add(
          Layout.EMPTY.withFixtures(List.of(bars.with(bars.mount().withEmitter("rgb-pins")))));
    }
    for (int i = 1; i < layouts.size(); i++) {
      Layout more = layouts.get(i);
      Layout less = layouts.get(i - 1);
      String what = i == 1 ? " of 960 channels beside 96" : " of 9 600 channels beside 960";
      time("all ways" + what, () -> ways(more), () -> ways(less));
      time("bit map" + what, () -> bitMap(more), () -> bitMap(less));
    }
    time(
        "all ways of 9 600 channels beside their layout",
        () -> ways(layouts.get(2)),
        () -> LayoutPlan.of(layouts.get(2).fixtures()));
  }

  private static Brief brief() {
    return new Brief("Ways", "", Controller.AVR8_256K, Optional.empty());
  }

  private static Object ways(Layout layout) {
    return DriveMethodTable.of(layout, new Circuits(List.of()), brief(), List.of("f1"));
  }

  private static Object bitMap(Layout layout) {
    return ShiftRegisters.usual("c1", List.of("f1")).plan(layout, brief()).map();
  }

  private void besideReading(String name, Gadget gadget) {
    String json = GadgetJson.write(gadget);
    Supplier<?> read = () -> GadgetJson.read(json);
    time(name + ": findings beside reading its file", () -> GadgetPlan.of(gadget).findings(), read);
  }

  private static void say(String text, Object... values) {
    System.out.printf(Locale.ROOT, text + "%n", values);
  }
}
