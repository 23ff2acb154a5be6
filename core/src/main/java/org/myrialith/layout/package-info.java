/**
 * Where things light up: fixtures come in, emitters go out.
 *
 * <p>Positions are millimetres in the plane of the front, seen by the viewer: x to the right, y
 * down. A fixture has two orders of its emitters: the <em>index</em>, as the data runs through it,
 * and the <em>cell</em> (column, row), as the viewer sees it; pictures are painted in cells.
 *
 * <p>It is larger than others, as all shapes are one sealed family and stand beside it.
 */
package org.myrialith.layout;
