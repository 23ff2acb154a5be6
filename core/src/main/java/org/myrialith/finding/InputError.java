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
    return phrase("%s: %s", field.isEmpty() ? "input" : field, says());
  }

  /** Returns the field as a maker counts: "circles, row 1, radiusMm" for circles[0].radiusMm. */
  public String place() {
    StringBuilder place = new StringBuilder();
    for (String part : field.split("[.\\]]+")) {
      int bracket = part.indexOf('[');
      String name = bracket < 0 ? part : part.substring(0, bracket);
      join(place, name);
      if (bracket >= 0) {
        join(place, row(part.substring(bracket + 1)));
      }
    }
    return place.toString();
  }

  private static void join(StringBuilder place, String part) {
    place.append(place.isEmpty() || part.isEmpty() ? "" : ", ").append(part);
  }

  private static String row(String index) {
    return index.matches("[0-9]{1,9}") ? "row " + (Integer.parseInt(index) + 1) : index;
  }

  /** Returns the error as one sentence for beside its field, which needs not be named. */
  public String beside() {
    String place = place();
    int end = place.indexOf(", ");
    return (end < 0 ? "" : place.substring(end + 2) + ": ") + says();
  }

  /** Returns what was read and what would be taken. */
  public String says() {
    return phrase(
        "read %s, allowed is %s.", value.isEmpty() ? "nothing" : "“" + value + "”", allowed);
  }
}
