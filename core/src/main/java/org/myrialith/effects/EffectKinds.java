package org.myrialith.effects;

import org.myrialith.schema.Family;

/** The kinds of effects. */
public final class EffectKinds {
  /** All of them, by the word that says which one it is. */
  public static final Family<Effect> ALL = Family.of("kind", Effect.class);

  private EffectKinds() {}
}
