package org.myrialith.layout;

import org.myrialith.schema.Family;

/** All kinds of enclosure. */
public final class EnclosureKinds {
  /** They are told apart by {@code kind}. */
  public static final Family<Enclosure> ALL = Family.of("kind", Enclosure.class);

  private EnclosureKinds() {}
}
