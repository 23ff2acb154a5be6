/** Undo, redo, and two versions side by side. */
package org.myrialith.web.versions;
