/**
 * Open file formats, read within bounds and written: bytes come in or go out. Knows nothing of
 * gadgets.
 *
 * <p>GIF by the GIF89a specification, PNG by ISO/IEC 15948, value change dump by IEEE 1364-2005,
 * clause 18, SVG by SVG 2 (paths, transformations and units), comma-separated values by RFC 4180
 * with the liberties that spreadsheets take.
 */
package org.myrialith.formats;
