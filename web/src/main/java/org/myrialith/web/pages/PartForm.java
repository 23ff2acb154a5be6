package org.myrialith.web.pages;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.schema.Description;
import org.myrialith.schema.Family;
import org.myrialith.schema.Field;
import org.myrialith.schema.RowText;
import org.myrialith.schema.Type;
import org.myrialith.schema.TypedNumber;
import org.myrialith.schema.Types;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The form of a part of a gadget, made from its description: what its fields show, and the part
 * that comes of what was typed. What still stands as it was shown keeps its value to the last
 * digit.
 *
 * @param type of the part
 * @param value as it is in the gadget
 */
public record PartForm<T>(Type<T> type, T value) {
  /**
   * One field as a page draws it.
   *
   * @param sort {@code entry}, {@code colour}, {@code choice} or {@code lines}
   * @param choices of a choice: value to words
   * @param columns of a list whose lines have several values, as JSON: label, unit, and for what is
   *     there or not the word that says so
   * @param bounds of a count, null for what has none
   */
  public record Slot(
      String name,
      String label,
      String unit,
      String sort,
      Map<String, String> choices,
      String columns,
      Bounds bounds) {
    /** Returns it under another name. */
    public Slot named(String other) {
      return new Slot(other, label, unit, sort, choices, columns, bounds);
    }
  }

  private static final JsonMapper MAPPER = new JsonMapper();

  /**
   * Those that a line can tell: lists whose entries have lists or kinds have forms of their own.
   */
  private List<Field<?>> fields() {
    List<Field<?>> all =
        type instanceof Description<?> description
            ? description.fields(value)
            : ((Family<?>) type).kindOf(value).description().fields(value);
    return all.stream().filter(field -> !nested(field)).toList();
  }

  private static boolean nested(Field<?> field) {
    return field.type() instanceof Types.Rows<?> rows
        && rows.entry() instanceof Description<?> entry
        && entry.fields(null).stream()
            .map(Field::type)
            .anyMatch(column -> column instanceof Types.Rows<?> || column instanceof Family<?>);
  }

  private ObjectNode written() {
    return (ObjectNode) type.write(value);
  }

  /** Returns what the fields show. */
  public FormValues shown() {
    ObjectNode node = written();
    Map<String, String> values = new HashMap<>();
    for (Field<?> field : fields()) {
      values.put(field.name(), shown(field, node.get(field.name())));
    }
    node.properties()
        .forEach(
            e -> {
              if (e.getValue().isString()) {
                values.putIfAbsent(e.getKey(), e.getValue().stringValue());
              }
            });
    return FormValues.of(values);
  }

  /** More digits than that are not typed. */
  private static final int MOST_DIGITS = 8;

  private static final int FIGURES = 3;

  private static String shown(Field<?> field, JsonNode value) {
    if (value == null || value.isObject()) {
      return "";
    }
    if (field.type() instanceof Types.Rows<?> rows) {
      return RowText.write(rows, value);
    }
    return value.isNumber() ? shown(value.doubleValue()) : value.asString();
  }

  /**
   * What a maker types has few digits and is shown whole. What comes of a calculation, such as a
   * third of a metre, is shown rounded; as long as nobody types there, all of it is kept.
   */
  private static String shown(double value) {
    BigDecimal exact = new BigDecimal(Double.toString(value)).stripTrailingZeros();
    if (exact.precision() <= MOST_DIGITS) {
      return exact.toPlainString();
    }
    int whole = Math.max(0, exact.precision() - exact.scale());
    return exact
        .round(new MathContext(Math.max(FIGURES, whole + 2), RoundingMode.HALF_UP))
        .stripTrailingZeros()
        .toPlainString();
  }

  /** Returns the fields to draw, those that are asked for the values of a form. */
  public List<Slot> slots(FormValues form) {
    List<Slot> slots = new ArrayList<>();
    for (Field<?> field : fields()) {
      if (asked(field, form.value(field.condition() == null ? "" : field.condition().field()))) {
        String sort =
            field.type() instanceof Types.Rows<?> rows && !(rows.entry() instanceof Types.Count)
                ? "lines"
                : field.type() instanceof Types.Colour
                    ? "colour"
                    : field.choices().isEmpty() ? "entry" : "choice";
        // "Pixels per metre: 60" needs no unit behind it
        String unit = field.label().equalsIgnoreCase(field.unit()) ? "" : field.unit();
        slots.add(
            new Slot(
                field.name(),
                label(field),
                unit,
                sort,
                field.choices(),
                columns(field),
                field.type() instanceof Types.Count count ? count.bounds() : null));
      }
    }
    return slots;
  }

