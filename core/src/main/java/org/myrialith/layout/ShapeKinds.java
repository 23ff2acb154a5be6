package org.myrialith.layout;

import org.myrialith.schema.Family;

/** All kinds of shape, in the order of the permits clause of {@link Shape}. */
public final class ShapeKinds {
  /** All of them; {@code kind} names one. */
  public static final Family<Shape> ALL = Family.of("kind", Shape.class);

  private ShapeKinds() {}
}
