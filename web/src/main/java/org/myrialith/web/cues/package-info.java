/** Scenes, values and cues: their table, their forms, machines to begin with, and trying it. */
package org.myrialith.web.cues;
