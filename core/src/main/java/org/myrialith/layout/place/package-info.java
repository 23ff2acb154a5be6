/** Placing fixtures: aligned, spread, by hand, traced from a drawing, where there is room. */
package org.myrialith.layout.place;
