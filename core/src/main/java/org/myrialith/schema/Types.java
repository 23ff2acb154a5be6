package org.myrialith.schema;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.TextRules;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The types of fields. */
public final class Types {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private Types() {}

  private static ObjectNode typed(String name) {
    return NODES.objectNode().put("type", name);
  }

  private static void put(ObjectNode schema, String keyword, double value) {
    if (value == Math.rint(value) && Math.abs(value) < 1e15) {
      schema.put(keyword, (long) value);
    } else {
      schema.put(keyword, value);
    }
  }

  private static ObjectNode bounded(String type, Bounds bounds) {
    ObjectNode schema = typed(type);
    put(schema, "minimum", bounds.min());
    put(schema, "maximum", bounds.max());
    return schema;
  }

  /** A number that may have a fraction. */
  public record Measure(Bounds bounds) implements Type<Double> {
    @Override
    public Double read(JsonNode value, String path, Reading reading) {
      if (value == null || !value.isNumber() || !bounds.allow(value.doubleValue())) {
        reading.refuse(path, value, bounds.allowed());
        return null;
      }
      return value.doubleValue();
    }

    @Override
    public JsonNode write(Double value) {
      return NODES.numberNode(value);
    }

    @Override
    public ObjectNode schema() {
      return bounded("number", bounds);
    }

    @Override
    public String allowed() {
      return bounds.allowed();
    }
  }

  /** A whole number. */
  public record Count(Bounds bounds) implements Type<Integer> {
    @Override
    public Integer read(JsonNode value, String path, Reading reading) {
      if (value == null || !value.isNumber() || !bounds.allow(value.doubleValue())) {
        reading.refuse(path, value, bounds.allowed());
        return null;
      }
      return (int) value.doubleValue();
    }

    @Override
    public JsonNode write(Integer value) {
      return NODES.numberNode(value);
    }

    @Override
    public ObjectNode schema() {
      return bounded("integer", bounds);
    }

    @Override
    public String allowed() {
      return bounds.allowed();
    }
  }

  /** True or false, with words for both. */
  public record Flag(String whenFalse, String whenTrue) implements Type<Boolean> {
    @Override
    public Boolean read(JsonNode value, String path, Reading reading) {
      if (value == null || !value.isBoolean()) {
        reading.refuse(path, value, "true or false");
        return null;
      }
      return value.booleanValue();
    }

    @Override
    public JsonNode write(Boolean value) {
      return NODES.booleanNode(value);
    }

    @Override
    public ObjectNode schema() {
      return typed("boolean");
    }

    @Override
    public String allowed() {
      return "true or false";
    }
  }

  /** Text by a rule; the record that takes it holds the rule. */
  public record Words(Rule rule) implements Type<String> {
    /** What a text may be. */
    public enum Rule {
      /** A name on one line. */
      NAME("1 to " + TextRules.NAME + " characters on one line"),
      /** A name, or nothing. */
      NAME_OR_NONE("up to " + TextRules.NAME + " characters on one line"),
      /** A note of several lines. */
      NOTES("up to " + TextRules.NOTES + " characters"),
      /** An identifier. */
      ID("a lower-case letter, then letters, digits, dashes, 40 at most"),
      /** Anything; the record says what. */
      ANY("text");

      private final String allowed;

      Rule(String allowed) {
        this.allowed = allowed;
      }
    }

    @Override
    public String read(JsonNode value, String path, Reading reading) {
      if (value == null || !value.isString()) {
        reading.refuse(path, value, rule == Rule.ANY ? "text" : "text: " + rule.allowed);
        return null;
      }
      return value.stringValue();
    }

    @Override
    public JsonNode write(String value) {
      return NODES.stringNode(value);
    }

    @Override
    public ObjectNode schema() {
      ObjectNode schema = typed("string");
      switch (rule) {
        case NAME -> schema.put("minLength", 1).put("pattern", "\\S");
        case NOTES -> schema.put("maxLength", TextRules.NOTES);
        case ID -> schema.put("pattern", TextRules.ID_PATTERN);
        default -> {}
      }
      if (rule == Rule.NAME || rule == Rule.NAME_OR_NONE) {
        schema.put("maxLength", TextRules.NAME);
      }
      return schema;
    }

    @Override
    public String allowed() {
      return rule.allowed;
    }
  }

  /** A colour, such as #ff8a30; 0xRRGGBB. */
  public record Colour() implements Type<Integer> {
    /** Any colour. */
    public static final Colour ANY = new Colour();

    private static final String PATTERN = "#[0-9a-fA-F]{6}";

    @Override
    public Integer read(JsonNode value, String path, Reading reading) {
      if (value == null || !value.isString() || !value.stringValue().matches(PATTERN)) {
        reading.refuse(path, value, allowed());
        return null;
      }
      return Integer.parseInt(value.stringValue().substring(1), 16);
    }

    @Override
    public JsonNode write(Integer value) {
      return NODES.stringNode(phrase("#%06x", value & 0xffffff));
    }

    @Override
    public ObjectNode schema() {
      return typed("string").put("pattern", "^" + PATTERN + "$");
    }

    @Override
    public String allowed() {
      return "# and six hexadecimal digits, such as #ff8a30";
    }
  }

  /**
   * One of several.
   *
   * @param options by their names in the format
   */
  public record Choice<V>(Map<String, Option<V>> options) implements Type<V> {
    /** A value and its words. */
    public record Option<V>(V value, String words) {}

