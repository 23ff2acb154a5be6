package org.myrialith.gadget.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeFalse;

import java.io.IOException;
import java.lang.reflect.Method;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.myrialith.demo.DemoGadgets;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.format.FormatTables;
import org.myrialith.gadget.format.GadgetSamples;
import org.myrialith.gadget.model.Gadget;

/**
 * What makers read, as real gadgets raise it: docs/sentences.md has it all, to be read as an editor
 * does. {@code ./myrialith documents} writes it again.
 */
class SentencesTest {
  private static final boolean WRITE = Boolean.getBoolean("write.documents");
  private static final Path PAGE = Path.of("../docs/sentences.md");
  private static final int RANDOM_GADGETS = 150;

  /** Of one rule and verdict, sentences of so many shapes are enough to judge it by. */
  private static final int SHAPES = 3;

  private static final int MOST_WORDS = 25;

  /** Sentences by step, then by rule and verdict, then by shape. */
  private static final Map<Step, Map<String, Map<String, String>>> FINDINGS = new TreeMap<>();

  private static final Map<Step, Map<String, String>> CALCULATIONS = new TreeMap<>();
  private static final Set<String> KINDS = new TreeSet<>();

  /** What breaks and says nothing of what to do. */
  private static final List<String> MUTE = new ArrayList<>();

  @BeforeAll
  static void gadgetsAreWorkedOut() {
    Stream<Gadget> made =
        Stream.of(DemoGadgets.class.getMethods())
            .filter(m -> m.getReturnType() == Gadget.class && m.getParameterCount() == 0)
            .sorted(Comparator.comparing(Method::getName))
            .map(SentencesTest::made);
    Stream<Gadget> random =
        Stream.iterate(1L, n -> n + 1).limit(RANDOM_GADGETS).map(GadgetSamples::fromSeed);
    Stream.concat(made, random).forEach(SentencesTest::read);
  }

  private static Gadget made(Method method) {
    try {
      return (Gadget) method.invoke(null);
    } catch (ReflectiveOperationException e) {
      throw new AssertionError(e);
    }
  }

  private static void read(Gadget gadget) {
    GadgetPlan plan = GadgetPlan.of(gadget);
    for (Step step : Step.values()) {
      for (Finding finding : plan.findings(step)) {
        if (finding.verdict() == Verdict.BREAKS
            && finding.advice().isBlank()
            && finding.remedies().isEmpty()) {
          MUTE.add(finding.key() + ": " + finding.says());
        }
        FINDINGS
            .computeIfAbsent(step, s -> new TreeMap<>())
            .computeIfAbsent(rule(finding), r -> new LinkedHashMap<>());
        Map<String, String> shapes = FINDINGS.get(step).get(rule(finding));
        if (shapes.size() < SHAPES) {
          shapes.putIfAbsent(shape(finding), text(finding));
        }
      }
      for (Calculation number : plan.calculations(step)) {
        CALCULATIONS
            .computeIfAbsent(step, s -> new TreeMap<>())
            .putIfAbsent(
                bare(number.key()),
                number.name()
                    + " = "
                    + number.formula()
                    + " — "
                    + number.given().stream()
                        .map(Calculation.Given::name)
                        .collect(Collectors.joining("; "))
                    + " ("
                    + number.source().text()
                    + ")");
      }
    }
    plan.wiring().plans().forEach(p -> KINDS.add(p.about().strip()));
  }

  private static String rule(Finding finding) {
    return bare(finding.key()) + " · " + finding.verdict().name().toLowerCase(Locale.ROOT);
  }

  /** A key without the fixture or circuit that it is about. */
  private static String bare(String key) {
    return key.replaceAll("-[A-Za-z]*[0-9]+", "");
  }

  /** A sentence by its longer words in lower case: names and figures do not make another shape. */
  private static String shape(Finding finding) {
    return Stream.of((finding.says() + " " + finding.advice()).split("[\\s\u00a0]+"))
        .filter(word -> word.matches("[a-z]{4,}[.,:;]?"))
        .collect(Collectors.joining(" "));
  }

  private static String text(Finding finding) {
    String remedies =
        finding.remedies().stream().map(Remedy::label).collect(Collectors.joining(" | "));
    return (finding.says() + " " + finding.advice()).strip()
        + (remedies.isEmpty() ? "" : " [" + remedies + "]");
  }

  private static String page() {
    StringBuilder page = new StringBuilder();
    page.append("# Sentences\n\nMade by `./myrialith documents` from the demo gadgets and ")
        .append(RANDOM_GADGETS)
        .append(
            " random ones: what findings say, with advice and [remedies]; calculations; labels.\n");
    for (Step step : Step.values()) {
      page.append("\n## ").append(step.title()).append('\n');
      FINDINGS
          .getOrDefault(step, Map.of())
          .forEach(
              (rule, shapes) -> {
                page.append("\n`").append(rule).append("`\n\n");
                shapes.values().forEach(s -> page.append("- ").append(s).append('\n'));
              });
      page.append("\n### Calculations\n\n");
      CALCULATIONS
          .getOrDefault(step, Map.of())
          .forEach((key, text) -> page.append("- ").append(text).append('\n'));
    }
    page.append("\n## Kinds of circuit\n\n");
    KINDS.forEach(k -> page.append("- ").append(k).append('\n'));
    page.append("\n## Labels\n\n");
    labels().forEach(l -> page.append("- ").append(l).append('\n'));
    return page.toString();
  }

  /** Labels with what explains them: the second column of the format's tables. */
  private static Set<String> labels() {
    return FormatTables.markdown()
        .lines()
        .filter(line -> line.startsWith("| `"))
        .map(line -> line.split("\\s*\\|\\s*")[2])
        .collect(Collectors.toCollection(TreeSet::new));
  }

  @Test
  void thePageIsThatOfTheCode() throws IOException {
    if (WRITE) {
      Files.writeString(PAGE, page());
    }
    assertThat(Files.readString(PAGE)).isEqualTo(page());
  }

  @Test
  void noSentenceIsLongerThanOneBreath() {
    assumeFalse(WRITE);
    assertThat(sentences()).filteredOn(s -> s.split("[ /]+").length > MOST_WORDS).isEmpty();
  }

  @Test
  void whatBreaksSaysWhatToDo() {
    assertThat(MUTE).isEmpty();
  }

  /** Words of our own where the trade has its own: from the table of the language note. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "the very most",
        "has its turn",
        "have their turns",
        "is planned with",
        "for good",
        "forward volts",
        "flows of the",
        "is believed",
        "hangs on",
        "hang on",
        "kept back",
        "at its most",
        "what remains",
        "gets warm",
        "is reckoned",
        "looks agree",
        "worked out",
        "let go",
        "a second,",
        "mHz",
        "0 Hz"
      })
  void wordsOfOurOwnAreGone(String word) {
    assertThat(sentences()).filteredOn(s -> s.contains(" " + word) || s.startsWith(word)).isEmpty();
  }

  private static List<String> sentences() {
    return FINDINGS.values().stream()
        .flatMap(rules -> rules.values().stream())
        .flatMap(shapes -> shapes.values().stream())
        .flatMap(text -> Stream.of(text.split("(?<=[.!?])\\s+|\\s*[\\[\\]|]\\s*|: ")))
        .map(String::strip)
        .filter(s -> !s.isEmpty())
        .toList();
  }
}
