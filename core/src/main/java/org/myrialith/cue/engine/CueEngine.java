package org.myrialith.cue.engine;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.myrialith.colour.Levels;
import org.myrialith.cue.Firing;
import org.myrialith.cue.Readout;
import org.myrialith.cue.Stay;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.Row;
import org.myrialith.cue.table.Value;

/**
 * Obeys a table of cues, tick by tick: what the firmware does, step for step in whole numbers.
 * Mutable.
 */
public final class CueEngine {
  /** A cue that is off, on, or on its way out. */
  private static final int OFF = 0;

  private static final int ON = 1;
  private static final int OUT = 2;

  /** Letters of messages that are looked at in one tick, at most. */
  public static final int LETTERS_AT_ONCE = 16;

  /** A weight at which nothing below is seen. */
  static final int WHOLE = 256;

  private final CueTable table;
  private final InputReader senses;
  private final Numbers numbers;
  private final Painter painter;
  private final Running running;
  private final Messages messages;

  /** Of each cue. */
  private final int[] state;

  private final int[] weight;
  private final boolean[] due;
  private final boolean[] was;
  private final boolean[] leaves;
  private final boolean[] ended;
  private final boolean[] seen;
  private final int[] inAt;
  private final int[] leaveAt;
  private final int[] outAt;

  /** How long one takes that is on its way out (ms). */
  private final int[] outMillis;

  /** Of cues that come again and again, milliseconds that are left; of knobs, edges. */
  private final int[] left;

  /** Cues that are on or on their way out, the lowest first. */
  private final List<Integer> order = new ArrayList<>();

  private final List<Happened> log = new ArrayList<>();
  private int now;
  private int idle;
  private int fadeLeft;
  private boolean fading;
  private boolean began;
  private int blinkLeft = Readout.BLINK_MILLIS / 2;
  private boolean blinkOn = true;

  /** Longer than any cue waits for nothing to be done; time beyond is not counted (ms). */
  private static final int LONG_IDLE = 1 << 30;

  /**
   * Something that happened.
   *
   * @param atMillis since power came on (ms)
   * @param row position of the cue
   * @param fired whether it fired; else it left
   */
  public record Happened(int atMillis, int row, boolean fired) {}

  /** Begins as when power comes on; what is shown then is painted. */
  public CueEngine(CueTable table) {
    this.table = table;
    this.senses = new InputReader(table.senses(), table.tickMillis());
    this.numbers = new Numbers(table);
    this.painter = new Painter(table);
    this.running = new Running(table);
    this.messages = new Messages(table);
    int cues = table.rows().size();
    state = new int[cues];
    weight = new int[cues];
    due = new boolean[cues];
    was = new boolean[cues];
    leaves = new boolean[cues];
    ended = new boolean[cues];
    seen = new boolean[cues];
    inAt = new int[cues];
    leaveAt = new int[cues];
    outAt = new int[cues];
    outMillis = new int[cues];
    left = new int[cues];
    fadeLeft = table.fadeMillis();
    for (int cue = 0; cue < cues; cue++) {
      if (row(cue).kind() == Firing.By.EVERY) {
        left[cue] = drawn(cue);
      }
    }
    began = true;
    obey();
    began = false;
    show();
  }

  private Row row(int cue) {
    return table.rows().get(cue);
  }

  /**
   * Goes on by a tick.
   *
   * @param readings of all inputs: 1 for on, 0 to 255 of a sensor, 0 to 3 of a knob
   * @return whether anything else is shown
   */
  public boolean tick(int[] readings) {
    now += table.tickMillis();
    numbers.pass();
    blink();
    fadeLeft -= table.tickMillis();
    fading = fadeLeft <= 0;
    if (fading) {
      fadeLeft = table.fadeMillis();
    }
    idle = Math.min(idle, LONG_IDLE) + table.tickMillis();
    if (senses.look(readings) | messages.look(numbers)) {
      idle = 0;
    }
    leaveInTime();
    running.pass(order, this::stands, painter);
    obey();
    return show();
  }

  /** Letters come in by the serial port, to be looked at from the next tick on. */
  public void receive(String letters) {
    messages.come(letters);
  }

  /** Returns the table with which it would begin if power went off and on now. */
  public CueTable afterPowerOff() {
    List<Value> begun = new ArrayList<>();
    for (int value = 0; value < table.values().size(); value++) {
      Value own = table.values().get(value);
      boolean goesOn = !table.chip().isEmpty() && value >= table.clock();
      begun.add(
          goesOn
              ? own.beginning(numbers.now[value])
              : own.kept() ? own.beginning(numbers.saved[value]) : own);
    }
    return table.beginning(begun);
  }

  /** Returns how often values were kept. */
  public int keeps() {
    return numbers.keeps;
  }

