package org.myrialith.cue.engine;

import org.myrialith.cue.ClockValue;
import org.myrialith.cue.Comparison;
import org.myrialith.cue.Setting;
import org.myrialith.cue.Variable;
import org.myrialith.cue.table.CueTable;
import org.myrialith.cue.table.Row;
import org.myrialith.cue.table.Term;
import org.myrialith.cue.table.Value;

/** Values, the clock and chance. Mutable; the same steps in the same order as in the firmware. */
final class Numbers {
  private static final int SECOND_MILLIS = 1000;

  private final CueTable table;

  /** What each value is. */
  final int[] now;

  /** Milliseconds of the present second. */
  int millis;

  /** What chance goes on from; never 0. */
  int chance;

  /** Values that changed since it was last asked for; a bit each. */
  int changed;

  /** Whether any did since conditions were compared. */
  private boolean moved;

  /** What would be found if power went off now. */
  final int[] saved;

  /** Milliseconds until what changed is kept; 0 for nothing. */
  private int keepIn;

  /** How often it was kept. */
  int keeps;

  Numbers(CueTable table) {
    this.table = table;
    this.now = table.values().stream().mapToInt(Value::start).toArray();
    this.saved = now.clone();
    this.chance = table.firstChance();
  }

  /** Goes on by a tick. */
  void pass() {
    keep();
    if (table.chance()) {
      stir();
    }
    if (table.clock() >= 0) {
      millis += table.tickMillis();
      if (millis >= SECOND_MILLIS) {
        millis -= SECOND_MILLIS;
        second();
      }
    }
  }

  /** What changed a while ago is kept. */
  private void keep() {
    if (keepIn > table.tickMillis()) {
      keepIn -= table.tickMillis();
    } else if (keepIn > 0) {
      keepIn = 0;
      keeps++;
      table.kept().forEach(value -> saved[value] = now[value]);
    }
  }

  /** A message sets a value, within its ends. */
  void tell(int value, int number) {
    put(value, within(value, table.values().get(value), number));
    settle(value);
  }

  private int stir() {
    chance ^= chance << 13;
    chance ^= chance >>> 17;
    chance ^= chance << 5;
    return chance;
  }

  /** Returns a number by chance, 0 to below a span. */
  int any(int span) {
    return (int) ((stir() & 0xffffffffL) % span);
  }

  private int clock(ClockValue value) {
    return now[table.clock() + value.ordinal()];
  }

  private void put(int value, int number) {
    if (now[value] != number) {
      now[value] = number;
      if (table.values().get(value).kept() && keepIn == 0) {
        keepIn = Variable.KEPT_MILLIS;
      }
      moved = true;
      changed |= 1 << value;
    }
  }

  private void put(ClockValue value, int number) {
    put(table.clock() + value.ordinal(), number);
  }

  /** Goes one on; returns whether it began anew. */
  private boolean carry(ClockValue value, int most) {
    boolean over = clock(value) >= most;
    put(value, over ? value.least() : clock(value) + 1);
    return over;
  }

  private void second() {
    if (carry(ClockValue.SECOND, 59)
        && carry(ClockValue.MINUTE, 59)
        && carry(ClockValue.HOUR, 23)) {
      if (carry(ClockValue.DAY, days()) && carry(ClockValue.MONTH, 12)) {
        carry(ClockValue.YEAR, 2099);
      }
      weekday();
    }
  }

  /** Days of the present month; every fourth year from 2000 to 2099 is a leap year. */
  private int days() {
    int month = clock(ClockValue.MONTH);
    if (month == 2) {
      return clock(ClockValue.YEAR) % 4 == 0 ? 29 : 28;
    }
    return month == 4 || month == 6 || month == 9 || month == 11 ? 30 : 31;
  }

  /** Monday is 1. 1 January 2000 was a Saturday. */
  private void weekday() {
    int years = clock(ClockValue.YEAR) - 2000;
    int day = years * 365 + (years + 3) / 4 + clock(ClockValue.DAY) - 1;
    int month = clock(ClockValue.MONTH);
    int[] before = {0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334};
    day += before[month - 1];
    if (month > 2 && years % 4 == 0) {
      day++;
    }
    put(ClockValue.WEEKDAY, (day + 5) % 7 + 1);
  }

  /** Returns whether values changed since it was last asked. */
  boolean moved() {
    boolean did = moved;
    moved = false;
    return did;
  }

  /** Returns whether all terms hold. */
  boolean holds(Row.Terms terms) {
    for (Term term : table.terms(terms)) {
      if (!Comparison.values()[term.how()].holds(now[term.value()], operand(term))) {
        return false;
      }
    }
    return true;
  }

  private int operand(Term term) {
    return term.ofValue() ? now[term.operand()] : term.operand();
  }

  /** Changes values, one after the other. */
  void set(Row.Terms terms) {
    for (Term term : table.terms(terms)) {
      Value value = table.values().get(term.value());
      int operand = operand(term);
      int wanted =
          switch (Setting.How.values()[term.how()]) {
            case SET -> operand;
            case ADD -> now[term.value()] + operand;
            case SUBTRACT -> now[term.value()] - operand;
            case ANY -> value.least() + (stir() >>> 16) % (value.most() - value.least() + 1);
          };
      put(term.value(), within(term.value(), value, wanted));
      settle(term.value());
    }
  }

  /** A day goes on within its month; a date that there is not becomes the last of its month. */
  private int within(int number, Value value, int wanted) {
    int clock = table.clock() < 0 ? -1 : number - table.clock();
    if (clock < 0) {
      return value.within(wanted);
    }
    if (clock == ClockValue.DAY.ordinal()) {
      return new Value("", 1, days(), 1, true).within(wanted);
    }
    if (clock == ClockValue.SECOND.ordinal()) {
      millis = 0;
    }
    return value.within(wanted);
  }

  /** Brings the date in order after a part of it was set. */
  private void settle(int value) {
    if (table.clock() < 0 || value < table.clock() + ClockValue.DAY.ordinal()) {
      return;
    }
    if (clock(ClockValue.DAY) > days()) {
      put(ClockValue.DAY, days());
    }
    weekday();
  }
}
