/** Display-driver chips that scan their digits by themselves: on two wires, three, or I2C. */
package org.myrialith.circuit.chip.display;
