package org.myrialith.formats;

/** Texts in tables that a spreadsheet opens. */
public final class SpreadsheetText {
  private SpreadsheetText() {}

  /** Returns a text; one that a spreadsheet would take for a formula is marked as text. */
  public static String harmless(String text) {
    return text.matches("(?s)(^|.*[;\\t\\n])\\s*[=+\\-@].*") || text.startsWith("\t")
        ? "'" + text
        : text;
  }
}
