package org.myrialith.voltagedrop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * Where to feed a chain: the fewest places that keep every pixel within a drop, and of those the
 * places whose worst pixel gets most.
 *
 * <p>For each number of feeds, they begin where parts of equal current have their middles, and are
 * moved one by one by steps that halve, as long as the worst pixel gains.
 *
 * @param gaps as those of {@link RailNetwork}
 * @param amps of each pixel
 * @param feedOhms of each feed, one way (ohm)
 */
record Injection(double[] gaps, double[] amps, double feedOhms) {
  /**
   * Places of feeds.
   *
   * @param at pixels, ascending
   * @param drop of the worst pixel, one way (V)
   */
  record Places(List<Integer> at, double drop) {}

  /** Places by equal currents are that much worse than the best at most (by trial). */
  private static final double FAR_OFF = 2;

  /** Returns the fewest that keep all within a drop, one way (V); empty where none do. */
  Optional<Places> within(double most) {
    int limit = Math.min(RailSettings.MOST_FEEDS, amps.length);
    int feeds = leastFeeds(most);
    int fails = feeds - 1;
    Optional<Places> found = Optional.empty();
    while (feeds <= limit && found.isEmpty()) {
      found = within(most, feeds);
      if (found.isEmpty()) {
        fails = feeds;
        feeds = feeds < limit ? Math.min(limit, 2 * feeds) : limit + 1;
      }
    }
    // more feeds are never worse: between one number that fails and one that does, halving finds it
    while (found.isPresent() && feeds - fails > 1) {
      int middle = feeds + fails >>> 1;
      Optional<Places> fewer = within(most, middle);
      if (fewer.isPresent()) {
        found = fewer;
        feeds = middle;
      } else {
        fails = middle;
      }
    }
    return found;
  }

  /** The feed that carries most carries the mean at least. */
  private int leastFeeds(double most) {
    double all = 0;
    for (double one : amps) {
      all += one;
    }
    double feeds = most > 0 ? Math.ceil(all * feedOhms / most) : Double.MAX_VALUE;
    return (int) Math.max(1, Math.min(RailSettings.MOST_FEEDS + 1.0, feeds));
  }

  private Optional<Places> within(double most, int feeds) {
    if (drop(middles(feeds)) > FAR_OFF * most) {
      return Optional.empty();
    }
    Places best = of(feeds);
    return best.drop() <= most ? Optional.of(best) : Optional.empty();
  }

  /** Returns the best places of so many feeds. */
  Places of(int feeds) {
    int[] at = middles(feeds);
    double drop = drop(at);
    for (int step = Math.max(1, amps.length / (4 * feeds)); step >= 1; step /= 2) {
      boolean moved = true;
      for (int round = 0; moved && round < (step == 1 ? 8 : 3); round++) {
        moved = false;
        for (int feed = 0; feed < feeds; feed++) {
          for (int way = -step; way <= step; way += 2 * step) {
            int[] other = at.clone();
            other[feed] += way;
            if (apart(other)) {
              double there = drop(other);
              if (there < drop - 1e-12) {
                drop = there;
                at = other;
                moved = true;
              }
            }
          }
        }
      }
    }
    List<Integer> places = new ArrayList<>(new TreeSet<>(IntStream.of(at).boxed().toList()));
    return new Places(places, drop);
  }

  private int[] middles(int feeds) {
    double all = 0;
    for (double one : amps) {
      all += one;
    }
    int[] at = new int[feeds];
    double sum = 0;
    int next = 0;
    for (int i = 0; i < amps.length && next < feeds; i++) {
      sum += amps[i];
      while (next < feeds && sum >= all * (2 * next + 1) / (2.0 * feeds)) {
        at[next] = Math.max(i, next == 0 ? 0 : at[next - 1] + 1);
        next++;
      }
    }
    for (int feed = feeds - 1; feed >= 0; feed--) {
      int most = feed == feeds - 1 ? amps.length - 1 : at[feed + 1] - 1;
      at[feed] = Math.min(at[feed], most);
    }
    return at;
  }

  /** Whether all are on the chain, each at a pixel of its own. */
  private boolean apart(int[] at) {
    return IntStream.of(at).allMatch(one -> one >= 0 && one < amps.length)
        && IntStream.of(at).distinct().count() == at.length;
  }

  private double drop(int[] at) {
    List<RailNetwork.Tap> taps =
        IntStream.of(at).mapToObj(one -> new RailNetwork.Tap(one, feedOhms)).toList();
    double most = 0;
    for (double drop : new RailNetwork(gaps, taps).drops(amps)) {
      most = Math.max(most, drop);
    }
    return most;
  }
}
