package org.myrialith.schema;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** How values of a type stand in the format. Immutable. */
public interface Type<V> {
  /** Returns the value, or null after an error. */
  V read(JsonNode value, String path, Reading reading);

  /** Returns the value as it stands in the format. */
  JsonNode write(V value);

  /** Returns its JSON Schema (draft 2020-12). */
  ObjectNode schema();

  /** Returns in words what is allowed. */
  String allowed();

  /** Returns what its entries are of, or what it is of when there; by itself, itself. */
  default Type<?> within() {
    return this;
  }

  /**
   * Reads a whole value.
   *
   * @throws org.myrialith.finding.InputException with every error found
   */
  default V read(JsonNode value) {
    Reading reading = new Reading();
    V result = read(value, "", reading);
    reading.throwIfAny();
    return result;
  }
}
