package org.myrialith.layout;

/**
 * A word on the bench beside what it names, such as a face of a net.
 *
 * @param at middle of the word
 */
public record Note(String text, Point at) {}
