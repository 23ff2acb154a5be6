package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterClasses;

/**
 * All classes of emitters that a gadget can use: its own go before those kept for all gadgets, and
 * those before the ones that come along.
 */
record EmitterShelf(Gadget gadget, List<EmitterClass> kept) {
  static EmitterShelf of(Gadget gadget, List<EmitterClass> kept) {
    return new EmitterShelf(gadget, List.copyOf(kept));
  }

  List<EmitterClass> all() {
    Map<String, EmitterClass> byId = new LinkedHashMap<>();
    EmitterClasses.ALL.forEach(c -> byId.put(c.id(), c));
    kept.forEach(c -> byId.put(c.id(), c));
    gadget.layout().emitters().forEach(c -> byId.put(c.id(), c));
    return new ArrayList<>(byId.values());
  }

  /**
   * Returns the gadget with a kept class of that identifier among its own, when it has it not yet.
   */
  Gadget lent(String id) {
    boolean there = gadget.layout().emitters().stream().anyMatch(c -> c.id().equals(id));
    return there
        ? gadget
        : kept.stream().filter(c -> c.id().equals(id)).findFirst().map(gadget::with).orElse(gadget);
  }
}
