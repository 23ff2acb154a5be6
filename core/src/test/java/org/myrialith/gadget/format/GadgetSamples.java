package org.myrialith.gadget.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.myrialith.circuit.Circuit;
import org.myrialith.circuit.Circuits;
import org.myrialith.circuit.FixtureRun;
import org.myrialith.circuit.charlieplex.Charlieplex;
import org.myrialith.circuit.chip.display.DisplayClass;
import org.myrialith.circuit.chip.display.DisplayDrivers;
import org.myrialith.circuit.chip.expander.ExpanderClass;
import org.myrialith.circuit.chip.expander.Expanders;
import org.myrialith.circuit.chip.register.ShiftRegisters;
import org.myrialith.circuit.electrical.LevelShift;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.matrix.ScannedPins;
import org.myrialith.circuit.matrix.ScannedRegisters;
import org.myrialith.circuit.multiplex.RowOrder;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.circuit.multiplex.Scan;
import org.myrialith.circuit.multiplex.ScanMethod;
import org.myrialith.circuit.output.Filling;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.SwitchedCircuit;
import org.myrialith.circuit.pin.DirectPins;
import org.myrialith.circuit.pin.PinDimming;
import org.myrialith.circuit.pixel.BitRate;
import org.myrialith.circuit.pixel.ClockedClass;
import org.myrialith.circuit.pixel.ClockedPixels;
import org.myrialith.circuit.pixel.ColourOrder;
import org.myrialith.circuit.pixel.OneWirePixels;
import org.myrialith.circuit.pixel.WhiteExtraction;
import org.myrialith.colour.ColourSettings;
import org.myrialith.colour.Transfer;
import org.myrialith.effects.Blend;
import org.myrialith.effects.Effect;
import org.myrialith.effects.EffectKinds;
import org.myrialith.effects.Layer;
import org.myrialith.effects.Recipe;
import org.myrialith.flicker.Camera;
import org.myrialith.flicker.Eye;
import org.myrialith.flicker.LightBar;
import org.myrialith.flicker.ScanSettings;
import org.myrialith.flicker.Strobe;
import org.myrialith.frames.Clip;
import org.myrialith.frames.Frame;
import org.myrialith.frames.Picture;
import org.myrialith.gadget.model.Gadget;
import org.myrialith.input.Input;
import org.myrialith.input.InputList;
import org.myrialith.input.InputSort;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.Group;
import org.myrialith.layout.Layout;
import org.myrialith.parts.ClockRate;
import org.myrialith.parts.Conductor;
import org.myrialith.parts.Connector;
import org.myrialith.parts.Controller;
import org.myrialith.parts.Converter;
import org.myrialith.parts.ConverterSort;
import org.myrialith.parts.EmitterClasses;
import org.myrialith.parts.PartSort;
import org.myrialith.parts.PixelClass;
import org.myrialith.parts.PreferredValues;
import org.myrialith.parts.PriceList;
import org.myrialith.parts.RegisterClass;
import org.myrialith.parts.Supply;
import org.myrialith.parts.SupplyKind;
import org.myrialith.parts.SupplyTree;
import org.myrialith.power.DailyUse;
import org.myrialith.power.PlanningBasis;
import org.myrialith.power.PowerSettings;
import org.myrialith.schema.Kind;
import org.myrialith.tool.Gadgets;
import org.myrialith.voltagedrop.Feed;
import org.myrialith.voltagedrop.RailSettings;

/** Gadgets of every shape, from a seed. */
public final class GadgetSamples {
  private static final String[] WORDS = {
    "Tide", "漁火", "Ünder the \"arch\"", "a\\b", "né 1", "<b>&amp;", "🪨 rock"
  };

  private GadgetSamples() {}

