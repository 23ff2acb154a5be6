package org.myrialith.voltagedrop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.myrialith.parts.Conductor;
import org.myrialith.tool.CircuitSimulator;

/** Rails against the circuit simulator on the same netlist, and by hand. */
class RailNetworkTest {
  @TempDir Path folder;

  /** Both rails, pixels as sources of current between them. */
  private static String netlist(
      double volts, double[] gaps, double[] amps, List<RailNetwork.Tap> taps) {
    StringBuilder text = new StringBuilder("rails of a chain\nV1 plus 0 " + volts + "\n");
    for (int i = 0; i < gaps.length; i++) {
      int next = (i + 1) % amps.length;
      text.append(
          "Rp%d p%d p%d %.12g%nRm%d m%d m%d %.12g%n"
              .formatted(i, i, next, gaps[i], i, i, next, gaps[i]));
    }
    for (int i = 0; i < amps.length; i++) {
      text.append("I%d p%d m%d %.12g%n".formatted(i, i, i, amps[i]));
    }
    for (int t = 0; t < taps.size(); t++) {
      RailNetwork.Tap tap = taps.get(t);
      text.append(
          "Rfp%d plus p%d %.12g%nRfm%d 0 m%d %.12g%n"
              .formatted(t, tap.at(), tap.ohms(), t, tap.at(), tap.ohms()));
    }
    return text.toString();
  }

  @ParameterizedTest
  @CsvSource({
    "60, false, 0",
    "60, true, 0",
    "300, false, 0 299",
    "300, true, 40 200",
    "300, false, 0 100 299",
    "5000, false, 0 1000 2500 4000",
    "5000, true, 100 1800 3300",
    "5000, false, 4999"
  })
  void voltsAreThoseOfTheCircuitSimulator(int pixels, boolean ring, String feeds)
      throws IOException {
    Random random = new Random(pixels + feeds.length());
    double[] gaps = new double[ring ? pixels : pixels - 1];
    Arrays.setAll(gaps, i -> 0.0016 * (0.5 + random.nextDouble()));
    double[] amps = new double[pixels];
    double each = pixels > 1000 ? 0.0005 : 0.03;
    Arrays.setAll(amps, i -> each * random.nextDouble());
    List<RailNetwork.Tap> taps = new ArrayList<>();
    for (String feed : feeds.split(" ")) {
      taps.add(new RailNetwork.Tap(Integer.parseInt(feed), 0.01 + 0.03 * random.nextDouble()));
    }
    double[] drops = new RailNetwork(gaps, taps).drops(amps);
    List<Integer> probes =
        new ArrayList<>(IntStream.range(0, 12).mapToObj(i -> i * (pixels - 1) / 11).toList());
    Map<String, Double> simulated =
        CircuitSimulator.figures(
            folder,
            netlist(5, gaps, amps, taps),
            probes.stream().map(p -> "v(p%d,m%d)".formatted(p, p)).toList());
    for (int probe : probes) {
      assertThat(5 - 2 * drops[probe])
          .as("pixel %d", probe)
          .isCloseTo(simulated.get("v(p%d,m%d)".formatted(probe, probe)), within(1e-4));
    }
  }

  /** Ten pixels of 60 mA, 10 mohm between them, 20 mohm of feed: n(n - 1) / 2 gaps of current. */
  @Test
  void aShortStripByHand() {
    double[] gaps = new double[9];
    Arrays.fill(gaps, 0.010);
    double[] amps = new double[10];
    Arrays.fill(amps, 0.060);
    RailNetwork network = new RailNetwork(gaps, List.of(new RailNetwork.Tap(0, 0.020)));
    double[] drops = network.drops(amps);
    assertThat(drops[0]).isCloseTo(0.6 * 0.020, within(1e-12));
    // 9 + 8 + … + 1 = 45 times 60 mA through 10 mohm
    assertThat(drops[9]).isCloseTo(0.6 * 0.020 + 45 * 0.060 * 0.010, within(1e-12));
    assertThat(network.tapAmps(drops)[0]).isCloseTo(0.6, within(1e-12));
  }

