/** Puts the first gadgets on an empty shelf. */
package org.myrialith.web.demo;
