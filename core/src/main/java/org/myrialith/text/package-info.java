/**
 * Text in dots. In: a text, a font, a way to show it; out: pictures with how long each is held,
 * what the font lacks, and whether it can be read in time.
 *
 * <p>Fonts are those that come along, drawn for this, and those that a maker brings in (BDF).
 */
package org.myrialith.text;
