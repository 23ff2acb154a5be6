/** The shelf: all gadgets, new ones, and ones brought as files. */
package org.myrialith.web.shelf;
