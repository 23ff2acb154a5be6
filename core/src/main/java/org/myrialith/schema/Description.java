package org.myrialith.schema;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A record by its fields: each component is filled by one {@link Member}. A declaration that leaves
 * a component out or names one that is not there fails when its class is loaded.
 */
public final class Description<T> implements Type<T> {
  private final Constructor<T> constructor;
  private final RecordComponent[] components;
  private final Member[] members;
  private final int[] positions;

  private Description(Class<T> type, List<Member> members) {
    this.components = type.getRecordComponents();
    this.members = members.toArray(Member[]::new);
    this.positions = new int[this.members.length];
    Map<String, Integer> at = new HashMap<>();
    for (int i = 0; i < components.length; i++) {
      at.put(components[i].getName(), i);
    }
    for (int m = 0; m < this.members.length; m++) {
      Integer position = at.remove(this.members[m].component());
      if (position == null) {
        throw new IllegalArgumentException(
            type + " has no component " + this.members[m].component() + ", or two fields for it");
      }
      positions[m] = position;
    }
    if (!at.isEmpty()) {
      throw new IllegalArgumentException(type + " has no field for " + at.keySet());
    }
    try {
      this.constructor =
          type.getConstructor(
              Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new));
    } catch (NoSuchMethodException e) {
      throw new IllegalArgumentException(type + " must be a public record", e);
    }
  }

  /** Returns the description of a record. */
  public static <T extends Record> Description<T> of(Class<T> type, Member... members) {
    return new Description<>(type, List.of(members));
  }

  /** Returns its fields, for a value that there is, or in general for null. */
  public List<Field<?>> fields(Object value) {
    List<Field<?>> all = new ArrayList<>();
    for (int m = 0; m < members.length; m++) {
      all.addAll(members[m].fields(value == null ? null : component(value, positions[m])));
    }
    return all;
  }

  /** Returns the families of whose kinds it has one. */
  public List<Family<?>> families() {
    List<Family<?>> all = new ArrayList<>();
    for (Member member : members) {
      all.addAll(member.families());
    }
    return all;
  }

  private Object component(Object value, int position) {
    try {
      return components[position].getAccessor().invoke(value);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException("reading " + components[position], e);
    }
  }

  @Override
  public T read(JsonNode value, String path, Reading reading) {
    if (value == null || !value.isObject()) {
      reading.refuse(path, value, "a JSON object");
      return null;
    }
    Set<String> known = new HashSet<>();
    int before = reading.count();
    Object[] values = values(value, path, reading, known);
    for (String name : value.propertyNames()) {
      if (!known.contains(name)) {
        reading.refuse(
            path.isEmpty() ? name : path + "." + name,
            value.get(name),
            "nothing: this version has no such field");
      }
    }
    return reading.count() > before ? null : reading.make(path, () -> make(values));
  }

  T readAmong(JsonNode object, String path, Reading reading, Set<String> known) {
    int before = reading.count();
    Object[] values = values(object, path, reading, known);
    return reading.count() > before ? null : reading.make(path, () -> make(values));
  }

  private Object[] values(JsonNode object, String path, Reading reading, Set<String> known) {
    Object[] values = new Object[members.length];
    for (int m = 0; m < members.length; m++) {
      values[positions[m]] = members[m].read(object, path, reading, known);
    }
    return values;
  }

  private T make(Object[] values) {
    try {
      return constructor.newInstance(values);
    } catch (InvocationTargetException e) {
      if (e.getCause() instanceof RuntimeException cause) {
        throw cause;
      }
      throw new IllegalStateException("making " + constructor, e);
    } catch (InstantiationException | IllegalAccessException e) {
      throw new IllegalStateException("making " + constructor, e);
    }
  }

  @Override
  public ObjectNode write(T value) {
    ObjectNode node = JsonNodeFactory.instance.objectNode();
    writeAmong(value, node);
    return node;
  }

  void writeAmong(Object value, ObjectNode into) {
    for (int m = 0; m < members.length; m++) {
      members[m].write(component(value, positions[m]), into);
    }
  }

  List<ObjectNode> schemas(List<ObjectNode> wholes) {
    List<ObjectNode> all = wholes;
    for (Member member : members) {
      all = member.schemas(all);
    }
    return all;
  }

  @Override
  public ObjectNode schema() {
    ObjectNode whole = JsonNodeFactory.instance.objectNode().put("type", "object");
    whole.put("additionalProperties", false);
    List<ObjectNode> all = schemas(List.of(whole));
    if (all.size() == 1) {
      return all.get(0);
    }
    ObjectNode either = JsonNodeFactory.instance.objectNode();
    all.forEach(either.putArray("oneOf")::add);
    return either;
  }

  @Override
  public String allowed() {
    return "an object with " + String.join(", ", fields(null).stream().map(Field::name).toList());
  }
}
