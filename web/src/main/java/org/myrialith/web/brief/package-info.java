/** What the gadget is for, its controller and its supply. */
package org.myrialith.web.brief;
