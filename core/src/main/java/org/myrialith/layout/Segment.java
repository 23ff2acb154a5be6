package org.myrialith.layout;

import org.myrialith.finding.Bounds;
import org.myrialith.finding.TextRules;
import org.myrialith.schema.Description;
import org.myrialith.schema.Field;

/**
 * A lit line of a digit, from the digit's left top corner (mm). Both ends the same is a point.
 *
 * @param name such as "a"
 */
public record Segment(String name, double x1Mm, double y1Mm, double x2Mm, double y2Mm) {
  /** Allowed coordinate. */
  public static final Bounds PLACE = Bounds.measure(-1000, 1000, "mm");

  /** How it stands in the format. */
  public static final Description<Segment> DESCRIPTION =
      Description.of(
          Segment.class,
          Field.named("name", "Name"),
          Field.measure("x1Mm", "x1", PLACE),
          Field.measure("y1Mm", "y1", PLACE),
          Field.measure("x2Mm", "x2", PLACE),
          Field.measure("y2Mm", "y2", PLACE));

  public Segment {
    name = TextRules.name("name", name);
    PLACE.require("x1Mm", x1Mm);
    PLACE.require("y1Mm", y1Mm);
    PLACE.require("x2Mm", x2Mm);
    PLACE.require("y2Mm", y2Mm);
  }

  boolean point() {
    return x1Mm == x2Mm && y1Mm == y2Mm;
  }

  double lengthMm() {
    return Math.hypot(x2Mm - x1Mm, y2Mm - y1Mm);
  }
}
