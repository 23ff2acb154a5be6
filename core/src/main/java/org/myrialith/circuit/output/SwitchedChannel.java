package org.myrialith.circuit.output;

import org.myrialith.layout.Fixture;

/**
 * One thing that an output switches.
 *
 * @param number in its fixture, from 0, in the order of the data
 * @param name in its fixture, such as "hours 1 a"
 * @param field of the maker's that it is in, empty for none
 * @param startsField whether a digit, a piece or a field of the maker's begins with it
 * @param load position of what hangs on it among the loads
 */
public record SwitchedChannel(
    Fixture fixture, int number, String name, String field, boolean startsField, int load) {}
