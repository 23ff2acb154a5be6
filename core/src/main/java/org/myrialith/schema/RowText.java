package org.myrialith.schema;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.myrialith.finding.InputError;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A list as text: an entry a line, its values with commas between. Semicolons, tabs and, where
 * there are only numbers, blanks part values too; a name with a comma stands in double quotes.
 * Where a comma between two digits may part values or begin decimals, and both make sense, the line
 * is refused. A list of whole numbers stands on one line and knows runs, such as {@code 3, 7-9}.
 */
public final class RowText {
  private static final int MOST_LINES = 9000;
  private static final int MOST_BARE_COMMAS = 10;

  private RowText() {}

  /** Returns a list as text. */
  public static String write(Types.Rows<?> rows, JsonNode list) {
    List<String> lines = new ArrayList<>();
    if (rows.entry() instanceof Description<?> entry) {
      List<Field<?>> columns = entry.fields(null);
      list.forEach(each -> lines.add(line(columns, each)));
    } else {
      list.forEach(each -> lines.add(text(each)));
    }
    return String.join(rows.entry() instanceof Types.Count ? ", " : "\n", lines);
  }

  private static String text(JsonNode value) {
    return value.isNumber() ? TypedNumber.text(value.doubleValue()) : value.asString();
  }

  private static String line(List<Field<?>> columns, JsonNode entry) {
    List<String> texts = new ArrayList<>();
    int said = 0;
    for (Field<?> column : columns) {
      JsonNode value = entry.get(column.name());
      boolean usual = column.optional() && saysNothing(column, value);
      if (column.type() instanceof Types.Flag flag) {
        texts.add(value != null && value.asBoolean() ? flag.whenTrue() : "");
      } else {
        texts.add(value == null ? "" : quoted(column, text(value)));
      }
      said = usual ? said : texts.size();
    }
    // what may be left out and says nothing is left out
    return String.join(", ", texts.subList(0, said));
  }

  private static boolean saysNothing(Field<?> column, JsonNode value) {
    return value == null
        || value.isNumber() && value.doubleValue() == 0
        || value.isBoolean() && !value.asBoolean()
        || value.isString() && value.stringValue().isEmpty();
  }

  private static String quoted(Field<?> column, String text) {
    boolean plain = !(column.type() instanceof Types.Words) || !text.matches(".*[,;\"\\t].*");
    return plain ? text : '"' + text.replace("\"", "\"\"") + '"';
  }

  /** Reads a list; what is wrong with a line goes to {@code errors}. */
  public static void read(
      ArrayNode into, Types.Rows<?> rows, String field, String text, List<InputError> errors) {
    List<String> lines =
        withoutHeader(rows, text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList());
    if (lines.size() > MOST_LINES) {
      errors.add(new InputError(field, lines.size() + " lines", "at most " + MOST_LINES));
      return;
    }
    for (int i = 0; i < lines.size() && errors.size() < Reading.MOST_ERRORS; i++) {
      if (rows.entry() instanceof Description<?> entry) {
        entry(into.addObject(), entry.fields(null), field + "[" + i + "]", lines.get(i), errors);
      } else if (rows.entry() instanceof Types.Count) {
        indices(into, rows.most(), field, lines.get(i), errors);
      } else {
        into.add(lines.get(i));
      }
    }
  }

  /** A pasted table may have a line of headings, where numbers are asked for. */
  private static List<String> withoutHeader(Types.Rows<?> rows, List<String> lines) {
    boolean numbers =
        rows.entry() instanceof Description<?> entry
            && !(entry.fields(null).get(0).type() instanceof Types.Words);
    boolean headed =
        numbers
            && lines.size() > 1
            && lines.get(0).matches("\\D*\\p{L}\\D*[,;\\t]\\D*")
            && lines.get(1).matches("[-+.0-9].*");
    return headed ? lines.subList(1, lines.size()) : lines;
  }

  private static void indices(
      ArrayNode list, int most, String field, String line, List<InputError> errors) {
    for (String part : line.replace('–', '-').split("[,;\\s]+")) {
      if (!part.matches("[0-9]{1,6}(-[0-9]{1,6})?")) {
        errors.add(new InputError(field, part, "whole numbers and ranges, such as 3, 7-9"));
        return;
      }
      String[] ends = part.split("-");
      int from = Integer.parseInt(ends[0]);
      int to = Integer.parseInt(ends[ends.length - 1]);
      if (to < from || list.size() + (to - from) >= most) {
        errors.add(new InputError(field, part, "ascending ranges, at most " + most + " in all"));
        return;
      }
      for (int i = from; i <= to; i++) {
        list.add(i);
      }
    }
  }

  private static void entry(
      ObjectNode entry, List<Field<?>> columns, String at, String line, List<InputError> errors) {
    List<List<String>> fitting =
        readings(columns, line).stream().filter(parts -> fits(columns, parts)).distinct().toList();
    if (fitting.size() > 1) {
      errors.add(
          new InputError(
              at,
              line,
              "values separated by “;”, or by a comma and a blank: 12; 30,5 or 12, 30, 5"));
    } else if (fitting.isEmpty()) {
      errors.add(new InputError(at, line, expected(columns)));
    } else {
      put(entry, columns, fitting.get(0));
    }
  }

