package org.myrialith.cue.table;

/**
 * Something that can't be made numbers of.
 *
 * @param about identifier of the cue or readout
 * @param sentence what is wrong, behind its name
 */
public record Problem(String about, String sentence) {}
