package org.myrialith.circuit.charlieplex;

import static org.myrialith.finding.Phrase.phrase;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.myrialith.brief.Brief;
import org.myrialith.circuit.CircuitStart;
import org.myrialith.circuit.MemberList;
import org.myrialith.circuit.electrical.Side;
import org.myrialith.circuit.electrical.SwitchType;
import org.myrialith.circuit.multiplex.RowSwitch;
import org.myrialith.circuit.multiplex.Scan;
import org.myrialith.circuit.multiplex.ScanTiming;
import org.myrialith.circuit.multiplex.ScannedCircuit;
import org.myrialith.circuit.multiplex.ScannedPlan;
import org.myrialith.circuit.output.OutputMap;
import org.myrialith.circuit.output.OutputWiring;
import org.myrialith.circuit.output.Sending;
import org.myrialith.circuit.output.SwitchedChannel;
import org.myrialith.circuit.output.Switching;
import org.myrialith.finding.Finding;
import org.myrialith.finding.InputException;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Step;
import org.myrialith.finding.TextRules;
import org.myrialith.finding.Verdict;
import org.myrialith.layout.Layout;
import org.myrialith.layout.SegmentDigits;
import org.myrialith.parts.Controller;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PinName;
import org.myrialith.schema.Field;
import org.myrialith.schema.Kind;
import org.myrialith.schema.Part;
import org.myrialith.schema.Types;

/**
 * Between each two pins two lights, one each way: n pins carry n(n − 1). The anode's pin is high,
 * those of the cathodes that light are low, all others are open.
 *
 * @param charliePins in their order: the lights of the first as anode come first, cathodes in order
 * @param together what is lit in one turn
 * @param resistorsAt where the resistors are
 * @param scan how they have their turns
 * @param hookup its current is that of an LED in its turn
 */
