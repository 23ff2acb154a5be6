/**
 * The interrupt that multiplexes lights, instruction by instruction for 8-bit cores, and the same
 * in portable C for others; what it does to the wires of each kind of matrix.
 */
package org.myrialith.firmware.scan;
