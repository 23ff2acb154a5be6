/**
 * What is judged of the frames: flashes and stripes that can trigger seizures (WCAG 2.3.1, ITU-R
 * BT.1702), from where they are seen.
 */
package org.myrialith.frames.flash;
