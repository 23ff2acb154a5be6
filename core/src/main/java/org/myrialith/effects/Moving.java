package org.myrialith.effects;

/** What has things that move: where they are is worked out once for all places of a frame. */
public sealed interface Moving extends Effect permits Bubbles, Rain, Fireflies {
  /** Returns how many there are. */
  int amount();

  /**
   * What the time of working a frame out hangs on, summed over all places.
   *
   * @param looks how often it is worked out how far one of them is
   * @param close how often one is near enough to shine there
   */
  record Effort(long looks, long close) {}

  /** Returns that of a frame. */
  Effort effort(Places all, int turn);

  @Override
  Frame frame(Places all, int turn);

  @Override
  default int at(Place place, Places all, int turn) {
    return frame(all, turn).at(place);
  }

  @Override
  default int movers() {
    return amount();
  }

  @Override
  default double moreCycles(Footprint.Cost cost, Places all, int turn, int pixels) {
    Effort effort = effort(all, turn);
    double most = (double) pixels * amount(); // of a run of a fixture, not of all
    return amount() * cost.beginEach()
        + most * cost.glance()
        + Math.min(most, effort.looks()) * cost.look()
        + Math.min(most, effort.close()) * cost.close();
  }
}
