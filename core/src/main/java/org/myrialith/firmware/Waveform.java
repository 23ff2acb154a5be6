package org.myrialith.firmware;

import org.myrialith.colour.Levels;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.formats.ValueChangeDump;
import org.myrialith.frames.Show;

/**
 * The data line over the first moments, as the board file drives it.
 *
 * @param sent what goes down the line
 */
record Waveform(SentMoments sent) {
  /** High for a 0: 6 cycles at 16 MHz (ns). */
  static final int HIGH_FOR_0_NANOS = 375;

  /** High for a 1: 13 cycles at 16 MHz, 812.5 rounded (ns). */
  static final int HIGH_FOR_1_NANOS = 813;

  /** Enough for a look, and a file that any viewer opens. */
  private static final int MOST_MOMENTS = 4;

  private static final int MOST_EDGES = 400_000;
  private static final long LEAD_NANOS = 1_000_000;
  private static final long TAIL_NANOS = 1_000_000;
  private static final long NANOS_PER_MILLI = 1_000_000;

  /** Returns the number of moments in the dump, at least 1. */
  int moments() {
    int edges = sent.work().chain().bufferBytes() * 8 * 2;
    return Math.max(
        1, Math.min(Math.min(MOST_MOMENTS, sent.count()), MOST_EDGES / Math.max(1, edges)));
  }

  String text() {
    ValueChangeDump dump = new ValueChangeDump("DATA");
    long free = LEAD_NANOS;
    for (int m = 0; m < moments(); m++) {
      Show.Moment moment = sent.work().show().moments().get(m);
      long due = LEAD_NANOS + moment.startMillis() * NANOS_PER_MILLI;
      free =
          frame(dump, Math.max(due, free), sent.levels(m))
              + sent.work().chain().circuit().latchGapMicros() * 1000L;
    }
    return dump.end(free + TAIL_NANOS);
  }

  private static long frame(ValueChangeDump dump, long start, Levels levels) {
    long at = start;
    for (int channel = 0; channel < levels.size(); channel++) {
      for (int bit = 7; bit >= 0; bit--) {
        boolean one = (levels.at(channel) >> bit & 1) == 1;
        dump.set(at, true);
        dump.set(at + (one ? HIGH_FOR_1_NANOS : HIGH_FOR_0_NANOS), false);
        at += OneWirePixels.BIT_NANOS;
      }
    }
    return at;
  }
}
