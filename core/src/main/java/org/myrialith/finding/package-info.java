/**
 * What the plan says: verdicts, findings, and the numbers behind them.
 *
 * <p>Every number that a page shows is a {@link org.myrialith.finding.Calculation}: name, value,
 * unit, formula, the values put in, and a {@link org.myrialith.finding.Source}. A {@link
 * org.myrialith.finding.Finding} is one judgement resting on calculations, with remedies that can
 * be applied. Bad input is an expected result: {@link org.myrialith.finding.InputError} names the
 * field, what was read, and what is allowed.
 */
package org.myrialith.finding;
