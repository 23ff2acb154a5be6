/**
 * What firmware is built for: the core of each controller class, the cycles and sizes that the
 * player takes there, and the dialect of its C. Sizes are fitted to builds by {@code ./myrialith
 * fit}.
 */
package org.myrialith.firmware.target;
