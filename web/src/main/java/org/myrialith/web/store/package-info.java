/**
 * Projects with their revisions in PostgreSQL.
 *
 * <p>A revision never changes. An edit names the revision it started from; when another became the
 * head meanwhile, the edit is kept as a revision beside the line and the maker is told.
 */
package org.myrialith.web.store;
