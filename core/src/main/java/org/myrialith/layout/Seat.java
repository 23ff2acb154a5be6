package org.myrialith.layout;

/**
 * One emitter of a shape.
 *
 * @param place flat
 * @param spot in space
 * @param part name of what it is a part of, may be empty
 * @param endsPiece whether the chain leaves one piece here and enters another
 */
public record Seat(Place place, Spot spot, String part, boolean endsPiece) {}