  public static Gadget fromSeed(long seed) {
    Random random = new Random(seed);
    List<Fixture> fixtures = new ArrayList<>();
    for (int i = random.nextInt(4); i > 0; i--) {
      fixtures.add(
          ShapeSamples.fixture(
              random,
              "f" + i,
              word(random),
              ShapeSamples.shape(random, random.nextInt(ShapeSamples.KINDS))));
    }
    List<String> chained =
        fixtures.stream().map(Fixture::id).filter(id -> random.nextInt(4) > 0).toList();
    List<Clip> clips = new ArrayList<>();
    for (Fixture fixture : fixtures) {
      if (random.nextBoolean()) {
        clips.add(clip(random, fixture));
      }
    }
    Gadget gadget =
        Gadgets.of(
            word(random),
            random.nextBoolean() ? "" : "line one\nline two " + word(random),
            pick(random, Controller.CLASSES.toArray(Controller[]::new)),
            random.nextInt(4) == 0
                ? Optional.empty()
                : Optional.of(
                    new Supply(
                        word(random),
                        3.5 + 2 * random.nextDouble(),
                        0.1 + 10 * random.nextDouble(),
                        pick(random, SupplyKind.values()),
                        random.nextInt(3) * 1500)),
            fixtures,
            List.of(line(random, chained)),
            new ColourSettings(transfer(random), 1 + random.nextInt(100)),
            power(random),
            clips);
    Layout layout =
        new Layout(
            fixtures,
            fixtures.isEmpty() ? List.of() : List.of(group(random, fixtures)),
            random.nextBoolean()
                ? List.of()
                : List.of(EmitterClasses.ALL.get(5).renamed("own", "Own")),
            ShapeSamples.site(random));
    Gadget fed = random.nextInt(3) > 0 ? gadget : gadget.with(gadget.brief().with(tree(random)));
    Gadget laid = fed.with(layout).with(seen(random));
    Gadget whole = random.nextInt(3) > 0 ? laid : onTwoLines(laid);
    Gadget made = withEffects(random, whole);
    Gadget all = random.nextInt(3) > 0 ? made : switched(random, made);
    return all.with(all.brief().at(pick(random, ClockRate.values())));
  }

  private static ScanSettings seen(Random random) {
    if (random.nextBoolean()) {
      return ScanSettings.USUAL;
    }
    double hertz = 1 + 200 * random.nextDouble();
    return new ScanSettings(
        new Camera(
            hertz,
            Math.max(0.01, 900 / hertz * random.nextDouble()),
            900 / hertz * random.nextDouble()),
        new Eye(900 * random.nextDouble(), 50 + 1000 * random.nextDouble()),
        new Strobe(
            random.nextInt(9),
            1 + 30 * random.nextDouble(),
            1 + random.nextInt(3),
            1 + 100 * random.nextDouble(),
            random.nextDouble() / 4,
            1 + 100 * random.nextDouble(),
            1 + random.nextInt(9),
            700 * random.nextDouble() + 1,
            1 + 5 * random.nextDouble(),
            1 + 40 * random.nextDouble()),
        new LightBar(
            random.nextInt(40),
            pick(random, LightBar.Motion.values()),
            1 + random.nextDouble(),
            20 * random.nextDouble(),
            1 + 30 * random.nextDouble(),
            1 + random.nextInt(300),
            10 + 900 * random.nextDouble()));
  }

  private static Circuit line(Random random, List<String> chained) {
    PixelClass pixel = new PixelClass(1 + random.nextDouble() * 59, random.nextDouble() * 20);
    if (random.nextInt(4) == 0) {
      return new ClockedPixels(
          "c1",
          word(random),
          "D" + random.nextInt(8),
          "C" + random.nextInt(6),
          pick(random, ColourOrder.withoutWhite()),
          pick(random, ClockedClass.values()),
          1 + random.nextInt(31),
          chained,
          pixel,
          LevelShift.NONE);
    }
    return new OneWirePixels(
        "c1",
        word(random),
        "D" + random.nextInt(8),
        pick(random, ColourOrder.values()),
        50 + random.nextInt(1950),
        pick(random, BitRate.values()),
        pick(random, WhiteExtraction.values()),
        random.nextBoolean() ? 0 : 12,
        chained,
        pixel,
        LevelShift.NONE);
  }

