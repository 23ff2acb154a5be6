package org.myrialith.layout;

/**
 * A wire that the maker lays along the data: from fixture to fixture, or from piece to piece.
 *
 * @param from the emitter whose data-out it starts at
 * @param to the emitter whose data-in it ends at
 * @param straightMm between their middles, in space
 */
public record Lead(Emitter from, Emitter to, double straightMm) {}
