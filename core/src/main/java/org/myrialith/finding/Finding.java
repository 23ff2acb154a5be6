package org.myrialith.finding;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;

/**
 * One judgement.
 *
 * @param key stable name within the plan, lower case with dashes
 * @param step the layer it belongs to
 * @param harm what it is about to harm: orders findings of one verdict
 * @param says what was found, one or two short sentences with the figures
 * @param advice what to do, empty when there is nothing to do
 * @param calculations the numbers it rests on
 * @param remedies changes that can be applied
 */
@RecordBuilder
public record Finding(
    String key,
    Step step,
    Verdict verdict,
    Harm harm,
    String says,
    String advice,
    List<Calculation> calculations,
    List<Remedy> remedies) {

  /** The worst verdict first; of one verdict what harms people, then parts, then the show. */
  public static final Comparator<Finding> WORST_FIRST =
      Comparator.comparing(Finding::verdict).reversed().thenComparing(Finding::harm);

  public Finding {
    Objects.requireNonNull(key, "key");
    calculations = List.copyOf(calculations);
    remedies = List.copyOf(remedies);
  }

  /** Returns it as a finding about one fixture or circuit, named where there are several. */
  public Finding about(String one) {
    return one.isEmpty()
        ? this
        : FindingBuilder.builder(this)
            .says(one + ": " + says)
            .calculations(calculations.stream().map(n -> n.about(one)).toList())
            .build();
  }

  /** Returns a finding about whether it works, without advice, numbers or remedies. */
  public static Finding of(Step step, String key, Verdict verdict, String says) {
    return of(Harm.FUNCTION, step, key, verdict, says);
  }

  /** Returns a finding without advice, numbers or remedies. */
  public static Finding of(Harm harm, Step step, String key, Verdict verdict, String says) {
    return new Finding(key, step, verdict, harm, says, "", List.of(), List.of());
  }

  /** Returns this finding as one that is about to harm something else. */
  public Finding harming(Harm what) {
    return FindingBuilder.builder(this).harm(what).build();
  }

  /** Returns this finding with other advice. */
  public Finding advising(String text) {
    return FindingBuilder.builder(this).advice(text).build();
  }

  /** Returns this finding resting on the given numbers. */
  public Finding restingOn(Calculation... numbers) {
    return FindingBuilder.builder(this).calculations(List.of(numbers)).build();
  }

  /** Returns this finding with other remedies. */
  public Finding mendedBy(List<Remedy> mends) {
    return FindingBuilder.builder(this).remedies(mends).build();
  }
}
