package org.myrialith.circuit.charlieplex;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitPins;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.electrical.MultiplexedLoad;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.circuit.output.Filling;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.layout.SegmentStyle;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Supply;
import org.myrialith.tool.CircuitSimulator;

/** Lights between each two pins, each way. */
class CharlieplexTest {
  @TempDir Path folder;

  private static final Brief BRIEF =
      new Brief("B", "", Controller.AVR8_32K, Optional.of(new Supply("s", 5, 5)));

  private static Fixture row(String id, int count, String emitter) {
    Fixture made = Fixture.of(id, id, new Panel(count, 1, 10, 10, Corner.TOP_LEFT, true, false, 0));
    return made.with(made.mount().withEmitter(emitter));
  }

  private static ScannedPlan plan(Charlieplex circuit, Fixture... fixtures) {
    return circuit.plan(Layout.EMPTY.withFixtures(List.of(fixtures)), BRIEF);
  }

  private static Charlieplex on(int pins) {
    return Charlieplex.usual("c1", List.of("f1"))
        .onPins(List.of("D0", "D1", "D2", "D3", "D4", "D5", "D6", "D7").subList(0, pins));
  }

  private static Finding finding(ScannedPlan plan, String key) {
    return plan.findings().stream().filter(f -> f.key().equals(key)).findFirst().orElseThrow();
  }

  /** Twelve lights on 4 pins, n(n − 1) (common practice); thirty on 6. */
  @ParameterizedTest
  @CsvSource({"1, 2", "2, 2", "3, 3", "6, 3", "7, 4", "12, 4", "13, 5", "20, 5", "30, 6"})
  void pinsForLights(int lights, int pins) {
    assertThat(Charlieplex.pinsFor(lights)).isEqualTo(pins);
    Charlieplex found =
        (Charlieplex)
            CircuitPins.enough(
                Charlieplex.usual("c1", List.of("f1")),
                new Circuits(List.of()),
                Layout.EMPTY.withFixtures(List.of(row("f1", lights, "single-red"))),
                BRIEF);
    assertThat(found.charliePins()).hasSize(pins);
  }

  /** Every ordered pair of pins carries one light. */
  @Test
  void theTableHasEachPairOnce() {
    ScannedPlan plan = plan(on(6), row("f1", 30, "single-red"));
    Set<String> pairs = new HashSet<>();
    for (int channel = 0; channel < 30; channel++) {
      int output = plan.map().outputs().get(channel);
      String anode = plan.circuit().rowOutput(output / 5);
      String cathode = plan.outputName(output);
      assertThat(anode).isNotEqualTo(cathode);
      pairs.add(anode + cathode);
    }
    assertThat(pairs).hasSize(30);
  }

  /** Segments that share a pin share an anode, or can't stand between pins (common practice). */
  @Test
  void digitsWithACommonPinWantARowEach() {
    SegmentDigits two =
        new SegmentDigits(
            SegmentStyle.SEVEN,
            20,
            12,
            8,
            5,
            List.of(new SegmentDigits.Module(2, "tide")),
            20,
            0,
            1,
            true,
            true,
            List.of(),
            List.of(),
            List.of());
    Fixture digits = Fixture.of("f1", "Digits", two);
    digits = digits.with(digits.mount().withEmitter("single-red"));
    ScannedPlan packed = plan(on(6), digits);
    assertThat(finding(packed, "digit-pins-c1").verdict()).isEqualTo(Verdict.TIGHT);
    Charlieplex nine = on(8).onPins(List.of("D0", "D1", "D2", "D3", "D4", "D5", "D6", "D7", "B0"));
    ScannedPlan apart = plan(nine.with(nine.hookup().filled(Filling.FIELD_A_BYTE)), digits);
    assertThat(apart.findings()).noneMatch(f -> f.key().equals("digit-pins-c1"));
  }

  @Test
  void whatCannotBeIsTold() {
    assertThatThrownBy(() -> on(2).onPins(List.of("D1")))
        .hasMessageContaining("charliePins")
        .hasMessageContaining("at least 2 pins");
    assertThatThrownBy(() -> on(2).onPins(List.of("D1", "D1"))).hasMessageContaining("once");
    ScannedPlan few = plan(on(4), row("f1", 30, "single-red"));
    assertThat(finding(few, "rows-missing-c1").verdict()).isEqualTo(Verdict.BREAKS);
    assertThat(finding(few, "rows-missing-c1").says()).contains("6\u00a0pins");
  }

