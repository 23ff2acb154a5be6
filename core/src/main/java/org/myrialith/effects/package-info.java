/**
 * Effects: small programs that say which colour a place has at a time, from a few named parameters
 * and a seed. In: places of a fixture, layers, how many frames; out: asked colours, frame after
 * frame, that begin again where they end.
 *
 * <p>All of it is whole numbers of 32 bits at most, with tables where there are curves, so that a
 * small controller works out the same. Chance is a hash, never a state: any frame can be asked for.
 *
 * <p>It has more files than others, as all effects are one sealed family.
 */
package org.myrialith.effects;
