package org.myrialith.firmware.export;

import java.util.ArrayList;
import java.util.List;
import org.myrialith.colour.Levels;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.firmware.line.LineDriver;
import org.myrialith.firmware.player.FirmwareWork;
import org.myrialith.firmware.target.FirmwareTarget;
import org.myrialith.formats.ValueChangeDump;

/** The data lines over the first moments, as the board file drives them. */
public record Waveform(FirmwareWork work) {
  /** Enough for a look, and a file that any viewer opens. */
  private static final int MOST_MOMENTS = 4;

  private static final int MOST_WAITED_MILLIS = 10_000;
  private static final int MOST_EDGES = 400_000;
  private static final long LEAD_NANOS = 1_000_000;
  private static final long TAIL_NANOS = 1_000_000;
  private static final long NANOS_PER_MILLI = 1_000_000;

  /** From the end of one line to the start of the next (ns). */
  private static final long BETWEEN_LINES_NANOS = 3_000;

  /** Returns the number of moments in the dump, at least 1. */
  int moments() {
    int edges = work.sent().wiring().bufferBytes() * 8 * 2;
    int listed = work.cues().isPresent() ? shown().size() : work.sent().show().moments().size();
    return Math.max(1, Math.min(Math.min(MOST_MOMENTS, listed), MOST_EDGES / Math.max(1, edges)));
  }

  /** What is sent at a time (ms). */
  private record Shown(long atMillis, List<Levels> levels) {}

  /** The first that is sent: of the show, or with cues as long as nobody touches anything. */
  private List<Shown> shown() {
    List<Shown> all = new ArrayList<>();
    if (work.cues().isEmpty()) {
      for (int m = 0; m < moments(); m++) {
        long at = work.sent().show().moments().get(m).startMillis();
        all.add(new Shown(at, work.sent().levels(m)));
      }
      return all;
    }
    CueTable table = work.cues().get();
    CueEngine engine = new CueEngine(table);
    all.add(new Shown(0, engine.levels()));
    int[] untouched = new int[table.senses().size()];
    while (all.size() < MOST_MOMENTS && engine.nowMillis() < MOST_WAITED_MILLIS) {
      if (engine.tick(untouched)) {
        all.add(new Shown(engine.nowMillis(), engine.levels()));
      }
    }
    return all;
  }

  public String text() {
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
    for (Shown one : shown().subList(0, moments())) {
      long at = Math.max(LEAD_NANOS + one.atMillis() * NANOS_PER_MILLI, free);
      List<Levels> levels = one.levels().stream().filter(l -> l.size() > 0).toList();
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
