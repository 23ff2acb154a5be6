package org.myrialith.effects;

/** What has things that move: where they are is worked out once for all places of a frame. */
public sealed interface Moving extends Effect permits Bubbles, Rain, Fireflies {
  /** Returns how many there are. */
  int amount();

  /**
   * Returns how often one of them is looked at closely in a frame, as it may reach a place, over
   * all places: what the time of working the frame out hangs on.
   */
  long weighed(Places all, int turn);

  @Override
  Frame frame(Places all, int turn);

  @Override
  default int at(Place place, Places all, int turn) {
    return frame(all, turn).at(place);
  }
}
