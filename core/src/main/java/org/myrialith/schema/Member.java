package org.myrialith.schema;

import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What fills one component of a record from one JSON object. */
public sealed interface Member permits Field, Part, KindPart {
  /** Returns the name of the record's component. */
  String component();

  /** Returns the component's value, or null after an error; names that are its own go to known. */
  Object read(JsonNode object, String path, Reading reading, Set<String> known);

  /** Writes a component's value into an object. */
  void write(Object value, ObjectNode into);

  /** Returns the fields that this stands for, for a value that there is, or in general for null. */
  List<Field<?>> fields(Object value);

  /** Returns the families of whose kinds the record has one. */
  default List<Family<?>> families() {
    return List.of();
  }

  /** Adds properties and required names to each schema of a whole; may make several of one. */
  List<ObjectNode> schemas(List<ObjectNode> wholes);
}
