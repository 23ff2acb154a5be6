package org.myrialith.web.pages;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.myrialith.finding.Calculation;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.gadget.plan.Goal;
import org.myrialith.web.store.Projects;

/**
 * A project page without its bench.
 *
 * @param base address of the project's pages
 * @param step the layer shown
 * @param undoes what Undo takes back, empty when there is nothing
 * @param goals that the gadget has: key of the finding that judges one to its own
 * @param redoes what Redo does again, empty when there is nothing
 */
public record Sheet(
    UUID id,
    String base,
    int revision,
    String title,
    Step step,
    Verdict verdict,
    String undoes,
    String redoes,
    List<Band> bands,
    List<Finding> findings,
    List<Calculation> calculations,
    Map<String, String> goals) {
  private static final int MOST_IN_SIGHT = 12;

  /** Returns the key of the goal that a finding says is missed; empty for none. */
  public String goal(Finding finding) {
    boolean missed = finding.verdict() == Verdict.BREAKS || finding.verdict() == Verdict.TIGHT;
    return missed ? goals.getOrDefault(finding.key(), "") : "";
  }

  private static Map<String, String> goals(GadgetPlan plan) {
    Map<String, String> goals = new LinkedHashMap<>();
    for (Goal goal : Goal.values()) {
      if (goal.wanted(plan.gadget()) > 0) {
        goals.put(goal.findingKey(), goal.key());
      }
    }
    return goals;
  }

  static Sheet of(Projects.Opened opened, Step step) {
    GadgetPlan plan = opened.plan();
    List<Band> bands = new ArrayList<>();
    for (Step each : Step.values()) {
      String headline = plan.headline(each);
      String was =
          opened.before().map(p -> p.headline(each)).filter(h -> !h.equals(headline)).orElse("");
      bands.add(
          new Band(path(each), each.title(), headline, was, plan.verdict(each), each == step));
    }
    return new Sheet(
        opened.id(),
        "/gadgets/" + opened.id(),
        opened.revision(),
        plan.gadget().title(),
        step,
        plan.verdict(),
        opened.undoes().orElse(""),
        opened.redoes().orElse(""),
        bands,
        plan.findings(step),
        plan.calculations(step),
        goals(plan));
  }

  /** Returns the sheet with a number before the others. */
  public Sheet leading(Calculation number) {
    List<Calculation> numbers = new ArrayList<>(List.of(number));
    numbers.addAll(calculations);
    return new Sheet(
        id, base, revision, title, step, verdict, undoes, redoes, bands, findings, numbers, goals);
  }

  /**
   * Numbers about one thing.
   *
   * @param about its name; empty for the whole
   */
  public record About(String about, List<Calculation> numbers) {}

  /** Returns the numbers by what they are about, those of the whole first. */
  public List<About> numbers() {
    Map<String, List<Calculation>> by = new LinkedHashMap<>();
    by.put("", new ArrayList<>());
    calculations.forEach(n -> by.computeIfAbsent(n.about(), a -> new ArrayList<>()).add(n));
    return by.entrySet().stream().map(e -> new About(e.getKey(), e.getValue())).toList();
  }

  private static boolean asks(Finding finding) {
    return finding.verdict() != Verdict.HOLDS || !finding.remedies().isEmpty();
  }

  /** Returns findings that want something done, or offer it. */
  public List<Finding> asking() {
    return findings.stream().filter(Sheet::asks).toList();
  }

  /** Returns findings that only say what holds. */
  public List<Finding> held() {
    return findings.stream().filter(finding -> !asks(finding)).toList();
  }

  /** Returns whether there are so many numbers that those about single things stand folded. */
  public boolean folded() {
    return calculations.size() > MOST_IN_SIGHT;
  }

  /** Returns the last part of the address of a layer's page. */
  public static String path(Step step) {
    return step.name().toLowerCase(Locale.ROOT);
  }

  /**
   * Returns the last part of the address of a layer's page for a word from a request; the layout
   * for any other word.
   */
  public static String page(String word) {
    for (Step step : Step.values()) {
      if (path(step).equals(word)) {
        return word;
      }
    }
    return path(Step.LAYOUT);
  }

  /** Returns the last part of the address of the layer shown. */
  public String here() {
    return path(step);
  }
}
