package org.myrialith.presets;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.myrialith.cue.Readout;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.SegmentDigits;

/** Machines to begin with are found by their keys and say what they want. */
class CueStartTest {
  @ParameterizedTest
  @EnumSource
  void eachIsFoundByItsKeyAlone(CueStart start) {
    assertThat(CueStart.of(start.key())).contains(start);
    assertThat(CueStart.of(start.key().toUpperCase(Locale.ROOT))).isEmpty();
    assertThat(start.what()).endsWith(".");
  }

  /** Six digits show seconds too, four do not; colons stand where the module has them. */
  @ParameterizedTest
  @CsvSource({"4, 2", "6, 3", "8, 3"})
  void theClockFillsItsDigits(int digits, int readouts) {
    SegmentDigits usual = SegmentDigits.KIND.usual();
    SegmentDigits shape =
        new SegmentDigits(
            usual.style(),
            usual.heightMm(),
            usual.widthMm(),
            0,
            usual.gapMm(),
            List.of(new SegmentDigits.Module(digits, "Time")),
            usual.digitPitchMm(),
            0,
            usual.ledsPerSegment(),
            usual.series(),
            usual.decimalPoint(),
            digits == 4 ? List.of(2) : List.of(2, 4),
            List.of(),
            List.of());
    Fixture fixture = Fixture.of("f1", "Clock", shape);
    Gadget clock = CueStart.CLOCK.on(Gadget.blank("Clock").with(fixture), fixture);
    List<Readout> shown = clock.cues().scenes().get(0).readouts();
    assertThat(shown).hasSize(readouts);
    GadgetPlan plan = GadgetPlan.of(clock);
    assertThat(plan.findings(Step.CUES))
        .extracting(Finding::verdict)
        .doesNotContain(Verdict.BREAKS);
    byte[] first = plan.seen(new CueEngine(plan.cueTable().orElseThrow()).levels());
    // 12:00 and, where there is room, 00 seconds: a 0 of seven segments has six lit
    int lit = 0;
    for (int emitter = 0; emitter < shape.count(); emitter++) {
      boolean on =
          first[3 * emitter] != 0 || first[3 * emitter + 1] != 0 || first[3 * emitter + 2] != 0;
      lit += on ? 1 : 0;
    }
    int segments = 2 + 5 + 6 + 6 + (readouts == 3 ? 12 : 0);
    int colons = readouts == 3 ? 2 : 1;
    int lamps =
        (int)
            IntStream.range(0, shape.count()).filter(i -> shape.part(i).contains("colon")).count();
    int each = usual.ledsPerSegment();
    assertThat(lit).isBetween(segments * each, segments * each + lamps + colons);
  }

  @Test
  void namesTellThemApart() {
    List<String> titles = Arrays.stream(CueStart.values()).map(CueStart::title).toList();
    assertThat(titles).doesNotHaveDuplicates();
    assertThat(CueStart.of("")).isEmpty();
  }
}