  /** A gadget with layers of any kinds of effects on some of its fixtures. */
  private static Gadget withEffects(Random random, Gadget gadget) {
    Gadget all = gadget;
    for (Fixture fixture : gadget.fixtures()) {
      if (random.nextInt(3) == 0) {
        List<Layer> layers = new ArrayList<>();
        for (int layer = random.nextInt(3); layer >= 0; layer--) {
          List<Kind<? extends Effect>> kinds = EffectKinds.ALL.kinds();
          layers.add(
              new Layer(
                  kinds.get(random.nextInt(kinds.size())).usual(),
                  pick(random, Blend.values()),
                  random.nextInt(101)));
        }
        all =
            all.with(
                all.programme()
                    .with(
                        new Recipe(
                            fixture.id(),
                            1 + random.nextInt(99),
                            1 + random.nextInt(500),
                            layers,
                            pick(random, new String[] {Recipe.OWN, Recipe.ALL, "g1"}),
                            random.nextBoolean())));
      }
    }
    return all;
  }

  /** A circuit of each way that only switches, with the reasons and prices of a maker. */
  private static SupplyTree tree(Random random) {
    ConverterSort sort = pick(random, ConverterSort.values());
    Converter first = sort.usual("first", SupplyTree.SUPPLY, 5, 0.5 + 5 * random.nextDouble());
    Converter second = ConverterSort.LINEAR.usual("second", "first", 3.3, 0.4);
    return new SupplyTree(
        random.nextBoolean() ? List.of() : List.of(new Supply("Beside", 12, 2)),
        random.nextBoolean() ? List.of(first) : List.of(first, second),
        random.nextBoolean() ? "first" : SupplyTree.SUPPLY,
        random.nextBoolean() ? "first" : SupplyTree.SUPPLY,
        random.nextBoolean() ? List.of() : List.of(new SupplyTree.Draw("Radio", "first", 80)));
  }

  private static PowerSettings power(Random random) {
    PowerSettings plain =
        new PowerSettings(
            random.nextInt(81), pick(random, PlanningBasis.values()), random.nextDouble() * 2000);
    if (random.nextBoolean()) {
      return plain;
    }
    List<Feed> feeds = new ArrayList<>();
    for (int at = random.nextInt(50);
        feeds.size() <= random.nextInt(3);
        at += 1 + random.nextInt(90)) {
      feeds.add(
          new Feed(
              at,
              pick(random, Conductor.values()),
              1 + 5000 * random.nextDouble(),
              pick(random, Connector.values())));
    }
    return plain
        .with(
            new DailyUse(
                random.nextInt(12),
                random.nextInt(12),
                random.nextDouble(),
                random.nextInt(99),
                random.nextBoolean()))
        .behind(pick(random, Conductor.values()), random.nextDouble() * 9000)
        .with(
            new RailSettings(
                "c1",
                pick(random, Conductor.values()),
                random.nextBoolean()
                    ? Optional.empty()
                    : Optional.of(pick(random, Conductor.values())),
                random.nextBoolean(),
                random.nextInt(3) * 4.5,
                20 + random.nextInt(40),
                feeds));
  }

  private static Gadget switched(Random random, Gadget gadget) {
    OutputWiring hookup =
        new OutputWiring(
            0.1 + random.nextDouble() * 100,
            Side.TO_SUPPLY,
            pick(random, PreferredValues.values()),
            random.nextDouble(),
            pick(random, Filling.values()),
            pick(random, SwitchType.values()),
            random.nextInt(3) * 6,
            List.of(new OutputWiring.Moved("f1", random.nextInt(9), random.nextInt(99))),
            List.of(new OutputWiring.NamedField("f1", random.nextInt(9), "field")));
    Circuits circuits = gadget.circuits();
    for (SwitchedCircuit circuit :
        List.of(
            DirectPins.usual("c4", List.of())
                .dimmed(pick(random, PinDimming.values()))
                .onPins(List.of("C1", "C2")),
            ShiftRegisters.usual("c5", List.of()).of(RegisterClass.POWER),
            Expanders.usual("c6", List.of()).of(pick(random, ExpanderClass.values())),
            DisplayDrivers.usual("c7", List.of()).of(pick(random, DisplayClass.values())))) {
      circuits = circuits.with(circuit.with(hookup)).because(circuit.id(), word(random));
    }
    circuits =
        circuits
            .with(random.nextBoolean() ? scanned(random) : greyOrNot(random))
            .with(inputs(random));
    return gadget.with(
        circuits.with(
            new PriceList(
                word(random),
                List.of(
                    new PriceList.Price(
                        pick(random, PartSort.values()),
                        1 + random.nextInt(500),
                        random.nextDouble())))));
  }

