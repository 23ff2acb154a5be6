package org.myrialith.circuit.output;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.myrialith.circuit.ChannelRange;
import org.myrialith.circuit.ChannelSource;
import org.myrialith.circuit.FixtureRange;
import org.myrialith.circuit.electrical.ConstantCurrentSink;
import org.myrialith.circuit.electrical.DriverChipLoad;
import org.myrialith.circuit.electrical.Filament;
import org.myrialith.circuit.electrical.LoadModel;
import org.myrialith.circuit.electrical.OutputLoad;
import org.myrialith.circuit.electrical.SeriesResistor;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Layout;
import org.myrialith.layout.Placement;
import org.myrialith.parts.EmitterClass;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.OutputStage;
import org.myrialith.parts.Tint;

/**
 * Fixtures taken apart into what is on or off by itself.
 *
 * @param sections of fixtures in their order
 * @param stretches what each of them takes of the wire
 * @param channels in the order of the data
 * @param loads the different things that hang on outputs
 */
public record Switching(
    List<FixtureRange> sections,
    List<ChannelRange> stretches,
    List<SwitchedChannel> channels,
    List<OutputLoad> loads) {
  public Switching {
    sections = List.copyOf(sections);
    stretches = List.copyOf(stretches);
    channels = List.copyOf(channels);
    loads = List.copyOf(loads);
  }

  /**
   * Takes fixtures apart.
   *
   * @param outputs of the chips
   * @param supply of the gadget (V)
   */
  public static Switching of(
      List<FixtureRange> sections,
      Layout layout,
      OutputWiring hookup,
      OutputStage outputs,
      double supply) {
    return new Work(layout, hookup, hookup.stage(outputs), hookup.volts(supply), 1).of(sections);
  }

  /** Returns it with all channels in one group: their currents are alike. */
  public Switching inOneGroup() {
    return new Switching(
        sections, stretches.stream().map(ChannelRange::inOneGroup).toList(), channels, loads);
  }

  /**
   * Takes fixtures apart that a chip feeds by turns.
   *
   * @param duty share of the time that each is fed
   */
  public static Switching scanned(
      List<FixtureRange> sections,
      Layout layout,
      OutputWiring hookup,
      OutputStage outputs,
      double supply,
      double duty) {
    return new Work(layout, hookup, outputs, supply, duty).of(sections);
  }

  /**
   * Takes fixtures apart whose lights have their turns by rows.
   *
   * @param column what an output gives
   * @param row what lets the current of a row through
   * @param duty share of the time that a light of full level is lit
   */
  public static Switching byTurns(
      List<FixtureRange> sections,
      Layout layout,
      OutputWiring hookup,
      double volts,
      OutputStage column,
      OutputStage row,
      double duty) {
    Side side = hookup.side();
    Side other = side == Side.TO_SUPPLY ? Side.TO_GROUND : Side.TO_SUPPLY;
    double rowOhms = other.ohms(row);
    if (column.keeps()) {
      Switching kept = new Work(layout, hookup, column, volts - row.lostVolts(), 1).of(sections);
      return kept.having(load -> load.byTurns(duty, 0));
    }
    double ohms = side.ohms(column) + rowOhms;
    OutputStage both =
        new OutputStage(
                ohms,
                ohms,
                column.planMilliamps(),
                column.mostMilliamps(),
                column.chipMilliamps(),
                column.mostVolts())
            .losing(row.lostVolts());
    Switching plain = new Work(layout, hookup, both, volts, 1).of(sections);
    return plain.having(load -> load.byTurns(duty, rowOhms));
  }

  private Switching having(UnaryOperator<OutputLoad> other) {
    return new Switching(sections, stretches, channels, loads.stream().map(other).toList());
  }

  /**
   * Returns it on pins that are high, low or open.
   *
   * @param each whether each light has a resistor of its own, else each pin has one
   * @param pinOhms inside the pin that is high
   */
  public Switching onOpenPins(double duty, boolean each, double pinOhms) {
    if (each) {
      return having(load -> load.byTurns(duty, pinOhms));
    }
    // a pin has one resistor, whatever hangs on it
    double ohms =
        loads.stream()
            .map(OutputLoad::path)
            .filter(SeriesResistor.class::isInstance)
            .mapToDouble(path -> ((SeriesResistor) path).through(2, 0).ohms())
            .max()
            .orElse(0);
    return having(load -> load.through(2, ohms).byTurns(duty, pinOhms + ohms));
  }

  /** What hangs on an output, to find it again. */
  private record LoadKey(String emitter, int die, int leds, boolean series) {}

  /** Mutable, lives within one call. */
  private static final class Work {
    private final Layout layout;
    private final OutputWiring hookup;
    private final OutputStage stage;
    private final double volts;
    private final double duty;
    private final List<ChannelRange> stretches = new ArrayList<>();
    private final List<SwitchedChannel> channels = new ArrayList<>();
    private final List<OutputLoad> loads = new ArrayList<>();
    private final Map<LoadKey, Integer> known = new HashMap<>();
    private final Map<String, String> fields;
    private int units;

    Work(Layout layout, OutputWiring hookup, OutputStage stage, double volts, double duty) {
      this.layout = layout;
      this.hookup = hookup;
      this.stage = stage;
      this.volts = volts;
      this.duty = duty;
      this.fields = hookup.named();
    }

    Switching of(List<FixtureRange> sections) {
      sections.forEach(this::add);
      return new Switching(sections, stretches, channels, loads);
    }

    private void add(FixtureRange section) {
      Fixture fixture = section.fixture();
      EmitterClass emitter = layout.emitterOf(fixture);
      Units own = Units.of(section);
      int dies = emitter.dies().size();
      int first = channels.size();
      int[] groups = new int[own.count() * dies];
      String field = "";
      for (int unit = own.first; unit < own.end; unit++) {
        for (int die = 0; die < dies; die++) {
          int number = unit * dies + die;
          boolean series = fixture.shape().switchedInSeries() || own.leds[unit] == 1;
          int load = load(emitter, die, own.leds[unit], series);
          groups[number - own.first * dies] = load;
          String name = own.names[unit] + (dies == 1 ? "" : " " + emitter.dies().get(die).colour());
          boolean begins = own.starts[unit] && die == 0;
          String named = fields.get(fixture.id() + " " + number);
          field = named != null ? named : begins ? "" : field;
          channels.add(
              new SwitchedChannel(fixture, number, name, field, begins || named != null, load));
        }
      }
      stretches.add(
          new ChannelRange(
              section, units, first, own.count(), shows(emitter), own.ofSection(), groups));
      units += own.count();
    }

    private int load(EmitterClass emitter, int die, int leds, boolean series) {
      return known.computeIfAbsent(
          new LoadKey(emitter.id(), die, leds, series),
          key -> {
            EmitterClass.Die made = emitter.dies().get(die);
            loads.add(
                new OutputLoad(
                    emitter, made, leds, series, path(emitter.kind(), made, series ? leds : 1)));
            return loads.size() - 1;
          });
    }

    private LoadModel path(EmitterKind kind, EmitterClass.Die die, int inPath) {
      double ohms = hookup.side().ohms(stage);
      if (duty < 1) {
        return new DriverChipLoad(
            volts, inPath * die.forwardVolts(), hookup.milliamps() * 1e-3, duty);
      }
      if (stage.keeps()) {
        return new ConstantCurrentSink(
            volts,
            inPath * die.forwardVolts(),
            inPath * hookup.spreadVolts(),
            hookup.milliamps() * 1e-3,
            hookup.resistors(),
            stage.settingVolts());
      }
      return kind == EmitterKind.LAMP
          ? new Filament(
              volts,
              inPath * die.forwardVolts(),
              die.ratedMilliamps() * 1e-3,
              stage.lostVolts(),
              ohms)
          : new SeriesResistor(
              volts,
              inPath * die.forwardVolts(),
              inPath * hookup.spreadVolts(),
              stage.lostVolts(),
              ohms,
              hookup.milliamps() * 1e-3,
              hookup.resistors());
    }
  }

  private static List<ChannelRange.Shows> shows(EmitterClass emitter) {
    return IntStream.range(0, emitter.dies().size())
        .mapToObj(
            die -> {
              String colour = emitter.dies().get(die).colour();
              return new ChannelRange.Shows(
                  asks(emitter.kind(), die, colour), Tint.of(colour), colour);
            })
        .toList();
  }

  /** A lone die shows whatever is brightest; of several, each shows its own colour. */
  private static ChannelSource asks(EmitterKind kind, int die, String colour) {
    return switch (kind) {
      case RGB_PINS -> ChannelSource.ofColour(die, false);
      case RGBW_PINS -> die < 3 ? ChannelSource.ofColour(die, true) : ChannelSource.WHITE;
      case TWO_COLOUR -> {
        Tint tint = Tint.of(colour);
        boolean green = tint.green() > tint.red() && tint.green() >= tint.blue();
        boolean blue = tint.blue() > tint.red() && !green;
        yield ChannelSource.ofColour(
            green ? 1 : blue ? 2 : tint.equals(Tint.WHITE) ? die : 0, false);
      }
      default -> ChannelSource.MOST;
    };
  }

  /**
   * The things of a fixture that are on or off by themselves; what is never lit is not there. Those
   * of a section are the ones whose first LED is in it: what is wired together is on one output.
   */
  private static final class Units {
    private final int[] unitOf;
    private final int[] leds;
    private final String[] names;
    private final boolean[] starts;
    private int first;
    private int end;

    private Units(int[] unitOf, int count) {
      this.unitOf = unitOf;
      this.leds = new int[count];
      this.names = new String[count];
      this.starts = new boolean[count];
    }

    int count() {
      return end - first;
    }

    static Units of(FixtureRange section) {
      Fixture fixture = section.fixture();
      int[] switches = fixture.switches();
      int[] unitOf = new int[switches.length];
      int[] number = new int[switches.length];
      Arrays.fill(number, -1);
      BitSet never = fixture.dark();
      int count = 0;
      int first = 0;
      int end = 0;
      for (int i = 0; i < switches.length; i++) {
        first = i == section.from() ? count : first;
        boolean dark = never.get(i);
        if (!dark && number[switches[i]] < 0) {
          number[switches[i]] = count++;
        }
        end = section.has(i) ? count : end;
        unitOf[i] = dark ? -1 : number[switches[i]];
      }
      Units units = new Units(unitOf, count);
      units.first = first;
      units.end = Math.max(first, end);
      units.tell(fixture.placements());
      return units;
    }

    /** The unit of each emitter, counted within the section; -1 for those of others. */
    int[] ofSection() {
      return Arrays.stream(unitOf).map(u -> u < first || u >= end ? -1 : u - first).toArray();
    }

    private void tell(List<Placement> placements) {
      Map<String, Integer> ofPart = new HashMap<>();
      Set<String> several = several(placements);
      boolean begins = true;
      for (int i = 0; i < unitOf.length; i++) {
        int unit = unitOf[i];
        if (unit >= 0) {
          leds[unit]++;
          starts[unit] |= begins;
          begins = false;
          if (leds[unit] == 1) {
            String part = placements.get(i).part();
            int turn = ofPart.merge(part, 1, Integer::sum);
            names[unit] =
                part.isEmpty()
                    ? phrase("LED %d", i + 1)
                    : several.contains(part) ? phrase("%s (%d)", part, turn) : part;
          }
        }
        begins |= placements.get(i).endsPiece();
      }
    }

    /** Parts that have more than one thing that is on or off. */
    private Set<String> several(List<Placement> placements) {
      Map<String, Integer> unitOfPart = new HashMap<>();
      Set<String> several = new HashSet<>();
      for (int i = 0; i < unitOf.length; i++) {
        String part = placements.get(i).part();
        Integer other = unitOf[i] < 0 ? null : unitOfPart.putIfAbsent(part, unitOf[i]);
        if (other != null && other != unitOf[i]) {
          several.add(part);
        }
      }
      return several;
    }
  }
}
