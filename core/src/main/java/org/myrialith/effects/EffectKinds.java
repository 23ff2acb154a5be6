package org.myrialith.effects;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.myrialith.schema.Family;
import org.myrialith.schema.Kind;

/** The kinds of effects. */
public final class EffectKinds {
  /** All of them, by the word that says which one it is. */
  public static final Family<Effect> ALL = Family.of("kind", Effect.class);

  private EffectKinds() {}

  /** Returns the kinds of effects that there are, by one of each, in their order. */
  public static List<Effect> each(Stream<Effect> effects) {
    Map<Integer, Effect> all = new TreeMap<>();
    effects.forEach(effect -> all.putIfAbsent(number(effect), effect));
    return List.copyOf(all.values());
  }

  /** Returns the number of its kind. */
  public static int number(Effect effect) {
    return ALL.kinds().indexOf(ALL.kindOf(effect));
  }

  /** Returns the name of its kind in C. */
  public static String symbol(Kind<? extends Effect> kind) {
    return kind.key().toUpperCase(Locale.ROOT);
  }
}
