package org.myrialith.effects;

/**
 * Where a cell of a picture lights.
 *
 * @param index in the order of all that light, from 0
 * @param x to the right, in parts of the longest side (0 to {@link Places#SIDE})
 * @param y down
 * @param z towards the viewer
 */
public record Place(int index, int x, int y, int z) {}
