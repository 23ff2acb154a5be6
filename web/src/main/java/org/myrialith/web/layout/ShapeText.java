package org.myrialith.web.layout;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.finding.InputError;
import org.myrialith.finding.InputException;
import org.myrialith.web.desk.FormValues;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The lists of a fixture as text: an entry a line, its values with commas between. A list of
 * indices stands on one line and knows runs, such as {@code 3, 7-9}.
 */
final class ShapeText {
  private static final int MOST_LINES = 9000;
  private static final int MOST_INDICES = 2000;

  /**
   * One value of an entry.
   *
   * @param field name in the format
   * @param kind how it is written
   * @param optional whether it may be left out at the end of a line
   */
  private record Column(String field, Kind kind, boolean optional) {}

  private enum Kind {
    NUMBER,
    TEXT,
    /** Stands there, as the field is called, or not. */
    WORD
  }

  private static final Map<String, List<Column>> LISTS = lists();

  private ShapeText() {}

  private static Column number(String field) {
    return new Column(field, Kind.NUMBER, false);
  }

  private static Map<String, List<Column>> lists() {
    Map<String, List<Column>> lists = new LinkedHashMap<>();
    lists.put("path", List.of(number("xMm"), number("yMm")));
    lists.put("points", List.of(number("xMm"), number("yMm")));
    lists.put(
        "circles",
        List.of(
            number("count"),
            number("radiusMm"),
            new Column("turnDegrees", Kind.NUMBER, true),
            new Column("back", Kind.WORD, true)));
    lists.put(
        "pieces",
        List.of(
            number("pixels"),
            new Column("gapMm", Kind.NUMBER, true),
            new Column("turned", Kind.WORD, true)));
    lists.put("modules", List.of(number("digits"), new Column("name", Kind.TEXT, false)));
    lists.put(
        "custom",
        List.of(
            new Column("name", Kind.TEXT, false),
            number("x1Mm"),
            number("y1Mm"),
            number("x2Mm"),
            number("y2Mm")));
    lists.put(
        "indicators", List.of(number("xMm"), number("yMm"), new Column("name", Kind.TEXT, false)));
    lists.put(
        "emitters",
        List.of(
            number("xMm"),
            number("yMm"),
            new Column("zMm", Kind.NUMBER, true),
            new Column("name", Kind.TEXT, true)));
    lists.put(
        "dies",
        List.of(
            new Column("colour", Kind.TEXT, false),
            number("forwardVolts"),
            number("ratedMilliamps"),
            number("pulseMilliamps"),
            number("millicandela")));
    return lists;
  }

  /** Returns what the fields of a form show. */
  static FormValues form(ObjectNode part) {
    Map<String, String> values = new HashMap<>(FormValues.of(part).values());
    part.properties()
        .forEach(
            e -> {
              if (e.getValue().isArray()) {
                values.put(e.getKey(), shown(e.getKey(), e.getValue()));
              }
            });
    return FormValues.of(values);
  }

  private static String shown(String field, JsonNode list) {
    List<String> lines = new ArrayList<>();
    List<Column> columns = LISTS.get(field);
    for (JsonNode entry : list) {
      lines.add(columns == null ? text(entry) : line(columns, entry));
    }
    return String.join(columns == null && !field.equals("mask") ? ", " : "\n", lines);
  }

  private static String line(List<Column> columns, JsonNode entry) {
    List<String> texts = new ArrayList<>();
    for (Column column : columns) {
      JsonNode value = entry.get(column.field());
      if (column.kind() == Kind.WORD) {
        texts.add(value != null && value.asBoolean() ? column.field() : "");
      } else {
        texts.add(value == null ? "" : text(value));
      }
    }
    // what may be left out and says nothing is left out
    while (columns.get(texts.size() - 1).optional()
        && List.of("", "0").contains(texts.get(texts.size() - 1))) {
      texts.remove(texts.size() - 1);
    }
    return String.join(", ", texts);
  }

  private static String text(JsonNode value) {
    return value.isNumber()
        ? new java.math.BigDecimal(value.asString()).stripTrailingZeros().toPlainString()
        : value.asString();
  }

