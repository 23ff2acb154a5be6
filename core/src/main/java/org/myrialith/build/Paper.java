package org.myrialith.build;

import java.util.Arrays;
import java.util.Optional;

/** Sheets that a template is printed on, upright (mm): ISO 216 and ANSI/ASME Y14.1. */
public enum Paper {
  A4("a4", "A4", 210, 297),
  A3("a3", "A3", 297, 420),
  LETTER("letter", "Letter", 215.9, 279.4);

  private final String key;
  private final String title;
  private final double widthMm;
  private final double heightMm;

  Paper(String key, String title, double widthMm, double heightMm) {
    this.key = key;
    this.title = title;
    this.widthMm = widthMm;
    this.heightMm = heightMm;
  }

  /** Returns the paper of that key. */
  public static Optional<Paper> of(String key) {
    return Arrays.stream(values()).filter(paper -> paper.key.equals(key)).findFirst();
  }

  /** Returns the name used in requests. */
  public String key() {
    return key;
  }

  /** Returns the name shown to the maker. */
  public String title() {
    return title;
  }

  /** Returns the width of the upright sheet (mm). */
  public double widthMm() {
    return widthMm;
  }

  /** Returns the height of the upright sheet (mm). */
  public double heightMm() {
    return heightMm;
  }
}
