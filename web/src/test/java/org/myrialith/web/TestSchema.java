package org.myrialith.web;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;

/** Tables for tests beside those of others, in the same database. */
public final class TestSchema {
  private TestSchema() {}

  /** Returns the address of a schema of that name. */
  public static String url(String name) {
    String url = System.getenv("MYRIALITH_DB_URL");
    return url + (url.contains("?") ? "&" : "?") + "currentSchema=" + name;
  }

  /** Returns a connection to it. */
  public static Connection connect(String name) throws SQLException {
    return DriverManager.getConnection(
        url(name), System.getenv("MYRIALITH_DB_USER"), System.getenv("MYRIALITH_DB_PASSWORD"));
  }

  /** Makes it empty and returns its address. */
  static String made(String name) {
    try (Connection connection = connect(name);
        Statement statement = connection.createStatement()) {
      statement.execute("drop schema if exists " + name + " cascade");
      statement.execute("create schema " + name);
      return url(name);
    } catch (SQLException e) {
      throw new IllegalStateException("no schema for tests", e);
    }
  }
}
