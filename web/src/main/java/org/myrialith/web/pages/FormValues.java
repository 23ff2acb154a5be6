package org.myrialith.web.pages;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.finding.InputError;

/**
 * What the fields of a form show: the gadget's values, or what was typed and refused, with the
 * errors beside the fields.
 *
 * @param values by field name
 * @param errors of this form; their fields are those of the form, or parts of them
 */
public record FormValues(Map<String, String> values, List<InputError> errors) {
  /** Returns fields without errors. */
  public static FormValues of(Map<String, String> values) {
    return new FormValues(new HashMap<>(values), List.of());
  }

  /** Returns what was typed, with the reasons why it was not taken. */
  public static FormValues refused(Map<String, String> typed, List<InputError> errors) {
    return new FormValues(new HashMap<>(typed), errors);
  }

  /**
   * Returns what was typed laid over what is shown: fields that the form did not have keep showing
   * what the gadget has.
   *
   * @param typed null for nothing
   */
  public FormValues over(FormValues typed) {
    if (typed == null) {
      return this;
    }
    Map<String, String> all = new HashMap<>(values);
    all.putAll(typed.values());
    return new FormValues(all, typed.errors());
  }

  /** Returns what a field shows. */
  public String value(String field) {
    return values.getOrDefault(field, "");
  }

  /** Returns whether the form has a field. */
  public boolean has(String field) {
    return values.containsKey(field);
  }

  /** Returns why a field was not taken, empty when it was. */
  public String error(String field) {
    return errors.stream()
        .filter(e -> e.field().equals(field) || e.field().startsWith(field + "["))
        .map(InputError::beside)
        .findFirst()
        .orElse("");
  }

  /** Returns whether anything was refused. */
  public boolean isRefused() {
    return !errors.isEmpty();
  }
}
