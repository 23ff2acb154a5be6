/** Cues as tables in C, and what their engine takes of memory and time; inputs on the board. */
package org.myrialith.firmware.engine;