    public Choice {
      options = new LinkedHashMap<>(options);
    }

    /** Returns a choice of values, such as all of an enum. */
    public static <E> Choice<E> of(E[] values, Function<E, String> key, Function<E, String> words) {
      Map<String, Option<E>> options = new LinkedHashMap<>();
      for (E value : values) {
        options.put(key.apply(value), new Option<>(value, words.apply(value)));
      }
      return new Choice<>(options);
    }

    /** Returns a choice of two. */
    public static <V> Choice<V> ofTwo(
        String one, V first, String words, String two, V second, String otherWords) {
      Map<String, Option<V>> options = new LinkedHashMap<>();
      options.put(one, new Option<>(first, words));
      options.put(two, new Option<>(second, otherWords));
      return new Choice<>(options);
    }

    @Override
    public V read(JsonNode value, String path, Reading reading) {
      Option<V> chosen =
          value != null && value.isString() ? options.get(value.stringValue()) : null;
      if (chosen == null) {
        reading.refuse(path, value, allowed());
        return null;
      }
      return chosen.value();
    }

    @Override
    public JsonNode write(V value) {
      for (Map.Entry<String, Option<V>> option : options.entrySet()) {
        if (option.getValue().value().equals(value)) {
          return NODES.stringNode(option.getKey());
        }
      }
      throw new IllegalStateException("no name for " + value);
    }

    @Override
    public ObjectNode schema() {
      ObjectNode schema = NODES.objectNode();
      ArrayNode names = schema.putArray("enum");
      options.keySet().forEach(names::add);
      return schema;
    }

    @Override
    public String allowed() {
      return "one of " + String.join(", ", options.keySet());
    }
  }

  /** A number from a few, each with words. */
  public record NumberedChoice(Bounds bounds, List<String> words) implements Type<Integer> {
    public NumberedChoice {
      words = List.copyOf(words);
    }

    @Override
    public Integer read(JsonNode value, String path, Reading reading) {
      return new Count(bounds).read(value, path, reading);
    }

    @Override
    public JsonNode write(Integer value) {
      return NODES.numberNode(value);
    }

    @Override
    public ObjectNode schema() {
      return bounded("integer", bounds);
    }

    @Override
    public String allowed() {
      return bounds.allowed();
    }
  }

  /**
   * A list.
   *
   * @param entry type of one entry
   * @param least entries
   * @param most entries
   */
  public record Rows<E>(Type<E> entry, int least, int most) implements Type<List<E>> {
    public Rows {
      // null when two classes wait for each other's beginnings: told here, not where it is used
      Objects.requireNonNull(entry, "entry");
    }

    @Override
    public List<E> read(JsonNode value, String path, Reading reading) {
      if (value == null || !value.isArray()) {
        reading.refuse(path, value, "a list: " + allowed());
        return null;
      }
      if (value.size() > most) {
        reading.refuse(path, value, "at most " + most + " entries");
        return null;
      }
      if (value.size() < least) {
        reading.refuse(path, value, allowed());
        return null;
      }
      int before = reading.count();
      List<E> all = new ArrayList<>(value.size());
      for (int i = 0; i < value.size(); i++) {
        all.add(entry.read(value.get(i), path + "[" + i + "]", reading));
      }
      return reading.count() > before ? null : List.copyOf(all);
    }

    @Override
    public JsonNode write(List<E> values) {
      ArrayNode list = NODES.arrayNode(values.size());
      values.forEach(each -> list.add(entry.write(each)));
      return list;
    }

    @Override
    public ObjectNode schema() {
      ObjectNode schema = typed("array");
      if (least > 0) {
        schema.put("minItems", least);
      }
      schema.put("maxItems", most).set("items", entry.schema());
      return schema;
    }

    @Override
    public String allowed() {
      return least + " to " + most + " entries";
    }

    @Override
    public Type<?> within() {
      return entry.within();
    }
  }

  /** A text that names something else, such as a picture by its hash. */
  public record Reference<V>(Class<V> to, Function<V, String> key, String pattern, String allowed)
      implements Type<V> {
    @Override
    public V read(JsonNode value, String path, Reading reading) {
      Optional<V> found =
          value != null && value.isString()
              ? reading.find(to, value.stringValue())
              : Optional.empty();
      if (found.isEmpty()) {
        reading.refuse(path, value, allowed);
      }
      return found.orElse(null);
    }

    @Override
    public JsonNode write(V value) {
      return NODES.stringNode(key.apply(value));
    }

    @Override
    public ObjectNode schema() {
      return typed("string").put("pattern", pattern);
    }
  }

  /** A value that need not be there. */
  record Perhaps<V>(Type<V> type) implements Type<Optional<V>> {
    @Override
    public Optional<V> read(JsonNode value, String path, Reading reading) {
      V read = type.read(value, path, reading);
      return read == null ? null : Optional.of(read);
    }

    @Override
    public JsonNode write(Optional<V> value) {
      return value.<JsonNode>map(type::write).orElse(NODES.nullNode());
    }

    @Override
    public ObjectNode schema() {
      return type.schema();
    }

    @Override
    public String allowed() {
      return type.allowed();
    }

    @Override
    public Type<?> within() {
      return type.within();
    }
  }

  /** Returns the schema of a value that may be null as well. */
  static ObjectNode orNull(ObjectNode schema) {
    Objects.requireNonNull(schema, "schema");
    ObjectNode either = NODES.objectNode();
    either.putArray("anyOf").add(schema).add(typed("null"));
    return either;
  }
}