  /**
   * Goes on while nobody touches anything.
   *
   * @param untilMillis since power came on (ms)
   * @param changed told of each time when anything else is shown
   */
  public void untouched(int untilMillis, Runnable changed) {
    int[] rest = new int[table.senses().size()];
    while (now < untilMillis) {
      if (tick(rest)) {
        changed.run();
      }
    }
  }

  private void blink() {
    blinkLeft -= table.tickMillis();
    if (blinkLeft <= 0) {
      blinkLeft += Readout.BLINK_MILLIS / 2;
      blinkOn = !blinkOn;
      painter.blinked(order, this::scene);
    }
  }

  private int scene(int cue) {
    return row(cue).scene();
  }

  /** What was shown once stands at its end while it goes. */
  private boolean stands(int cue) {
    return state[cue] == OUT && row(cue).cue().stay() == Stay.ONCE;
  }

  /** Whose time is over. */
  private void leaveInTime() {
    for (int cue = 0; cue < table.rows().size(); cue++) {
      if (state[cue] == ON && leaves[cue] && now - leaveAt[cue] >= 0) {
        leave(cue);
      }
      if (state[cue] == OUT && now - outAt[cue] >= outMillis[cue]) {
        off(cue);
      }
      seen[cue] = ended[cue];
      ended[cue] = false;
    }
  }

  /** All cues in their order: who leaves as what made it fire is over, who fires. */
  private void obey() {
    compareAll();
    for (int cue = 0; cue < table.rows().size(); cue++) {
      boolean fires = fires(cue);
      if (state[cue] == ON && row(cue).cue().stay() == Stay.WHILE && !lasts(cue)) {
        leave(cue);
      }
      if (fires && numbers.holds(row(cue).onlys())) {
        fire(cue);
      }
    }
  }

  private boolean lasts(int cue) {
    return row(cue).kind() == Firing.By.PRESS ? senses.state[row(cue).sense()] == 1 : was[cue];
  }

  private boolean fires(int cue) {
    Row row = row(cue);
    return switch (row.kind()) {
      case POWER_ON -> began;
      case PRESS -> (senses.events[row.sense()] & 1 << row.a()) != 0;
      case TURNED -> notch(cue, row);
      case ABOVE ->
          began(cue, !began && senses.state[row.sense()] >= (was[cue] ? row.b() : row.a()));
      case BELOW ->
          began(cue, !began && senses.state[row.sense()] < (was[cue] ? row.b() : row.a()));
      case RECEIVED -> messages.received == row.a();
      case BECOMES -> due(cue, row);
      case ENDED -> seen[row.a()];
      case IDLE -> began(cue, idle >= row.a());
      case EVERY -> again(cue);
    };
  }

  /** At the beginning it is compared in its turn. */
  private boolean due(int cue, Row row) {
    boolean was = due[cue];
    due[cue] = false;
    return began && began(cue, numbers.holds(row.whens())) || was;
  }

  /**
   * Each list of changes that makes a condition hold makes its cue due, though the next one undo it
   * before the cue is asked.
   */
  private void compareAll() {
    if (!numbers.moved()) {
      return;
    }
    for (int cue = 0; cue < table.rows().size(); cue++) {
      Row row = row(cue);
      if (row.kind() == Firing.By.BECOMES && began(cue, numbers.holds(row.whens()))) {
        due[cue] = true;
      }
    }
  }

  private boolean began(int cue, boolean holds) {
    boolean anew = holds && !was[cue];
    was[cue] = holds;
    return anew;
  }

  private boolean notch(int cue, Row row) {
    int event = senses.events[row.sense()];
    int own = row.a() == 1 ? 1 : 2;
    if (event == own) {
      left[cue]++;
    } else if (event != 0 && left[cue] > 0) {
      left[cue]--;
    }
    if (left[cue] < row.b()) {
      return false;
    }
    left[cue] = 0;
    return true;
  }

  private boolean again(int cue) {
    if (began) {
      return false;
    }
    left[cue] -= table.tickMillis();
    if (left[cue] > 0) {
      return false;
    }
    left[cue] += drawn(cue);
    return true;
  }

  private int drawn(int cue) {
    int span = row(cue).b() - row(cue).a() + 1;
    return row(cue).a() + (span == 1 ? 0 : numbers.any(span));
  }

  private void fire(int cue) {
    Row row = row(cue);
    log.add(new Happened(now, cue, true));
    numbers.set(row.thens());
    compareAll();
    clearOthers(cue, row);
    if (row.scene() < 0) {
      return;
    }
    if (state[cue] == OFF) {
      inAt[cue] = now;
    } else {
      if (state[cue] == OUT) { // on from where it is
        inAt[cue] = now - (come(cue) * row.cue().fadeIn() >> 8);
      }
      order.remove(Integer.valueOf(cue));
      painter.touch(row.scene());
    }
    put(cue);
    state[cue] = ON;
    weight[cue] = -1;
    stay(cue);
    running.start(row.scene());
    painter.touch(row.scene());
  }

