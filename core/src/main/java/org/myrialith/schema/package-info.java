/**
 * How a part of a gadget is described, once: its fields with name, label, unit, bounds, default,
 * choices and help.
 *
 * <p>A {@link org.myrialith.schema.Description} belongs to one record; a {@link
 * org.myrialith.schema.Kind} is a description with a name in the format and a usual value; a {@link
 * org.myrialith.schema.Family} holds the kinds of a sealed interface. From them come reading and
 * writing of JSON, the JSON Schema, the forms of the pages, lists as text and the tables of the
 * documentation. Reading collects all errors, each with path, value and allowed range.
 */
package org.myrialith.schema;
