package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.circuit.multiplex.Scan;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.parts.Conductor;
import org.myrialith.parts.Converter;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.tool.OutsideTool;
import org.myrialith.voltagedrop.Feed;
import org.myrialith.voltagedrop.RailSettings;

class WiringTextTest {
  private static String readme(Gadget gadget) {
    return new String(
        GadgetPlan.of(gadget).firmwareFiles().get("README.txt"), StandardCharsets.UTF_8);
  }

  @Test
  void groundComesFirstAndPlusLast() {
    String text = readme(DemoGadgets.tideLantern());
    int ground = text.indexOf("1. Ground");
    int data = text.indexOf("Data: pin B0");
    int second = text.indexOf("data-in from data-out of Harbour window");
    int plus = text.indexOf("Last: plus of the supply (Adapter from the drawer, 5 V, 2 A)");
    assertThat(ground).isPositive().isLessThan(data);
    assertThat(data).isLessThan(second);
    assertThat(second).isLessThan(plus);
    assertThat(text).contains("Peak of the show 4.00 A").contains("licensed hands");
  }

  @Test
  void orderAndTurnOfPiecesAreTold() {
    Strip strip =
        new Strip(
            List.of(new Strip.Piece(3, 0, false), new Strip.Piece(2, 10, true)),
            1,
            50,
            List.of(new Point(0, 0), new Point(200, 0)));
    Gadget gadget = DemoGadgets.tideLantern().with(Fixture.of("f2", "Tide line", strip, 0, 33.33));
    assertThat(readme(gadget))
        .contains(
            "piece 1: 3 pixels, data enters at x 10, y 33.3 mm, goes right, leaves at x 50, y 33.3 mm.")
        .contains(
            "piece 2, reversed: 2 pixels, data enters at x 100, y 33.3 mm, goes left, leaves at x 80, y 33.3 mm.")
        .contains("from behind, left and right are swapped");
  }

  @Test
  void everyCircuitNamesItsWires() {
    assertThat(readme(DemoGadgets.mooringPost()))
        .contains("Beacon ring. Data: pin B3", "Beacon ring. Clock: pin B5")
        .contains("Beacon (ring of 16): data-in and clock-in from the resistors.")
        .contains("runs clockwise")
        .contains("Lamp line. Data: pin D6", "Rope line. Data: pin D5");
  }

  @Test
  void itIsPlainText() {
    assertThat(readme(DemoGadgets.tideLantern())).matches("[\\x20-\\x7e\\n]*");
  }

  @Test
  void theLimiterIsNamedWhereItIsNeeded() {
    Gadget lantern = DemoGadgets.tideLantern();
    assertThat(readme(lantern)).doesNotContain("LIMIT_SUM");
    Gadget limited = lantern.with(new PowerSettings(20, PlanningBasis.THESE_FRAMES, 20));
    long sum = GadgetPlan.of(limited).power().limiter().orElseThrow().limit();
    assertThat(readme(limited)).contains("limits the sum of all levels to " + sum);
    String header =
        new String(GadgetPlan.of(limited).firmwareFiles().get("frames.h"), StandardCharsets.UTF_8);
    assertThat(header).contains("#define LIMIT_SUM " + sum + "UL");
  }

  /** What has its turns stands between rows and columns, or between pins, with its resistors. */
  @Test
  void lightsByTurnsAreWired() {
    assertThat(readme(DemoGadgets.berthLamps()))
        .contains("between each pin and its line")
        .contains("anode B0: B1 LED 1, B2 LED 2")
        .doesNotContain("column");
    assertThat(readme(DemoGadgets.fogBell()))
        .contains("from each column to its output")
        .contains("anode to its row, cathode to its column")
        .contains("row 8, D7: B0 LED 57");
    Gadget bell = DemoGadgets.fogBell();
    ScannedRegisters sinks =
        ScannedRegisters.usual("c1", List.of("f1")).of(RegisterClass.SINK, 8, 8, RowSwitch.MOSFET);
    assertThat(readme(bell.with(sinks)))
        .contains("anode to its row, cathode to its output; the setting resistor of each chip is")
        .contains("Row 1: output 2.0 (chip and output) to the gate of a P-channel MOSFET")
        .contains("Output enable of all chips to pin B1, with 10 kohm to plus");
    ScannedRegisters dimmed =
        sinks.of(RegisterClass.HC, 1, 64, RowSwitch.NONE).scanned(Scan.of(200, 4, 0));
    assertThat(readme(bell.with(dimmed)))
        .contains("anode to plus of the supply (5 V), cathode to its output")
        .contains("Output enable of all chips to ground");
  }