  /** A uniform line: one feed in the middle, two at the quarters. */
  @Test
  void feedsStandWhereTheWorstPixelGetsMost() {
    double[] gaps = new double[299];
    Arrays.fill(gaps, 0.002);
    double[] amps = new double[300];
    Arrays.fill(amps, 0.03);
    Injection injection = new Injection(gaps, amps, 0.02);
    assertThat(injection.of(1).at().get(0)).isBetween(148, 151);
    List<Integer> two = injection.of(2).at();
    assertThat(two.get(0)).isBetween(72, 77);
    assertThat(two.get(1)).isBetween(222, 227);
  }

  /** No other set of as many feeds does better, and none of fewer is enough: all are tried. */
  @ParameterizedTest
  @CsvSource({"1", "2", "3", "4", "5", "6", "7", "8", "9", "10", "11", "12"})
  void theFewestFeedsAreThoseOfTryingAll(int seed) {
    Random random = new Random(seed);
    int pixels = 18;
    double[] gaps = new double[pixels - 1];
    Arrays.setAll(gaps, i -> 0.02 * (0.2 + random.nextDouble()));
    double[] amps = new double[pixels];
    Arrays.setAll(amps, i -> 0.06 * random.nextDouble());
    double allowed = 0.05 + 0.03 * random.nextDouble();
    Injection.Places found = new Injection(gaps, amps, 0.03).within(allowed).orElseThrow();
    int[] least = {pixels};
    double[] best = {Double.MAX_VALUE};
    for (int set = 1; set < 1 << pixels; set++) {
      int feeds = Integer.bitCount(set);
      if (feeds > found.at().size()) {
        continue;
      }
      int chosen = set;
      List<RailNetwork.Tap> taps =
          IntStream.range(0, pixels)
              .filter(i -> (chosen >> i & 1) == 1)
              .mapToObj(i -> new RailNetwork.Tap(i, 0.03))
              .toList();
      double drop = Arrays.stream(new RailNetwork(gaps, taps).drops(amps)).max().orElseThrow();
      if (drop <= allowed) {
        least[0] = Math.min(least[0], feeds);
      }
      if (feeds == found.at().size()) {
        best[0] = Math.min(best[0], drop);
      }
    }
    assertThat(found.at()).hasSize(least[0]);
    assertThat(found.drop()).isCloseTo(best[0], within(0.03 * best[0]));
  }

  /** ASTM B258 and IEC 60028, from memory: 52.96, 84.2 and 339 mohm a metre at 20 °C. */
  @ParameterizedTest
  @CsvSource({"AWG_22, 0.05296", "AWG_24, 0.0842", "AWG_30, 0.339"})
  void copperOfGauges(Conductor wire, double ohms) {
    assertThat(wire.ohmsPerMetre(20)).isCloseTo(ohms, within(0.002 * ohms));
    // 50 kelvin more: 0.00393 each
    assertThat(wire.ohmsPerMetre(70)).isCloseTo(ohms * 1.1965, within(0.003 * ohms));
  }

  @ParameterizedTest
  @CsvSource({"MM2_0_14, 0.14", "MM2_1, 1", "MM2_4, 4", "TRACK_70, 0.175", "AWG_24, 0.205"})
  void crossSections(Conductor wire, double mm2) {
    assertThat(wire.mm2()).isCloseTo(mm2, within(0.001));
    assertThat(Conductor.of(wire.key())).contains(wire);
  }

  /** IPC-2221 from memory: an outer track of 0.30 mm and 35 µm carries 1 A at 10 K. */
  @Test
  void whatConductorsCarry() {
    double share = Math.pow(0.30 / 2.5, 0.725);
    assertThat(Conductor.TRACK_35.carriesAmps() * share).isCloseTo(1.0, within(0.02));
    // IEC 60335-1, table 11, from memory
    assertThat(Conductor.MM2_0_75.carriesAmps()).isEqualTo(6);
    assertThat(Conductor.MM2_1_5.carriesAmps()).isEqualTo(16);
    assertThat(Conductor.AWG_18.carriesAmps()).isBetween(6.0, 10.0);
  }
}