@RecordBuilder
public record Charlieplex(
    String id,
    String name,
    List<String> charliePins,
    Together together,
    ResistorsAt resistorsAt,
    Scan scan,
    OutputWiring hookup,
    List<String> fixtures)
    implements ScannedCircuit {
  /** Most pins. */
  public static final int MOST_PINS = 16;

  /** What is lit in one turn. */
  public enum Together {
    /** Each gets the same, whatever else is lit. */
    ONE("one", "one LED at a time"),
    /** All that have their anode on one pin, which feeds them together. */
    ANODE("anode", "all LEDs of one anode pin");

    private final String key;
    private final String title;

    Together(String key, String title) {
      this.key = key;
      this.title = title;
    }

    /** Returns the name used in the gadget format. */
    public String key() {
      return key;
    }

    /** Returns the name for people. */
    public String title() {
      return title;
    }
  }

  /** Where the resistors are. */
  public enum ResistorsAt {
    /** The current of a light goes through two of them. */
    PINS("pins", "one at each pin"),
    /** One for each light, or for each two that stand against each other. */
    LIGHTS("lights", "one at each LED");

    private final String key;
    private final String title;

    ResistorsAt(String key, String title) {
      this.key = key;
      this.title = title;
    }

    /** Returns the name used in the gadget format. */
    public String key() {
      return key;
    }

    /** Returns the name for people. */
    public String title() {
      return title;
    }
  }

  /** How it stands in the format. */
  public static final Kind<Charlieplex> KIND =
      Kind.of(
          "charlieplex",
          "charlieplexed pins",
          usual("c1", List.of()),
          Field.id("id"),
          Field.named("name", "Name"),
          Field.rows("charliePins", "Pins", new Types.Words(Types.Words.Rule.ANY), 0, MOST_PINS)
              .or(List.of())
              .explained("n pins drive n(n − 1) LEDs"),
          Field.of(
                  "together",
                  "LEDs lit at a time",
                  Types.Choice.of(Together.values(), Together::key, Together::title))
              .or(Together.ONE),
          Field.of(
                  "resistorsAt",
                  "Resistors",
                  Types.Choice.of(ResistorsAt.values(), ResistorsAt::key, ResistorsAt::title))
              .or(ResistorsAt.PINS),
          Part.of("scan", Scan.DESCRIPTION),
          Part.of("hookup", OutputWiring.DESCRIPTION),
          MemberList.field());

  /** Two lights between each two pins. */
  public static final CircuitStart START =
      new CircuitStart("charlieplex", "charlieplexed pins", id -> usual(id, List.of()));

  public Charlieplex {
    TextRules.id("id", id);
    name = TextRules.name("name", name);
    for (int i = 0; i < charliePins.size(); i++) {
      PinName.require("charliePins[" + i + "]", charliePins.get(i));
    }
    charliePins = List.copyOf(charliePins);
    if (new HashSet<>(charliePins).size() != charliePins.size()) {
      throw new InputException("charliePins", String.join(", ", charliePins), "each pin once");
    }
    if (charliePins.size() == 1) {
      throw new InputException(
          "charliePins", charliePins.get(0), "at least 2 pins: n pins drive n(n − 1) LEDs");
    }
    if (charliePins.size() > MOST_PINS) {
      throw new InputException(
          "charliePins", String.join(", ", charliePins), MOST_PINS + " pins at most");
    }
    Objects.requireNonNull(together, "together");
    Objects.requireNonNull(resistorsAt, "resistorsAt");
    Objects.requireNonNull(scan, "scan");
    Objects.requireNonNull(hookup, "hookup");
    if (hookup.through() != SwitchType.NONE) {
      throw new InputException(
          "through", hookup.through().title(), "straight: the pins drive both sides");
    }
    if (hookup.side() != Side.TO_SUPPLY) {
      throw new InputException(
          "side", hookup.side().title(), Side.TO_SUPPLY.title() + ": anodes are multiplexed");
    }
    if (hookup.ownRail()) {
      throw new InputException(
          "railVolts", Double.toString(hookup.railVolts()), "0: the pins supply the LEDs");
    }
    fixtures = MemberList.once(fixtures);
  }

  /** Returns a circuit as a maker would start with: without a pin, until there are channels. */
  public static Charlieplex usual(String id, List<String> fixtures) {
    return new Charlieplex(
        id,
        "Charlieplex",
        List.of(),
        Together.ONE,
        ResistorsAt.PINS,
        Scan.of(200, 3, 2),
        OutputWiring.of(8, Side.TO_SUPPLY),
        fixtures);
  }

  /** Returns the fewest pins that carry so many lights. */
  public static int pinsFor(int lights) {
    int pins = 2;
    while (pins * (pins - 1) < lights) {
      pins++;
    }
    return pins;
  }

  /** Returns it lighting other things together, with resistors elsewhere. */
  public Charlieplex of(Together other, ResistorsAt at) {
    return CharlieplexBuilder.builder(this).together(other).resistorsAt(at).build();
  }

  @Override
  public Charlieplex scanned(Scan other) {
    return CharlieplexBuilder.builder(this).scan(other).build();
  }

  /** Its rows are pins. */
  @Override
  public RowSwitch rowSwitch() {
    return RowSwitch.PIN;
  }

  @Override
  public Charlieplex through(RowSwitch other) {
    return this;
  }

  @Override
  public Charlieplex with(OutputWiring other) {
    return CharlieplexBuilder.builder(this).hookup(other).build();
  }

  @Override
  public Charlieplex called(String other) {
    return CharlieplexBuilder.builder(this).name(other).build();
  }

  @Override
  public Charlieplex withFixtures(List<String> ids) {
    return CharlieplexBuilder.builder(this).fixtures(ids).build();
  }

  @Override
  public List<String> pins() {
    return charliePins;
  }

  @Override
  public Charlieplex onPins(List<String> pins) {
    return CharlieplexBuilder.builder(this).charliePins(pins).build();
  }

  @Override
  public boolean minds(String field) {
    return switch (field) {
      case "through", "side", "railVolts" -> false;
      default -> true;
    };
  }

  @Override
  public boolean drives(EmitterKind kind) {
    return kind == EmitterKind.SINGLE && hookup.carries(kind, Controller.STAGE);
  }

  @Override
  public String drives() {
    return "single LEDs with both leads free";
  }

  @Override
  public int rows() {
    return charliePins.size();
  }

  @Override
  public int columns() {
    return Math.max(0, charliePins.size() - 1);
  }

  @Override
  public boolean alone() {
    return together == Together.ONE;
  }

  @Override
  public String turnWord() {
    return alone() ? "LEDs" : "anode pins";
  }

  @Override
  public String rowOutput(int row) {
    return row < charliePins.size() ? charliePins.get(row) : "";
  }

  /** Returns the pin of a cathode: those after the anode's count one less. */
  @Override
  public String columnOutput(int row, int column) {
    return rowOutput(column < row ? column : column + 1);
  }

  @Override
  public int slotBytes() {
    return 2 * PinName.ports(charliePins) + 1;
  }

  @Override
  public String rowName(int row, String output) {
    return "anode " + output;
  }

  @Override
  public List<Finding> judged(ScannedPlan plan) {
    List<Finding> all = new ArrayList<>(List.of(new Ghosting(plan).finding()));
    commonPins(plan).ifPresent(all::add);
    return all;
  }

  /** Segments of a digit that share a pin have to have their anodes on one. */
  private Optional<Finding> commonPins(ScannedPlan plan) {
    List<SwitchedChannel> channels = plan.map().channels();
    int row = -1;
    for (int c = 0; c < channels.size(); c++) {
      SwitchedChannel channel = channels.get(c);
      boolean segment = channel.fixture().shape() instanceof SegmentDigits;
      if (segment && !channel.startsField() && plan.map().chip(c) != row) {
        return Optional.of(
            Finding.of(
                    Step.CIRCUITS,
                    plan.key("digit-pins"),
                    Verdict.TIGHT,
                    phrase(
                        "Segment %s of %s has its anode on another pin than the segment before it: digits with a common pin can't be charlieplexed this way, only single LEDs.",
                        channel.name(), channel.fixture().name()))
                .advising(
                    phrase(
                        "Start each digit at a new row, on %s; its common anode then has one pin.",
                        Quantity.text(Byte.SIZE + 1, "pins"))));
      }
      row = plan.map().chip(c);
    }
    return Optional.empty();
  }

  @Override
  public ScanTiming.Interrupt interrupt() {
    return ScanTiming.Interrupt.onOpenPins(
        Math.max(1, PinName.ports(charliePins)), rows(), alone() ? 1 : columns());
  }

  @Override
  public ScannedPlan plan(Layout layout, Brief brief) {
    int width = Math.max(1, columns());
    Switching plain =
        Switching.of(
            members(layout), layout, hookup, brief.controller().stage().both(), volts(brief, true));
    OutputMap map =
        OutputMap.ofRows(plain.channels(), hookup, width, Math.max(1, rows()))
            .withDepth(scan.depth(), Sending.LEVELS);
    int lights = map.outputs().stream().mapToInt(output -> output + 1).max().orElse(1);
    ScanTiming timing =
        ScanTiming.of(
            alone() ? lights : Math.max(1, rows()), scan, interrupt(), brief.controller());
    Switching switching =
        plain.onOpenPins(
            timing.duty(),
            resistorsAt == ResistorsAt.LIGHTS,
            Side.TO_GROUND.ohms(brief.controller().stage()));
    return new ScannedPlan(this, brief, switching, map, timing);
  }

  @Override
  public int furtherPorts() {
    return Math.max(0, PinName.ports(charliePins) - 1);
  }

  /** One at a pin serves all that hang there. */
  @Override
  public int resistors(ScannedPlan plan, int each) {
    return resistorsAt == ResistorsAt.LIGHTS ? each : charliePins.size();
  }

  @Override
  public Optional<String> resistorPlace(String part) {
    return Optional.of(
        resistorsAt == ResistorsAt.PINS
            ? phrase("anode and cathode as listed; %s between each pin and its line", part)
            : phrase("anode and cathode as listed; %s in series with each", part));
  }

  @Override
  public Optional<Regrouped> regrouped(int turns) {
    return alone()
        ? Optional.of(new Regrouped("all LEDs of one anode pin together", rows()))
        : Optional.empty();
  }

  @Override
  public Optional<String> pinsMissing(int lights) {
    return Optional.of(
        phrase(
            "%s need %s, as n pins drive n × (n − 1); %d are named.",
            Quantity.text(lights, "lights"),
            Quantity.text(pinsFor(lights), "pins"),
            charliePins.size()));
  }

  @Override
  public ScannedCircuit enough(List<String> free, Layout layout, Brief brief) {
    int wanted = pinsFor(plan(layout, brief).map().channels().size());
    return wanted > free.size() || wanted > MOST_PINS ? this : onPins(free.subList(0, wanted));
  }

  @Override
  public String about(Controller controller) {
    return "Charlieplexed: two LEDs in opposite directions between each pair of pins. One pin is high, one or several are low, all others are high-impedance. One LED at a time is even but dim. All LEDs of one anode pin at a time are brighter and share the current of its resistor. Place the resistors at the pins: with resistors at the LEDs, two LEDs in series glow where the supply exceeds twice their forward voltage. LEDs of one colour only. ";
  }
}
