/** Changing frames by hand: strokes, patches, edits of clips, fewer colours, characters. */
package org.myrialith.frames.edit;
