/**
 * What is read beside the lights: buttons, knobs, sensors, pads, contacts on registers or a grid, a
 * serial port, a clock chip; by name, pins and kind.
 */
package org.myrialith.input;
