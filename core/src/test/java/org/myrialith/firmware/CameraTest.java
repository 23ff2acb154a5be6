package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.circuit.output.Filling;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Levels;
import org.myrialith.flicker.Camera;
import org.myrialith.flicker.Exposures;
import org.myrialith.flicker.Places;
import org.myrialith.frames.Clip;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Panel;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.Gadgets;
import org.myrialith.tool.OutsideTool;
import org.myrialith.tool.SimulatedController;

/**
 * A camera before a matrix of 7 by 9: what it gets by the plan, and by a script of its own that
 * walks along the wires of the simulated controller.
 */
class CameraTest {
  private static final int FRAMES = 8;
  private static final int WIDE = 7;
  private static final int HIGH = 9;

  @TempDir static Path folders;

  private static GadgetPlan plan;
  private static ScannedPlan scan;
  private static Path folder;
  private static Path dump;
  private static Levels levels;
  private static long start;

  @BeforeAll
  static void plays() throws IOException {
    Fixture panel =
        SwitchedGadgets.of(
            Fixture.of(
                "f1", "Grid", new Panel(WIDE, HIGH, 10, 10, Corner.TOP_LEFT, false, false, 0)),
            "single-red");
    ScannedPins circuit =
        ScannedPins.usual("c1", List.of("f1"))
            .on(
                List.of("D0", "D1", "D2", "D3", "D4", "D5", "D6", "D7", "C0"),
                List.of("B0", "B1", "B2", "B3", "B4", "B5", "C1"))
            .through(RowSwitch.MOSFET)
            .scanned(130, 4, 3)
            .with(OutputWiring.of(10, Side.TO_SUPPLY).filled(Filling.PACKED));
    plan =
        GadgetPlan.of(
            Gadgets.of(
                "Seen",
                "",
                Controller.AVR8_32K,
                Optional.of(new Supply("port", 5, 2)),
                List.of(panel),
                List.of(circuit),
                ColourSettings.USUAL,
                PowerSettings.USUAL,
                List.of(new Clip("k1", "Still", "f1", SwitchedGadgets.frames(panel, 1, 2000, 5)))));
    scan = (ScannedPlan) plan.wiring().plans().get(0);
    folder = Exported.export(folders, plan, "seen");
    dump = SimulatedController.play(folder, scan.circuit().pins(), 420).dump();
    levels = Exported.ofLine(Exported.sent(plan), 0).get(0);
    // a turn after the frame has come in; it begins in the dark before its first row
    Turns.Turn turn = Turns.played(scan, dump, levels).get(4);
    start = turn.start() - Math.round(scan.timing().darkSeconds() * 1e9);
  }

  private static double[] byScript(Camera camera) throws IOException {
    ScannedPins circuit = (ScannedPins) scan.circuit();
    StringBuilder lights = new StringBuilder();
    int light = 0;
    for (CSVRecord row : Wired.of(folder, scan).rows()) {
      double down = light++ / WIDE / (HIGH - 1.0);
      lights.append(
          String.format(
              Locale.ROOT,
              "%d %s %.9f\n",
              Integer.parseInt(row.get("chip")) - 1,
              row.get("output"),
              down));
    }
    Files.writeString(folder.resolve("lights.txt"), lights);
    SimulatedController.bring("camera.py", folder);
    String command =
        String.format(
            Locale.ROOT,
            "python3 camera.py %s %s %s 0 0 %d %f %.9f %.9f %d < lights.txt",
            dump.getFileName(),
            String.join(",", circuit.rowPins()),
            String.join(",", circuit.columnPins()),
            start,
            camera.framesHz(),
            camera.shutterSeconds(),
            camera.readoutMillis() * 1e-3,
            FRAMES);
    String text = OutsideTool.run(folder, "sh", "-c", command).text();
    return text.lines().mapToDouble(line -> Double.parseDouble(line.split(" ")[2])).toArray();
  }

  /** Telephones, a film camera, all lines at once, shorter than a turn, as long as a frame. */
  @ParameterizedTest
  @CsvSource({"30, 8, 20", "25, 20, 12", "60, 1, 0", "24, 0.5, 30", "50, 20, 20", "30, 33.3, 9"})
  void exposuresAreThoseOfTheWires(double hertz, double shutter, double readout)
      throws IOException {
    Camera camera = new Camera(hertz, shutter, readout);
    double[] down = Places.of(plan.layout(), scan).down(levels.size());
    Exposures seen = Exposures.of(scan, levels, down, camera, FRAMES);
    double[] got = byScript(camera);
    assertThat(got).hasSize(FRAMES * levels.size());
    int some = 0;
    for (int frame = 0; frame < FRAMES; frame++) {
      for (int light = 0; light < levels.size(); light++) {
        double mean =
            levels.at(light)
                * scan.timing().unitSeconds()
                * scan.timing().wholeHz()
                * camera.shutterSeconds();
        double measured = got[frame * levels.size() + light];
        if (levels.at(light) == 0) {
          assertThat(measured).as("frame %d, light %d is dark", frame, light).isZero();
          continue;
        }
        double planned = seen.shares()[frame][light] * mean;
        some += measured > 0 ? 1 : 0;
        // an edge of an exposure within a slot: the interrupt may be some cycles late
        assertThat(planned)
            .as("frame %d, light %d", frame, light)
            .isCloseTo(measured, within(0.002 * measured + 2e-6));
      }
    }
    assertThat(some).isGreaterThan(FRAMES * levels.size() / 20);
    assertThat(new String(Files.readAllBytes(dump), StandardCharsets.US_ASCII)).contains("#");
  }
}
