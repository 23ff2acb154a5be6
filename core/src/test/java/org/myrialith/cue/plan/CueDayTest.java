package org.myrialith.cue.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.power.DayCurrents;
import org.myrialith.presets.CueStart;

/** What a gadget draws as its cues play, against what digits light by the table of segments. */
class CueDayTest {
  /** Segments that 0 to 9 light, 7 and 9 as most decoders have them: 7 with 3, 6 and 9 with 6. */
  private static final int[] SEGMENTS = {6, 2, 5, 5, 4, 5, 6, 3, 7, 6};

  private static Gadget clock() {
    Fixture fixture = Fixture.of("f1", "Clock", SegmentDigits.KIND.usual());
    return CueStart.CLOCK.on(Gadget.blank("Clock").with(fixture), fixture);
  }

  /** Hours without a leading zero. */
  private static int segments(int minute) {
    int hour = minute / 60;
    int tens = hour / 10 == 0 ? 0 : SEGMENTS[hour / 10];
    return tens + SEGMENTS[hour % 10] + SEGMENTS[minute % 60 / 10] + SEGMENTS[minute % 10];
  }

  @Test
  void aClockDrawsWhatItsDigitsLightOverADay() {
    Gadget clock = clock();
    SegmentDigits shape = (SegmentDigits) clock.fixtures().get(0).shape();
    double perSegment = shape.ledsPerSegment();
    // colons blink: half of the time they are lit
    double colon = (clock.fixtures().get(0).count() - 28 * perSegment) / perSegment;
    double sum = 0;
    double most = 0;
    for (int minute = 0; minute < 1440; minute++) {
      sum += segments(minute);
      most = Math.max(most, segments(minute));
    }
    double expected = (sum / 1440 + colon / 2) / (most + colon);
    GadgetPlan plan = GadgetPlan.of(clock);
    double dark = plan.power().darkAmps();
    DayCurrents day = plan.power().day().orElseThrow();
    assertThat(day.samples()).isGreaterThan(10);
    assertThat((day.meanAmps() - dark) / (day.peakAmps() - dark)).isCloseTo(expected, within(0.02));
  }

  /** The clock's own engine, played on for a quarter of an hour without leaps. */
  @Test
  void noMomentOfAQuarterOfAnHourDrawsMoreThanThePeak() {
    GadgetPlan plan = GadgetPlan.of(clock());
    CueTable table = plan.cueTable().orElseThrow();
    SentCurrent current = new SentCurrent(table.wiring().plans(), plan.power().darkAmps());
    CueEngine engine = new CueEngine(table);
    double[] most = {0};
    engine.untouched(900_000, () -> most[0] = Math.max(most[0], current.amps(engine.levels())));
    assertThat(most[0])
        .isLessThanOrEqualTo(plan.power().day().orElseThrow().peakAmps() + 1e-12)
        .isGreaterThan(plan.power().darkAmps());
  }

  /** A battery is judged by what is shown, not by the dark frames of the scene that is edited. */
  @Test
  void cellsLastByWhatIsShown() {
    Supply cells = new Supply("Cells", 4.5, 1, SupplyKind.ALKALINE_AA, 2500);
    Gadget clock = clock();
    Gadget onCells = clock.with(clock.brief().withSupply(Optional.of(cells)));
    GadgetPlan plan = GadgetPlan.of(onCells);
    DayCurrents day = plan.power().day().orElseThrow();
    assertThat(plan.tree().orElseThrow().mean().node("supply").amps())
        .isGreaterThanOrEqualTo(day.meanAmps() - 1e-9);
    assertThat(plan.findings())
        .filteredOn(f -> f.key().equals("cell-life"))
        .extracting(Finding::verdict)
        .doesNotContain(Verdict.OPEN);
  }

  /** Without a clock what is played is half a minute from power on. */
  @Test
  void withoutAClockItIsWhatComesWithPowerOn() {
    GadgetPlan plan = GadgetPlan.of(DemoGadgets.skerryJar());
    DayCurrents day = plan.power().day().orElseThrow();
    assertThat(day.samples()).isEqualTo(1);
    assertThat(day.seconds()).isCloseTo(30, within(0.1));
    assertThat(GadgetPlan.of(DemoGadgets.tideLantern()).power().day()).isEmpty();
  }
}
