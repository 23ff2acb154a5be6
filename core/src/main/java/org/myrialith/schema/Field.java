package org.myrialith.schema;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.myrialith.finding.Bounds;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * One field of a record.
 *
 * @param name in the format
 * @param component of the record; mostly the same
 * @param label shown to makers
 * @param help what it means, for the documentation; may be empty
 * @param type how it stands there
 * @param fallback taken when it is not there; null when it must be
 * @param former an older way to say it, null when there is none
 * @param condition another field and the value it must have for this one to be asked, null for
 *     always
 */
public record Field<V>(
    String name,
    String component,
    String label,
    String help,
    Type<V> type,
    V fallback,
    Former<?, V> former,
    Condition condition)
    implements Member {

  /**
   * An older way to say a field.
   *
   * @param name of the older field
   * @param newer makes its value the newer one
   */
  public record Former<W, V>(String name, Type<W> type, Function<W, V> newer) {
    private V read(JsonNode value, String path, Reading reading) {
      W old = type.read(value, path, reading);
      return old == null ? null : newer.apply(old);
    }
  }

  /** A field is asked only when another one has that value. */
  public record Condition(String field, String value) {}

  /** Returns a field of any type. */
  public static <V> Field<V> of(String name, String label, Type<V> type) {
    return new Field<>(name, name, label, "", type, null, null, null);
  }

  /** Returns a number that may have a fraction. */
  public static Field<Double> measure(String name, String label, Bounds bounds) {
    return of(name, label, new Types.Measure(bounds));
  }

  /** Returns a whole number. */
  public static Field<Integer> count(String name, String label, Bounds bounds) {
    return of(name, label, new Types.Count(bounds));
  }

  /** Returns a flag with words for false and true. */
  public static Field<Boolean> flag(String name, String label, String no, String yes) {
    return of(name, label, new Types.Flag(no, yes));
  }

  /** Returns a text. */
  public static Field<String> words(String name, String label, Types.Words.Rule rule) {
    return of(name, label, new Types.Words(rule));
  }

  /** Returns a name. */
  public static Field<String> named(String name, String label) {
    return words(name, label, Types.Words.Rule.NAME);
  }

  /** Returns an identifier. */
  public static Field<String> id(String name) {
    return words(name, "Identifier", Types.Words.Rule.ID);
  }

  /** Returns a list. */
  public static <E> Field<List<E>> rows(
      String name, String label, Type<E> entry, int least, int most) {
    return of(name, label, new Types.Rows<>(entry, least, most));
  }

  /** Returns a part that need not be there. */
  public static <E> Field<Optional<E>> perhaps(String name, String label, Type<E> type) {
    return of(name, label, new Types.Perhaps<>(type)).or(Optional.empty());
  }

  /** Returns the field with a value for when it is not there. */
  public Field<V> or(V value) {
    return new Field<>(name, component, label, help, type, value, former, condition);
  }

  /** Returns the field for a component of another name. */
  public Field<V> in(String otherComponent) {
    return new Field<>(name, otherComponent, label, help, type, fallback, former, condition);
  }

  /** Returns the field explained. */
  public Field<V> explained(String text) {
    return new Field<>(name, component, label, text, type, fallback, former, condition);
  }

  /** Returns the field with an older way to say it. */
  public <W> Field<V> formerly(String oldName, Type<W> oldType, Function<W, V> newer) {
    Former<W, V> old = new Former<>(oldName, oldType, newer);
    return new Field<>(name, component, label, help, type, fallback, old, condition);
  }

  /** Returns the field asked only when another has that value. */
  public Field<V> when(String field, String value) {
    Condition only = new Condition(field, value);
    return new Field<>(name, component, label, help, type, fallback, former, only);
  }

  /** Returns whether it may be left out. */
  public boolean optional() {
    return fallback != null;
  }

  /** Returns the unit of its numbers, empty for none. */
  public String unit() {
    if (type instanceof Types.Measure measure) {
      return measure.bounds().unit();
    }
    return type instanceof Types.Count count ? count.bounds().unit() : "";
  }

  /** Returns what can be chosen, by the name in the format; empty when it is no choice. */
  public Map<String, String> choices() {
    Map<String, String> words = new LinkedHashMap<>();
    if (type instanceof Types.Choice<?> choice) {
      choice.options().forEach((key, option) -> words.put(key, option.words()));
    } else if (type instanceof Types.Flag flag) {
      words.put("false", flag.whenFalse());
      words.put("true", flag.whenTrue());
    } else if (type instanceof Types.NumberedChoice numbered) {
      for (int i = 0; i < numbered.words().size(); i++) {
        words.put(Integer.toString((int) numbered.bounds().min() + i), numbered.words().get(i));
      }
    }
    return words;
  }

  private static String at(String path, String name) {
    return path.isEmpty() ? name : path + "." + name;
  }

  private static JsonNode value(JsonNode object, String name) {
    JsonNode value = object.get(name);
    return value == null || value.isNull() ? null : value;
  }

  @Override
  public V read(JsonNode object, String path, Reading reading, Set<String> known) {
    known.add(name);
    JsonNode value = value(object, name);
    if (value == null && former != null && value(object, former.name()) != null) {
      known.add(former.name());
      return former.read(value(object, former.name()), at(path, former.name()), reading);
    }
    return value == null && fallback != null ? fallback : type.read(value, at(path, name), reading);
  }

  @Override
  @SuppressWarnings("unchecked")
  public void write(Object value, ObjectNode into) {
    JsonNode written = type.write((V) value);
    if (!written.isNull()) {
      into.set(name, written);
    }
  }

  @Override
  public List<Field<?>> fields(Object value) {
    return List.of(this);
  }

  @Override
  public List<ObjectNode> schemas(List<ObjectNode> wholes) {
    for (ObjectNode whole : wholes) {
      ObjectNode properties = whole.withObject("/properties");
      ObjectNode schema = type.schema();
      properties.set(name, optional() || former != null ? Types.orNull(schema) : schema);
      if (former != null) {
        properties.set(former.name(), former.type().schema());
        ObjectNode both = whole.withArray("/allOf").addObject();
        both.putObject("not").putArray("required").add(name).add(former.name());
        if (!optional()) {
          var either = whole.withArray("/allOf").addObject().putArray("anyOf");
          either.addObject().putArray("required").add(name);
          either.addObject().putArray("required").add(former.name());
        }
      } else if (!optional()) {
        whole.withArray("/required").add(name);
      }
    }
    return wholes;
  }
}
