package org.myrialith.cue.table;

/**
 * A condition or a change as numbers.
 *
 * @param value which value it is about
 * @param how of a condition, the position of its comparison; of a change, that of its way
 * @param operand a number, or which value
 * @param ofValue whether the operand is a value
 */
public record Term(int value, int how, int operand, boolean ofValue) {}
