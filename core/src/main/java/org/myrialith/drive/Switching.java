package org.myrialith.drive;

import static org.myrialith.finding.Phrase.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
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
 * @param fixtures in their order
 * @param stretches what each of them takes of the wire
 * @param channels in the order of the data
 * @param loads the different things that hang on outputs
 */
public record Switching(
    List<Fixture> fixtures,
    List<Stretch> stretches,
    List<SwitchedChannel> channels,
    List<OutputLoad> loads) {
  public Switching {
    fixtures = List.copyOf(fixtures);
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
  static Switching of(
      List<Fixture> fixtures, Layout layout, Hookup hookup, OutputStage outputs, double supply) {
    return new Work(layout, hookup, hookup.stage(outputs), hookup.volts(supply), 1).of(fixtures);
  }

  /** Returns it with all channels in one group: their currents are alike. */
  Switching inOneGroup() {
    return new Switching(
        fixtures, stretches.stream().map(Stretch::inOneGroup).toList(), channels, loads);
  }

  /**
   * Takes fixtures apart that a chip feeds by turns.
   *
   * @param duty share of the time that each is fed
   */
  static Switching scanned(
      List<Fixture> fixtures,
      Layout layout,
      Hookup hookup,
      OutputStage outputs,
      double supply,
      double duty) {
    return new Work(layout, hookup, outputs, supply, duty).of(fixtures);
  }

  /** What hangs on an output, to find it again. */
  private record LoadKey(String emitter, int die, int leds, boolean series) {}

  /** Mutable, lives within one call. */
  private static final class Work {
    private final Layout layout;
    private final Hookup hookup;
    private final OutputStage stage;
    private final double volts;
    private final double duty;
    private final List<Stretch> stretches = new ArrayList<>();
    private final List<SwitchedChannel> channels = new ArrayList<>();
    private final List<OutputLoad> loads = new ArrayList<>();
    private final Map<LoadKey, Integer> known = new HashMap<>();
    private int units;

    Work(Layout layout, Hookup hookup, OutputStage stage, double volts, double duty) {
      this.layout = layout;
      this.hookup = hookup;
      this.stage = stage;
      this.volts = volts;
      this.duty = duty;
    }

    Switching of(List<Fixture> fixtures) {
      fixtures.forEach(this::add);
      return new Switching(fixtures, stretches, channels, loads);
    }

    private void add(Fixture fixture) {
      EmitterClass emitter = layout.emitterOf(fixture);
      Units own = Units.of(fixture);
      int dies = emitter.dies().size();
      int first = channels.size();
      int[] groups = new int[own.count * dies];
      for (int unit = 0; unit < own.count; unit++) {
        for (int die = 0; die < dies; die++) {
          int number = unit * dies + die;
          boolean series = fixture.shape().switchedInSeries() || own.leds[unit] == 1;
          groups[number] = load(emitter, die, own.leds[unit], series);
          String name = own.names[unit] + (dies == 1 ? "" : " " + emitter.dies().get(die).colour());
          boolean starts = own.starts[unit] && die == 0;
          channels.add(new SwitchedChannel(fixture, number, name, starts, groups[number]));
        }
      }
      stretches.add(
          new Stretch(fixture, units, first, own.count, shows(emitter), own.unitOf, groups));
      units += own.count;
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

    private Path path(EmitterKind kind, EmitterClass.Die die, int inPath) {
      double ohms = hookup.side().ohms(stage);
      if (duty < 1) {
        return new ScannedCurrent(
            volts, inPath * die.forwardVolts(), hookup.milliamps() * 1e-3, duty);
      }
      if (stage.keeps()) {
        return new ConstantCurrent(
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

  private static List<Stretch.Shows> shows(EmitterClass emitter) {
    return IntStream.range(0, emitter.dies().size())
        .mapToObj(
            die -> {
              String colour = emitter.dies().get(die).colour();
              return new Stretch.Shows(asks(emitter.kind(), die, colour), Tint.of(colour), colour);
            })
        .toList();
  }

  /** A lone die shows whatever is brightest; of several, each shows its own colour. */
  private static Asks asks(EmitterKind kind, int die, String colour) {
    return switch (kind) {
      case RGB_PINS -> Asks.ofColour(die, false);
      case RGBW_PINS -> die < 3 ? Asks.ofColour(die, true) : Asks.WHITE;
      case TWO_COLOUR -> {
        Tint tint = Tint.of(colour);
        boolean green = tint.green() > tint.red() && tint.green() >= tint.blue();
        boolean blue = tint.blue() > tint.red() && !green;
        yield Asks.ofColour(green ? 1 : blue ? 2 : tint.equals(Tint.WHITE) ? die : 0, false);
      }
      default -> Asks.MOST;
    };
  }

  /** The things of a fixture that are on or off by themselves; what is never lit is not there. */
  private static final class Units {
    private final int[] unitOf;
    private final int count;
    private final int[] leds;
    private final String[] names;
    private final boolean[] starts;

    private Units(int[] unitOf, int count) {
      this.unitOf = unitOf;
      this.count = count;
      this.leds = new int[count];
      this.names = new String[count];
      this.starts = new boolean[count];
    }

    static Units of(Fixture fixture) {
      int[] switches = fixture.switches();
      int[] unitOf = new int[switches.length];
      int[] number = new int[switches.length];
      Arrays.fill(number, -1);
      BitSet never = fixture.dark();
      int count = 0;
      for (int i = 0; i < switches.length; i++) {
        boolean dark = never.get(i);
        if (!dark && number[switches[i]] < 0) {
          number[switches[i]] = count++;
        }
        unitOf[i] = dark ? -1 : number[switches[i]];
      }
      Units units = new Units(unitOf, count);
      units.tell(fixture.placements());
      return units;
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
