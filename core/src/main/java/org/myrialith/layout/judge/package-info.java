/**
 * What is judged of places: overlaps, the enclosure, what is seen from a distance and through a
 * diffuser.
 */
package org.myrialith.layout.judge;
