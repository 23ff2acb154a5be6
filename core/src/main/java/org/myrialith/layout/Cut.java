package org.myrialith.layout;

/**
 * A length of strip as it is cut off a roll.
 *
 * @param perMetre pixels per metre of the strip
 * @param lengthMm of the piece
 */
public record Cut(double perMetre, double lengthMm) {}
