package org.myrialith.firmware;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.colour.Levels;
import org.myrialith.drive.CircuitPlan;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.formats.ValueChangeDump;
import org.myrialith.frames.Show;

/** The data lines over the first moments, as the board file drives them. */
record Waveform(FirmwareWork work) {
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

  /** From the end of one line to the start of the next (ns). */
  private static final long BETWEEN_LINES_NANOS = 3_000;

  /** Returns the number of moments in the dump, at least 1. */
  int moments() {
    int edges = work.sent().wiring().bufferBytes() * 8 * 2;
    int listed = work.sent().show().moments().size();
    return Math.max(1, Math.min(Math.min(MOST_MOMENTS, listed), MOST_EDGES / Math.max(1, edges)));
  }

  String text() {
    List<CircuitPlan> lines = work.lines();
    List<String> names = new ArrayList<>();
    for (int n = 0; n < lines.size(); n++) {
      names.add(lines.size() == 1 ? "DATA" : "DATA" + (n + 1));
    }
    ValueChangeDump dump = new ValueChangeDump(names);
    long free = LEAD_NANOS;
    for (int m = 0; m < moments(); m++) {
      Show.Moment moment = work.sent().show().moments().get(m);
      long at = Math.max(LEAD_NANOS + moment.startMillis() * NANOS_PER_MILLI, free);
      List<Levels> levels = work.sent().levels(m).stream().filter(l -> l.size() > 0).toList();
      for (int n = 0; n < lines.size(); n++) {
        at = frame(dump, n, at, levels.get(n)) + (n + 1 < lines.size() ? BETWEEN_LINES_NANOS : 0);
      }
      free = at + FirmwareTarget.gapMicros(lines) * 1000L;
    }
    return dump.end(free + TAIL_NANOS);
  }

  private static long frame(ValueChangeDump dump, int wire, long start, Levels levels) {
    long at = start;
    for (int channel = 0; channel < levels.size(); channel++) {
      for (int bit = 7; bit >= 0; bit--) {
        boolean one = (levels.at(channel) >> bit & 1) == 1;
        dump.set(wire, at, true);
        dump.set(wire, at + (one ? HIGH_FOR_1_NANOS : HIGH_FOR_0_NANOS), false);
        at += OneWirePixels.BIT_NANOS;
      }
    }
    return at;
  }
}
