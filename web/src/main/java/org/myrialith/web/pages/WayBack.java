package org.myrialith.web.pages;

import java.util.regex.Pattern;

/** Where a maker was: a layer's page and what was picked there, as a request brings it along. */
public final class WayBack {
  private static final Pattern QUERY = Pattern.compile("[\\w=&,.%~+-]{0,500}");

  private WayBack() {}

  /** Returns the last part of an address within a project; the layout for anything odd. */
  public static String of(String said) {
    int mark = said.indexOf('?');
    String page = Sheet.page(mark < 0 ? said : said.substring(0, mark));
    String query = mark < 0 ? "" : said.substring(mark + 1);
    boolean there = said.startsWith(page) && QUERY.matcher(query).matches();
    return there && !query.isEmpty() ? page + "?" + query : page;
  }
}
