package org.myrialith.schema;

import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A record within a record, whose fields stand among those of the whole.
 *
 * @param component of the whole
 */
public record Part<V>(String component, Description<V> description) implements Member {
  /** Returns a part. */
  public static <V> Part<V> of(String component, Description<V> description) {
    return new Part<>(component, description);
  }

  @Override
  public V read(JsonNode object, String path, Reading reading, Set<String> known) {
    return description.readAmong(object, path, reading, known);
  }

  @Override
  public void write(Object value, ObjectNode into) {
    description.writeAmong(value, into);
  }

  @Override
  public List<Field<?>> fields(Object value) {
    return description.fields(value);
  }

  @Override
  public List<Family<?>> families() {
    return description.families();
  }

  @Override
  public List<ObjectNode> schemas(List<ObjectNode> wholes) {
    return description.schemas(wholes);
  }
}
