/** The current over the show against the supply. */
package org.myrialith.web.power;
