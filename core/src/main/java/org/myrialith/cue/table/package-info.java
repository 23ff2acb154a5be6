/**
 * A sheet of cues as one table of numbers: scenes, terms of conditions, changes, cells of readouts,
 * inputs. Made by {@link org.myrialith.cue.table.CueCompiler}, which says what can't be made.
 */
package org.myrialith.cue.table;
