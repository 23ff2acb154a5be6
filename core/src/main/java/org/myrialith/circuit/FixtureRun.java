package org.myrialith.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.myrialith.finding.Bounds;
import org.myrialith.finding.InputException;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;

/**
 * What a circuit has of a fixture: all of it, or a run of its emitters. As text it is the
 * identifier of the fixture, followed by ":first-last" for a run, such as "f1:0-63".
 *
 * @param fixture its identifier
 * @param from first index in data order
 * @param to last index in data order, {@link #END} for whatever is the last
 */
public record FixtureRun(String fixture, int from, int to) {
  /** Stands for the last emitter, however many there are. */
  static final int END = Integer.MAX_VALUE;

  private static final Pattern TEXT = Pattern.compile("([^:]*)(?::(\\d{1,6})-(\\d{1,6}))?");

  /** Returns all of a fixture. */
  public static FixtureRun all(String fixture) {
    return new FixtureRun(fixture, 0, END);
  }

  /**
   * Reads one.
   *
   * @throws InputException when it is neither a fixture nor a run of one
   */
  public static FixtureRun of(String text) {
    Matcher parts = TEXT.matcher(text);
    if (!parts.matches()) {
      throw wrong(text);
    }
    if (parts.group(2) == null) {
      return all(parts.group(1));
    }
    int from = Integer.parseInt(parts.group(2));
    int to = Integer.parseInt(parts.group(3));
    if (to < from || to >= Fixture.MOST_EMITTERS) {
      throw wrong(text);
    }
    return new FixtureRun(parts.group(1), from, to);
  }

  private static InputException wrong(String text) {
    return new InputException(
        "fixtures",
        text,
        "a fixture, or a section of it by its first and last LED from 0 to "
            + (Fixture.MOST_EMITTERS - 1)
            + ", such as f1:0-63");
  }

  /** Returns whether it is all of the fixture. */
  public boolean whole() {
    return from == 0 && to == END;
  }

  /** Returns it as it stands in the format. */
  public String text() {
    return whole() ? fixture : fixture + ":" + from + "-" + to;
  }

  /** Returns whether both have an emitter. */
  boolean meets(FixtureRun other) {
    return fixture.equals(other.fixture) && from <= other.to && other.from <= to;
  }

  /** Returns the part of the fixture that it is; none where the fixture ends before it. */
  public FixtureRange in(Layout layout) {
    Fixture whole = layout.fixture(fixture).orElseThrow();
    int first = Math.min(from, whole.count());
    return new FixtureRange(whole, first, Math.min(to, whole.count() - 1) - first + 1);
  }

  /** Returns it for a fixture of so many emitters: whole when that is all of them. */
  FixtureRun fitted(int count) {
    return from == 0 && to >= count - 1 ? all(fixture) : this;
  }

  /** Returns what makers type: the first and the last index. */
  public static FixtureRun between(Fixture fixture, int from, int to) {
    Bounds index = Bounds.count(0, fixture.count() - 1);
    index.require("from", from);
    Bounds.count(from, fixture.count() - 1).require("to", to);
    return new FixtureRun(fixture.id(), from, to).fitted(fixture.count());
  }

  /**
   * Returns what is left of it without another.
   *
   * @param count emitters of the fixture
   */
  List<FixtureRun> less(FixtureRun other, int count) {
    if (!meets(other)) {
      return List.of(this);
    }
    List<FixtureRun> left = new ArrayList<>();
    if (from < other.from) {
      left.add(new FixtureRun(fixture, from, other.from - 1).fitted(count));
    }
    int last = Math.min(to, count - 1);
    if (other.to < last) {
      left.add(new FixtureRun(fixture, other.to + 1, last).fitted(count));
    }
    return left;
  }

  /**
   * Returns runs with those put together that follow each other on the wire and in the fixture.
   *
   * @param runs in the order of the wire
   */
  static List<FixtureRun> joined(List<FixtureRun> runs, Layout layout) {
    List<FixtureRun> all = new ArrayList<>();
    for (FixtureRun run : runs) {
      FixtureRun before = all.isEmpty() ? null : all.get(all.size() - 1);
      if (before != null && before.fixture.equals(run.fixture) && before.to + 1 == run.from) {
        int count = layout.fixture(run.fixture).orElseThrow().count();
        all.set(all.size() - 1, new FixtureRun(run.fixture, before.from, run.to).fitted(count));
      } else {
        all.add(run);
      }
    }
    return all;
  }
}
