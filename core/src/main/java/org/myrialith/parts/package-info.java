/**
 * Classes of parts with their data: controllers, supplies, pixels. Nothing comes in; values go out.
 *
 * <p>Figures are typical of the class, not of one product, and stand where the data sheets of such
 * parts agree; where a maker has a better figure, the gadget carries it.
 */
package org.myrialith.parts;
