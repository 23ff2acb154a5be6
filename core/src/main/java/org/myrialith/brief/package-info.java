/** What a gadget is for, what runs it and what feeds it. */
package org.myrialith.brief;
