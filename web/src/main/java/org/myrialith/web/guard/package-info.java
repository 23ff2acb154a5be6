/** What keeps strangers out: forgery tokens, content policy, and no answers to foreign hosts. */
package org.myrialith.web.guard;
