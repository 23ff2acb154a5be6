/**
 * The whole description of a gadget, its open format, and its plan: every step's answer from one
 * door, {@link org.myrialith.gadget.GadgetPlan}.
 *
 * <p>The format is documented in {@code docs/gadget-format.md} with a JSON Schema; {@link
 * org.myrialith.gadget.GadgetJson} reads and writes it.
 */
package org.myrialith.gadget;
