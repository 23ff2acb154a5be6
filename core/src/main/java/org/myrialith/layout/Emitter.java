package org.myrialith.layout;

/**
 * One lit place.
 *
 * @param fixture position of its fixture in the gadget's list
 * @param index in the fixture, in data order
 * @param place where it sits and which cell of the fixture's picture it shows
 * @param chain index in the data chain, -1 when its fixture is in no circuit
 */
public record Emitter(int fixture, int index, Fixture.Place place, int chain) {}
