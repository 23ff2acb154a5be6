/** The curve from asked values to levels. */
package org.myrialith.web.colour;
