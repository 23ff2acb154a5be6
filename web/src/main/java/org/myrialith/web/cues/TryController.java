package org.myrialith.web.cues;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.InputState;
import org.myrialith.cue.table.Row;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.gadget.plan.GadgetPlan;
import org.myrialith.web.frames.ImageBench;
import org.myrialith.web.pages.ProjectPages;
import org.myrialith.web.pages.SeenPlaces;
import org.myrialith.web.store.NotThereException;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/**
 * Trying cues: the same engine as in the firmware, from power on with all that was done since. What
 * it answers depends on nothing but what is asked, so that any process can.
 */
@Controller
@RequestMapping("/gadgets/{id}/cues/try")
class TryController {
  /** As long as a try lasts (ms). */
  private static final int MOST_MILLIS = 600_000;

  private static final int MOST_EVENTS = 4_000;

  /** In place of an input: power goes off, and on again at once. */
  private static final int POWER = 99;

  /** Most of what is answered at once. */
  private static final int MOST_FRAMES = 600;

  private final ProjectPages pages;
  private final ImageBench bench;

  TryController(ProjectPages pages, ImageBench bench) {
    this.pages = pages;
    this.bench = bench;
  }

  /**
   * What happens from one time to another.
   *
   * @param places x, y of each emitter (mm)
   * @param areas what is seen as more than dots
   * @param frames time (ms) and red, green, blue of each emitter in base 64
   * @param log what fired and left, and when (ms)
   * @param on what is on at the end, the topmost first, each with how long it stays
   * @param values at the end, by their names
   */
  record Tried(
      List<Double> box,
      double[] places,
      List<double[]> areas,
      List<Object[]> frames,
      List<Object[]> log,
      List<String> on,
      Map<String, Integer> values) {}

  @PostMapping
  @ResponseBody
  ResponseEntity<Object> tried(
      @PathVariable UUID id,
      @RequestParam int from,
      @RequestParam int until,
      @RequestParam(defaultValue = "-1") int since,
      @RequestParam(defaultValue = "") String events) {
    GadgetPlan plan = pages.open(id).plan();
    CueTable table = plan.cueTable().orElseThrow(NotThereException::new);
    try {
      Bounds.count(0, MOST_MILLIS, "ms").require("until", until);
      Bounds.count(0, until, "ms").require("from", from);
      List<int[]> hands = hands(events, table);
      return ResponseEntity.ok(
          bench.inTurn(() -> play(plan, table, new Span(from, until, since), hands)));
    } catch (InputException e) {
      return ResponseEntity.ok(Map.of("errors", e.errors()));
    }
  }

  /** Time, input and reading of each thing that was done. */
  private static List<int[]> hands(String text, CueTable table) {
    String[] all = text.isBlank() ? new String[0] : text.split(",");
    if (all.length > MOST_EVENTS) {
      throw new InputException("events", all.length, "at most " + MOST_EVENTS);
    }
    List<int[]> hands = new ArrayList<>();
    for (String one : all) {
      if (!one.matches("\\d{1,6}:\\d{1,2}:\\d{1,3}")) {
        throw new InputException("events", one, "time, input and reading");
      }
      int[] parts = Arrays.stream(one.split(":")).mapToInt(Integer::parseInt).toArray();
      if (parts[1] != POWER) {
        Bounds.count(0, table.senses().size() - 1).require("input", parts[1]);
        Bounds.count(0, most(table.senses().get(parts[1]).sort())).require("reading", parts[2]);
      }
      hands.add(parts);
    }
    return hands;
  }

  private static int most(InputState.Sort sort) {
    return switch (sort) {
      case ON_OFF -> 1;
      case ROTARY -> 3;
      case ANALOGUE, SERIAL -> 255;
    };
  }

  /**
   * What is asked for.
   *
   * @param from and {@code until}: the frames (ms)
   * @param since what happened later than that (ms)
   */
  private record Span(int from, int until, int since) {}

