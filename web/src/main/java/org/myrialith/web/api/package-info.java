/** The JSON API under /api/v1. */
package org.myrialith.web.api;
