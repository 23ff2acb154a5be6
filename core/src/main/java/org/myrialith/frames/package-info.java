/**
 * What the emitters are asked to show, over time: clips of frames come in; the moments of the show
 * go out.
 *
 * <p>A picture holds asked colours (sRGB, 8 bit a channel). A clip plays on one fixture. All clips
 * start together and each repeats until the longest has ended; then all start again. Every instant
 * at which any clip changes begins a moment.
 */
package org.myrialith.frames;
