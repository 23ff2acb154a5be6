package org.myrialith.gadget;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * The fields of one JSON object. Collects every error with its path and goes on; fields that nobody
 * asked for are errors too.
 *
 * <p>Mutable, lives within one reading.
 */
final class Fields {
  private final JsonNode node;
  private final String path;
  private final List<InputError> errors;
  private final Set<String> known = new HashSet<>();

  Fields(JsonNode node, String path, List<InputError> errors) {
    this.node = node;
    this.path = path;
    this.errors = errors;
    if (!node.isObject()) {
      errors.add(new InputError(path, node.toString(), "a JSON object"));
    }
  }

  private JsonNode get(String name) {
    known.add(name);
    JsonNode value = node.get(name);
    return value == null || value.isNull() ? null : value;
  }

  String at(String name) {
    return path.isEmpty() ? name : path + "." + name;
  }

  void refuse(String name, JsonNode value, String allowed) {
    String read = value == null ? "" : value.isString() ? value.stringValue() : value.toString();
    errors.add(new InputError(at(name), read, allowed));
  }

  /** Returns a number, or NaN after an error. */
  double number(String name, Bounds bounds) {
    JsonNode value = get(name);
    if (value == null || !value.isNumber() || !bounds.allow(value.doubleValue())) {
      refuse(name, value, bounds.allowed());
      return Double.NaN;
    }
    return value.doubleValue();
  }

  /** Returns a number, that other one when it is not there, or NaN after an error. */
  double numberOr(String name, Bounds bounds, double other) {
    return get(name) == null ? other : number(name, bounds);
  }

  /** Returns a flag, or that other one when it is not there. */
  boolean flagOr(String name, boolean other) {
    return get(name) == null ? other : flag(name);
  }

  /** Returns the whole numbers of a list; empty when it is not there or after an error. */
  List<Integer> wholes(String name, int most) {
    List<Integer> all = new ArrayList<>();
    items(name, most)
        .forEach(
            (at, item) -> {
              if (item.isIntegralNumber() && item.canConvertToInt()) {
                all.add(item.intValue());
              } else {
                errors.add(new InputError(at, item.toString(), "a whole number"));
              }
            });
    return all;
  }

  /** Returns a whole number, or the least allowed after an error. */
  int whole(String name, Bounds bounds) {
    double value = number(name, bounds);
    return (int) (Double.isNaN(value) ? bounds.min() : value);
  }

  /** Returns a text, or an empty one after an error. */
  String text(String name) {
    JsonNode value = get(name);
    if (value == null || !value.isString()) {
      refuse(name, value, "text");
      return "";
    }
    return value.stringValue();
  }

  /** Returns a text, empty when it is not there. */
  String textIfAny(String name) {
    return get(name) == null ? "" : text(name);
  }

  boolean flag(String name) {
    JsonNode value = get(name);
    if (value == null || !value.isBoolean()) {
      refuse(name, value, "true or false");
      return false;
    }
    return value.booleanValue();
  }

  /** Returns the choice of that key, or null after an error. */
  <T> T choice(String name, Map<String, T> choices) {
    JsonNode value = get(name);
    T chosen = value != null && value.isString() ? choices.get(value.stringValue()) : null;
    if (chosen == null) {
      refuse(name, value, "one of " + String.join(", ", choices.keySet()));
    }
    return chosen;
  }

  boolean has(String name) {
    return get(name) != null;
  }

  Fields object(String name) {
    JsonNode value = get(name);
    if (value == null) {
      refuse(name, null, "a JSON object");
      return new Fields(JsonNodeFactory.instance.objectNode(), at(name), new ArrayList<>());
    }
    return new Fields(value, at(name), errors);
  }

  /** Returns the objects of a list; empty when it is not there or after an error. */
  List<Fields> objects(String name, int most) {
    List<Fields> all = new ArrayList<>();
    for (Map.Entry<String, JsonNode> item : items(name, most).entrySet()) {
      all.add(new Fields(item.getValue(), item.getKey(), errors));
    }
    return all;
  }

  /** Returns the texts of a list; empty when it is not there or after an error. */
  List<String> texts(String name, int most) {
    List<String> all = new ArrayList<>();
    items(name, most)
        .forEach(
            (at, item) -> {
              if (item.isString()) {
                all.add(item.stringValue());
              } else {
                errors.add(new InputError(at, item.toString(), "text"));
              }
            });
    return all;
  }

  private Map<String, JsonNode> items(String name, int most) {
    JsonNode value = get(name);
    Map<String, JsonNode> items = new LinkedHashMap<>();
    if (value == null) {
      return items;
    }
    if (!value.isArray()) {
      refuse(name, value, "a list");
      return items;
    }
    if (value.size() > most) {
      errors.add(
          new InputError(at(name), value.size() + " entries", "at most " + most + " entries"));
      return items;
    }
    for (int i = 0; i < value.size(); i++) {
      items.put(at(name) + "[" + i + "]", value.get(i));
    }
    return items;
  }

  /** Returns the named members of an object; empty when it is not there. */
  Map<String, Fields> members(String name) {
    JsonNode value = get(name);
    Map<String, Fields> all = new LinkedHashMap<>();
    if (value != null && !value.isObject()) {
      refuse(name, value, "a JSON object");
    } else if (value != null) {
      value
          .properties()
          .forEach(
              e ->
                  all.put(
                      e.getKey(), new Fields(e.getValue(), at(name) + "." + e.getKey(), errors)));
    }
    return all;
  }

  /**
   * Makes a part of the object's value, whose fields stand among others, when all fields so far
   * could be read.
   *
   * @return the part, or null after an error
   */
  <T> T part(Supplier<T> maker) {
    if (errors.stream().anyMatch(e -> e.field().startsWith(path))) {
      return null;
    }
    try {
      return maker.get();
    } catch (InputException e) {
      e.errors().forEach(error -> errors.add(path.isEmpty() ? error : error.below(path)));
      return null;
    }
  }

  /**
   * Ends the object and makes its value when all its fields could be read.
   *
   * @return the value, or null after an error
   */
  <T> T make(Supplier<T> maker) {
    if (node.isObject()) {
      for (String name : node.propertyNames()) {
        if (!known.contains(name)) {
          errors.add(
              new InputError(
                  at(name), node.get(name).toString(), "nothing: this version has no such field"));
        }
      }
    }
    return part(maker);
  }
}
