/** The whole description of a gadget. */
package org.myrialith.gadget.model;
