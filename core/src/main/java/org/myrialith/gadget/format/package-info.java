/**
 * The open format of gadgets and clips: {@link org.myrialith.gadget.format.GadgetJson} reads and
 * writes it. Documented in {@code docs/gadget-format.md} with a JSON Schema.
 */
package org.myrialith.gadget.format;