  /** What a scene comes over stays until it has come; where none comes, it goes softly itself. */
  private void clearOthers(int cue, Row row) {
    int in = row.cue().fadeIn();
    for (int other = 0; other < table.rows().size(); other++) {
      boolean cleared =
          row.cue().clears().clears(row.cue().priority(), row(other).cue().priority());
      if (other == cue || state[other] != ON || !cleared) {
        continue;
      }
      if (in > 0 && row.scene() < 0) {
        leave(other, in);
        continue;
      }
      leaveAt[other] = leaves[other] ? Math.min(leaveAt[other], now + in) : now + in;
      leaves[other] = true;
      if (in == 0) {
        leave(other);
      }
    }
  }

  /** On top of all that have no higher priority. */
  private void put(int cue) {
    int at = order.size();
    while (at > 0 && row(order.get(at - 1)).cue().priority() > row(cue).cue().priority()) {
      at--;
    }
    order.add(at, cue);
  }

  private void stay(int cue) {
    Row row = row(cue);
    leaves[cue] = row.cue().stay() == Stay.ONCE || row.cue().stay() == Stay.TIMED;
    if (leaves[cue]) {
      leaveAt[cue] =
          now
              + (row.cue().stay() == Stay.ONCE
                  ? table.scenes().get(row.scene()).lengthMillis()
                  : row.cue().stayMillis());
    }
  }

  private void leave(int cue) {
    leave(cue, row(cue).cue().fadeOut());
  }

  private void leave(int cue, int overMillis) {
    log.add(new Happened(now, cue, false));
    state[cue] = OUT;
    leaves[cue] = false;
    outAt[cue] = now;
    outMillis[cue] = overMillis;
    ended[cue] = true;
    weight[cue] = -1;
    if (overMillis == 0) {
      off(cue);
    }
  }

  private void off(int cue) {
    state[cue] = OFF;
    order.remove(Integer.valueOf(cue));
    painter.touch(row(cue).scene());
  }

  /** Weighs what fades, and paints what changed. */
  private boolean show() {
    for (int cue : order) {
      boolean fades = weight[cue] < 0 || fading && (weight[cue] < WHOLE || state[cue] == OUT);
      if (fades) {
        int fresh = weighed(cue);
        if (fresh != weight[cue]) {
          weight[cue] = fresh;
          painter.touch(row(cue).scene());
        }
      }
    }
    painter.changed(numbers.changed, order, this::scene);
    numbers.changed = 0;
    int[] scenes = new int[order.size()];
    int[] weights = new int[order.size()];
    for (int i = 0; i < scenes.length; i++) {
      scenes[i] = row(order.get(i)).scene();
      weights[i] = weight[order.get(i)];
    }
    return painter.paint(scenes, weights, running, numbers, blinkOn);
  }

  /** By the square, which the eye takes for even. */
  private int weighed(int cue) {
    int come = come(cue);
    return come * come >> 8;
  }

  /** How far a cue has come, of {@link #WHOLE}. */
  private int come(int cue) {
    int in = row(cue).cue().fadeIn();
    int since = now - inAt[cue];
    int come = since < in ? since * WHOLE / in : WHOLE;
    return state[cue] == OUT
        ? Math.min(come, WHOLE - (now - outAt[cue]) * WHOLE / outMillis[cue])
        : come;
  }

  /** Returns what each circuit is sent at present. */
  public List<Levels> levels() {
    return painter.levels();
  }

  /** Returns the time since power came on (ms). */
  public int nowMillis() {
    return now;
  }

  /** Returns what a value is at present. */
  public int value(int number) {
    return numbers.now[number];
  }

  /** Returns what happened since it was last asked for. */
  public List<Happened> happened() {
    List<Happened> all = List.copyOf(log);
    log.clear();
    return all;
  }

  /** Returns the positions of cues that are on or on their way out, the lowest first. */
  public List<Integer> shown() {
    return List.copyOf(order);
  }

  /** Returns whether a cue is on; else it is off or on its way out. */
  public boolean on(int cue) {
    return state[cue] == ON;
  }

  /** Returns the milliseconds until a cue leaves by itself; -1 when it does not. */
  public int leavesIn(int cue) {
    return state[cue] == ON && leaves[cue] ? leaveAt[cue] - now : -1;
  }

  @Override
  public String toString() {
    return now + " ms " + order + " " + Arrays.toString(numbers.now);
  }
}