  private static Tried play(GadgetPlan plan, CueTable table, Span span, List<int[]> hands) {
    Run run = new Run(table);
    List<Object[]> frames = new ArrayList<>();
    byte[] seen = plan.seen(run.engine.levels());
    boolean stale = false;
    int next = 0;
    while (run.now() < span.until) {
      int now = run.now() + table.tickMillis();
      int before = run.now();
      while (next < hands.size() && hands.get(next)[0] <= now) {
        stale |= run.obey(hands.get(next++));
      }
      if (now > span.from && frames.isEmpty()) {
        frames.add(frame(before, stale ? plan.seen(run.engine.levels()) : seen));
      }
      boolean changed = run.tick();
      stale |= changed;
      if (changed && now > span.from && frames.size() < MOST_FRAMES) {
        frames.add(frame(run.now(), plan.seen(run.engine.levels())));
      }
    }
    if (frames.isEmpty()) {
      frames.add(frame(run.now(), plan.seen(run.engine.levels())));
    }
    return new Tried(
        SeenPlaces.box(plan),
        SeenPlaces.places(plan),
        SeenPlaces.areas(plan),
        frames,
        run.log(span.since),
        on(run.engine, table),
        values(run.engine, table));
  }

  /** The engine, and what was done to it; power may go off and on in between. Mutable. */
  private static final class Run {
    private final CueTable table;
    private final int[] readings;
    private final List<Object[]> log = new ArrayList<>();
    private CueEngine engine;
    private int began;
    private boolean anew;

    Run(CueTable table) {
      this.table = table;
      engine = new CueEngine(table);
      readings = new int[table.senses().size()];
      for (int s = 0; s < readings.length; s++) {
        readings[s] = table.senses().get(s).sort() == InputState.Sort.ANALOGUE ? 255 : 0;
      }
    }

    int now() {
      return began + engine.nowMillis();
    }

    /** Returns whether anything else is shown at once. */
    boolean obey(int[] hand) {
      if (hand[1] == POWER) {
        note();
        began = now();
        engine = new CueEngine(engine.afterPowerOff());
        log.add(new Object[] {began, "Power", "off and on"});
        anew = true;
        return true;
      }
      if (table.senses().get(hand[1]).sort() == InputState.Sort.SERIAL) {
        engine.receive(String.valueOf((char) hand[2]));
      } else {
        readings[hand[1]] = hand[2];
      }
      return false;
    }

    boolean tick() {
      boolean changed = engine.tick(readings) || anew;
      anew = false;
      return changed;
    }

    private void note() {
      for (CueEngine.Happened one : engine.happened()) {
        Row row = table.rows().get(one.row());
        String why = one.fired() ? row.cue().when().words() : "leaves";
        log.add(new Object[] {began + one.atMillis(), row.cue().name(), why});
      }
    }

    List<Object[]> log(int since) {
      note();
      return log.stream().filter(one -> (int) one[0] > since).toList();
    }
  }

  private static Object[] frame(int at, byte[] rgb) {
    return new Object[] {at, Base64.getEncoder().encodeToString(rgb)};
  }

  private static List<String> on(CueEngine engine, CueTable table) {
    List<String> all = new ArrayList<>();
    for (int cue : engine.shown()) {
      int left = engine.leavesIn(cue);
      String stays = !engine.on(cue) ? ", goes" : left < 0 ? "" : ", " + left + " ms left";
      all.add(0, table.rows().get(cue).cue().name() + stays);
    }
    return all;
  }

  private static Map<String, Integer> values(CueEngine engine, CueTable table) {
    Map<String, Integer> all = new LinkedHashMap<>();
    for (int v = 0; v < table.values().size(); v++) {
      if (!table.values().get(v).name().isEmpty()) {
        all.put(table.values().get(v).name(), engine.value(v));
      }
    }
    return all;
  }
}
