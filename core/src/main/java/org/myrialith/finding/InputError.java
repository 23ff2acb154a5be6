package org.myrialith.finding;

import static org.myrialith.finding.Phrase.phrase;

/**
 * Something the maker entered that can't be taken.
 *
 * @param field path of the field, such as {@code fixtures[0].columns}
 * @param value what was read, shortened
 * @param allowed what would be taken
 */
public record InputError(String field, String value, String allowed) {
  private static final int SHOWN = 80;

  public InputError {
    if (value.length() > SHOWN) {
      int cut = Character.isHighSurrogate(value.charAt(SHOWN - 1)) ? SHOWN - 1 : SHOWN;
      value = value.substring(0, cut) + "…";
    }
  }

  /** Returns this error with its field below {@code parent}. */
  public InputError below(String parent) {
    String path =
        field.isEmpty() ? parent : field.startsWith("[") ? parent + field : parent + "." + field;
    return new InputError(path, value, allowed);
  }

  /** Returns the error as one sentence. */
  public String sentence() {
    return phrase(
        "%s: read %s, allowed is %s.",
        field.isEmpty() ? "input" : field,
        value.isEmpty() ? "nothing" : "“" + value + "”",
        allowed);
  }
}
