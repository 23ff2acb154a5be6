/**
 * What drives a group of fixtures in order: a {@link org.myrialith.circuit.Circuit} and its {@link
 * org.myrialith.circuit.CircuitPlan}, the runs of fixtures that are its members, what stands where
 * on the wire, and the pins that circuits are put on. It knows no kind of circuit: each stands in a
 * package of its own above this one, and all are named in {@code circuit.choice}.
 */
package org.myrialith.circuit;
