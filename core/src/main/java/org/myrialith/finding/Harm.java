package org.myrialith.finding;

/** What a finding is about to harm, the worst first: the order of findings of one verdict. */
public enum Harm {
  /** Somebody can be hurt: fire, burns, seizures. */
  PERSON,
  /** Parts are run beyond their ratings. */
  PARTS,
  /** It does not work, or not for long enough. */
  FUNCTION,
  /** It works and looks worse than it could. */
  LOOKS
}
