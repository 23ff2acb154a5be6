/** Gadgets to look at first: nothing comes in, whole gadgets go out. */
package org.myrialith.demo;
