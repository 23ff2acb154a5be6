package org.myrialith.layout;

/**
 * Where one emitter sits, flat.
 *
 * @param xMm to the right
 * @param yMm down
 * @param column of the fixture's picture, 0 at the left
 * @param row of the fixture's picture, 0 at the top
 */
public record Position(double xMm, double yMm, int column, int row) {}