  /**
   * Returns a part with what was typed laid over it, lists included.
   *
   * @throws InputException if a line has too few or too many values
   */
  static ObjectNode over(ObjectNode part, Map<String, String> form) {
    ObjectNode node = FormValues.over(part, form);
    List<InputError> errors = new ArrayList<>();
    for (String field : List.copyOf(part.propertyNames())) {
      if (part.get(field).isArray() && form.containsKey(field)) {
        read(node.putArray(field), field, form.get(field), errors);
      }
    }
    if (!errors.isEmpty()) {
      throw new InputException(errors);
    }
    return node;
  }

  /** Reads one list; what is wrong with a line goes to {@code errors}. */
  static void read(ArrayNode list, String field, String text, List<InputError> errors) {
    List<String> lines = text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList();
    if (lines.size() > MOST_LINES) {
      errors.add(new InputError(field, lines.size() + " lines", "at most " + MOST_LINES));
      return;
    }
    List<Column> columns = LISTS.get(field);
    for (int i = 0; i < lines.size(); i++) {
      if (columns != null) {
        entry(list.addObject(), columns, field + "[" + i + "]", lines.get(i), errors);
      } else if (field.equals("mask")) {
        list.add(lines.get(i));
      } else {
        indices(list, field, lines.get(i), errors);
      }
    }
  }

  private static void entry(
      ObjectNode entry, List<Column> columns, String at, String line, List<InputError> errors) {
    boolean numbersOnly = columns.stream().noneMatch(c -> c.kind() == Kind.TEXT);
    String[] parts =
        numbersOnly
            ? line.split("\\s*[,;\\s]\\s*", -1)
            : line.split("\\s*[,;]\\s*", columns.size());
    long needed = columns.stream().filter(c -> !c.optional()).count();
    if (parts.length < needed || parts.length > columns.size()) {
      errors.add(new InputError(at, line, expected(columns)));
      return;
    }
    boolean nameInPlaceOfNumber =
        parts.length < columns.size()
            && columns.get(parts.length - 1).kind() == Kind.NUMBER
            && columns.get(parts.length).kind() == Kind.TEXT
            && !parts[parts.length - 1].matches("[-+0-9.]*");
    for (int i = 0; i < parts.length; i++) {
      Column column = columns.get(nameInPlaceOfNumber && i == parts.length - 1 ? i + 1 : i);
      switch (column.kind()) {
        case NUMBER -> {
          if (!(column.optional() && parts[i].isEmpty())) {
            FormValues.putNumber(entry, column.field(), parts[i]);
          }
        }
        case TEXT -> entry.put(column.field(), parts[i].strip());
        case WORD -> word(entry, column, at, parts[i], errors);
      }
    }
  }

  private static void word(
      ObjectNode entry, Column column, String at, String text, List<InputError> errors) {
    if (!text.isEmpty() && !text.equals(column.field())) {
      errors.add(new InputError(at, text, "the word " + column.field() + ", or nothing"));
      return;
    }
    entry.put(column.field(), !text.isEmpty());
  }

  private static String expected(List<Column> columns) {
    List<String> words = new ArrayList<>();
    for (Column column : columns) {
      String word =
          switch (column.kind()) {
            case NUMBER -> "a number";
            case TEXT -> "a name";
            case WORD -> "the word " + column.field();
          };
      words.add(column.optional() ? word + " if you like" : word);
    }
    return String.join(", ", words);
  }

  private static void indices(ArrayNode list, String field, String line, List<InputError> errors) {
    for (String part : line.split("[,;\\s]+")) {
      if (!part.matches("\\d{1,6}(-\\d{1,6})?")) {
        errors.add(new InputError(field, part, "whole numbers and runs, such as 3, 7-9"));
        return;
      }
      String[] ends = part.split("-");
      int from = Integer.parseInt(ends[0]);
      int to = Integer.parseInt(ends[ends.length - 1]);
      if (to < from || to - from > MOST_INDICES || list.size() > MOST_INDICES) {
        errors.add(
            new InputError(field, part, "runs upwards, at most " + MOST_INDICES + " in all"));
        return;
      }
      for (int i = from; i <= to; i++) {
        list.add(i);
      }
    }
  }
}
