package org.myrialith.finding;

/**
 * A change that would mend a finding.
 *
 * @param label what the button says
 * @param change what it does
 */
public record Remedy(String label, Change change) {
  /** Returns its name within its finding. */
  public String key() {
    return change.key();
  }
}
