package org.myrialith.firmware;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.myrialith.circuit.charlieplex.Charlieplex;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.colour.Levels;
import org.myrialith.firmware.driver.LineDrivers;
import org.myrialith.tool.EdgeDecoder;

/**
 * What lights get, seen on the wires by models of what hangs there: switches of rows, chips of a
 * chain, lights between two pins.
 */
final class Turns {
  private final ScannedPlan plan;
  private final List<Stretch> stretches = new ArrayList<>();
  private final int outputs;
  private final int width;
  private List<Long> drawn = List.of();

  /**
   * All rows with all of their bits.
   *
   * @param lit nanoseconds, by output
   * @param slots nanoseconds that each lasts
   */
  record Turn(long start, long[] lit, List<Long> slots) {}

  /** Something has its turn. */
  private record Stretch(long start, long end, int row, long[] lit) {}

  private Turns(ScannedPlan plan) {
    this.plan = plan;
    this.width = plan.map().width();
    this.outputs = plan.map().chips() * width;
  }

  /** Returns the wires to write down of a simulated controller. */
  static List<String> wires(ScannedPlan plan) {
    List<String> pins = plan.circuit().pins();
    return plan.circuit() instanceof Charlieplex
        ? Stream.concat(pins.stream(), pins.stream().map(pin -> pin + "d")).toList()
        : pins;
  }

  /** Reads what a simulated controller did. */
  static List<Turn> played(ScannedPlan plan, Path dump, Levels first) throws IOException {
    return new Turns(plan).read(dump, wires(plan), first);
  }

  /** Reads an exported waveform: a turn of each frame, then dark until the next. */
  static List<Turn> drawn(ScannedPlan plan, Path dump, List<Long> starts) throws IOException {
    Turns turns = new Turns(plan);
    turns.drawn = starts;
    return turns.read(dump, LineDrivers.of(plan).wires(), null);
  }

  /**
   * Reads what a controller did that tells by a pulse on a pin when turns begin: of lights that are
   * only dimmed, as no row tells.
   */
  static List<Turn> marked(ScannedPlan plan, Path dump, String marker) throws IOException {
    Turns turns = new Turns(plan);
    List<EdgeDecoder.Change> wires = EdgeDecoder.changes(dump, wires(plan));
    List<Long> starts =
        EdgeDecoder.changes(dump, List.of(marker)).stream()
            .filter(EdgeDecoder.Change::high)
            .map(EdgeDecoder.Change::at)
            .toList();
    if (plan.circuit() instanceof ScannedPins pins) {
      return turns.lit(pins, wires, starts);
    }
    turns.chain((ScannedRegisters) plan.circuit(), wires);
    List<Turn> all = new ArrayList<>();
    for (int t = 0; t + 1 < starts.size(); t++) {
      long[] lit = new long[turns.outputs];
      for (Stretch stretch : turns.stretches) {
        boolean within = stretch.start() >= starts.get(t) && stretch.start() < starts.get(t + 1);
        for (int output = 0; within && output < lit.length; output++) {
          lit[output] += stretch.lit()[output];
        }
      }
      all.add(new Turn(starts.get(t), lit, List.of()));
    }
    return all;
  }

  /** Columns without rows, each set a pin's time after the one before it. */
  private List<Turn> lit(ScannedPins circuit, List<EdgeDecoder.Change> changes, List<Long> starts) {
    List<Turn> turns = new ArrayList<>();
    starts.stream()
        .limit(starts.size() - 1)
        .forEach(start -> turns.add(new Turn(start, new long[outputs], List.of())));
    boolean high = plan.hookup().side() == Side.TO_GROUND;
    double pin = plan.brief().controller().pinSeconds() * 1e9;
    long[] since = new long[circuit.columns()];
    for (EdgeDecoder.Change change : changes) {
      int column = change.wire() - '0';
      if (change.high() == high) {
        since[column] = change.at();
      } else if (since[column] > 0) {
        double behind = (column + 2) * pin;
        for (int t = 0; t < turns.size(); t++) {
          double from = Math.max(since[column], starts.get(t) + behind);
          double to = Math.min(change.at(), starts.get(t + 1) + behind);
          turns.get(t).lit()[column] += Math.round(Math.max(0, to - from));
        }
        since[column] = 0;
      }
    }
    return turns;
  }

  private List<Turn> read(Path dump, List<String> wires, Levels first) throws IOException {
    if (plan.circuit() instanceof ScannedPins pins) {
      if (pins.rowSwitch() == RowSwitch.NONE) {
        return dimmed(pins, EdgeDecoder.changes(dump, wires), first);
      }
      pins(pins, EdgeDecoder.changes(dump, wires));
    } else if (plan.circuit() instanceof ScannedRegisters chain) {
      chain(chain, EdgeDecoder.changes(dump, wires));
    } else {
      open((Charlieplex) plan.circuit(), EdgeDecoder.states(dump, wires), wires);
    }
    return grouped();
  }

