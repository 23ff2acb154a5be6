package org.myrialith.web.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.parts.Supply;
import org.myrialith.power.PowerPlan;

class PowerChartTest {
  private static PowerChart chart(Gadget gadget) {
    return PowerChart.of(GadgetPlan.of(gadget).power());
  }

  private static double lineAt(PowerChart chart, String kind) {
    return chart.lines().stream().filter(l -> l.kind().equals(kind)).findFirst().orElseThrow().y();
  }

  @Test
  void heightsAreInProportionToCurrents() {
    PowerPlan plan = GadgetPlan.of(DemoGadgets.tideLantern()).power();
    PowerChart chart = PowerChart.of(plan);
    double zero = chart.amps().get(0).at();
    double scale = (zero - lineAt(chart, "rating")) / 2.0;
    assertThat((zero - lineAt(chart, "budget")) / scale).isCloseTo(1.6, within(1e-6));
    assertThat((zero - chart.peak().y()) / scale).isCloseTo(plan.peakAmps(), within(1e-6));
    assertThat((zero - lineAt(chart, "mean")) / scale).isCloseTo(plan.meanAmps(), within(1e-6));
  }

  @Test
  void whatIsBeyondTheBudgetIsMarkedByVerdict() {
    PowerChart chart = chart(DemoGadgets.tideLantern());
    assertThat(chart.over())
        .hasSize(5)
        .allSatisfy(b -> assertThat(b.verdict()).isEqualTo(Verdict.BREAKS));
    assertThat(chart.above()).contains("full white");
    assertThat(chart(DemoGadgets.porchBuoy()).over()).isEmpty();
    assertThat(chart(DemoGadgets.porchBuoy()).above()).isEmpty();
  }

  @Test
  void nothingToPlayAndNoSupplyStillMakeAChart() {
    PowerChart chart = chart(Gadget.blank("Empty"));
    assertThat(chart.peak()).isNull();
    assertThat(chart.area()).doesNotContain("NaN");
    assertThat(chart.times()).isEmpty();
    PowerChart unsupplied =
        chart(
            DemoGadgets.tideLantern()
                .with(DemoGadgets.tideLantern().brief().withSupply(Optional.empty())));
    assertThat(unsupplied.lines())
        .extracting(PowerChart.Line::kind)
        .doesNotContain("rating", "budget");
    assertThat(List.of(unsupplied.over(), unsupplied.lines())).isNotEmpty();
  }

  /** Names stand in the key, so that no height of any line can bring two together. */
  @Test
  void everyLineHasItsFigureInTheKey() {
    for (double amps : new double[] {0.5, 2, 20}) {
      Gadget gadget = DemoGadgets.tideLantern();
      Supply supply = new Supply("Some", 5, amps);
      PowerChart chart = chart(gadget.with(gadget.brief().withSupply(Optional.of(supply))));
      assertThat(chart.lines())
          .extracting(PowerChart.Line::name)
          .startsWith("supply", "budget", "mean");
      assertThat(chart.lines().get(0).figure())
          .isEqualTo(amps < 1 ? "500\u00a0mA" : (int) amps + "\u00a0A");
      assertThat(chart.lines().stream().anyMatch(l -> l.kind().equals("worst")))
          .isEqualTo(chart.above().isEmpty());
    }
  }

  @Test
  void axesHaveAFewRoundTicks() {
    PowerChart chart = chart(DemoGadgets.tideLantern());
    assertThat(chart.times())
        .hasSizeBetween(4, 8)
        .extracting(PowerChart.Tick::text)
        .contains("0 s", "0.5 s", "2.5 s");
    assertThat(chart.amps())
        .hasSizeBetween(4, 8)
        .extracting(PowerChart.Tick::text)
        .contains("0 A", "4 A");
  }
}