  private static ShiftRegisters greyOrNot(Random random) {
    return ShiftRegisters.usual("c8", List.of())
        .of(pick(random, RegisterClass.values()))
        .onPins(List.of("P2", "P3", "P14", "P15", "P49"));
  }

  private static ScannedPins matrix(Random random) {
    return ScannedPins.usual("c8", List.of())
        .on(List.of("A1", "B2"), List.of("C3", "D4", "G5"))
        .through(pick(random, RowSwitch.values()))
        .scanned(20 + 500 * random.nextDouble(), 1 + random.nextInt(8), 40 * random.nextDouble());
  }

  private static Scan scan(Random random) {
    return new Scan(
        20 + 500 * random.nextDouble(),
        1 + random.nextInt(8),
        40 * random.nextDouble(),
        pick(random, ScanMethod.values()),
        pick(random, RowOrder.values()),
        random.nextInt(500));
  }

  private static Circuit scanned(Random random) {
    return switch (random.nextInt(3)) {
      case 0 -> matrix(random);
      case 1 -> {
        RowSwitch by = pick(random, RowSwitch.values());
        yield ScannedRegisters.usual("c8", List.of())
            .of(
                List.of(RegisterClass.HC, RegisterClass.POWER, RegisterClass.SINK)
                    .get(random.nextInt(3)),
                by.turns() ? 1 + random.nextInt(64) : 1,
                1 + random.nextInt(128),
                by)
            .scanned(scan(random));
      }
      default ->
          Charlieplex.usual("c8", List.of())
              .onPins(List.of("A1", "B2", "C3", "D4").subList(0, 2 + random.nextInt(3)))
              .of(
                  pick(random, Charlieplex.Together.values()),
                  pick(random, Charlieplex.ResistorsAt.values()))
              .scanned(scan(random));
    };
  }

  private static InputList inputs(Random random) {
    int samples = 1 + random.nextInt(20);
    return new InputList(
        List.of(
            new Input(
                word(random),
                pick(random, InputSort.values()),
                random.nextBoolean() ? "" : "C1, P7 D3",
                1 + random.nextInt(500),
                1 + random.nextInt(1000),
                samples,
                1 + random.nextInt(samples))));
  }

  /** The last of its fixtures on a line of its own. */
  private static Gadget onTwoLines(Gadget gadget) {
    OneWirePixels second =
        OneWirePixels.usual("c2", List.of()).onPin("B1").withPixel(new PixelClass(12, 0.6));
    Circuits circuits = gadget.circuits().with(second);
    List<String> first = circuits.circuits().get(0).fixtures();
    return gadget.with(
        first.isEmpty()
            ? circuits
            : circuits.withAtEnd(
                FixtureRun.of(first.get(first.size() - 1)), "c2", gadget.layout()));
  }

  private static Group group(Random random, List<Fixture> fixtures) {
    Fixture fixture = fixtures.get(random.nextInt(fixtures.size()));
    int from = random.nextInt(fixture.count());
    int to = from + random.nextInt(fixture.count() - from);
    return new Group("g1", word(random), List.of(new Group.Member(fixture.id(), from, to)));
  }

  private static Transfer transfer(Random random) {
    return switch (random.nextInt(3)) {
      case 0 -> new Transfer.PowerLaw(1 + random.nextDouble() * 2.5);
      case 1 -> new Transfer.Srgb();
      default -> new Transfer.Lightness();
    };
  }

  private static Clip clip(Random random, Fixture fixture) {
    List<Frame> frames = new ArrayList<>();
    for (int i = 1 + random.nextInt(4); i > 0; i--) {
      byte[] rgb = new byte[fixture.seenColumns() * fixture.seenRows() * 3];
      random.nextBytes(rgb);
      frames.add(
          new Frame(
              Picture.of(fixture.seenColumns(), fixture.seenRows(), rgb),
              10 + random.nextInt(500)));
    }
    return new Clip("k" + fixture.id().substring(1), word(random), fixture.id(), frames);
  }

  private static String word(Random random) {
    return pick(random, WORDS);
  }

  private static <T> T pick(Random random, T[] all) {
    return all[random.nextInt(all.length)];
  }
}
