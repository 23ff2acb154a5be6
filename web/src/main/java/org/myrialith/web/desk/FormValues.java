package org.myrialith.web.desk;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.finding.InputError;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What the fields of a form show: the gadget's values, or what was typed and refused, with the
 * errors beside the fields.
 *
 * @param values by field name
 * @param errors of this form; their fields are those of the form, or parts of them
 */
public record FormValues(Map<String, String> values, List<InputError> errors) {
  private static final double MOST_WHOLE = 1e15;
  private static final int LONGEST_NUMBER = 40;

  /** Returns the fields of a part as it stands in the gadget. */
  public static FormValues of(ObjectNode part) {
    Map<String, String> values = new HashMap<>();
    part.properties().forEach(e -> values.put(e.getKey(), text(e.getValue())));
    return new FormValues(values, List.of());
  }

  /** Returns fields without errors. */
  public static FormValues of(Map<String, String> values) {
    return new FormValues(new HashMap<>(values), List.of());
  }

  /** Returns what was typed, with the reasons why it was not taken. */
  public static FormValues refused(Map<String, String> typed, List<InputError> errors) {
    return new FormValues(new HashMap<>(typed), errors);
  }

  private static String text(JsonNode value) {
    if (value.isNumber()) {
      return new BigDecimal(value.asString()).stripTrailingZeros().toPlainString();
    }
    if (value.isObject()) {
      return ""; // has fields of its own
    }
    if (value.isArray()) {
      // one entry a line, its values in their order
      StringBuilder lines = new StringBuilder();
      for (JsonNode entry : value) {
        List<String> texts = new ArrayList<>();
        entry.forEach(each -> texts.add(text(each)));
        lines.append(String.join(", ", texts)).append('\n');
      }
      return lines.toString();
    }
    return value.asString();
  }

  /** Returns what a field shows. */
  public String value(String field) {
    return values.getOrDefault(field, "");
  }

  /** Returns why a field was not taken, empty when it was. */
  public String error(String field) {
    return errors.stream()
        .filter(e -> e.field().equals(field) || e.field().startsWith(field + "["))
        .map(InputError::sentence)
        .findFirst()
        .orElse("");
  }

  /** Returns whether anything was refused. */
  public boolean isRefused() {
    return !errors.isEmpty();
  }

  /**
   * Returns a part with the typed values laid over it: numbers and flags where the part has them
   * and such were typed, else text, so that the reader of the format can refuse them by name.
   */
  public static ObjectNode over(ObjectNode part, Map<String, String> typed) {
    ObjectNode result = part.deepCopy();
    part.properties()
        .forEach(
            e -> {
              String text = typed.get(e.getKey());
              if (text != null && e.getValue().isNumber()) {
                putNumber(result, e.getKey(), text);
              } else if (text != null
                  && e.getValue().isBoolean()
                  && (text.equals("true") || text.equals("false"))) {
                result.put(e.getKey(), text.equals("true"));
              } else if (text != null && !e.getValue().isContainer()) {
                result.put(e.getKey(), text);
              }
            });
    return result;
  }

  /** Puts a number when one was typed, with a point or a comma; otherwise the text as it is. */
  public static void putNumber(ObjectNode node, String field, String text) {
    String bare = text.strip().replace(',', '.').replace("\u202f", "");
    try {
      if (bare.length() <= LONGEST_NUMBER) {
        double value = new BigDecimal(bare).doubleValue();
        if (value == Math.rint(value) && Math.abs(value) < MOST_WHOLE) {
          node.put(field, (long) value); // so that an error shows 25, not 25.0
        } else {
          node.put(field, value);
        }
        return;
      }
    } catch (NumberFormatException e) {
      // falls through: the reader says what is allowed
    }
    node.put(field, text);
  }
}
