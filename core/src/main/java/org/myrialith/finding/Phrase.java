package org.myrialith.finding;

import java.util.Locale;

/** Words with values in them, the same on every machine: no default locale reaches them. */
public final class Phrase {
  private Phrase() {}

  /** Returns a format of {@link java.util.Formatter} filled in, numbers as in English. */
  public static String phrase(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }
}
