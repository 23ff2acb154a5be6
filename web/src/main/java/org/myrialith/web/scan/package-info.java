/** What is seen of lights that have their turns, and of what moves. */
package org.myrialith.web.scan;
