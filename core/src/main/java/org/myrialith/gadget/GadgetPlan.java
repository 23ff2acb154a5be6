package org.myrialith.gadget;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.myrialith.colour.LevelTable;
import org.myrialith.drive.ChainPlan;
import org.myrialith.drive.OneWirePixels;
import org.myrialith.finding.Finding;
import org.myrialith.finding.Quantity;
import org.myrialith.finding.Reckoning;
import org.myrialith.finding.Remedy;
import org.myrialith.finding.Source;
import org.myrialith.finding.Step;
import org.myrialith.finding.Verdict;
import org.myrialith.firmware.FirmwarePlan;
import org.myrialith.firmware.FirmwareWork;
import org.myrialith.firmware.SentMoments;
import org.myrialith.firmware.WiringText;
import org.myrialith.frames.Clip;
import org.myrialith.frames.ClipLevels;
import org.myrialith.frames.Show;
import org.myrialith.layout.Fixture;
import org.myrialith.layout.LayoutJudgement;
import org.myrialith.layout.LayoutNumbers;
import org.myrialith.layout.LayoutPlan;
import org.myrialith.parts.EmitterKind;
import org.myrialith.parts.PixelClass;
import org.myrialith.parts.Supply;
import org.myrialith.power.Load;
import org.myrialith.power.PowerPlan;

/**
 * Every step's answer for one gadget. A step is worked out when it is first asked for and kept.
 * Immutable to its users, safe for use by several threads.
 */
public final class GadgetPlan {
  /** Taken for the logic level as long as no supply is named (V). */
  private static final double USUAL_VOLTS = 5;

  private final Gadget gadget;
  private final Lazy<LayoutPlan> layout;
  private final Lazy<Optional<ChainPlan>> chain;
  private final Lazy<LevelTable> table;
  private final Lazy<List<ClipLevels>> levels;
  private final Lazy<Show> show;
  private final Lazy<PowerPlan> power;
  private final Lazy<Optional<FirmwarePlan>> firmware;
  private final Lazy<List<Finding>> findings;
  private final Lazy<FlashJudgement> flashes;

  private GadgetPlan(Gadget gadget) {
    this.gadget = gadget;
    this.layout =
        new Lazy<>(
            () ->
                LayoutPlan.of(
                    gadget.fixtures(),
                    gadget.chain().map(OneWirePixels::fixtures).orElse(List.of())));
    this.chain = new Lazy<>(this::workChain);
    this.table = new Lazy<>(() -> LevelTable.of(gadget.colour()));
    this.levels = new Lazy<>(this::workLevels);
    this.show = new Lazy<>(() -> Show.of(levels().stream().map(ClipLevels::clip).toList()));
    this.power = new Lazy<>(this::workPower);
    this.firmware = new Lazy<>(() -> work().flatMap(FirmwarePlan::of));
    this.flashes = new Lazy<>(() -> FlashJudgement.of(gadget.clips()));
    this.findings = new Lazy<>(this::workFindings);
  }

  /** Returns the plan of a gadget; nothing is worked out yet. */
  public static GadgetPlan of(Gadget gadget) {
    return new GadgetPlan(gadget);
  }

  private Optional<ChainPlan> workChain() {
    double volts = gadget.supply().map(Supply::volts).orElse(USUAL_VOLTS);
    return gadget
        .chain()
        .map(c -> new ChainPlan(c, layout().chained().size(), gadget.controller(), volts));
  }

  private List<ClipLevels> workLevels() {
    List<ClipLevels> all = new ArrayList<>();
    if (gadget.chain().isEmpty()) {
      return all;
    }
    OneWirePixels circuit = gadget.chain().get();
    int first = 0;
    for (String id : circuit.fixtures()) {
      Fixture fixture = gadget.fixture(id).orElseThrow();
      Optional<Clip> clip = gadget.clipOn(id);
      if (clip.isPresent()) {
        all.add(ClipLevels.of(clip.get(), fixture, first, table(), circuit.colourOrder()));
      }
      first += fixture.count();
    }
    return List.copyOf(all);
  }

  private PowerPlan workPower() {
    Load load =
        chain()
            .map(
                c ->
                    new Load(c.pixels(), c.circuit().pixel(), gadget.power().controllerMilliamps()))
            .orElse(new Load(0, PixelClass.USUAL, gadget.power().controllerMilliamps()));
    return PowerPlan.of(load, gadget.supply(), gadget.power(), gadget.colour(), show(), levels());
  }

  private Optional<FirmwareWork> work() {
    return chain().map(c -> new FirmwareWork(c, show(), levels(), power().limiter()));
  }

  /** Returns the gadget planned. */
  public Gadget gadget() {
    return gadget;
  }

  /** Returns every emitter with its place. */
  public LayoutPlan layout() {
    return layout.get();
  }

  /** Returns the data line; empty when there is none. */
  public Optional<ChainPlan> chain() {
    return chain.get();
  }

  /** Returns the levels for asked values. */
  public LevelTable table() {
    return table.get();
  }

