/** Clips and frames: the core sample, the easel, import and preview. */
package org.myrialith.web.frames;
