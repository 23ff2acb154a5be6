/** Edits: typed changes applied to a gadget, two versions merged, what differs between two. */
package org.myrialith.gadget.edit;
