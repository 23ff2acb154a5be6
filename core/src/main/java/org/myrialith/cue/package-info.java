/**
 * What is shown when: scenes, the values that are counted, and cues that start scenes. What a maker
 * says, each part checked by itself; whether it goes together is for {@code cue.table} and {@code
 * cue.plan} to say.
 */
package org.myrialith.cue;
