package org.myrialith.cue.engine;

import java.util.List;
import org.myrialith.cue.Press;
import org.myrialith.cue.table.InputState;

/**
 * What inputs tell, made of looks at their pins. Mutable; the same steps in the same order as in
 * the firmware.
 */
final class InputReader {
  private static final int DOWN = bit(Press.How.DOWN);
  private static final int UP = bit(Press.How.UP);
  private static final int SHORT = bit(Press.How.SHORT);
  private static final int DOUBLE = bit(Press.How.DOUBLE);
  private static final int LONG = bit(Press.How.LONG);
  private static final int AGAIN = bit(Press.How.AGAIN);

  /** What a rotary knob does from one state of its pins to the next, by four times the old one. */
  private static final int[] STEPS = {0, 1, -1, 0, -1, 0, 0, 1, 1, 0, 0, -1, 0, -1, 1, 0};

  private final List<InputState> senses;
  private final int tick;

  /** Milliseconds until the next look. */
  final int[] look;

  /** Looks, the last in the lowest bit; of a rotary knob its pins. */
  final int[] looks;

  /** What is believed: 1 for on; of a sensor its reading; of a knob edges since the last notch. */
  final int[] state;

  /** Bits of what happened in this tick; of a rotary knob 1 for right, 2 for left. */
  final int[] events;

  /** Milliseconds that it is held, or until a second press comes too late. */
  final int[] timer;

  /** 0 at rest, 1 down, 2 down for long, 3 let go and waiting, 4 down for the second time. */
  final int[] phase;

  InputReader(List<InputState> senses, int tick) {
    this.senses = senses;
    this.tick = tick;
    int count = senses.size();
    look = new int[count];
    looks = new int[count];
    state = new int[count];
    events = new int[count];
    timer = new int[count];
    phase = new int[count];
  }

  static int bit(Press.How how) {
    return 1 << how.ordinal();
  }

  /**
   * Looks at all whose time has come.
   *
   * @param readings of all inputs: 1 for on, 0 to 255 of a sensor, 0 to 3 of a knob
   * @return whether anything was pressed, let go or turned
   */
  boolean look(int[] readings) {
    boolean touched = false;
    for (int s = 0; s < senses.size(); s++) {
      events[s] = 0;
      touched |=
          switch (senses.get(s).sort()) {
            case ON_OFF -> press(s, readings[s]);
            case ANALOGUE -> measure(s, readings[s]);
            case ROTARY -> turn(s, readings[s]);
            case SERIAL -> false;
          };
    }
    return touched;
  }

  private boolean due(int s) {
    if (look[s] > tick) {
      look[s] -= tick;
      return false;
    }
    look[s] = senses.get(s).everyMillis();
    return true;
  }

  private boolean measure(int s, int reading) {
    if (due(s)) {
      state[s] = reading;
    }
    return false;
  }

  /** Edges of its two pins; notches are counted by those who listen. */
  private boolean turn(int s, int pins) {
    int step = STEPS[looks[s] * 4 + pins];
    looks[s] = pins;
    events[s] = step > 0 ? 1 : step < 0 ? 2 : 0;
    return step != 0;
  }

  private boolean press(int s, int on) {
    if (due(s)) {
      InputState sense = senses.get(s);
      int mask = (1 << sense.looks()) - 1;
      looks[s] = (looks[s] << 1 | on) & mask;
      int ones = Integer.bitCount(looks[s]);
      if (state[s] == 0 && ones >= sense.agreeing()) {
        state[s] = 1;
        down(s);
        return true;
      }
      if (state[s] == 1 && sense.looks() - ones >= sense.agreeing()) {
        state[s] = 0;
        up(s);
        return true;
      }
    }
    pass(s);
    return false;
  }

  private void down(int s) {
    events[s] = DOWN;
    if (phase[s] == 3) {
      events[s] |= DOUBLE;
      phase[s] = 4;
    } else {
      phase[s] = 1;
    }
    timer[s] = 0;
  }

  private void up(int s) {
    events[s] = UP;
    if (phase[s] == 1 && senses.get(s).doubles()) {
      phase[s] = 3;
      timer[s] = Press.DOUBLE_MILLIS;
      return;
    }
    if (phase[s] == 1) {
      events[s] |= SHORT;
    }
    phase[s] = 0;
  }

  /** Time goes by for what is held, and for what waits for a second press. */
  private void pass(int s) {
    switch (phase[s]) {
      case 1, 4 -> {
        timer[s] += tick;
        if (timer[s] >= Press.LONG_MILLIS) {
          events[s] = LONG | AGAIN;
          phase[s] = 2;
          timer[s] = 0;
        }
      }
      case 2 -> {
        timer[s] += tick;
        if (timer[s] >= Press.AGAIN_MILLIS) {
          events[s] = AGAIN;
          timer[s] = 0;
        }
      }
      case 3 -> {
        timer[s] -= tick;
        if (timer[s] <= 0) {
          events[s] = SHORT;
          phase[s] = 0;
        }
      }
      default -> {}
    }
  }
}
