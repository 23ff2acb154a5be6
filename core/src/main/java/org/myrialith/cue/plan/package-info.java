/**
 * What is judged of cues: clashes, what is never reached, what stays dark, flashes, wear of memory,
 * drift of clocks, and the current of what can play together.
 */
package org.myrialith.cue.plan;
