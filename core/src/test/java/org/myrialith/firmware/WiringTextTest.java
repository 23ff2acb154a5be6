package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.drive.RegisterClass;
import org.myrialith.drive.RowSwitch;
import org.myrialith.drive.Scan;
import org.myrialith.drive.ScannedRegisters;
import org.myrialith.gadget.Gadget;
import org.myrialith.gadget.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Point;
import org.myrialith.layout.Strip;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;

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
            "piece 1: 3 pixels, data enters at x 10, y 33.3 mm, sets out to the right, leaves at x 50, y 33.3 mm.")
        .contains(
            "piece 2, turned round: 2 pixels, data enters at x 100, y 33.3 mm, sets out to the left, leaves at x 80, y 33.3 mm.")
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
        .contains("anode to plus, cathode to its output")
        .contains("Output enable of all chips to ground");
  }
}
