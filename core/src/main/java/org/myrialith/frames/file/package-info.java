/** Clips from files and to files: pictures fitted to fixtures, series, tables of cells. */
package org.myrialith.frames.file;
