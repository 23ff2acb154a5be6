package org.myrialith.schema;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A value of one of several kinds within a record: the name of the kind and the fields of that kind
 * stand among those of the whole.
 *
 * @param component of the whole
 */
public record KindPart<V>(String component, Supplier<Family<V>> kinds) implements Member {
  /**
   * Returns such a part.
   *
   * @param kinds asked for when it is first used, so that the kinds may use the record it is part
   *     of
   */
  public static <V> KindPart<V> of(String component, Supplier<Family<V>> kinds) {
    return new KindPart<>(component, kinds);
  }

  private Family<V> family() {
    return kinds.get();
  }

  @Override
  public V read(JsonNode object, String path, Reading reading, Set<String> known) {
    Kind<? extends V> kind = family().kindIn(object, path, reading, known);
    if (kind == null) {
      // which of the other names are right can't be said
      object.propertyNames().forEach(known::add);
      return null;
    }
    return kind.description().readAmong(object, path, reading, known);
  }

  @Override
  public void write(Object value, ObjectNode into) {
    Kind<?> kind = family().kindOf(value);
    into.put(family().keyField(), kind.key());
    kind.description().writeAmong(value, into);
  }

  @Override
  public List<Field<?>> fields(Object value) {
    return value == null ? List.of() : family().kindOf(value).description().fields(value);
  }

  @Override
  public List<Family<?>> families() {
    return List.of(family());
  }

  @Override
  public List<ObjectNode> schemas(List<ObjectNode> wholes) {
    List<ObjectNode> all = new ArrayList<>();
    for (ObjectNode whole : wholes) {
      all.addAll(family().schemas(whole));
    }
    return all;
  }
}
