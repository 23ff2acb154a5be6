package org.myrialith.finding;

import java.util.Collection;
import java.util.Comparator;

/** How a judgement came out, from the kindest to the worst. */
public enum Verdict {
  /** Nothing in the way. */
  HOLDS("holds"),
  /** The maker has not said enough yet to judge. */
  OPEN("open"),
  /** Works, with less room than was asked for. */
  TIGHT("tight"),
  /** Does not work as described. */
  BREAKS("breaks");

  private final String word;

  Verdict(String word) {
    this.word = word;
  }

  /** Returns the word shown to the maker. */
  public String word() {
    return word;
  }

  /** Returns the worst verdict among the findings, {@link #HOLDS} when there are none. */
  public static Verdict worst(Collection<Finding> findings) {
    return findings.stream()
        .map(Finding::verdict)
        .max(Comparator.naturalOrder())
        .orElse(Verdict.HOLDS);
  }
}
