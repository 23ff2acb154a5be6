/**
 * Usual machines to begin with: a gadget and one of its fixtures go in, the gadget with inputs,
 * values, scenes and cues comes out, all of which the maker changes then.
 */
package org.myrialith.presets;
