package org.myrialith.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Terms are found in the labels that use them, and each is explained in a breath. */
class TermTest {
  @ParameterizedTest
  @CsvSource({
    "Duty cycle at full level, DUTY_CYCLE",
    "Input high threshold (V_IH), INPUT_HIGH",
    "Quiescent current, QUIESCENT",
    "Forward-voltage tolerance ±, FORWARD_VOLTAGE",
    "Injection points, POWER_INJECTION",
    "Gamma exponent, GAMMA",
    "Maximum refresh rate by depth, REFRESH_RATE"
  })
  void aLabelLeadsToItsTerm(String label, Term wanted) {
    assertThat(Term.in(label)).contains(wanted);
  }

  @Test
  void plainWordsLeadNowhere() {
    assertThat(Term.in("Columns")).isEmpty();
    assertThat(Term.in("")).isEmpty();
  }

  @ParameterizedTest
  @EnumSource
  void eachIsExplainedInABreath(Term term) {
    for (String sentence : term.says().split("(?<=[.])\\s")) {
      assertThat(sentence.split(" ").length).as(sentence).isBetween(3, 25);
      assertThat(sentence).endsWith(".");
    }
    assertThat(term.picture()).matches("(M[0-9MLHVChvlczZ .-]*)?");
  }

  /** What the pages say and what the page of words says are one. */
  @Test
  void theDocumentHasAllTerms() throws IOException {
    String document = Files.readString(Path.of("../docs/words.md"));
    assertThat(Term.sorted())
        .allSatisfy(t -> assertThat(document).contains("**" + t.title() + "**: " + t.says()));
  }
}
