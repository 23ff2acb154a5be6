package org.myrialith.layout;

import org.myrialith.schema.Family;

/** All kinds of shape, in the order of the permits clause of {@link Shape}. */
public final class ShapeKinds {
  /** They are told apart by {@code kind}. */
  public static final Family<Shape> ALL = Family.of("kind", Shape.class);

  private ShapeKinds() {}
}
