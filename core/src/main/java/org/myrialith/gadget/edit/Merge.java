package org.myrialith.gadget.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.myrialith.finding.InputException;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.format.GadgetJson;
import org.myrialith.gadget.model.Gadget;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Two changes of one gadget put together: what only one of them touched is as that one has it, down
 * to a field of a fixture or a frame of a clip. Where both touched the same in different ways there
 * is no such gadget.
 *
 * <p>Entries of a list are the same by their {@code id}, or by themselves when they are words; a
 * list of others is taken entry by entry while no side adds or removes any.
 */
public final class Merge {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  /** Both touched the same. */
  private static final class ClashException extends RuntimeException {
    private static final long serialVersionUID = 1;

    ClashException() {
      super(null, null, false, false);
    }
  }

  private Merge() {}

  /**
   * Puts two changes together.
   *
   * @param base what both started from
   * @return empty when both touched the same, or what comes of both is no gadget
   */
  public static Optional<Gadget> of(Gadget base, Gadget theirs, Gadget mine) {
    try {
      JsonNode both = merge(GadgetJson.tree(base), GadgetJson.tree(theirs), GadgetJson.tree(mine));
      Map<String, Picture> pictures = new LinkedHashMap<>();
      for (Gadget each : List.of(theirs, mine)) {
        GadgetJson.pictures(each).forEach(picture -> pictures.put(picture.hash(), picture));
      }
      return Optional.of(
          GadgetJson.read(both.toString(), hash -> Optional.ofNullable(pictures.get(hash))));
    } catch (ClashException | InputException e) {
      return Optional.empty();
    }
  }

  /**
   * Puts a change behind another, as {@link #of(Gadget, Gadget, Gadget)} does. Where both only add
   * and gave what they add one identifier, the change is made once more on what is there by now, so
   * that what it adds gets an identifier and a place of its own.
   *
   * @param base what the change started from
   * @param theirs what is there by now
   * @param mine what the change made of the base
   * @param change from one gadget to another, on whatever it is given
   * @return empty when both touched the same, or what comes of both is no gadget
   */
  public static Optional<Gadget> of(
      Gadget base, Gadget theirs, Gadget mine, UnaryOperator<Gadget> change) {
    Optional<Gadget> both = of(base, theirs, mine);
    boolean more = both.isPresent() && !both.get().equals(theirs);
    if (more || mine.equals(base) || !added(GadgetJson.tree(base), GadgetJson.tree(mine))) {
      return both;
    }
    try {
      Gadget again = change.apply(theirs);
      return added(GadgetJson.tree(theirs), GadgetJson.tree(again)) ? Optional.of(again) : both;
    } catch (InputException e) {
      return Optional.empty(); // there is no room for both
    }
  }

  /** Whether all that was there is there as it was, with more beside it. */
  private static boolean added(JsonNode before, JsonNode after) {
    if (before.isObject() && after.isObject()) {
      return before.propertyNames().stream()
          .allMatch(name -> after.has(name) && added(before.get(name), after.get(name)));
    }
    if (before.isArray() && after.isArray()) {
      int at = 0;
      for (JsonNode entry : before) {
        while (at < after.size() && !same(entry, after.get(at))) {
          at++;
        }
        if (at == after.size()) {
          return false;
        }
        at++;
      }
      return true;
    }
    return before.equals(after);
  }

  private static boolean same(JsonNode before, JsonNode after) {
    return identity(before).equals(identity(after)) && added(before, after);
  }

  /** Returns what names an entry of a list: its identifier, or the word that it is; else empty. */
  static String identity(JsonNode entry) {
    if (entry.isString()) {
      return entry.stringValue();
    }
    JsonNode id = entry.get("id");
    return id != null && id.isString() ? id.stringValue() : "";
  }

  private static JsonNode merge(JsonNode base, JsonNode theirs, JsonNode mine) {
    if (Objects.equals(mine, base) || Objects.equals(mine, theirs)) {
      return theirs;
    }
    if (Objects.equals(theirs, base)) {
      return mine;
    }
    if (base != null && theirs != null && mine != null) {
      if (base.isObject() && theirs.isObject() && mine.isObject()) {
        return objects(base, theirs, mine);
      }
      if (base.isArray() && theirs.isArray() && mine.isArray()) {
        return lists(base, theirs, mine);
      }
    }
    throw new ClashException();
  }

  private static JsonNode objects(JsonNode base, JsonNode theirs, JsonNode mine) {
    JsonNode kind = base.get("kind");
    if (!Objects.equals(kind, theirs.get("kind")) || !Objects.equals(kind, mine.get("kind"))) {
      throw new ClashException(); // one became something else: its fields mean other things
    }
    ObjectNode both = NODES.objectNode();
    Set<String> names = new LinkedHashSet<>(theirs.propertyNames());
    names.addAll(mine.propertyNames());
    for (String name : names) {
      JsonNode value = merge(base.get(name), theirs.get(name), mine.get(name));
      if (value != null) {
        both.set(name, value);
      }
    }
    return both;
  }

  private static JsonNode lists(JsonNode base, JsonNode theirs, JsonNode mine) {
    boolean named = allNamed(base) && allNamed(theirs) && allNamed(mine);
    return named ? byName(base, theirs, mine) : byPlace(base, theirs, mine);
  }

  private static boolean allNamed(JsonNode list) {
    Set<String> names = new LinkedHashSet<>();
    for (JsonNode entry : list) {
      if (identity(entry).isEmpty() || !names.add(identity(entry))) {
        return false;
      }
    }
    return true;
  }

  private static JsonNode byPlace(JsonNode base, JsonNode theirs, JsonNode mine) {
    if (base.size() != theirs.size() || base.size() != mine.size()) {
      throw new ClashException();
    }
    ArrayNode both = NODES.arrayNode();
    for (int i = 0; i < base.size(); i++) {
      both.add(merge(base.get(i), theirs.get(i), mine.get(i)));
    }
    return both;
  }

  private static JsonNode byName(JsonNode base, JsonNode theirs, JsonNode mine) {
    Map<String, JsonNode> old = named(base);
    Map<String, JsonNode> one = named(theirs);
    Map<String, JsonNode> other = named(mine);
    ArrayNode both = NODES.arrayNode();
    for (String name : order(old.keySet(), one.keySet(), other.keySet())) {
      JsonNode value = merge(old.get(name), one.get(name), other.get(name));
      if (value != null) {
        both.add(value);
      }
    }
    return both;
  }

  private static Map<String, JsonNode> named(JsonNode list) {
    Map<String, JsonNode> all = new LinkedHashMap<>();
    list.forEach(entry -> all.put(identity(entry), entry));
    return all;
  }

  /** The order of the side that changed it, with what only the other side has behind. */
  private static List<String> order(
      Collection<String> base, Collection<String> theirs, Collection<String> mine) {
    boolean theyMoved = moved(base, theirs);
    boolean iMoved = moved(base, mine);
    if (theyMoved && iMoved && !kept(theirs, mine).equals(kept(mine, theirs))) {
      throw new ClashException();
    }
    Set<String> all = new LinkedHashSet<>(iMoved ? mine : theirs);
    all.addAll(iMoved ? theirs : mine);
    return new ArrayList<>(all);
  }

  private static boolean moved(Collection<String> base, Collection<String> now) {
    return !kept(base, now).equals(kept(now, base));
  }

  /** What of the first is in the second as well, in the order of the first. */
  private static List<String> kept(Collection<String> first, Collection<String> second) {
    return first.stream().filter(Set.copyOf(second)::contains).toList();
  }
}
