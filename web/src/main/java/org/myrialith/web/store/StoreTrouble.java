package org.myrialith.web.store;

import java.sql.SQLException;

/** What is wrong when the database does not do its part, in words for the maker. */
public final class StoreTrouble {
  /** SQLSTATE of a full disk (PostgreSQL, appendix A). */
  private static final String DISK_FULL = "53100";

  private StoreTrouble() {}

  /** Returns what happened and what to do. */
  public static String words(Throwable thrown) {
    for (Throwable at = thrown; at != null; at = at.getCause() == at ? null : at.getCause()) {
      if (at instanceof SQLException sql && DISK_FULL.equals(sql.getSQLState())) {
        return "The disk is full: nothing can be saved. Free some space, then send it again;"
            + " what was saved before is safe.";
      }
    }
    return "The database does not answer; it restarts by itself within seconds. Wait a"
        + " moment, then try again; what was saved before is safe. If it persists, stop and"
        + " start the application.";
  }
}
