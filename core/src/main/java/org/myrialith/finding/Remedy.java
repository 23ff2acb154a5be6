package org.myrialith.finding;

/**
 * A change that would mend a finding.
 *
 * @param key names it within its finding; applying it works the plan out again
 * @param label what the button says
 */
public record Remedy(String key, String label) {}
