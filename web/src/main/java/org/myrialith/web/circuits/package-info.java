/** The data line: order of fixtures, timing, pins. */
package org.myrialith.web.circuits;
