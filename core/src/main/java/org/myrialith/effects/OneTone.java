package org.myrialith.effects;

/** What gives all places one colour at a time. */
public sealed interface OneTone extends Effect permits Candle, Lightning, Breathing, Heartbeat {
  /** Returns the colour of all places (0xRRGGBB). */
  int tone(int turn);

  @Override
  default int at(Place place, Places all, int turn) {
    return tone(turn);
  }

  @Override
  default Frame frame(Places all, int turn) {
    int tone = tone(turn);
    return place -> tone;
  }

  @Override
  default boolean flat() {
    return true;
  }
}
