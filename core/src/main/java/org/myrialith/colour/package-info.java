/**
 * From what was asked to what is driven: an asked colour (sRGB, 8 bit) comes in, a level of the
 * driver goes out.
 *
 * <p>Asked values become linear light by a {@link org.myrialith.colour.Transfer}, are scaled by the
 * brightness limit and rounded to the driver's 8 bit. Rests on IEC 61966-2-1 (sRGB) and CIE 15
 * (L*).
 */
package org.myrialith.colour;