  private static String columns(Field<?> field) {
    ArrayNode columns = MAPPER.createArrayNode();
    if (field.type() instanceof Types.Rows<?> rows) {
      if (rows.entry() instanceof Description<?> entry) {
        for (Field<?> column : entry.fields(null)) {
          ObjectNode one = columns.addObject().put("label", column.label());
          one.put("unit", column.unit());
          one.put("word", column.type() instanceof Types.Flag flag ? flag.whenTrue() : "");
          boolean chosen = column.type() instanceof Types.Choice;
          one.put("wide", chosen || column.type() instanceof Types.Words);
          one.put("start", start(column));
          ObjectNode choices = one.putObject("choices");
          if (chosen) {
            column.choices().forEach(choices::put);
          }
        }
      } else {
        columns.addObject().put("label", field.label()).put("unit", "").put("word", "");
      }
    }
    return columns.toString();
  }

  /** What a first row begins with. */
  private static String start(Field<?> column) {
    if (column.type() instanceof Types.Choice) {
      return column.choices().keySet().iterator().next();
    }
    boolean words = column.type() instanceof Types.Words || column.type() instanceof Types.Flag;
    boolean plain = column.fallback() instanceof String || column.fallback() instanceof Number;
    return plain ? column.fallback().toString() : words ? "" : "0";
  }

  private static boolean asked(Field<?> field, String other) {
    return field.condition() == null || field.condition().value().equals(other);
  }

  /** A list says what stands in a line of it. */
  private static String label(Field<?> field) {
    if (field.type() instanceof Types.Rows<?> rows
        && rows.entry() instanceof Description<?> entry) {
      List<String> columns =
          entry.fields(null).stream()
              .map(
                  column ->
                      column.type() instanceof Types.Flag flag
                          ? "“" + flag.whenTrue() + "”"
                          : lower(column.label())
                              + (column.unit().isEmpty() ? "" : " in " + column.unit()))
              .toList();
      return field.label() + ", one per line: " + String.join(", ", columns);
    }
    return field.label();
  }

  private static String lower(String label) {
    return Character.toLowerCase(label.charAt(0)) + label.substring(1);
  }

  /**
   * Returns the part with what was typed laid over it, not yet checked.
   *
   * @throws InputException if a line of a list can't be read
   */
  public ObjectNode typed(Map<String, String> form) {
    ObjectNode node = written();
    List<InputError> errors = new ArrayList<>();
    for (Field<?> field : fields()) {
      String text = form.get(field.name());
      if (text != null && !text.equals(shown(field, node.get(field.name())))) {
        put(node, field, text, errors);
      }
      if (field.condition() != null
          && !asked(
              field, form.getOrDefault(field.condition().field(), field.condition().value()))) {
        node.remove(field.name());
      }
    }
    if (!errors.isEmpty()) {
      throw new InputException(errors);
    }
    return node;
  }

  private static void put(ObjectNode node, Field<?> field, String text, List<InputError> errors) {
    Type<?> type = field.type();
    if (type instanceof Types.Rows<?> rows) {
      String shown = shown(field, node.get(field.name()));
      // line ends come back from a browser in another way
      if (!text.replace("\r\n", "\n").strip().equals(shown.strip())) {
        ArrayNode list = node.putArray(field.name());
        RowText.read(list, rows, field.name(), text, errors);
      }
    } else if (type instanceof Types.Measure
        || type instanceof Types.Count
        || type instanceof Types.NumberedChoice) {
      TypedNumber.put(node, field.name(), text, field.unit());
    } else if (type instanceof Types.Flag && (text.equals("true") || text.equals("false"))) {
      node.put(field.name(), text.equals("true"));
    } else {
      node.put(field.name(), text);
    }
  }

  /**
   * Returns the part that comes of what was typed.
   *
   * @throws InputException with every error
   */
  public T read(Map<String, String> form) {
    return type.read(typed(form));
  }
}
