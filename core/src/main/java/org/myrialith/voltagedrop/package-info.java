/**
 * Volts along the wire. In: what each pixel of a chain draws, the conductors between pixels and
 * where they are fed; out: volts at every pixel, what feeds carry, and the fewest feeds that keep
 * all pixels above what they need.
 *
 * <p>Plus and minus are chains of resistances, pixels draw what they are told to whatever they get
 * (constant current), so both are linear networks, solved without iterating. Copper by IEC 60028,
 * gauges by ASTM B258, what conductors carry by IEC 60335-1 and IPC-2221.
 */
package org.myrialith.voltagedrop;
