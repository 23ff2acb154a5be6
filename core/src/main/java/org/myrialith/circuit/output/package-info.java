/**
 * Circuits of outputs that are on or off, or have a depth of their own, whatever has those outputs:
 * fixtures taken apart into channels, the output and bit of each, how LEDs are wired to them, and
 * what is judged of currents, outputs and switches.
 */
package org.myrialith.circuit.output;
