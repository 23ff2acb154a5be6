/**
 * All kinds of circuit by name, what can be begun with, and the judgements of the step as a whole:
 * members in no circuit or a wrong one, pins and timers that two want.
 */
package org.myrialith.circuit.choice;
