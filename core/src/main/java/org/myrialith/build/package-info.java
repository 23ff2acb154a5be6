/**
 * What the maker cuts, drills and wires by: a layout comes in; the map of all emitters and
 * templates at 1:1 go out.
 *
 * <p>One PDF unit is 1/72 inch and one inch 25.4 mm (ISO 32000-1, 8.3.2.3; exact).
 */
package org.myrialith.build;
