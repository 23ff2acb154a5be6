package org.myrialith.schema;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The kinds of an interface, told apart by a field: of a sealed one in the order of its permits
 * clause, where each permitted record declares a public constant {@code KIND} (one that does not
 * fails when the family is loaded), or those of a list.
 */
public final class Family<T> implements Type<T> {
  private final String keyField;
  private final Map<String, Kind<? extends T>> byKey = new LinkedHashMap<>();
  private final Map<Class<?>, Kind<? extends T>> byClass = new LinkedHashMap<>();

  private Family(String keyField) {
    this.keyField = keyField;
  }

  /** A sealed interface within one stands for all that it permits. */
  private void add(Class<?> type) {
    for (Class<?> permitted : type.getPermittedSubclasses()) {
      if (permitted.isSealed()) {
        add(permitted);
        continue;
      }
      add(permitted, declared(permitted));
    }
  }

  private void add(Class<?> type, Kind<? extends T> kind) {
    byClass.put(type, kind);
    if (byKey.put(kind.key(), kind) != null) {
      throw new IllegalArgumentException("two kinds are called " + kind.key());
    }
  }

  @SuppressWarnings("unchecked")
  private static <T> Kind<? extends T> declared(Class<?> permitted) {
    try {
      return (Kind<? extends T>) permitted.getField("KIND").get(null);
    } catch (NoSuchFieldException | IllegalAccessException e) {
      throw new IllegalArgumentException(permitted + " declares no public KIND", e);
    }
  }

  /**
   * Returns the family of a sealed interface.
   *
   * @param keyField name of the field that says which kind it is
   */
  public static <T> Family<T> of(String keyField, Class<T> type) {
    Family<T> family = new Family<>(keyField);
    family.add(type);
    return family;
  }

  /**
   * Returns the family of those kinds, whose records may stand in packages of their own.
   *
   * @param keyField name of the field that says which kind it is
   */
  public static <T> Family<T> of(String keyField, List<Kind<? extends T>> kinds) {
    Family<T> family = new Family<>(keyField);
    kinds.forEach(kind -> family.add(kind.usual().getClass(), kind));
    return family;
  }

  /** Returns the name of the field that says which kind it is. */
  public String keyField() {
    return keyField;
  }

  /** Returns the kinds in their order. */
  public List<Kind<? extends T>> kinds() {
    return List.copyOf(byKey.values());
  }

  /** Returns the kind of that name; empty when there is none. */
  public java.util.Optional<Kind<? extends T>> kind(String key) {
    return java.util.Optional.ofNullable(byKey.get(key));
  }

  /** Returns the kind of a value. */
  public Kind<? extends T> kindOf(Object value) {
    return byClass.get(value.getClass());
  }

  /** Returns the kind that an object names, or null after an error. */
  Kind<? extends T> kindIn(JsonNode object, String path, Reading reading, Set<String> known) {
    known.add(keyField);
    JsonNode key = object.get(keyField);
    Kind<? extends T> kind = key != null && key.isString() ? byKey.get(key.stringValue()) : null;
    if (kind == null) {
      reading.refuse(path.isEmpty() ? keyField : path + "." + keyField, key, allowed());
    }
    return kind;
  }

  @Override
  public T read(JsonNode value, String path, Reading reading) {
    if (value == null || !value.isObject()) {
      reading.refuse(path, value, "a JSON object");
      return null;
    }
    Kind<? extends T> kind = kindIn(value, path, reading, new java.util.HashSet<>());
    if (kind == null) {
      return null;
    }
    ObjectNode rest = ((ObjectNode) value).objectNode();
    value.properties().forEach(e -> rest.set(e.getKey(), e.getValue()));
    rest.remove(keyField);
    return kind.description().read(rest, path, reading);
  }

  @Override
  public ObjectNode write(T value) {
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    Kind<? extends T> kind = kindOf(value);
    node.put(keyField, kind.key());
    kind.description().writeAmong(value, node);
    return node;
  }

  List<ObjectNode> schemas(ObjectNode whole) {
    List<ObjectNode> all = new ArrayList<>();
    for (Kind<? extends T> kind : byKey.values()) {
      ObjectNode one = whole.deepCopy();
      one.withObject("/properties").putObject(keyField).put("const", kind.key());
      one.withArray("/required").add(keyField);
      all.addAll(kind.description().schemas(List.of(one)));
    }
    return all;
  }

  @Override
  public ObjectNode schema() {
    ObjectNode whole = JsonNodeFactory.instance.objectNode().put("type", "object");
    whole.put("additionalProperties", false);
    ObjectNode either = JsonNodeFactory.instance.objectNode();
    ArrayNode all = either.putArray("oneOf");
    schemas(whole).forEach(all::add);
    return either;
  }

  @Override
  public String allowed() {
    return "one of " + String.join(", ", byKey.keySet());
  }
}
