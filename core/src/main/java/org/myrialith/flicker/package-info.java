/**
 * What eyes and cameras see of lights that have their turns, of flashes on a turning body, and of a
 * moving bar of light.
 */
package org.myrialith.flicker;
