package org.myrialith.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Corner;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Panel;

class FixtureRunTest {
  private static final Fixture PANEL = Fixture.of("f1", "Panel", panel(10, 10));
  private static final Layout LAYOUT = Layout.EMPTY.withFixtures(List.of(PANEL));

  private static Panel panel(int columns, int rows) {
    return new Panel(columns, rows, 10, 10, Corner.TOP_LEFT, true, true, 0);
  }

  private static Circuits circuits(List<String> first, List<String> second) {
    return new Circuits(
        List.of(OneWirePixels.usual("c1", first), OneWirePixels.usual("c2", second).onPin("B1")));
  }

  private static List<String> of(Circuits circuits, String id) {
    return circuits.circuit(id).orElseThrow().fixtures();
  }

  private static Gadget gadget(Fixture panel, Circuits circuits) {
    return Gadget.blank("Parted").with(panel).with(circuits);
  }

  @ParameterizedTest
  @ValueSource(strings = {"f1:5", "f1:9-3", "f1:-1-3", "f1:0-9000", "f1:a-b", "f1:0-1:2-3"})
  void textThatIsNoRunIsRefusedByName(String text) {
    assertThatThrownBy(() -> OneWirePixels.usual("c1", List.of(text)))
        .isInstanceOf(InputException.class)
        .hasMessageContaining(text)
        .hasMessageContaining("f1:0-63");
  }

  @Test
  void anEmitterIsInOneCircuit() {
    assertThat(circuits(List.of("f1:0-49"), List.of("f1:50-99")).circuits()).hasSize(2);
    assertThatThrownBy(() -> circuits(List.of("f1:0-50"), List.of("f1:50-99")))
        .hasMessageContaining("circuits[1].fixtures");
    assertThatThrownBy(() -> circuits(List.of("f1"), List.of("f1:50-99")))
        .hasMessageContaining("in one circuit");
    assertThatThrownBy(() -> OneWirePixels.usual("c1", List.of("f1:0-4", "f1:4-9")))
        .hasMessageContaining("do not overlap");
  }

  @Test
  void aRunLeavesTheCircuitThatHadItInTwo() {
    Circuits whole = circuits(List.of("f1"), List.of());

    Circuits middle = whole.withAtEnd(new FixtureRun("f1", 30, 59), "c2", LAYOUT);

    assertThat(of(middle, "c1")).containsExactly("f1:0-29", "f1:60-99");
    assertThat(of(middle, "c2")).containsExactly("f1:30-59");
    assertThat(middle.loose(PANEL)).isEmpty();
    // what follows each other on the wire is one again
    Circuits joined = middle.withAtEnd(new FixtureRun("f1", 60, 99), "c2", LAYOUT);
    assertThat(of(joined, "c2")).containsExactly("f1:30-99");
    assertThat(of(joined.withAtEnd(FixtureRun.all("f1"), "c1", LAYOUT), "c1"))
        .containsExactly("f1");
  }

  @Test
  void aRunThatIsSetKeepsItsPlaceAndLeavesTheRestLoose() {
    Circuits set =
        circuits(List.of("f1"), List.of())
            .withRun("c1", "f1", new FixtureRun("f1", 10, 19), LAYOUT);

    assertThat(of(set, "c1")).containsExactly("f1:10-19");
    assertThat(set.loose(PANEL))
        .containsExactly(new FixtureRun("f1", 0, 9), new FixtureRun("f1", 20, 99));
    assertThat(of(set.withRun("c1", "f1:10-19", FixtureRun.between(PANEL, 0, 99), LAYOUT), "c1"))
        .containsExactly("f1");
  }

  @Test
  void emittersStandOnTheWireThatHasThem() {
    Wiring wiring =
        GadgetPlan.of(gadget(PANEL, circuits(List.of("f1:60-99", "f1:0-9"), List.of("f1:10-59"))))
            .wiring();

    assertThat(wiring.plans().get(0).emitters()).isEqualTo(50);
    assertThat(wiring.spots().get(60)).isEqualTo(new Wiring.Spot(0, 0));
    assertThat(wiring.spots().get(0)).isEqualTo(new Wiring.Spot(0, 40));
    assertThat(wiring.spots().get(10)).isEqualTo(new Wiring.Spot(1, 0));
    assertThat(wiring.lines().get(1)).hasSize(50);
    assertThat(wiring.lines().get(1).get(49).index()).isEqualTo(59);
  }

  @Test
  void whatIsLeftOverOrGoneIsFoundAndTheFindingMendsIt() {
    Gadget parted = gadget(PANEL, circuits(List.of("f1:0-49"), List.of("f1:60-99")));

    GadgetPlan plan = GadgetPlan.of(parted);

    Finding left = finding(plan, "unchained-f1-50");
    assertThat(left.says()).isEqualTo("Panel (LEDs 50 to 59) is in no circuit and stays dark.");
    Optional<Gadget> mended = plan.mended(left.key(), "put-in-c1");
    assertThat(of(mended.orElseThrow().circuits(), "c1")).containsExactly("f1:0-59");
    // the panel gets smaller than the run
    Fixture small = Fixture.of("f1", "Panel", panel(8, 9));
    GadgetPlan after = GadgetPlan.of(parted.with(small));
    assertThat(finding(after, "run-beyond-f1-60").says())
        .contains("60 to 99")
        .contains("ends at LED 71");
    assertThat(after.wiring().plans().get(1).emitters()).isEqualTo(12);
  }

  private static Finding finding(GadgetPlan plan, String key) {
    return plan.findings().stream().filter(f -> f.key().equals(key)).findFirst().orElseThrow();
  }
}