  /** All ways to part a line. */
  private static List<List<String>> readings(List<Field<?>> columns, String line) {
    List<String> tokens = tokens(line, ';');
    if (tokens.size() > 1) {
      return List.of(tokens);
    }
    tokens = tokens(line, '\t');
    if (tokens.size() > 1) {
      return List.of(tokens);
    }
    boolean numbersOnly = columns.stream().noneMatch(c -> c.type() instanceof Types.Words);
    tokens = tokens(line, ',');
    if (tokens.size() == 1 && numbersOnly) {
      return List.of(List.of(line.split("\\s+")));
    }
    List<List<String>> ways = new ArrayList<>(merged(line, tokens));
    if (numbersOnly && line.matches(".*\\S\\s+\\S.*") && !line.matches(".*,\\s.*")) {
      ways.add(List.of(line.split("\\s+")));
    }
    return ways;
  }

  /** The tokens, and every way to take commas between digits as those of decimals. */
  private static List<List<String>> merged(String line, List<String> tokens) {
    List<Integer> bare = new ArrayList<>();
    for (int i = 1; i < tokens.size(); i++) {
      boolean digits = tokens.get(i - 1).matches("[-+]?[0-9]+") && tokens.get(i).matches("[0-9]+");
      if (digits && line.contains(tokens.get(i - 1) + "," + tokens.get(i))) {
        bare.add(i);
      }
    }
    List<List<String>> ways = new ArrayList<>();
    int choices = 1 << Math.min(bare.size(), MOST_BARE_COMMAS);
    for (int choice = 0; choice < choices; choice++) {
      List<String> way = new ArrayList<>(List.of(tokens.get(0)));
      boolean whole = true;
      for (int i = 1; i < tokens.size(); i++) {
        int at = bare.indexOf(i);
        if (at >= 0 && at < MOST_BARE_COMMAS && (choice >> at & 1) == 1) {
          whole &= !way.get(way.size() - 1).contains(",");
          way.set(way.size() - 1, way.get(way.size() - 1) + "," + tokens.get(i));
        } else {
          way.add(tokens.get(i));
        }
      }
      if (whole) {
        ways.add(way);
      }
    }
    return ways;
  }

  /** Parts a line where a character stands outside quotes; a quoted text loses its quotes. */
  private static List<String> tokens(String line, char separator) {
    List<String> tokens = new ArrayList<>();
    StringBuilder token = new StringBuilder();
    boolean quoted = false;
    for (int i = 0; i < line.length(); i++) {
      char c = line.charAt(i);
      if (c == '"' && (quoted || token.toString().isBlank())) {
        if (quoted && i + 1 < line.length() && line.charAt(i + 1) == '"') {
          token.append(c);
          i++;
        } else {
          quoted = !quoted;
        }
      } else if (c == separator && !quoted) {
        tokens.add(token.toString().strip());
        token.setLength(0);
      } else {
        token.append(c);
      }
    }
    tokens.add(token.toString().strip());
    return tokens;
  }

  private static boolean number(Field<?> column) {
    return column.type() instanceof Types.Measure || column.type() instanceof Types.Count;
  }

  /** A name may stand in place of a number that is left out before it. */
  private static List<Field<?>> columnsOf(List<Field<?>> columns, List<String> parts) {
    int last = parts.size() - 1;
    boolean early =
        parts.size() < columns.size()
            && number(columns.get(last))
            && columns.get(last).optional()
            && columns.get(last + 1).type() instanceof Types.Words
            && !parts.get(last).matches("[-+0-9.,]*");
    List<Field<?>> used =
        new ArrayList<>(columns.subList(0, Math.min(columns.size(), parts.size())));
    if (early) {
      used.set(last, columns.get(last + 1));
    }
    return used;
  }

  private static boolean fits(List<Field<?>> columns, List<String> parts) {
    long needed = columns.stream().filter(c -> !c.optional()).count();
    if (parts.size() < needed || parts.size() > columns.size()) {
      return false;
    }
    List<Field<?>> used = columnsOf(columns, parts);
    for (int i = 0; i < parts.size(); i++) {
      String part = parts.get(i);
      if (used.get(i).type() instanceof Types.Flag flag
          && !part.isEmpty()
          && !part.equals(flag.whenTrue())) {
        return false;
      }
      boolean whole = used.get(i).type() instanceof Types.Count;
      if (whole && part.matches("[-+]?[0-9]+,[0-9]+")) {
        return false;
      }
    }
    return true;
  }

  private static void put(ObjectNode entry, List<Field<?>> columns, List<String> parts) {
    List<Field<?>> used = columnsOf(columns, parts);
    for (int i = 0; i < parts.size(); i++) {
      Field<?> column = used.get(i);
      String part = parts.get(i);
      if (column.type() instanceof Types.Flag) {
        entry.put(column.name(), !part.isEmpty());
      } else if (!number(column)) {
        entry.put(column.name(), part);
      } else if (!(column.optional() && part.isEmpty())) {
        TypedNumber.put(entry, column.name(), part, column.unit());
      }
    }
  }

  private static String expected(List<Field<?>> columns) {
    return columns.stream()
        .map(
            column -> {
              String word =
                  column.type() instanceof Types.Flag flag
                      ? "the word " + flag.whenTrue()
                      : number(column) ? "a number" : "a name";
              return column.optional() ? word + " (optional)" : word;
            })
        .collect(Collectors.joining(", "));
  }
}
