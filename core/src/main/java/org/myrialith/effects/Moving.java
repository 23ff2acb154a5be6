package org.myrialith.effects;

/** What has things that move: where they are is worked out once for all places of a frame. */
public sealed interface Moving extends Effect permits Bubbles, Rain, Fireflies {
  /** Returns how many there are. */
  int amount();

  @Override
  Frame frame(Places all, int turn);

  @Override
  default int at(Place place, Places all, int turn) {
    return frame(all, turn).at(place);
  }
}
