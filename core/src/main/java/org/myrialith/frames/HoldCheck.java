package org.myrialith.frames;

import java.util.List;
import org.myrialith.finding.Calculation;

/**
 * Whether a player is quick enough for a show.
 *
 * @param late moments that are held shorter than it takes to send them and compose the next
 * @param worstSeconds the longest it takes
 * @param worstHoldMillis the hold of the first moment that is late; 0 when none is
 * @param working how that is calculated
 */
public record HoldCheck(
    long late, double worstSeconds, int worstHoldMillis, List<Calculation> working) {
  public HoldCheck {
    working = List.copyOf(working);
  }
}