  /** Returns the clips as levels, in the order of the data line. */
  public List<ClipLevels> levels() {
    return levels.get();
  }

  /** Returns the moments of the show, its clips in the order of {@link #levels}. */
  public Show show() {
    return show.get();
  }

  /** Returns the currents. */
  public PowerPlan power() {
    return power.get();
  }

  /** Returns the firmware; empty when there is nothing to play. */
  public Optional<FirmwarePlan> firmware() {
    return firmware.get();
  }

  /** Returns what goes down the data line; empty when there is none. */
  public Optional<SentMoments> sent() {
    return work().map(SentMoments::new);
  }

  /** Returns whether every clip may start by itself. */
  public boolean mayStartByItself() {
    return flashes.get().safe();
  }

  /** Returns the share of a clip's cells that flash too often, 0 to 1. */
  public double flashingShare(String clip) {
    return flashes.get().shares().getOrDefault(clip, 0.0);
  }

  /** Returns all findings in the order of the steps. */
  public List<Finding> findings() {
    return findings.get();
  }

  private List<Finding> workFindings() {
    List<Finding> all = new ArrayList<>(briefFindings());
    all.addAll(
        new LayoutJudgement(layout(), gadget.site(), fixture -> gadget.emitterOf(fixture).slimMm())
            .findings());
    all.addAll(circuitFindings());
    all.addAll(power().findings());
    all.addAll(table().findings());
    all.addAll(frameFindings());
    firmware().map(FirmwarePlan::findings).ifPresent(all::addAll);
    if (firmware().isEmpty()) {
      all.add(
          Finding.of(Step.FIRMWARE, "no-firmware", Verdict.OPEN, "There is nothing to play yet.")
              .advising("Add a fixture and a frame."));
    }
    all.sort(Comparator.comparing(Finding::step));
    return List.copyOf(all);
  }

  private List<Finding> briefFindings() {
    return gadget
        .supply()
        .map(
            s ->
                List.of(
                    Finding.of(
                        Step.BRIEF,
                        "supply",
                        Verdict.HOLDS,
                        "%s gives %s at %s."
                            .formatted(
                                s.name(),
                                Quantity.text(s.amps(), "A"),
                                Quantity.text(s.volts(), "V")))))
        .orElse(
            List.of(
                Finding.of(Step.BRIEF, "supply", Verdict.OPEN, "No supply is named yet.")
                    .advising("Name the supply and its rated current.")));
  }

  private List<Finding> circuitFindings() {
    List<Finding> all = new ArrayList<>();
    if (chain().isEmpty() || layout().chained().isEmpty()) {
      all.add(
          Finding.of(Step.CIRCUITS, "no-chain", Verdict.OPEN, "Nothing hangs on the data line yet.")
              .advising("Put a fixture on the data line."));
    } else {
      all.addAll(chain().get().findings());
    }
    List<String> chained = gadget.chain().map(OneWirePixels::fixtures).orElse(List.of());
    for (Fixture fixture : gadget.fixtures()) {
      boolean pixels = gadget.emitterOf(fixture).kind() == EmitterKind.ONE_WIRE_RGB;
      if (!pixels) {
        all.add(otherKind(fixture, chained.contains(fixture.id())));
      } else if (!chained.contains(fixture.id())) {
        all.add(
            Finding.of(
                    Step.CIRCUITS,
                    "unchained-" + fixture.id(),
                    Verdict.TIGHT,
                    fixture.name() + " is in no circuit and stays dark.")
                .advising("Put it on the data line."));
      }
    }
    return all;
  }

  private Finding otherKind(Fixture fixture, boolean chained) {
    String kind = gadget.emitterOf(fixture).kind().title();
    return chained
        ? Finding.of(
                Step.CIRCUITS,
                "wrong-kind-" + fixture.id(),
                Verdict.BREAKS,
                "%s hangs on the data line, but its emitters are: %s."
                    .formatted(fixture.name(), kind))
            .advising("Take it off the data line, or choose one-wire RGB pixels for it.")
        : Finding.of(
            Step.CIRCUITS,
            "no-circuit-" + fixture.id(),
            Verdict.OPEN,
            "%s (%s) needs a circuit of another kind; it is laid out, counted and exported, but not driven yet."
                .formatted(fixture.name(), kind));
  }

  private List<Finding> frameFindings() {
    List<Finding> all = new ArrayList<>();
    if (gadget.clips().isEmpty()) {
      all.add(
          Finding.of(Step.FRAMES, "no-frames", Verdict.OPEN, "No frames are drawn yet.")
              .advising("Start a clip on a fixture, or take in a GIF."));
    } else {
      for (Fixture fixture : gadget.fixtures()) {
        if (gadget.clipOn(fixture.id()).isEmpty()) {
          all.add(
              Finding.of(
                  Step.FRAMES,
                  "no-clip-" + fixture.id(),
                  Verdict.OPEN,
                  fixture.name() + " has no frames and stays dark."));
        }
      }
    }
    if (!show().whole()) {
      all.add(
          Finding.of(
                  Step.FRAMES,
                  "show-too-long",
                  Verdict.TIGHT,
                  "The show has more than %s moments; the rest was not judged."
                      .formatted(Quantity.number(Show.MOST_MOMENTS)))
              .advising("Shorten the longest clip, or hold its companions longer."));
    }
    all.addAll(flashes.get().findings());
    return all;
  }

