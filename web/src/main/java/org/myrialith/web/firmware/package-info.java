/** What the maker takes away. */
package org.myrialith.web.firmware;
