package org.myrialith.firmware;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.colour.Levels;
import org.myrialith.formats.ValueChangeDump;
import org.myrialith.frames.Show;

/** The data lines over the first moments, as the board file drives them. */
record Waveform(FirmwareWork work) {
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
    List<LineDriver> drivers = work.drivers();
    List<String> names = new ArrayList<>();
    StringBuilder rests = new StringBuilder();
    List<Integer> first = new ArrayList<>();
    for (int n = 0; n < drivers.size(); n++) {
      first.add(names.size());
      String number = drivers.size() == 1 ? "" : Integer.toString(n + 1);
      drivers.get(n).wires().forEach(wire -> names.add(wire + number));
      rests.append(drivers.get(n).rests());
    }
    ValueChangeDump dump = new ValueChangeDump(names, rests.toString());
    long free = LEAD_NANOS;
    for (int m = 0; m < moments(); m++) {
      Show.Moment moment = work.sent().show().moments().get(m);
      long at = Math.max(LEAD_NANOS + moment.startMillis() * NANOS_PER_MILLI, free);
      List<Levels> levels = work.sent().levels(m).stream().filter(l -> l.size() > 0).toList();
      for (int n = 0; n < drivers.size(); n++) {
        at =
            drivers.get(n).wave(dump, first.get(n), at, levels.get(n))
                + (n + 1 < drivers.size() ? BETWEEN_LINES_NANOS : 0);
      }
      free = at + Math.max(1, FirmwareTarget.gapMicros(work.lines())) * 1000L;
    }
    return dump.end(free + TAIL_NANOS);
  }
}
