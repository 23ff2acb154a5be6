package org.myrialith.effects;

import java.util.Locale;
import org.myrialith.schema.Types;

/** Which way something runs through a fixture. */
public enum Direction {
  RIGHT("right"),
  LEFT("left"),
  DOWN("down"),
  UP("up"),
  NEAR("towards the viewer"),
  FAR("away from the viewer"),
  DATA("in data order");

  static final Types.Choice<Direction> TYPE =
      Types.Choice.of(values(), Direction::key, Direction::title);

  private final String title;

  Direction(String title) {
    this.title = title;
  }

  /** Returns the name used in the gadget format. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Returns the name for people. */
  public String title() {
    return title;
  }

  /** Returns how far along it a place is. */
  int along(Place place, Places all) {
    return switch (this) {
      case RIGHT -> place.x();
      case LEFT -> all.width() - place.x();
      case DOWN -> place.y();
      case UP -> all.height() - place.y();
      case NEAR -> place.z();
      case FAR -> all.depth() - place.z();
      case DATA -> place.index() * Places.SIDE / Math.max(1, all.count() - 1);
    };
  }

  /** Returns how long it is. */
  int length(Places all) {
    return switch (this) {
      case RIGHT, LEFT -> all.width();
      case DOWN, UP -> all.height();
      case NEAR, FAR -> all.depth();
      case DATA -> Places.SIDE;
    };
  }
}
