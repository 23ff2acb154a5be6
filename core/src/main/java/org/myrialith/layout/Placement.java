package org.myrialith.layout;

/**
 * One emitter of a shape.
 *
 * @param position flat
 * @param pose in space
 * @param part name of what it is a part of, may be empty
 * @param endsPiece whether the chain leaves one piece here and enters another
 */
public record Placement(Position position, Pose pose, String part, boolean endsPiece) {}
