package org.myrialith.gadget.plan;

import java.util.function.Function;
import java.util.function.Supplier;
import org.myrialith.brief.Brief;
import org.myrialith.brief.BriefBuilder;
import org.myrialith.gadget.model.Gadget;

/**
 * What an edit leaves of a plan: each part of it rests on parts of the gadget, and stays where
 * those are equal.
 *
 * @param before the plan of the gadget before the edit; null where there is none
 * @param layout whether the layout is the same
 * @param wiring whether circuits and brief are too
 * @param light whether colour, frames and cues are too
 * @param all whether all is the same but name and purpose
 */
record Unchanged(GadgetPlan before, boolean layout, boolean wiring, boolean light, boolean all) {
  /** There is no plan before. */
  static final Unchanged NOTHING = new Unchanged(null, false, false, false, false);

  static Unchanged between(GadgetPlan before, Gadget edited) {
    Gadget old = before.gadget();
    boolean layout = old.layout().equals(edited.layout());
    boolean wiring =
        layout
            && old.circuits().equals(edited.circuits())
            && unnamed(old.brief()).equals(unnamed(edited.brief()));
    boolean light =
        wiring
            && old.colour().equals(edited.colour())
            && old.programme().equals(edited.programme())
            && old.cues().equals(edited.cues());
    boolean all = light && old.power().equals(edited.power()) && old.scan().equals(edited.scan());
    return new Unchanged(before, layout, wiring, light, all);
  }

  /** Nothing is worked out from name and purpose. */
  private static Brief unnamed(Brief brief) {
    return BriefBuilder.builder(brief).title("-").notes("").build();
  }

  <T> Lazy<T> layout(Function<GadgetPlan, Lazy<T>> part, Supplier<T> work) {
    return kept(layout, part, work);
  }

  <T> Lazy<T> wiring(Function<GadgetPlan, Lazy<T>> part, Supplier<T> work) {
    return kept(wiring, part, work);
  }

  <T> Lazy<T> light(Function<GadgetPlan, Lazy<T>> part, Supplier<T> work) {
    return kept(light, part, work);
  }

  <T> Lazy<T> all(Function<GadgetPlan, Lazy<T>> part, Supplier<T> work) {
    return kept(all, part, work);
  }

  private <T> Lazy<T> kept(boolean same, Function<GadgetPlan, Lazy<T>> part, Supplier<T> work) {
    return same ? part.apply(before) : new Lazy<>(work);
  }
}