  /** Which level of a row's switch, or of a row itself, lets its current through. */
  private boolean highRow() {
    boolean feeds = plan.hookup().side() == Side.TO_SUPPLY;
    return plan.circuit().rowSwitch() == RowSwitch.PIN ? feeds : !feeds;
  }

  /** No two rows at once, no column moves while a row is on. */
  private void pins(ScannedPins circuit, List<EdgeDecoder.Change> changes) {
    int rows = circuit.rowPins().size();
    boolean[] on = new boolean[circuit.pins().size()];
    boolean highColumn = plan.hookup().side() == Side.TO_GROUND;
    int row = -1;
    long since = 0;
    for (EdgeDecoder.Change change : changes) {
      int wire = change.wire() - '0';
      boolean now = change.high() == (wire < rows ? highRow() : highColumn);
      if (wire >= rows) {
        assertThat(row).as("columns stand still, at %d", change.at()).isNegative();
        on[wire] = now;
      } else if (now) {
        assertThat(row).as("one row at a time, at %d", change.at()).isNegative();
        row = wire;
        since = change.at();
      } else if (row == wire) {
        long[] lit = new long[outputs];
        for (int column = 0; column < width; column++) {
          lit[row * width + column] = on[rows + column] ? change.at() - since : 0;
        }
        stretches.add(new Stretch(since, change.at(), row, lit));
        row = -1;
      }
    }
  }

  /** A chain of stages, each taking what the one before it has; its outputs when it is latched. */
  private void chain(ScannedRegisters circuit, List<EdgeDecoder.Change> changes) {
    int chip = circuit.sort().width();
    int columnStages = (circuit.columns() + chip - 1) / chip * chip;
    boolean turns = circuit.rowSwitch() != RowSwitch.NONE;
    boolean[] stages = new boolean[columnStages + (turns ? (circuit.rows() + 7) / 8 * 8 : 0)];
    boolean[] shown = new boolean[stages.length];
    boolean lights = !LatchBit.zeroLights(circuit.sort(), plan.hookup());
    boolean data = false;
    boolean dark = true;
    long since = -1;
    for (EdgeDecoder.Change change : changes) {
      switch (change.wire()) {
        case '0' -> data = change.high();
        case '1' -> {
          if (change.high()) {
            System.arraycopy(stages, 0, stages, 1, stages.length - 1);
            stages[0] = data;
          }
        }
        case '2' -> {
          if (change.high() && !turns) {
            if (since >= 0) {
              slot(circuit, shown, columnStages, lights, since, change.at());
            }
            since = change.at();
          }
          if (change.high()) {
            assertThat(dark || !turns).as("latched in the dark, at %d", change.at()).isTrue();
            shown = stages.clone();
          }
        }
        default -> {
          if (dark && !change.high()) {
            since = change.at();
          } else if (!dark && change.high()) {
            slot(circuit, shown, columnStages, lights, since, change.at());
          }
          dark = change.high();
        }
      }
    }
  }

  private void slot(
      ScannedRegisters circuit,
      boolean[] shown,
      int columnStages,
      boolean lights,
      long since,
      long until) {
    int row = circuit.rowSwitch() == RowSwitch.NONE ? 0 : -1;
    for (int r = 0; columnStages + r < shown.length; r++) {
      if (shown[columnStages + r] == highRow()) {
        assertThat(row).as("one row at a time, at %d", since).isNegative();
        row = r;
      }
    }
    if (row < 0 && stretches.isEmpty()) {
      return; // until the first turn, nothing is on
    }
    assertThat(row).as("a row at %d", since).isBetween(0, circuit.rows() - 1);
    long[] lit = new long[outputs];
    for (int column = 0; column < circuit.columns(); column++) {
      lit[row * width + column] = shown[column] == lights ? until - since : 0;
    }
    stretches.add(new Stretch(since, until, row, lit));
  }

