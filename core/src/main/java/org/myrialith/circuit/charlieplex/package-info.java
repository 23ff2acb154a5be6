/** Charlieplexed LEDs: two between each two pins; and the stray paths through others. */
package org.myrialith.circuit.charlieplex;
