package org.myrialith.cue.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.myrialith.colour.Levels;
import org.myrialith.cue.engine.CueEngine;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.Value;
import org.myrialith.power.DayCurrents;

/**
 * Plays the cues of a gadget while nobody touches it and adds up what is drawn: of one with a clock
 * at times all over a day, each for some seconds, of others the first half minute after power on.
 *
 * @param darkAmps what the dark gadget draws (A)
 */
public record CueDay(CueTable table, double darkAmps) {
  private static final int SECONDS_A_DAY = 86_400;

  /** Times of a day that are played. */
  private static final int SAMPLES = 25;

  /** Times of which only the beginning is looked at. */
  private static final int TIMES = 288;

  /** Between them, with no factor in common with a day: all digits come alike. */
  private static final int MINUTES_APART = 37;

  private static final int MINUTES_A_DAY = 1440;

  /** Between them as the golden section has it: any number of them is spread evenly (s). */
  private static final int STRIDE = 53_399;

  /** What comes with power on is over by then, mostly (ms). */
  private static final int WARM_UP_MILLIS = 1000;

  private static final int SAMPLE_MILLIS = 1000;
  private static final int WITHOUT_CLOCK_MILLIS = 30_000;

  /** Levels that are looked at, and ticks, at most. */
  private static final long MOST_LEVELS = 3_000_000;

  private static final long MOST_STARTED = 6_000_000;

  private static final long MOST_TICKS = 50_000;

  /** Returns what is drawn. */
  public DayCurrents currents() {
    Player player = new Player(new SentCurrent(table.wiring().plans(), darkAmps));
    if (table.clock() < 0) {
      player.play(table, 0, WITHOUT_CLOCK_MILLIS);
      return player.day(1, 0);
    }
    int samples = 0;
    double beginning = 0;
    while (samples < SAMPLES && (samples == 0 || player.mayGoOn())) {
      long second = (long) samples * STRIDE % SECONDS_A_DAY;
      int begins = Math.floorMod((int) second - WARM_UP_MILLIS / 1000, SECONDS_A_DAY);
      player.play(at(begins), WARM_UP_MILLIS, SAMPLE_MILLIS);
      beginning += player.start(at((int) second));
      samples++;
    }
    mostOfTheDay(player); // first: of a large gadget not all times can be looked at
    return player.day(samples, moreAtOtherTimes(player, beginning / samples));
  }

  /**
   * What is drawn as power comes on is quickly known for many more times of the day: by how much
   * their mean differs from that of the times that were played, the mean of these is corrected (a
   * control variate).
   */
  private double moreAtOtherTimes(Player player, double played) {
    double sum = 0;
    int times = 0;
    while (times < TIMES && player.mayStart()) {
      sum += player.start(at(60 * (times * MINUTES_APART % MINUTES_A_DAY)));
      times++;
    }
    return times == 0 ? 0 : sum / times - played;
  }

  /**
   * Tries each hour, in the one that draws most each minute, in that one each second: what digits
   * light adds up.
   */
  private void mostOfTheDay(Player player) {
    int second = 0;
    for (int[] step : new int[][] {{3600, 24}, {60, 60}, {1, 60}}) {
      int most = second;
      double amps = -1;
      for (int at = 0; at < step[1] && player.mayStart(); at++) {
        double here = player.start(at(second + at * step[0]));
        if (here > amps) {
          amps = here;
          most = second + at * step[0];
        }
      }
      second = most;
    }
  }

  /** The table with its clock set to a second of the day. */
  private CueTable at(int second) {
    List<Value> values = new ArrayList<>(table.values());
    int[] clock = {second % 60, second / 60 % 60, second / 3600};
    for (int i = 0; i < clock.length; i++) {
      values.set(table.clock() + i, values.get(table.clock() + i).beginning(clock[i]));
    }
    return table.beginning(values);
  }

  /** Plays and adds up. Mutable, lives within one day. */
  private static final class Player {
    private final SentCurrent current;
    private final Map<String, Double> railCharge = new HashMap<>();
    private final Map<String, Double> railPeak = new HashMap<>();
    private double charge;
    private double peak;
    private long millis;
    private long levels;
    private long ticks;

    Player(SentCurrent current) {
      this.current = current;
      this.peak = current.darkAmps();
    }

    boolean mayGoOn() {
      return levels < MOST_LEVELS && ticks < MOST_TICKS;
    }

    boolean mayStart() {
      return levels < MOST_STARTED;
    }

    /** Returns what is drawn as power comes on. */
    double start(CueTable table) {
      double amps = drawn(new CueEngine(table).levels()).amps();
      peak = Math.max(peak, amps);
      return amps;
    }

    void play(CueTable table, int warmUp, int measured) {
      CueEngine engine = new CueEngine(table);
      int[] rest = new int[table.senses().size()];
      while (engine.nowMillis() < warmUp) {
        engine.tick(rest);
        ticks++;
      }
      Drawn drawn = drawn(engine.levels());
      while (engine.nowMillis() < warmUp + measured && (millis == 0 || mayGoOn())) {
        int since = engine.nowMillis();
        boolean changed = engine.tick(rest);
        add(drawn, engine.nowMillis() - since);
        drawn = changed ? drawn(engine.levels()) : drawn;
        ticks++;
      }
    }

    private record Drawn(double amps, Map<String, Double> rails) {}

    private void add(Drawn drawn, int millisLong) {
      charge += drawn.amps() * millisLong;
      peak = Math.max(peak, drawn.amps());
      drawn
          .rails()
          .forEach(
              (id, amps) -> {
                railCharge.merge(id, amps * millisLong, Double::sum);
                railPeak.merge(id, amps, Math::max);
              });
      millis += millisLong;
    }

    private Drawn drawn(List<Levels> sent) {
      levels += sent.stream().mapToInt(Levels::size).sum();
      return new Drawn(current.amps(sent), current.railAmps(sent));
    }

    DayCurrents day(int samples, double more) {
      double all = Math.max(1, millis);
      Map<String, Double> railMean = new HashMap<>();
      railCharge.forEach((id, sum) -> railMean.put(id, sum / all));
      return new DayCurrents(
          millis == 0 ? current.darkAmps() : Math.max(current.darkAmps(), charge / all + more),
          peak,
          railMean,
          railPeak,
          samples,
          all / 1000);
    }
  }
}
