package org.myrialith.colour;

import org.myrialith.schema.Family;

/** All curves from asked values to light. */
public final class TransferKinds {
  /** They are told apart by {@code transfer}. */
  public static final Family<Transfer> ALL = Family.of("transfer", Transfer.class);

  private TransferKinds() {}
}
