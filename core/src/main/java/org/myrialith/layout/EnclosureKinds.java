package org.myrialith.layout;

import org.myrialith.schema.Family;

/** All kinds of enclosure. */
public final class EnclosureKinds {
  /** All of them; {@code kind} names one. */
  public static final Family<Enclosure> ALL = Family.of("kind", Enclosure.class);

  private EnclosureKinds() {}
}
