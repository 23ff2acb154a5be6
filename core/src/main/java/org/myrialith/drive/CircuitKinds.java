package org.myrialith.drive;

import org.myrialith.describe.Family;

/** All kinds of circuit. */
public final class CircuitKinds {
  /** They are told apart by {@code kind}. */
  public static final Family<Circuit> ALL = Family.of("kind", Circuit.class);

  private CircuitKinds() {}
}
