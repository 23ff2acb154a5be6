/**
 * Chains of shift registers: plain ones, open drains, constant-current sinks, and sinks with a grey
 * scale of their own.
 */
package org.myrialith.circuit.chip.register;
