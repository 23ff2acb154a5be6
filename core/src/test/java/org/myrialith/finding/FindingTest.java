package org.myrialith.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** What is reported first. */
class FindingTest {
  private static Finding of(String key, Verdict verdict, Harm harm) {
    return Finding.of(harm, Step.POWER, key, verdict, "Said.");
  }

  /** A verdict counts more than a harm; of one verdict the person goes first, the look last. */
  @Test
  void theWorstIsFirst() {
    List<Finding> mixed =
        List.of(
            of("holds-fire", Verdict.HOLDS, Harm.PERSON),
            of("tight-look", Verdict.TIGHT, Harm.LOOKS),
            of("breaks-look", Verdict.BREAKS, Harm.LOOKS),
            of("open-part", Verdict.OPEN, Harm.PARTS),
            of("tight-fire", Verdict.TIGHT, Harm.PERSON),
            of("breaks-part", Verdict.BREAKS, Harm.PARTS),
            of("breaks-function", Verdict.BREAKS, Harm.FUNCTION),
            of("breaks-fire", Verdict.BREAKS, Harm.PERSON));

    assertThat(mixed.stream().sorted(Finding.WORST_FIRST).map(Finding::key))
        .containsExactly(
            "breaks-fire",
            "breaks-part",
            "breaks-function",
            "breaks-look",
            "tight-fire",
            "tight-look",
            "open-part",
            "holds-fire");
  }

  @Test
  void whatItHarmsGoesWithIt() {
    Finding finding = of("cable", Verdict.BREAKS, Harm.PERSON).advising("Use a thicker one.");
    assertThat(finding.harm()).isEqualTo(Harm.PERSON);
    assertThat(finding.about("Rail").harm()).isEqualTo(Harm.PERSON);
    assertThat(finding.harming(Harm.LOOKS).harm()).isEqualTo(Harm.LOOKS);
    assertThat(Finding.of(Step.BRIEF, "k", Verdict.OPEN, "Said.").harm()).isEqualTo(Harm.FUNCTION);
  }
}
