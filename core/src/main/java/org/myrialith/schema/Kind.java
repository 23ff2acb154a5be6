package org.myrialith.schema;

/**
 * One kind of a family: a record with a name in the format.
 *
 * @param key its name in the format
 * @param title its name for makers, in lower case
 * @param usual a value to start from, in usual sizes (common practice)
 */
public record Kind<T>(String key, String title, Description<T> description, T usual) {
  /** Returns a kind of the class of its usual value. */
  @SuppressWarnings("unchecked")
  public static <T extends Record> Kind<T> of(
      String key, String title, T usual, Member... members) {
    return new Kind<>(key, title, Description.of((Class<T>) usual.getClass(), members), usual);
  }
}