  /** A light is lit while the pin of its anode is high and that of its cathode low. */
  private void open(Charlieplex circuit, List<EdgeDecoder.State> changes, List<String> wires) {
    int pins = circuit.charliePins().size();
    boolean paired = wires.size() > pins;
    char[] level = new char[pins];
    char[] driven = new char[pins];
    Arrays.fill(level, '0');
    Arrays.fill(driven, paired ? '0' : '1');
    int anode = -1;
    long since = 0;
    long at = 0;
    long[] lit = new long[outputs];
    long[] from = new long[outputs];
    for (int c = 0; c <= changes.size(); c++) {
      boolean ends = c == changes.size() || changes.get(c).at() > at;
      if (ends) {
        int high = -1;
        for (int pin = 0; pin < pins; pin++) {
          if (driven[pin] == '1' && level[pin] == '1') {
            assertThat(high).as("one pin is high, at %d", at).isNegative();
            high = pin;
          }
        }
        for (int output = 0; output < outputs; output++) {
          int a = output / width;
          int k = output % width < a ? output % width : output % width + 1;
          boolean now = a == high && driven[k] == '1' && level[k] == '0';
          if (now && from[output] == 0) {
            from[output] = at;
          } else if (!now && from[output] > 0) {
            lit[output] += at - from[output];
            from[output] = 0;
          }
        }
        if (high != anode) {
          if (anode >= 0) {
            assertThat(high).as("dark between, at %d", at).isNegative();
            stretches.add(new Stretch(since, at, anode, lit));
            lit = new long[outputs];
          }
          anode = high;
          since = at;
        }
      }
      if (c < changes.size()) {
        EdgeDecoder.State change = changes.get(c);
        at = change.at();
        if (change.wire() >= pins) {
          driven[change.wire() - pins] = change.state();
        } else {
          level[change.wire()] = change.state();
        }
      }
    }
  }

  /** From row 0 to row 0, as many times as there are passes. */
  private List<Turn> grouped() {
    List<Turn> turns = new ArrayList<>();
    int last = -1;
    int passes = plan.circuit().scan().method().passes(plan.circuit().scan().depth());
    boolean turning = plan.timing().turns() > 1;
    int begun = 0;
    int slots = 0;
    int own = plan.timing().slotsOfARow();
    int all = turning || drawn.isEmpty() ? own : own + 1;
    for (Stretch stretch : stretches) {
      boolean begins = turning ? stretch.row() == 0 && last != 0 : slots % all == 0;
      if (!turning && slots++ % all == own) {
        continue; // between two frames
      }
      if (begins && (!turning || begun++ % passes == 0)) {
        turns.add(new Turn(stretch.start(), new long[outputs], new ArrayList<>()));
      }
      last = stretch.row();
      if (turns.isEmpty()) {
        continue; // a chain begins with what follows the first slot
      }
      Turn turn = turns.get(turns.size() - 1);
      turn.slots().add(stretch.end() - stretch.start());
      for (int output = 0; output < outputs; output++) {
        turn.lit()[output] += stretch.lit()[output];
      }
    }
    return turns.isEmpty() ? turns : turns.subList(0, turns.size() - 1);
  }

  /**
   * Columns without rows: turns follow one another in the time that is planned, from where the
   * first light of the first frame tells.
   */
  private List<Turn> dimmed(ScannedPins circuit, List<EdgeDecoder.Change> changes, Levels first) {
    boolean high = plan.hookup().side() == Side.TO_GROUND;
    double period = 1e9 / plan.timing().wholeHz();
    long edge = changes.stream().filter(c -> c.high() == high).findFirst().orElseThrow().at();
    double begin = drawn.isEmpty() ? edge - firstLit(first) * 1e9 : 0;
    long end = changes.get(changes.size() - 1).at();
    List<Turn> turns = new ArrayList<>();
    for (int t = 0; drawn.isEmpty() && begin + (t + 1) * period <= end; t++) {
      turns.add(new Turn(Math.round(begin + t * period), new long[outputs], List.of()));
    }
    drawn.stream()
        .filter(start -> start + period < end)
        .forEach(start -> turns.add(new Turn(start, new long[outputs], List.of())));
    long[] since = new long[circuit.columns()];
    for (EdgeDecoder.Change change : changes) {
      int column = change.wire() - '0';
      if (change.high() == high) {
        since[column] = change.at();
      } else if (since[column] > 0) {
        share(turns, column, since[column], change.at(), period);
        since[column] = 0;
      }
    }
    return turns;
  }

  private static void share(List<Turn> turns, int column, long from, long to, double period) {
    for (Turn turn : turns) {
      double lit = Math.min(to, turn.start() + period) - Math.max(from, turn.start());
      turn.lit()[column] += Math.round(Math.max(0, lit));
    }
  }

  /** When in a turn the first light of a frame is lit (s). */
  private double firstLit(Levels levels) {
    return plan.timing().slots().stream()
        .filter(
            slot -> {
              for (int c = 0; c < levels.size(); c++) {
                if (plan.timing().lit(levels.at(c), slot)) {
                  return true;
                }
              }
              return false;
            })
        .mapToDouble(ScanTiming.Slot::startSeconds)
        .min()
        .orElseThrow();
  }
}
