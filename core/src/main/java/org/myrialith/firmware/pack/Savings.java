package org.myrialith.firmware.pack;

import java.util.List;
import org.myrialith.finding.Remedy;

/**
 * What would make frames fit that take too much flash.
 *
 * @param ways that were tried and leave room
 * @param untried what was not tried, as it would take too long; empty for nothing
 */
public record Savings(List<Remedy> ways, String untried) {
  /** There is room already. */
  public static final Savings NONE = new Savings(List.of(), "");

  public Savings {
    ways = List.copyOf(ways);
  }
}