  /** 20 V and a step-down converter: 20 V must not be told to go anywhere but to its input. */
  private static Gadget behindTwentyVolts() {
    Gadget lantern = DemoGadgets.tideLantern();
    Converter buck = new Converter("Rail five", ConverterSort.BUCK, "supply", 5, 12, 90, 1, 2, 5);
    SupplyTree tree = new SupplyTree(List.of(), List.of(buck), "Rail five", "Rail five", List.of());
    List<Feed> feeds =
        List.of(new Feed(0, Conductor.MM2_1_5, 500), new Feed(167, Conductor.MM2_1_5, 900));
    RailSettings rail = new RailSettings("c1", Conductor.TRACK_70, false, 0, 40, feeds);
    Gadget fed =
        lantern.with(
            lantern.brief().with(tree).withSupply(Optional.of(new Supply("Big adapter", 20, 4))));
    return fed.with(fed.power().with(rail).behind(Conductor.MM2_1, 1500));
  }

  @Test
  void theWiringIsThatOfTheSupplyTree() {
    Gadget gadget = behindTwentyVolts();
    String text = readme(gadget);
    GadgetPlan plan = GadgetPlan.of(gadget);
    String capacitor =
        plan.findings().stream()
            .filter(f -> f.key().equals("bulk-c1"))
            .map(f -> f.says().replaceAll(".*point (.*?F) or.*", "$1"))
            .findFirst()
            .orElseThrow();
    assertThat(text)
        .contains("of Rail five (input and output)")
        .contains("Rail five (step-down converter): input to the supply (20 V)")
        .contains(
            "a capacitor of "
                + capacitor.replace("\u202f", "").replace('\u00a0', ' ').replace('µ', 'u'))
        .contains("plus and minus from Rail five (5 V) to pixel 0")
        .contains("plus and minus from Rail five (5 V) to pixel 167")
        .contains("Plus of Rail five (5 V) to the controller, and to the lights.")
        .contains("1.5 m long")
        .contains("Before you connect a computer for programming: unplug Big adapter");
    // of all that is told to be connected to 20 V there is the converter's input alone
    assertThat(text.lines().filter(line -> line.contains("20 V")).toList())
        .allMatch(line -> line.contains("input") || line.contains("Big adapter: up to"));
  }

  /** All that breaks or is tight on the pages stands in the file, and nothing that holds. */
  @Test
  void whatBreaksOpensTheFile() {
    Gadget gadget = DemoGadgets.tideLantern();
    String text = readme(gadget);
    String before = text.substring(0, text.indexOf("Wiring, in this order"));
    for (Finding finding : GadgetPlan.of(gadget).findings()) {
      String start = finding.says().substring(0, Math.min(18, finding.says().length()));
      boolean judged = finding.verdict() == Verdict.BREAKS || finding.verdict() == Verdict.TIGHT;
      if (start.matches("[\\x20-\\x7e]*") && finding.verdict() != Verdict.OPEN) {
        assertThat(before.contains(start)).as(finding.says()).isEqualTo(judged);
      }
    }
    assertThat(before).contains("THIS BREAKS");
  }

  /** Pixels of 12 V on a rail of their own: it is named with its current, and its ground joined. */
  @Test
  void aRailOfItsOwnIsNotLeftOut() {
    Gadget lantern = DemoGadgets.tideLantern();
    OneWirePixels line = (OneWirePixels) lantern.circuits().circuits().get(0);
    String text = readme(lantern.with(line.onRail(12)));
    assertThat(text)
        .contains("of the 12 V rail of Data line")
        .contains(
            "Data line: plus of a rail of 12 V for up to 10.2 A, for which no supply is named")
        .doesNotContain("and to the lights");
  }

  /** Its timers go at other speeds: one class's files are refused by the compiler of another. */
  @Test
  void filesOfAnotherClassAreRefused(@TempDir Path folder) throws IOException {
    for (Map.Entry<String, byte[]> file :
        GadgetPlan.of(DemoGadgets.porchBuoy()).firmwareFiles().entrySet()) {
      Path path = folder.resolve(file.getKey());
      Files.createDirectories(path.getParent());
      Files.write(path, file.getValue());
    }
    String own =
        GadgetPlan.of(DemoGadgets.porchBuoy()).firmware().orElseThrow().work().target().core();
    String other = own.equals("attiny85") ? "atmega328p" : "attiny85";
    OutsideTool.runClean(folder, "make", "-s", "firmware.elf");
    Files.delete(folder.resolve("firmware.elf"));
    assertThat(OutsideTool.run(folder, "make", "-s", "CORE=" + other, "firmware.elf").errors())
        .contains("another class of controller");
  }
}
