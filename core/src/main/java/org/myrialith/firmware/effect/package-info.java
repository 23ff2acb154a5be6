/**
 * Effects as code: the numbers that a controller computes them from, and what that takes of flash,
 * RAM and cycles.
 */
package org.myrialith.firmware.effect;
