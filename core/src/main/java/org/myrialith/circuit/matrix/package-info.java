/** Row-column matrices: on pins of the controller, and on a chain of registers or sinks. */
package org.myrialith.circuit.matrix;
