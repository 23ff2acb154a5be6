/** A pin of the controller for each channel, on or off, or dimmed by a timer. */
package org.myrialith.circuit.pin;