  /**
   * Pins as volts behind their ohms, all lights between them by the Shockley law; what has more
   * than 2.5 forward volts has the rest as a source in series, as the simulator knows no saturation
   * current below 1e-28 A.
   */
  private String netlist(ScannedPlan plan, int pins, boolean atLights, int anode, int cathode) {
    StringBuilder net =
        new StringBuilder(
            "lights between pins\n.options temp=26.85 gmin=1e-12 reltol=1e-4 abstol=1e-13 vntol=1e-6 itl1=1000\n");
    double r = ((MultiplexedLoad) plan.switching().loads().get(0).path()).resistor().ohms();
    net.append("v1 top 0 5\n");
    net.append("rh top p").append(anode).append(" 40\nrl p").append(cathode).append(" 0 35\n");
    for (int pin = 0; pin < pins; pin++) {
      net.append(String.format(Locale.ROOT, "rp%1$d p%1$d n%1$d %2$s\n", pin, atLights ? 0.1 : r));
    }
    List<Integer> outputs = plan.map().outputs();
    for (int channel = 0; channel < outputs.size(); channel++) {
      int a = outputs.get(channel) / (pins - 1);
      int k = outputs.get(channel) % (pins - 1);
      k += k < a ? 0 : 1;
      OutputLoad load = plan.switching().loads().get(plan.map().channels().get(channel).load());
      double ohms = atLights ? ((MultiplexedLoad) load.path()).resistor().ohms() : 0.1;
      double shift = Math.max(0, load.die().forwardVolts() - 2.5);
      double saturation =
          load.die().ratedMilliamps()
              * 1e-3
              / (Math.exp((load.die().forwardVolts() - shift) / (2 * 0.025852)) - 1);
      net.append(
          String.format(
              Locale.ROOT,
              "rs%1$d n%2$d m%1$d %4$s\nvs%1$d m%1$d q%1$d %6$s\nd%1$d q%1$d n%3$d led%1$d\n.model led%1$d d(is=%5$s n=2)\n",
              channel,
              a,
              k,
              ohms,
              saturation,
              shift));
    }
    return net.toString();
  }

  private double amps(String net, int channel) throws IOException {
    return CircuitSimulator.figure(
        folder,
        net + ".control\nop\nprint i(vs" + channel + ")\n.endc\n.end\n",
        "i(vs" + channel + ")");
  }

  /** What strays, as a share of the lit light, against the circuit simulator. */
  @ParameterizedTest
  @CsvSource({
    "PINS, single-red, single-red, HOLDS",
    "LIGHTS, single-red, single-red, BREAKS",
    "PINS, single-red, single-blue, HOLDS",
    "LIGHTS, single-blue, single-blue, HOLDS"
  })
  void strayLight(Charlieplex.ResistorsAt at, String first, String second, Verdict verdict)
      throws IOException {
    Charlieplex circuit =
        on(4).of(Charlieplex.Together.ONE, at).withFixtures(List.of("f1:0-0", "f2", "f1:1-10"));
    ScannedPlan plan = plan(circuit, row("f1", 11, first), row("f2", 1, second));
    boolean atLights = at == Charlieplex.ResistorsAt.LIGHTS;
    double worst = 0;
    for (int lit : new int[] {0, 1, 7, 11}) {
      int output = plan.map().outputs().get(lit);
      int anode = output / 3;
      int cathode = output % 3 + (output % 3 < anode ? 0 : 1);
      String net = netlist(plan, 4, atLights, anode, cathode);
      double amps = amps(net, lit);
      OutputLoad load = plan.switching().loads().get(plan.map().channels().get(lit).load());
      // forward volts are taken as constant elsewhere
      assertThat(((MultiplexedLoad) load.path()).amps(1)).isCloseTo(amps, within(0.06 * amps));
      List<Double> others = new ArrayList<>();
      for (int channel = 0; channel < 12; channel++) {
        others.add(channel == lit ? 0 : amps(net, channel) / amps);
      }
      worst = Math.max(worst, others.stream().mapToDouble(d -> d).max().orElseThrow());
    }
    double planned = new Ghosting(plan).worst();
    assertThat(Math.log10(planned)).isCloseTo(Math.log10(worst), within(0.05));
    assertThat(finding(plan, "stray-c1").verdict()).isEqualTo(verdict);
  }

  /** A pin that feeds several through its resistor gives each of them less. */
  @Test
  void whatOnePinFeedsIsShared() throws IOException {
    Charlieplex circuit = on(4).of(Charlieplex.Together.ANODE, Charlieplex.ResistorsAt.PINS);
    ScannedPlan plan = plan(circuit, row("f1", 12, "single-red"));
    MultiplexedLoad path = (MultiplexedLoad) plan.switching().loads().get(0).path();
    double r = path.resistor().ohms();
    String net =
        String.format(
            Locale.ROOT,
            "one pin feeds three\nv1 t 0 5\nrh t a 40\nra a x %1$s\nvf1 x b1 2\nvf2 x b2 2\nvf3 x b3 2\nrb1 b1 c1 %1$s\nrb2 b2 c2 %1$s\nrb3 b3 c3 %1$s\nrl1 c1 0 35\nrl2 c2 0 35\nrl3 c3 0 35\n.control\nop\nlet each = i(vf1)\nprint each\n.endc\n.end\n",
            r);
    double each = CircuitSimulator.figure(folder, net, "each");
    assertThat(path.amps(3)).isCloseTo(each, within(0.005 * each));
    assertThat(finding(plan, "row-shared-c1").verdict()).isEqualTo(Verdict.TIGHT);
  }
}