  /** Returns the findings of a step, worst first. */
  public List<Finding> findings(Step step) {
    return findings().stream()
        .filter(f -> f.step() == step)
        .sorted(Comparator.comparing(Finding::verdict).reversed())
        .toList();
  }

  /** Returns the verdict of a step. */
  public Verdict verdict(Step step) {
    return Verdict.worst(findings(step));
  }

  /** Returns the verdict of the whole gadget. */
  public Verdict verdict() {
    return Verdict.worst(findings());
  }

  /** Returns the numbers of a step. */
  public List<Reckoning> reckonings(Step step) {
    return switch (step) {
      case BRIEF -> List.of();
      case LAYOUT ->
          new LayoutNumbers(
                  layout(), gadget.site(), fixture -> gadget.emitterOf(fixture).kind().dies())
              .all();
      case CIRCUITS -> chain().map(ChainPlan::reckonings).orElse(List.of());
      case POWER -> power().reckonings();
      case COLOUR -> table().reckonings();
      case FRAMES -> showNumbers();
      case FIRMWARE -> firmware().map(FirmwarePlan::reckonings).orElse(List.of());
    };
  }

  private List<Reckoning> showNumbers() {
    List<Reckoning.Given> lengths =
        show().clips().stream()
            .map(c -> Reckoning.given(c.name(), c.lengthMillis() / 1000.0, "s"))
            .toList();
    return List.of(
        new Reckoning(
            "show-length",
            "Length of the show",
            show().lengthMillis() / 1000.0,
            "s",
            "length of the longest clip; shorter ones repeat until it ends",
            lengths,
            Source.ARITHMETIC),
        new Reckoning(
            "moments",
            "Moments",
            show().moments().size(),
            "moments",
            "instants at which any clip changes",
            lengths,
            Source.ARITHMETIC));
  }

  /** Returns the one figure of a step that its band shows. */
  public String headline(Step step) {
    return switch (step) {
      case BRIEF -> gadget.supply().map(s -> Quantity.text(s.amps(), "A")).orElse("no supply");
      case LAYOUT -> Quantity.text(layout().emitters().size(), "emitters");
      case CIRCUITS ->
          chain()
              .filter(c -> c.pixels() > 0)
              .map(c -> Quantity.text(c.refreshHz(), "Hz"))
              .orElse("no pixels");
      case POWER -> Quantity.text(power().peakAmps(), "A") + " peak";
      case COLOUR -> gadget.colour().brightnessPercent() + " %";
      case FRAMES ->
          show().moments().isEmpty()
              ? "no frames"
              : Quantity.text(show().lengthMillis() / 1000.0, "s");
      case FIRMWARE ->
          firmware().map(f -> Quantity.text(f.flashBytes(), "bytes")).orElse("nothing yet");
    };
  }

  /**
   * Returns the gadget with a remedy applied; empty when this plan has no such remedy any more.
   *
   * @param findingKey the finding it mends
   * @param remedyKey which of its remedies
   */
  public Optional<Gadget> mended(String findingKey, String remedyKey) {
    return remedy(findingKey, remedyKey).map(remedy -> Mending.apply(gadget, remedy));
  }

  /** Returns the remedy of those keys, if this plan has it. */
  public Optional<Remedy> remedy(String findingKey, String remedyKey) {
    return findings().stream()
        .filter(f -> f.key().equals(findingKey))
        .flatMap(f -> f.remedies().stream())
        .filter(r -> r.key().equals(remedyKey))
        .findFirst();
  }

  /**
   * Returns the files of the firmware by name, the gadget itself among them; empty when there is
   * nothing to play.
   */
  public Map<String, byte[]> firmwareFiles() {
    Map<String, byte[]> files = new LinkedHashMap<>();
    if (firmware().isPresent()) {
      List<Fixture> inChain =
          gadget.chain().orElseThrow().fixtures().stream()
              .map(id -> gadget.fixture(id).orElseThrow())
              .toList();
      WiringText wiring =
          new WiringText(gadget.title(), inChain, chain().orElseThrow(), gadget.supply(), power());
      files.putAll(firmware().get().files(wiring.text()));
      files.put("gadget.json", GadgetJson.write(gadget).getBytes(StandardCharsets.UTF_8));
    }
    return files;
  }

  /**
   * Returns the colours in which emitters look lit on a screen during a moment: red, green, blue
   * for each emitter in the order of {@link LayoutPlan#emitters}, light proportional to the level
   * sent.
   */
  public byte[] seen(int moment) {
    return EmittedLight.of(this, moment);
  }
}
