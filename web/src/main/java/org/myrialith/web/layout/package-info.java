/** Fixtures drawn to scale with the way of the data; moved by mouse, keys or numbers. */
package org.myrialith.web.layout;
